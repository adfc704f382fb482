<script lang="ts">
  import { tick } from 'svelte';
  import Button from '../ui/Button.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import SmallInput from '../ui/SmallInput.svelte';
  import type { MailingSheet } from './mailingSheet.svelte';

  /** Who does not get a mailing, with every reason; some can be put back, with one of one’s own. */
  let { sheet }: { sheet: MailingSheet } = $props();

  let backing = $state('');
  let reason = $state('');
  let list = $state<HTMLElement>();
  const who = $derived(sheet.plan!.who);
  const back = $derived(
    who.putBack.map((one) => ({
      ...one,
      name: sheet.ready?.in.find((other) => other.key === one.key)?.name ?? '',
    })),
  );

  function askWhy(key: string) {
    backing = key;
    reason = '';
    void tick().then(() => list?.querySelector<HTMLElement>(`[data-key="${key}"] input`)?.focus());
  }

  function putBack(event: SubmitEvent) {
    event.preventDefault();
    if (!reason.trim()) return;
    sheet.who({ putBack: [...who.putBack, { key: backing, reason: reason.trim() }] });
    backing = '';
  }
</script>

<ul aria-label="Left out" bind:this={list}>
  {#each sheet.ready?.out ?? [] as { who: one, reasons, mayBePutBack } (one.key)}
    <li data-key={one.key}>
      <span><b><bdi>{one.name}</bdi></b> {reasons.join(' ')}</span>
      {#if sheet.open && mayBePutBack && backing === one.key}
        <form onsubmit={putBack}>
          <SmallInput
            aria-label="Why {one.name} gets it all the same"
            placeholder="why?"
            maxlength={200}
            bind:value={reason}
          />
          <Button quiet type="submit" disabled={!reason.trim()}>Put back</Button>
        </form>
      {:else if sheet.open && mayBePutBack}
        <InlineButton aria-label="Put {one.name} back" onclick={() => askWhy(one.key)}>put back</InlineButton>
      {/if}
    </li>
  {/each}
  {#each back.filter((one) => one.name) as one (one.key)}
    <li>
      <span><b><bdi>{one.name}</bdi></b> gets it all the same: <q>{one.reason}</q></span>
      {#if sheet.open}
        <InlineButton
          aria-label="Leave {one.name} out"
          onclick={() => sheet.who({ putBack: who.putBack.filter((other) => other.key !== one.key) })}
          >leave out</InlineButton
        >
      {/if}
    </li>
  {/each}
</ul>

<style>
  ul {
    max-height: 180px;
    margin: 6px 0 4px;
    padding: 0;
    overflow: auto;
    border: solid var(--rule-soft);
    border-width: 1px 0;
    list-style: none;
    line-height: 1.45;
  }

  li {
    display: flex;
    gap: 10px;
    align-items: baseline;
    justify-content: space-between;
    min-height: 27px;
    padding: 3px 0;
    border-bottom: 1px solid var(--rule-soft);
  }

  form {
    display: flex;
    gap: 6px;
  }
</style>
