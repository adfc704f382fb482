<script lang="ts">
  import { draggable } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
  import type { Composing, Dragged } from './composing.svelte';

  /**
   * The handle of a block or band: pressed it opens the slip, dragged it moves; Shift and Ctrl choose several. Keys do
   * the same: Enter, Alt with the arrows, Delete, Ctrl+C, Ctrl+V.
   */
  let {
    composing,
    id,
    what,
    label,
  }: { composing: Composing; id: string; what: 'block' | 'band'; label: string } = $props();

  const name = $derived(composing.called(id));

  function drags(element: HTMLElement) {
    if (!composing.editable) return;
    return draggable({
      element,
      getInitialData: () => ({ what, id }) satisfies Dragged as unknown as Record<string, unknown>,
    });
  }

  function several(): string[] {
    return composing.chosen.includes(id) ? composing.chosen : [id];
  }

  function onclick(event: MouseEvent & { currentTarget: HTMLElement }) {
    if (event.shiftKey && what === 'block') composing.choose(id, 'range');
    else if (event.ctrlKey || event.metaKey) composing.choose(id, 'more');
    else {
      composing.choose(id, 'only');
      composing.open(id, event.currentTarget);
    }
  }

  function onkeydown(event: KeyboardEvent) {
    if (!composing.editable) return;
    if (event.key === 'Delete' || event.key === 'Backspace') composing.remove(several());
    else if (event.key === ' ') composing.choose(id, 'more');
    else return;
    event.preventDefault();
  }
</script>

<button
  data-handle
  class={what}
  class:chosen={composing.chosen.includes(id)}
  title="{name}: press for its settings, drag to move"
  aria-label="{name}{composing.chosen.includes(id) ? ', chosen' : ''}"
  {@attach drags}
  {onclick}
  {onkeydown}
  oncopy={(event) => {
    event.preventDefault();
    event.clipboardData?.setData('text/plain', composing.copied(several()));
  }}
  onpaste={(event) => {
    if (composing.editable && composing.paste(event.clipboardData?.getData('text/plain') ?? '', id)) {
      event.preventDefault();
    }
  }}>{label}</button
>

<style>
  button {
    min-width: 24px;
    min-height: 24px;
    padding: 0 2px;
    border: 0;
    border-radius: var(--corner);
    background: none;
    color: var(--ink-soft);
    font: 500 13px/1.4 var(--serif);
    cursor: grab;
  }

  button:hover,
  .chosen {
    background: var(--chosen);
    color: var(--ink);
  }

  .band {
    font: italic 12px/1.4 var(--serif);
  }
</style>
