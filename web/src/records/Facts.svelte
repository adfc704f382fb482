<script lang="ts">
  import type { Schemas } from '../api/client';
  import { Turns } from '../ui/turns';
  import FactLine from './FactLine.svelte';

  /** The fields of a record, each changed in its place. */
  let {
    page,
    used,
    onchanged,
  }: {
    page: Schemas['RecordPage'];
    used: string[];
    onchanged: (page: Schemas['RecordPage']) => void;
  } = $props();

  /** Each value is kept with the state of the record that the one before it left. */
  const turns = new Turns();
  const sections = $derived([...new Set(page.facts.map((fact) => fact.section))]);

  function isUsed(name: string): boolean {
    const roots = page.kind === 'contact' || page.kind === 'lead' ? ['person', page.kind] : [page.kind];
    return roots.some((root) => used.includes(`${root}.${name}`));
  }
</script>

{#each sections as section (section)}
  <section>
    <h2>{section}</h2>
    <dl>
      {#each page.facts.filter((fact) => fact.section === section) as fact (fact.name)}
        <FactLine {page} {fact} {turns} used={isUsed(fact.name)} {onchanged} />
      {/each}
      {#if section === 'Details' && page.timeThere}
        <dt>Time there</dt>
        <dd>{page.timeThere}</dd>
      {/if}
    </dl>
  </section>
{/each}

<style>
  h2 {
    margin-bottom: 6px;
    font: 500 15.5px/1.2 var(--serif);
  }

  dl {
    display: grid;
    grid-template-columns: 108px minmax(0, 1fr);
    gap: 1px 8px;
    margin-bottom: 16px;
    font-size: 13.5px;
  }

  dl :global(dt),
  dt {
    padding: 2px 0;
    color: var(--ink-soft);
  }

  dd {
    padding: 2px 4px;
  }
</style>
