<script lang="ts">
  import { edge } from '../../ui/edge';
  import { sharesWith, type Band } from './body';

  /** The border between two columns: dragged, or moved with the arrow keys, it parts their width in another way. */
  let {
    band,
    column,
    onsizing,
    onsized,
  }: {
    band: Band;
    /** The one it stands before. */
    column: number;
    /** What the shares would be; nothing when it is let go. */
    onsizing: (shares: number[] | null) => void;
    onsized: (shares: number[]) => void;
  } = $props();

  const STEP = 0.05;
  let border = $state<HTMLElement>();
  let shares: number[] | null = null;
  const left = $derived(band.columns[column - 1].share ?? 1);
  const part = $derived(left / (left + (band.columns[column].share ?? 1)));

  function moved(event: PointerEvent) {
    const here = border!.parentElement!;
    const before = here.previousElementSibling!.getBoundingClientRect();
    const after = here.getBoundingClientRect();
    shares = sharesWith(band, column, (event.clientX - before.left) / (before.width + after.width));
    onsizing(shares);
  }

  function letGo(keep: boolean) {
    if (keep && shares) onsized(shares);
    shares = null;
    onsizing(null);
  }

  function onkeydown(event: KeyboardEvent) {
    const way = { ArrowLeft: -STEP, ArrowRight: STEP }[event.key];
    if (!way) return;
    event.preventDefault();
    onsized(sharesWith(band, column, part + way));
  }
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
<div
  bind:this={border}
  class="edge"
  role="separator"
  aria-orientation="vertical"
  aria-label="Width of the columns beside it"
  aria-valuenow={Math.round(part * 100)}
  aria-valuemin="10"
  aria-valuemax="90"
  tabindex="0"
  title="Drag, or use the arrow keys"
  {@attach edge({ moved, letGo })}
  {onkeydown}
></div>

<style>
  .edge {
    position: absolute;
    z-index: 2;
    top: 0;
    bottom: 0;
    left: -5px;
    width: 9px;
    cursor: col-resize;
    touch-action: none;
  }

  .edge:hover,
  .edge:focus-visible {
    background: linear-gradient(var(--ink), var(--ink)) 50% 0 / 2px 100% no-repeat;
    outline: none;
  }
</style>
