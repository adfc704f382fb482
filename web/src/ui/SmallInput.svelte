<script lang="ts">
  import type { HTMLInputAttributes } from 'svelte/elements';

  /** A small input within a line or a slip; `word` where it is a word of a sentence. */
  let {
    wide,
    word = false,
    whole = false,
    value = $bindable(),
    element = $bindable(),
    ...rest
  }: HTMLInputAttributes & {
    /** Its width in pixels; as wide as its kind needs where it is left out. */
    wide?: number;
    word?: boolean;
    /** Whether it fills the line. */
    whole?: boolean;
    element?: HTMLInputElement;
  } = $props();
</script>

<input
  bind:this={element}
  bind:value
  class:word
  class:whole
  style:width={wide ? `${wide}px` : undefined}
  {...rest}
/>

<style>
  input {
    min-height: 26px;
    padding: 2px 5px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: 13px/1.2 var(--sans);
  }

  [type='number'] {
    width: 58px;
  }

  [type='color'] {
    width: 34px;
    padding: 1px;
  }

  input::placeholder {
    color: var(--ink-soft);
    opacity: 1;
  }

  .whole {
    width: 100%;
    margin-top: 4px;
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
  }

  .word[type='number'] {
    width: 64px;
  }
</style>
