<script lang="ts">
  import { arrowStep, edge } from '../../ui/edge';
  import type { Align } from './body';
  import { atWidth, NARROWEST, WIDEST } from './pictureWidth';

  /** The edge of a picture: dragged, or moved with the arrow keys, it makes the picture wider or narrower. */
  let {
    width,
    align,
    scale,
    onsizing,
    onsized,
  }: {
    width: number;
    /** Where the picture stands; the edge is on the side that is free to move. */
    align: Align;
    /** How many pixels of the draft show one of the message. */
    scale: number;
    /** What the width would be; nothing when it is let go. */
    onsizing: (width: number | null) => void;
    onsized: (width: number) => void;
  } = $props();

  const STEP = 8;
  let from = 0;
  let wanted: number | null = null;

  function moved(event: PointerEvent) {
    wanted = atWidth(width, (event.clientX - from) / scale, align);
    onsizing(wanted);
  }

  function letGo(keep: boolean) {
    if (keep && wanted !== null && wanted !== width) onsized(wanted);
    wanted = null;
    onsizing(null);
  }

  function onkeydown(event: KeyboardEvent) {
    const way = arrowStep(event, STEP);
    if (!way || event.altKey) return;
    event.preventDefault();
    onsized(atWidth(width, way, 'start'));
  }
</script>

<div
  class="edge to-{align}"
  role="slider"
  aria-label="Width of the picture"
  aria-valuenow={width}
  aria-valuetext="{width} pixels"
  aria-valuemin={NARROWEST}
  aria-valuemax={WIDEST}
  tabindex="0"
  title="{width} px wide. Drag, or use the arrow keys"
  {@attach edge({ taken: (event) => (from = event.clientX), moved, letGo })}
  {onkeydown}
></div>

<style>
  .edge {
    position: absolute;
    top: 0;
    right: -7px;
    bottom: 0;
    width: 13px;
    background: linear-gradient(var(--edge), var(--edge)) 50% 50% / 3px 26px no-repeat;
    cursor: ew-resize;
    touch-action: none;
  }

  .to-end {
    right: auto;
    left: -7px;
  }

  .edge:hover,
  .edge:focus-visible {
    background: linear-gradient(var(--ink), var(--ink)) 50% 50% / 3px 100% no-repeat;
    outline: none;
  }
</style>
