<script lang="ts">
  import { draggable, dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';

  import { columnLabels } from './kinds';

  /** The columns of an item table: which, and in which order, by dragging or with the arrow keys. */
  type Column = { is: string; [more: string]: unknown };
  let { columns, onchange }: { columns: Column[]; onchange: (columns: Column[]) => void } = $props();

  const left = $derived(
    Object.keys(columnLabels).filter((name) => !columns.some((column) => column.is === name)),
  );
  let over = $state('');

  function moved(name: string, to: number) {
    const from = columns.findIndex((column) => column.is === name);
    if (from < 0 || to < 0 || to >= columns.length) return;
    onchange(columns.toSpliced(from, 1).toSpliced(to, 0, columns[from]));
  }

  function drags(name: string, at: number) {
    return (element: HTMLElement) => {
      const ends = [
        draggable({ element, getInitialData: () => ({ column: name }) }),
        dropTargetForElements({
          element,
          canDrop: ({ source }) => 'column' in source.data,
          onDragEnter: () => (over = name),
          onDragLeave: () => (over = ''),
          onDrop: ({ source }) => {
            over = '';
            moved(String(source.data.column), at);
          },
        }),
      ];
      return () => ends.forEach((end) => end());
    };
  }

  function onkeydown(event: KeyboardEvent, name: string, at: number) {
    const way = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (way) moved(name, at + way);
    else if (event.key === 'Delete' && columns.length > 1) onchange(columns.toSpliced(at, 1));
    else return;
    event.preventDefault();
    const parent = (event.currentTarget as HTMLElement).parentElement!;
    requestAnimationFrame(() => parent.querySelector<HTMLElement>(`[data-column="${name}"]`)?.focus());
  }
</script>

<p class="hint">Drag a column, or use the arrow keys; press it to remove it.</p>
<p class="columns" role="group" aria-label="Columns">
  {#each columns as column, at (column.is)}
    <button
      data-column={column.is}
      class:over={over === column.is}
      aria-label="{columnLabels[column.is]}, column {at + 1} of {columns.length}"
      {@attach drags(column.is, at)}
      onclick={() => columns.length > 1 && onchange(columns.toSpliced(at, 1))}
      onkeydown={(event) => onkeydown(event, column.is, at)}>{columnLabels[column.is]}</button
    >
  {/each}
</p>
{#if left.length}
  <p class="columns">
    {#each left as name (name)}
      <button class="left" onclick={() => onchange([...columns, { is: name }])}>+ {columnLabels[name]}</button
      >
    {/each}
  </p>
{/if}

<style>
  .hint {
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .columns {
    display: flex;
    flex-wrap: wrap;
    gap: 4px;
    margin: 4px 0;
  }

  button {
    min-height: 26px;
    padding: 2px 8px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: 13px/1.2 var(--sans);
    cursor: grab;
  }

  .left {
    border-style: dashed;
    color: var(--ink-soft);
    cursor: pointer;
  }

  .over {
    border-color: var(--ink);
    background: var(--chosen);
  }
</style>
