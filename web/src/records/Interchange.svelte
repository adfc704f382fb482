<script lang="ts">
  import Button from '../ui/Button.svelte';
  import Slip from '../ui/Slip.svelte';

  /** Ways for many records of a kind at once: in from files, out into files. */
  let { kind }: { kind: 'contact' | 'lead' | 'organisation' | 'deal' } = $props();
  let open = $state(false);
  let opener = $state<HTMLButtonElement>();
  const place = $derived(kind === 'deal' ? '/deals' : `/people/${kind}s`);
</script>

<Button bind:element={opener} quiet aria-expanded={open} onclick={() => (open = !open)}>Import, export</Button
>
{#if open}
  <Slip
    title="Import and export {kind}s"
    anchor={opener}
    placement="bottom-end"
    onclose={() => (open = false)}
  >
    <ul>
      <li><a href="{place}/import">Import {kind}s from CSV{kind === 'deal' ? '' : ' or vCard'}</a></li>
      <li><a href="/api/exports/{kind}.csv" download>Export all {kind}s as CSV</a></li>
      {#if kind !== 'deal'}
        <li><a href="/api/exports/{kind}.vcf" download>Export all {kind}s as vCard</a></li>
        <li>
          <a href="/api/exports/{kind}.vcf?version=3" download>Export as vCard 3.0, for older programs</a>
        </li>
      {/if}
    </ul>
  </Slip>
{/if}

<style>
  ul {
    padding: 0;
    list-style: none;
  }

  li {
    padding: 4px 0;
  }

  a {
    color: var(--ink);
  }
</style>
