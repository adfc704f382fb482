<script lang="ts" module>
  /** How a message is looked at. */
  export type Way = 'wide' | 'phone' | 'plain' | 'no pictures' | 'dark';
</script>

<script lang="ts">
  import { patch } from './patch';

  /**
   * A message as its recipient's program shows it: in a frame of its own where no script runs and nothing from elsewhere
   * is loaded, at its true width, scaled to the room there is.
   */
  let { html, way = 'wide', title }: { html: string; way?: Way; title: string } = $props();

  const WIDE = 680;
  const PHONE = 390;
  const DARK = '@media (prefers-color-scheme: dark)';
  const dark =
    'html{background:#16191d} body{background:#16191d !important;color:#e9e6df !important} a{color:#a9cdf5 !important}';
  const marks =
    '.from-record{border-bottom:1.5px dotted currentColor} .from-fallback{background:#fbeecb;color:#5c3b06 !important}' +
    ' .from-gap{background:#fbe3df;color:#a12d22 !important;padding:0 3px}' +
    ' img:not([src]){display:inline-block !important;min-height:40px;border:1px dashed #8a8f98 !important;' +
    'font-size:13px}';

  let frame = $state<HTMLIFrameElement>();
  let room = $state(0);
  let height = $state(200);
  let loaded = $state(false);
  const width = $derived(way === 'phone' ? PHONE : WIDE);
  const scale = $derived(room ? Math.min(1, room / width) : 1);

  function show() {
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
    style.textContent = marks + (night ? dark : '');
    wanted.head.append(style);
    if (way === 'no pictures') wanted.querySelectorAll('img').forEach((one) => one.removeAttribute('src'));
    for (const link of wanted.querySelectorAll('a')) link.setAttribute('target', '_blank');
    patch(page.documentElement, wanted.documentElement);
    measure();
    page.querySelectorAll('img').forEach((one) => one.addEventListener('load', measure, { once: true }));
  }

  function measure() {
    const page = frame?.contentDocument;
    if (page?.body) height = Math.max(120, Math.ceil(page.body.getBoundingClientRect().height) + 20);
  }

  $effect(() => {
    void html;
    void way;
    void width;
    if (loaded) show();
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
      show();
    }}
  ></iframe>
</div>
{#if scale < 1}<p class="scale">{Math.round(scale * 100)} % of its true size</p>{/if}

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
