<script lang="ts">
  import { ask } from '../api/client';
  import Button from '../ui/Button.svelte';
  import { dayAndTime } from '../ui/when';
  import type { MailingSheet } from './mailingSheet.svelte';
  import { called, goes, several } from './mailingWords';
  import LookRow from './LookRow.svelte';
  import Part from './Part.svelte';
  import TestSlip from './TestSlip.svelte';

  /** Tests a mailing and sends it: what stops it, a summary in words, and one button with the count. */
  let { sheet, folded = $bindable(false) }: { sheet: MailingSheet; folded?: boolean } = $props();

  const kind = $derived(sheet.plan!.who.kind);
  const stops = $derived(sheet.ready?.stops ?? []);
  const people = $derived(several(sheet.going, called(kind, 1), called(kind, 2)));
  const again = $derived(sheet.mailing?.state === 'PAUSED');
  let testing = $state<HTMLElement | null>(null);
  let asking = $state(false);
  let busy = $state(false);
  const first = $derived(
    sheet.rows
      .filter(goes)
      .map((row) => row.at ?? '')
      .sort()[0],
  );
  const summary = $derived(stops.length ? stops[0].title : `Ready for ${people}`);

  async function start() {
    busy = true;
    const { version } = sheet.mailing!;
    await sheet.act(() =>
      ask('post', '/api/mailings/{id}/start', {
        params: { id: sheet.id },
        body: { version, people: sheet.going },
      }),
    );
    busy = false;
    asking = false;
  }
</script>

<Part name="Send" {summary} bind:folded>
  {#if stops.length}
    <ul>
      {#each stops as stop (stop.code)}
        <li><b class="stop">{stop.title}.</b> {stop.remedy}</li>
      {/each}
    </ul>
  {:else if sheet.ready && sheet.reading}
    <!-- A line in the same place, so that what is pressed below it does not move away. -->
    <p class="soft">Reading what each of them would get …</p>
  {:else if sheet.ready}
    <p>
      {sheet.mailing?.testedAt ? `Tested as it is ${dayAndTime(sheet.mailing.testedAt)}. ` : ''}{people}
      {sheet.going === 1 ? 'gets' : 'get'} it{first ? `, from ${dayAndTime(first)} on` : ''}{sheet.held
        ? `; ${sheet.held} ${sheet.held === 1 ? 'is' : 'are'} held and ${sheet.held === 1 ? 'stays' : 'stay'} here`
        : ''}.
    </p>
  {/if}
  <LookRow {sheet} />
  {#if sheet.mailing?.mayChange}
    <p class="ways">
      <Button
        disabled={!sheet.rows.length}
        onclick={(event) => (testing = event.currentTarget as HTMLElement)}>Send a test…</Button
      >
      {#if asking}
        <span role="alert">
          {#if sheet.reading}
            Reading once more what each of them would get …
          {:else}
            {people.charAt(0).toUpperCase() + people.slice(1)}
            {sheet.going === 1 ? 'gets' : 'get'} “{sheet.mailing?.name}”. It can be paused at any time.
          {/if}
        </span>
        <Button
          main
          disabled={busy || sheet.reading || stops.length > 0 || !sheet.going}
          onclick={() => void start()}>{again ? 'Go on' : 'Yes, send it'}</Button
        >
        <Button quiet onclick={() => (asking = false)}>Cancel</Button>
      {:else}
        <Button main data-send disabled={stops.length > 0 || !sheet.going} onclick={() => (asking = true)}
          >{again ? 'Go on' : 'Send'}{sheet.reading
            ? ''
            : again
              ? ` with ${people}`
              : ` to ${people}`}…</Button
        >
      {/if}
    </p>
  {/if}
</Part>
{#if testing}<TestSlip {sheet} anchor={testing} onclose={() => (testing = null)} />{/if}

<style>
  ul {
    list-style: none;
  }

  .stop {
    color: var(--stop);
    font-weight: 600;
  }

  .soft {
    color: var(--ink-soft);
  }

  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
    align-items: center;
    margin-top: 6px;
  }
</style>
