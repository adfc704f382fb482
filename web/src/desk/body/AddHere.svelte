<script lang="ts">
  import { dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
  import type { Place } from './body';
  import type { Composing, Dragged } from './composing.svelte';

  /** The line between two blocks or bands: press it to add one here; while something is dragged, where it can land. */
  let { composing, place, last = false }: { composing: Composing; place: Place; last?: boolean } = $props();

  let line = $state<HTMLElement>();
  let over = $state(false);
  const bands = $derived('bandAt' in place);
  // A band lands between bands only.
  const landing = $derived(composing.dragged !== null && (bands || composing.dragged.what !== 'band'));
  const distance = $derived(landing ? composing.distance(place) : null);
  const how = $derived(
    distance === null
      ? 'here'
      : distance === 0
        ? 'where it was'
        : distance < 0
          ? `${-distance} up`
          : `${distance} down`,
  );

  $effect(() => {
    if (!line || !landing) return;
    const to = place;
    return dropTargetForElements({
      element: line,
      getData: () => ({ place: to }),
      onDragEnter: () => (over = true),
      onDragLeave: () => (over = false),
      onDrop: ({ source }) => {
        over = false;
        composing.drop(source.data as unknown as Dragged, to);
      },
    });
  });
</script>

<div class="add" class:bands class:last class:landing class:over bind:this={line}>
  {#if landing}
    <span>{bands && composing.dragged?.what !== 'band' ? `a row of its own, ${how}` : how}</span>
  {:else}
    <button
      tabindex={last ? 0 : -1}
      onclick={(event) => (composing.adding = { place, anchor: event.currentTarget })}
      ><span>{bands && !last ? 'add a row here' : 'add here'}</span></button
    >
  {/if}
</div>

<style>
  .add {
    position: relative;
    z-index: 1;
    height: 0;
  }

  .add.last {
    height: 22px;
  }

  button,
  .landing::before {
    position: absolute;
    top: -9px;
    right: 0;
    left: 0;
    height: 18px;
    padding: 0;
    border: 0;
    background: none;
    opacity: 0;
    text-align: center;
    cursor: pointer;
  }

  .last button {
    top: 2px;
    opacity: 1;
  }

  button:hover,
  button:focus-visible {
    opacity: 1;
  }

  button::before,
  .landing::after {
    position: absolute;
    top: 9px;
    right: 0;
    left: 0;
    height: 1px;
    background: var(--ink);
    content: '';
  }

  span {
    position: relative;
    z-index: 1;
    padding: 0 10px;
    background: var(--sheet);
    color: var(--ink);
    font: italic 13px/18px var(--serif);
    white-space: nowrap;
  }

  .landing {
    text-align: center;
  }

  .landing::before {
    top: -14px;
    height: 28px;
    content: '';
  }

  .landing::after {
    top: 0;
    opacity: 0.5;
  }

  .landing span {
    top: -9px;
    color: color-mix(in srgb, var(--ink) 75%, var(--sheet));
    pointer-events: none;
  }

  /* Its words lie over the line of the block beside it. */
  .landing.bands {
    z-index: auto;
    padding-left: 40px;
    text-align: left;
  }

  .landing.bands span {
    z-index: 2;
  }

  .landing.bands::before,
  .landing.bands::after {
    z-index: 1;
  }

  .over::after {
    top: -1px;
    height: 3px;
    opacity: 1;
  }

  .over span {
    font-weight: 600;
    opacity: 1;
  }
</style>
