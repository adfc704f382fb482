<script lang="ts">
  import type { Schemas } from '../api/client';
  import MessageFrame from '../ui/MessageFrame.svelte';
  import ViewSwitch from '../ui/ViewSwitch.svelte';

  /** A few of the templates that a change is about, before and after it. */
  let {
    change,
    count,
    changed = true,
  }: {
    change: Schemas['TemplatesChange'];
    /** What is said of how many there are. */
    count: string;
    /** Whether there is anything to compare. */
    changed?: boolean;
  } = $props();

  let at = $state(0);
  let side = $state<'before' | 'after'>('after');
  const shown = $derived(change.shown[at] ?? change.shown[0]);
</script>

<p class="what">
  {count}
  {#if changed && shown}<ViewSwitch label="Which" ways={['before', 'after'] as const} bind:way={side} />{/if}
</p>
{#if change.shown.length > 1}
  <p class="names">
    {#each change.shown as one, i (one.id)}
      <button aria-pressed={one === shown} onclick={() => (at = i)}>{one.name}</button>
    {/each}
    {#if change.templates > change.shown.length}
      <span>and {change.templates - change.shown.length} more</span>
    {/if}
  </p>
{/if}
{#if shown}
  <div class="sheet">
    <MessageFrame html={changed && side === 'before' ? shown.before : shown.after} title={shown.name} />
  </div>
{/if}

<style>
  .what,
  .names {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 14px;
    padding-bottom: 6px;
    color: var(--ink-soft);
    font-size: 13px;
  }

  .names button {
    padding: 0;
    border: 0;
    border-bottom: 2px solid transparent;
    background: none;
    color: var(--ink-soft);
    font: inherit;
    cursor: pointer;
  }

  .names button[aria-pressed='true'] {
    border-color: var(--ink);
    color: var(--ink);
  }

  .sheet {
    border: 1px solid var(--rule);
  }
</style>
