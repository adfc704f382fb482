<script lang="ts">
  import SmallInput from '../ui/SmallInput.svelte';
  import type { MailingSheet } from './mailingSheet.svelte';
  import { several } from './mailingWords';
  import Part from './Part.svelte';

  /** What is hoped for of a mailing. */
  let { sheet, folded = $bindable(false) }: { sheet: MailingSheet; folded?: boolean } = $props();

  const goal = $derived(sheet.plan!.goal);
  const summary = $derived(
    goal.replies || goal.cost
      ? `${several(goal.replies, 'reply', 'replies')}, each worth ${goal.worth.toLocaleString('en')}; cost ${goal.cost.toLocaleString('en')}`
      : 'Nothing said',
  );

  const inputs = [
    ['replies', 'Replies hoped for', 70, ' replies, each worth about '],
    ['worth', 'Worth of a reply', 90, ', planned cost '],
    ['cost', 'Planned cost', 90, ''],
  ] as const;

  /** A whole number as typed; nothing where it is none. */
  function number(typed: string): number {
    const value = Math.round(Number(typed));
    return Number.isFinite(value) ? value : 0;
  }
</script>

<Part name="Goal" {summary} said={sheet.sentBack} bind:folded>
  {#if sheet.mailing?.mayChange && sheet.open}
    <p>
      {#each inputs as [field, label, width, after] (field)}
        <SmallInput
          type="number"
          min="0"
          aria-label={label}
          style="width: {width}px"
          value={String(goal[field])}
          onchange={(event) => sheet.goal({ [field]: number(event.currentTarget.value) })}
        />{after}
      {/each}
      <span>in our currency</span>
    </p>
  {:else}
    <p>{summary}.</p>
  {/if}
  {#if sheet.wrong.goal}<p class="wrong" role="alert">{sheet.wrong.goal}</p>{/if}
</Part>

<style>
  span {
    color: var(--ink-soft);
  }

  .wrong {
    color: var(--stop);
  }
</style>
