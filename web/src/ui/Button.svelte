<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { HTMLButtonAttributes } from 'svelte/elements';

  /** A button; `main` for the one action of a view, `quiet` for those that read like a link. */
  let {
    main = false,
    quiet = false,
    children,
    element = $bindable(),
    ...rest
  }: HTMLButtonAttributes & {
    main?: boolean;
    quiet?: boolean;
    children: Snippet;
    element?: HTMLButtonElement;
  } = $props();
</script>

<button type="button" bind:this={element} class:main class:quiet {...rest}>{@render children()}</button>

<style>
  button {
    padding: 7px 12px;
    border: 1px solid var(--rule);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: 500 13.5px/1.1 var(--sans);
    white-space: nowrap;
    cursor: pointer;
  }

  button:hover:not(:disabled) {
    border-color: var(--ink);
  }

  .main {
    border-color: var(--ink);
    background: var(--ink);
    color: var(--paper);
  }

  .quiet {
    padding: 4px 6px;
    border-color: transparent;
    background: none;
    color: var(--ink);
    text-decoration: underline 1px;
    text-underline-offset: 3px;
  }

  button:disabled {
    color: var(--ink-soft);
    background: var(--shade);
    border-color: var(--rule);
    cursor: default;
  }
</style>
