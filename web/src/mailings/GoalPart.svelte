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

  const number =
    (change: (value: number) => void) => (event: Event & { currentTarget: HTMLInputElement }) => {
      const value = Math.round(Number(event.currentTarget.value));
      change(Number.isFinite(value) ? value : 0);
    };
</script>

<Part name="Goal" {summary} bind:folded>
  {#if sheet.mailing?.mayChange && sheet.open}
    <p>
      <SmallInput
        type="number"
        min="0"
        aria-label="Replies hoped for"
        style="width: 70px"
        value={String(goal.replies)}
        onchange={number((replies) => sheet.goal({ replies }))}
      />
      replies, each worth about
      <SmallInput
        type="number"
        min="0"
        aria-label="Worth of a reply"
        style="width: 90px"
        value={String(goal.worth)}
        onchange={number((worth) => sheet.goal({ worth }))}
      />, planned cost
      <SmallInput
        type="number"
        min="0"
        aria-label="Planned cost"
        style="width: 90px"
        value={String(goal.cost)}
        onchange={number((cost) => sheet.goal({ cost }))}
      />
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
