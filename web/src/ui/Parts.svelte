<script lang="ts">
  /** The parts of a page that has several, as links. */
  let {
    parts,
    base,
    shown,
  }: {
    parts: readonly (readonly [code: string, label: string, ...rest: unknown[]])[];
    base: string;
    shown: string;
  } = $props();
</script>

<nav aria-label="Parts">
  {#each parts as [code, label] (code)}
    <a href="{base}/{code}" aria-current={shown === code ? 'page' : undefined}>{label}</a>
  {/each}
</nav>

<style>
  nav {
    display: flex;
    gap: 14px;
  }

  a {
    padding: 4px 0;
    text-decoration: none;
  }

  a[aria-current] {
    border-bottom: 2px solid var(--ink);
    color: var(--ink);
    font-weight: 600;
  }
</style>
