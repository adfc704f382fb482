<script lang="ts">
  import type { Snippet } from 'svelte';

  /** A list of boxes to tick, each a `label` in an `li`; what is said of one besides is `small`. */
  let { children }: { children: Snippet } = $props();
</script>

<ul>{@render children()}</ul>

<style>
  ul {
    max-height: 210px;
    margin: 4px 0 10px;
    padding: 0;
    overflow: auto;
    list-style: none;
  }

  ul :global(label) {
    display: flex;
    gap: 7px;
    align-items: center;
    min-height: 26px;
  }

  ul :global(small) {
    color: var(--ink-soft);
  }
</style>
