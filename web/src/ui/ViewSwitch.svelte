<script lang="ts" generics="T extends string">
  /** Ways to look at one thing, of which one is chosen. */
  let {
    label,
    ways,
    way = $bindable(),
    names = {},
  }: { label: string; ways: readonly T[]; way: T; names?: Partial<Record<T, string>> } = $props();
</script>

<span class="ways" role="group" aria-label={label}>
  {#each ways as one (one)}
    <button aria-pressed={way === one} onclick={() => (way = one)}>{names[one] ?? one}</button>
  {/each}
</span>

<style>
  .ways {
    display: flex;
    gap: 12px;
  }

  button {
    min-height: 24px;
    padding: 0 0 2px;
    border: 0;
    border-bottom: 2px solid transparent;
    background: none;
    color: var(--ink-soft);
    font: 13px/1.2 var(--sans);
    white-space: nowrap;
    cursor: pointer;
  }

  button[aria-pressed='true'] {
    border-color: var(--ink);
    color: var(--ink);
  }
</style>
