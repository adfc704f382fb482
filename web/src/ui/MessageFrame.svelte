<script lang="ts" module>
  import type { Stop } from './previewWidth';

  /** How a message is looked at. */
  export type Way = Stop | 'plain' | 'no pictures' | 'dark';
</script>

<script lang="ts">
  import { darkened } from './darkened';
  import PreviewEdge from './PreviewEdge.svelte';
  import { STOPS } from './previewWidth';
  import { patch } from './patch';

  /**
   * A message as its recipient's program shows it: in a frame of its own where no script runs and nothing from elsewhere
   * is loaded, at its true width, scaled to the room there is.
   */
  let {
    html,
    way = 'wide',
    width = way in STOPS ? STOPS[way as Stop] : STOPS.wide,
    onwidth,
    small = false,
    title,
    pointed = null,
    onpoint,
    onopen,
  }: {
    html: string;
    way?: Way;
    /** How wide the message is shown, in pixels of its own. */
    width?: number;
    /** Makes the edge one that can be dragged. */
    onwidth?: (width: number) => void;
    /** Whether it is a picture of a message among others, of which nothing is said. */
    small?: boolean;
    title: string;
    /** The block that is marked, and kept in view. */
    pointed?: string | null;
    onpoint?: (block: string | null) => void;
    /** Somebody wants to go to a word: which block, which word, and the how manieth of its kind there, from 0. */
    onopen?: (block: string, word: string, nth: number) => void;
  } = $props();

  const DARK = '@media (prefers-color-scheme: dark)';
  const marks =
    '.from-record{border-bottom:1.5px dotted currentColor} .from-fallback{background:#fbeecb;color:#5c3b06 !important}' +
    ' .from-gap{background:#fbe3df;color:#a12d22 !important;padding:0 3px}' +
    ' img:not([src]){display:inline-block !important;min-height:40px;border:1px dashed #8a8f98 !important;' +
    'font-size:13px}' +
    ' [data-block][data-pointed]{outline:2px solid #1d2530;outline-offset:-2px}';

  let frame = $state<HTMLIFrameElement>();
  let room = $state(0);
  let height = $state(200);
  let loaded = $state(false);
  const scale = $derived(room ? Math.min(1, room / width) : 1);

  function draw() {
    const page = frame?.contentDocument;
    // The frame's own parser, since what it reads is under the policy of the page that reads it.
    const Parser = (frame?.contentWindow as (Window & typeof globalThis) | null)?.DOMParser;
    if (!page?.documentElement || !Parser) return;
    const night = way === 'dark';
    // Whether the screen of whoever writes is dark has nothing to do with the recipient's.
    const wanted = new Parser().parseFromString(
      html.replaceAll(DARK, night ? '@media screen' : '@media not all'),
      'text/html',
    );
    const style = wanted.createElement('style');
    style.textContent = marks;
    wanted.head.append(style);
    // A message with rules of its own for dark screens is left to them.
    if (night && !html.includes(DARK)) darkened(wanted);
    if (way === 'no pictures') wanted.querySelectorAll('img').forEach((one) => one.removeAttribute('src'));
    for (const link of wanted.querySelectorAll('a')) link.setAttribute('target', '_blank');
    patch(page.documentElement, wanted.documentElement);
    mark();
    measure();
    page.querySelectorAll('img').forEach((one) => one.addEventListener('load', measure, { once: true }));
  }

  function blockAt(event: Event): HTMLElement | null {
    return (event.target as Element).closest<HTMLElement>('[data-block]');
  }

  /** Tells what is pointed at, and where somebody wants to go. */
  function listen() {
    const page = frame?.contentDocument;
    if (!page) return;
    page.addEventListener('pointerover', (event) => onpoint?.(blockAt(event)?.dataset.block ?? null));
    page.documentElement.addEventListener('pointerleave', () => onpoint?.(null));
    page.addEventListener('dblclick', (event) => {
      const block = blockAt(event);
      const selection = page.getSelection();
      const word = selection?.toString().trim() ?? '';
      if (!block || !onopen) return;
      let before = '';
      if (selection?.rangeCount && word) {
        const range = page.createRange();
        range.setStart(block, 0);
        range.setEnd(selection.getRangeAt(0).startContainer, selection.getRangeAt(0).startOffset);
        before = range.toString();
      }
      onopen(block.dataset.block!, word, word ? before.split(word).length - 1 : 0);
    });
  }

  function mark() {
    const page = frame?.contentDocument;
    page?.querySelectorAll('[data-pointed]').forEach((one) => one.removeAttribute('data-pointed'));
    const block = pointed && page?.querySelector(`[data-block="${CSS.escape(pointed)}"]`);
    if (block) block.setAttribute('data-pointed', '');
  }

  $effect(() => {
    void pointed;
    if (loaded) mark();
  });

  /** Brings a block into view. */
  export function show(block: string): void {
    frame?.contentDocument
      ?.querySelector(`[data-block="${CSS.escape(block)}"]`)
      ?.scrollIntoView({ block: 'nearest' });
  }

  function measure() {
    const page = frame?.contentDocument;
    if (page?.body) height = Math.max(120, Math.ceil(page.body.getBoundingClientRect().height) + 20);
  }

  $effect(() => {
    void html;
    void way;
    void width;
    if (loaded) draw();
  });
</script>

<div class="room" bind:clientWidth={room} style:height="{height * scale}px">
  <iframe
    bind:this={frame}
    {title}
    src="/api/desk/frame"
    sandbox="allow-same-origin"
    scrolling="no"
    style:width="{width}px"
    style:height="{height}px"
    style:transform="scale({scale})"
    style:left="{Math.max(0, (room - width * scale) / 2)}px"
    onload={() => {
      loaded = true;
      listen();
      draw();
    }}
  ></iframe>
  {#if onwidth}<PreviewEdge
      {width}
      left={Math.min(room - 12, (room + width * scale) / 2 - 6)}
      {onwidth}
    />{/if}
</div>
{#if scale < 1 && !small}<p class="scale">{Math.round(scale * 100)} % of its true size</p>{/if}

<style>
  .room {
    position: relative;
    overflow: hidden;
  }

  iframe {
    position: absolute;
    top: 0;
    border: 0;
    background: #fff;
    transform-origin: top left;
  }

  .scale {
    padding-top: 3px;
    color: var(--ink-soft);
    font-size: 12px;
    text-align: right;
  }
</style>
