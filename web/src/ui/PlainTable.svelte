<script lang="ts">
  import type { Snippet } from 'svelte';

  /** A short table: what its columns are, and its rows. */
  let {
    label,
    heads,
    widths = [],
    children,
  }: {
    label: string;
    heads: string[];
    /** How wide the columns are; those without a width share what is left. */
    widths?: string[];
    children: Snippet;
  } = $props();
</script>

<div class="wide">
  <table aria-label={label}>
    <colgroup>
      {#each heads as head, i (i)}<col data-head={head} style:width={widths[i] || null} />{/each}
    </colgroup>
    <thead>
      <tr>
        {#each heads as head, i (i)}{#if head}<th scope="col">{head}</th>{:else}<td></td>{/if}{/each}
      </tr>
    </thead>
    <tbody>{@render children()}</tbody>
  </table>
</div>

<style>
  .wide {
    margin: 10px 0 14px;
    overflow-x: auto;
  }

  table {
    width: 100%;
    border-collapse: collapse;
  }

  th {
    padding: 4px 12px 4px 0;
    border-bottom: 1px solid var(--rule);
    color: var(--ink-soft);
    font-size: 12.5px;
    font-weight: 400;
    text-align: left;
    white-space: nowrap;
  }

  thead td {
    border-bottom-color: var(--rule);
  }

  table :global(td) {
    padding: 4px 12px 4px 0;
    border-bottom: 1px solid var(--rule-soft);
    vertical-align: baseline;
    overflow-wrap: anywhere;
  }

  table :global(td input),
  table :global(td select) {
    width: 100%;
    padding: 3px 5px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: inherit;
  }

  table :global(td :disabled) {
    color: var(--ink-soft);
  }

  table :global(td [aria-invalid]) {
    border-color: var(--stop);
  }

  table :global(td .wrong) {
    display: block;
    color: var(--stop);
    font-size: 12.5px;
  }

  table :global(td.soft) {
    color: var(--ink-soft);
  }

  table :global(td.ways) {
    text-align: right;
    white-space: nowrap;
  }
</style>
