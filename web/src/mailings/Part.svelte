<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Schemas } from '../api/client';
  import { remarkBy } from './mailingWords';

  /** A part of the page of a mailing. It folds to a line that says what it would say. */
  let {
    name,
    summary,
    said,
    folded = $bindable(false),
    children,
  }: {
    name: string;
    /** What it says when it is folded. */
    summary: string;
    /** What a colleague who has looked at it says of it. */
    said?: { by: string; comments: Schemas['Comment'][] };
    folded?: boolean;
    children: Snippet;
  } = $props();

  const id = $props.id();
</script>

<section aria-labelledby="{id}-name">
  <h2 id="{id}-name">
    <button
      data-part={name}
      aria-expanded={!folded}
      aria-controls="{id}-body"
      onclick={() => (folded = !folded)}>{name}</button
    >
  </h2>
  <div id="{id}-body" class="body">
    {#each (said?.comments ?? []).filter((one) => one.part === name && !one.key) as one, i (i)}
      <p class="said">{remarkBy(said?.by ?? '', one)}</p>
    {/each}
    {#if folded}<p class="summary">{summary}</p>{:else}{@render children()}{/if}
  </div>
</section>

<style>
  section {
    display: grid;
    grid-template-columns: 104px minmax(0, 1fr);
    padding: 12px 20px 14px;
    border-bottom: 1px solid var(--rule);
  }

  h2 {
    font: 500 16px/1.4 var(--serif);
  }

  button {
    padding: 0;
    border: 0;
    background: none;
    color: var(--ink);
    font: inherit;
    cursor: pointer;
  }

  button:hover {
    text-decoration: underline;
  }

  .body {
    min-width: 0;
    line-height: 1.75;
  }

  .said {
    padding-left: 8px;
    border-left: 3px solid var(--query);
    color: var(--query);
  }

  .summary {
    color: var(--ink-soft);
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  @media (width <= 700px) {
    section {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
