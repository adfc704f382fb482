<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { HTMLSelectAttributes } from 'svelte/elements';

  /** A small choice within a line or a slip; `word` where it is a word of a sentence. */
  let {
    word = false,
    whole = false,
    value,
    children,
    ...rest
  }: HTMLSelectAttributes & {
    word?: boolean;
    /** Whether it fills the line. */
    whole?: boolean;
    children: Snippet;
  } = $props();
</script>

<select {value} class:word class:whole {...rest}>{@render children()}</select>

<style>
  select {
    min-height: 26px;
    padding: 2px 3px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: 13px/1.2 var(--sans);
  }

  .whole {
    width: 100%;
  }

  .word {
    max-width: 200px;
    min-height: 0;
    padding: 0;
    field-sizing: content;
    border: 0;
    border-bottom: 1px dotted var(--ink);
    border-radius: 0;
    background: none;
    color: var(--ink);
    font: inherit;
    cursor: pointer;
    text-overflow: ellipsis;
  }

  select :global(option),
  select :global(optgroup) {
    background: var(--sheet);
    color: var(--ink);
    font-style: normal;
    font-weight: 400;
  }
</style>
