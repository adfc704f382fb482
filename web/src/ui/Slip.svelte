<script lang="ts">
  import { autoUpdate, computePosition, flip, offset, shift, type Placement } from '@floating-ui/dom';
  import type { Snippet } from 'svelte';

  /**
   * A small card beside the thing it is about. Esc, or a press elsewhere, closes it and gives the focus back. Without an
   * anchor it stands in the middle of the page.
   */
  let {
    title,
    anchor,
    placement = 'bottom-start',
    modal = false,
    wide = false,
    page = false,
    onclose,
    children,
  }: {
    title: string;
    anchor?: HTMLElement | { getBoundingClientRect: () => DOMRect };
    placement?: Placement;
    modal?: boolean;
    wide?: boolean;
    /** Wide enough for a message. */
    page?: boolean;
    onclose: () => void;
    children: Snippet;
  } = $props();

  const id = $props.id();
  let card = $state<HTMLElement>();
  const before = document.activeElement as HTMLElement | null;

  $effect(() => {
    const at = anchor;
    if (!card || !at) return;
    const shown = card;
    const place = async () => {
      const { x, y } = await computePosition(at, shown, {
        placement,
        strategy: 'fixed',
        middleware: [offset(6), flip({ padding: 8 }), shift({ padding: 8, crossAxis: true })],
      });
      shown.style.left = `${x}px`;
      shown.style.top = `${y}px`;
    };
    return at instanceof HTMLElement ? autoUpdate(at, shown, place) : void place();
  });

  $effect(() => {
    // What is only read has the focus itself: the keys that scroll and close it are meant for it.
    (
      card?.querySelector<HTMLElement>('[data-first], input, select, textarea, button:not(.close)') ?? card
    )?.focus();
    return () => {
      if (before?.isConnected && (!document.activeElement || document.activeElement === document.body))
        before.focus();
    };
  });

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'Escape') {
      event.stopPropagation();
      event.preventDefault();
      before?.focus();
      onclose();
    } else if (event.key === 'Tab' && modal && card) {
      keepInside(event, card);
    }
  }

  function keepInside(event: KeyboardEvent, inside: HTMLElement) {
    const stops = [
      ...inside.querySelectorAll<HTMLElement>('a[href], button, input, select, textarea'),
    ].filter((one) => !one.hasAttribute('disabled'));
    const end = event.shiftKey ? stops[0] : stops.at(-1);
    if (document.activeElement === end) {
      event.preventDefault();
      (event.shiftKey ? stops.at(-1) : stops[0])?.focus();
    }
  }

  function onpointerdown(event: PointerEvent) {
    const at = event.target as Node;
    const onAnchor = anchor instanceof HTMLElement && anchor.contains(at);
    if (card && !card.contains(at) && !onAnchor) onclose();
  }
</script>

<svelte:window
  {onpointerdown}
  onkeydown={(event) => {
    // Where nothing has the focus, Esc is meant for what is open.
    if (event.key === 'Escape' && document.activeElement === document.body) onclose();
  }}
/>

<div
  class="slip"
  class:middle={!anchor}
  class:wide
  class:page
  bind:this={card}
  role="dialog"
  aria-modal={modal}
  aria-labelledby="{id}-title"
  tabindex="-1"
  {onkeydown}
>
  <h2 id="{id}-title">{title}</h2>
  <button class="close" aria-label="Close" onclick={onclose}>×</button>
  {@render children()}
</div>

<style>
  .slip {
    position: fixed;
    top: 0;
    left: 0;
    z-index: 20;
    width: 290px;
    max-width: calc(100vw - 16px);
    max-height: calc(100vh - 16px);
    padding: 11px 14px 13px;
    overflow: auto;
    border: 1px solid var(--rule);
    border-radius: var(--corner);
    background: var(--sheet);
    box-shadow: var(--shadow);
    color: var(--ink);
    font-size: 13.5px;
    text-align: start;
    white-space: normal;
    outline: none;
  }

  .middle {
    top: 50%;
    left: 50%;
    width: 400px;
    transform: translate(-50%, -50%);
  }

  .wide {
    width: 440px;
  }

  .page {
    width: 620px;
  }

  h2 {
    margin-bottom: 8px;
    padding-right: 20px;
    font: 500 16px/1.2 var(--serif);
    overflow-wrap: anywhere;
  }

  .close {
    position: absolute;
    top: 6px;
    right: 6px;
    width: 24px;
    height: 24px;
    border: 0;
    background: none;
    color: var(--ink-soft);
    font: 18px/1 var(--sans);
    cursor: pointer;
  }
</style>
