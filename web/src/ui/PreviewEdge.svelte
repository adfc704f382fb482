<script lang="ts">
  import { arrowStep, edge } from './edge';
  import { NARROWEST, rested, stepped, stopAt, STOPS, WIDEST } from './previewWidth';

  /** The edge of a preview: dragged, or moved with the arrow keys, it shows the message wider or narrower. */
  let { width, left, onwidth }: { width: number; left: number; onwidth: (width: number) => void } = $props();

  const STEP = 10;
  let began = 0;
  let from = 0;

  function taken(event: PointerEvent) {
    began = event.clientX;
    from = width;
  }

  function onkeydown(event: KeyboardEvent) {
    const by = arrowStep(event, STEP);
    const to = { Home: NARROWEST, End: WIDEST }[event.key] ?? (by ? stepped(width, by) : null);
    if (to === null || event.altKey) return;
    event.preventDefault();
    onwidth(to);
  }
</script>

<!-- The message stands in the middle, and so its width changes by twice the way of the hand. -->
<div
  class="edge"
  role="slider"
  aria-label="Width of the preview"
  aria-valuenow={width}
  aria-valuetext="{width} pixels{stopAt(width) ? `, ${stopAt(width)}` : ''}"
  aria-valuemin={NARROWEST}
  aria-valuemax={WIDEST}
  tabindex="0"
  title="{width} px wide. Drag, or use the arrow keys: {Object.keys(STOPS).join(', ')}"
  style:left="{left}px"
  {@attach edge({
    taken,
    moved: (event) => onwidth(rested(from + 2 * (event.clientX - began))),
    letGo: (keep) => {
      if (!keep) onwidth(from);
    },
  })}
  {onkeydown}
></div>

<style>
  .edge {
    position: absolute;
    top: 0;
    bottom: 0;
    width: 12px;
    background: linear-gradient(var(--edge), var(--edge)) 50% 60px / 3px 34px no-repeat;
    cursor: ew-resize;
    touch-action: none;
  }

  .edge:focus-visible {
    outline: none;
  }

  .edge:hover,
  .edge:focus-visible {
    background: linear-gradient(var(--ink), var(--ink)) 50% 0 / 2px 100% no-repeat;
  }
</style>
