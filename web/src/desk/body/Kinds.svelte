<script lang="ts">
  import { draggable } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
  import type { KnownKind } from './body';
  import { blockGroups } from './kinds';

  /** The kinds of blocks in their groups: pressed to put one in, dragged to where it is to stand. */
  let {
    drags = false,
    without = [],
    onchoose,
  }: {
    /** Whether they can be dragged from here. */
    drags?: boolean;
    /** Kinds that are left out. */
    without?: readonly string[];
    onchoose: (kind: KnownKind) => void;
  } = $props();

  function dragging(kind: KnownKind) {
    return (element: HTMLElement) =>
      drags ? draggable({ element, getInitialData: () => ({ what: 'kind', kind }) }) : undefined;
  }

  /** Arrows go through all of them, as through a list. */
  function onkeydown(event: KeyboardEvent) {
    const way = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 }[event.key];
    if (!way) return;
    event.preventDefault();
    const all = [...(event.currentTarget as HTMLElement).querySelectorAll('button')];
    const at = all.indexOf(document.activeElement as HTMLButtonElement);
    all[(at + way + all.length) % all.length]?.focus();
  }
</script>

<div class="kinds" class:drags role="toolbar" aria-label="Blocks" tabindex="-1" {onkeydown}>
  {#each blockGroups as [group, kinds] (group)}
    <div class="group">
      <p>{group}</p>
      {#each kinds.filter((one) => !without.includes(one.kind)) as one (one.kind)}
        <button {@attach dragging(one.kind)} onclick={() => onchoose(one.kind)}
          >{one.label}{#if !drags}<small>{one.says}</small>{/if}</button
        >
      {/each}
    </div>
  {/each}
</div>

<style>
  .kinds {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 4px 16px;
    outline: none;
  }

  .drags {
    grid-template-columns: repeat(5, auto);
    justify-content: space-between;
    gap: 4px 10px;
  }

  p {
    padding: 2px 4px;
    color: var(--ink-soft);
    font: italic 13px/1.3 var(--serif);
  }

  button {
    display: block;
    width: 100%;
    min-height: 24px;
    padding: 2px 4px;
    border: 0;
    border-radius: var(--corner);
    background: none;
    color: var(--ink);
    font: 13.5px/1.3 var(--sans);
    text-align: left;
    cursor: pointer;
  }

  .drags button {
    cursor: grab;
  }

  button:hover,
  button:focus-visible {
    background: var(--chosen);
  }

  small {
    display: block;
    color: var(--ink-soft);
    font-size: 12px;
  }
</style>
