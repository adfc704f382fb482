<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { HTMLButtonAttributes } from 'svelte/elements';

  /**
   * A small button within a line of text or a heading; `soft` where it must not call for attention, `sign`
   * where it shows a sign and no word.
   */
  let {
    soft = false,
    sign = false,
    children,
    element = $bindable(),
    ...rest
  }: HTMLButtonAttributes & {
    soft?: boolean;
    sign?: boolean;
    children: Snippet;
    element?: HTMLButtonElement;
  } = $props();
</script>

<button type="button" bind:this={element} class:soft class:sign {...rest}>{@render children()}</button>

<style>
  button {
    min-width: 24px;
    min-height: 24px;
    padding: 0 2px;
    border: 0;
    background: none;
    color: var(--ink);
    font: 13.5px/1.2 var(--sans);
    cursor: pointer;
    text-decoration: underline 1px;
    text-underline-offset: 3px;
  }

  button:disabled {
    opacity: 0.35;
    cursor: default;
  }

  .sign {
    text-decoration: none;
  }

  .soft {
    color: var(--ink-soft);
  }
</style>
