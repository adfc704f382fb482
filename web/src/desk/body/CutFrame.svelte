<script lang="ts">
  import { edge } from '../../ui/edge';
  import { copyAddress, cutTo, SIDES, type Retouching, type Side } from './retouching';

  /** A picture with a frame round what will be seen of it; its sides are dragged, or moved with the arrow keys. */
  let {
    picture,
    retouching,
    onchange,
  }: {
    picture: string;
    retouching: Retouching;
    onchange: (retouching: Retouching) => void;
  } = $props();

  const CALLED: Record<Side, string> = {
    left: 'the left',
    top: 'the top',
    right: 'the right',
    bottom: 'the foot',
  };
  /** Towards the middle of the picture. */
  const INWARD: Record<Side, string> = {
    left: 'ArrowRight',
    right: 'ArrowLeft',
    top: 'ArrowDown',
    bottom: 'ArrowUp',
  };
  const OUTWARD: Record<Side, string> = {
    left: 'ArrowLeft',
    right: 'ArrowRight',
    top: 'ArrowUp',
    bottom: 'ArrowDown',
  };

  let whole = $state<HTMLElement>();
  let dragged = $state<Retouching | null>(null);
  /** Before the picture has come in its frame has no size, and all its sides lie on each other. */
  let seen = $state(false);
  const shown = $derived(dragged ?? retouching);
  const colours = $derived({
    brightness: retouching.brightness,
    tint: retouching.tint,
    strength: retouching.strength,
  });

  function share(side: Side, event: PointerEvent): number {
    const box = whole!.getBoundingClientRect();
    const along = {
      left: (event.clientX - box.left) / box.width,
      right: (box.right - event.clientX) / box.width,
      top: (event.clientY - box.top) / box.height,
      bottom: (box.bottom - event.clientY) / box.height,
    };
    return along[side] * 100;
  }

  function onkeydown(side: Side, event: KeyboardEvent) {
    const step = event.shiftKey ? 10 : 1;
    const way = event.key === INWARD[side] ? step : event.key === OUTWARD[side] ? -step : 0;
    if (!way) return;
    event.preventDefault();
    onchange(cutTo(retouching, side, (retouching[side] ?? 0) + way));
  }

  function letGo(keep: boolean) {
    if (keep && dragged) onchange(dragged);
    dragged = null;
  }
</script>

<div
  class="whole"
  bind:this={whole}
  style:--left="{shown.left ?? 0}%"
  style:--top="{shown.top ?? 0}%"
  style:--right="{shown.right ?? 0}%"
  style:--bottom="{shown.bottom ?? 0}%"
>
  <div class="shaded">
    <img
      src={copyAddress(picture, colours, 640)}
      alt="All of it, before cropping"
      draggable="false"
      onload={() => (seen = true)}
    />
    <div class="frame"></div>
  </div>
  {#each seen ? SIDES : [] as side (side)}
    <div
      class="side {side}"
      role="slider"
      tabindex="0"
      aria-label="Crop {CALLED[side]}"
      aria-orientation={side === 'left' || side === 'right' ? 'horizontal' : 'vertical'}
      aria-valuenow={shown[side] ?? 0}
      aria-valuemin="0"
      aria-valuemax="90"
      aria-valuetext="{shown[side] ?? 0} per cent"
      title="Drag, or use the arrow keys"
      {@attach edge({ moved: (event) => (dragged = cutTo(shown, side, share(side, event))), letGo })}
      onkeydown={(event) => onkeydown(side, event)}
    ></div>
  {/each}
</div>

<style>
  .whole {
    position: relative;
    display: inline-block;
    max-width: 100%;
    margin: 6px;
    line-height: 0;
  }

  .shaded {
    position: relative;
    overflow: clip;
  }

  img {
    max-width: 100%;
    max-height: 180px;
  }

  .frame {
    position: absolute;
    inset: var(--top) var(--right) var(--bottom) var(--left);
    outline: 999px solid rgb(29 37 48 / 0.55);
    pointer-events: none;
  }

  .side {
    position: absolute;
    touch-action: none;
  }

  .side::after {
    position: absolute;
    background: var(--ink);
    content: '';
  }

  .left,
  .right {
    top: var(--top);
    bottom: var(--bottom);
    width: 16px;
    cursor: ew-resize;
  }

  .left {
    left: calc(var(--left) - 8px);
  }

  .right {
    right: calc(var(--right) - 8px);
  }

  .top,
  .bottom {
    right: var(--right);
    left: var(--left);
    height: 16px;
    cursor: ns-resize;
  }

  .top {
    top: calc(var(--top) - 8px);
  }

  .bottom {
    bottom: calc(var(--bottom) - 8px);
  }

  .left::after,
  .right::after {
    inset: 0 7px;
  }

  .top::after,
  .bottom::after {
    inset: 7px 0;
  }

  .side:hover::after,
  .side:focus-visible::after {
    outline: 1px solid var(--ink);
  }

  .side:focus-visible {
    outline: none;
  }
</style>
