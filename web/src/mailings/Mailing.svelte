<script lang="ts">
  import { tick, untrack } from 'svelte';
  import { ask, sentence } from '../api/client';
  import { gathered, onChange } from '../app/changes';
  import { shortcuts } from '../app/keys.svelte';
  import { go } from '../app/router';
  import Button from '../ui/Button.svelte';
  import { notify } from '../ui/notices.svelte';
  import Page from '../ui/Page.svelte';
  import GoalPart from './GoalPart.svelte';
  import { MailingSheet } from './mailingSheet.svelte';
  import { called, several, standing } from './mailingWords';
  import PreviewsPart from './PreviewsPart.svelte';
  import ReportPart from './ReportPart.svelte';
  import SendPart from './SendPart.svelte';
  import UnderWay from './UnderWay.svelte';
  import WhatPart from './WhatPart.svelte';
  import WhenPart from './WhenPart.svelte';
  import WhoPart from './WhoPart.svelte';

  /** A mailing: one page read downwards, from who gets it to the button that sends it. */
  let { id }: { id: string } = $props();

  const sheet = new MailingSheet(untrack(() => id));
  let folded = $state({
    Report: false,
    Sending: false,
    Who: false,
    What: false,
    Previews: false,
    When: false,
    Goal: false,
    Send: false,
  });
  let asked = $state(false);

  const mailing = $derived(sheet.mailing);
  const people = $derived(sheet.ready?.in.length ?? 0);
  const kind = $derived(mailing?.plan.who.kind ?? 'contact');

  const changed = gathered(async () => sheet.changed());
  $effect(() =>
    onChange((change) => {
      if (change.what === 'hello' || (change.what === 'mailing' && change.id === sheet.id)) changed();
    }),
  );
  $effect(() => () => sheet.end());

  /** Goes to the part that is next: the first that keeps it from leaving, and at last the button, which is not pressed. */
  async function next() {
    const stops = await sheet.stops();
    const part = stops.some((code) => code === 'nobody' || code === 'too-many')
      ? 'Who'
      : stops.some((code) => code === 'no-template' || code === 'not-ready' || code === 'sender')
        ? 'What'
        : stops.includes('hour')
          ? 'When'
          : 'Send';
    folded[part] = false;
    await tick();
    const heading = document.querySelector<HTMLElement>(`[data-part="${part}"]`);
    heading?.scrollIntoView({ block: 'nearest' });
    const button = part === 'Send' ? document.querySelector<HTMLButtonElement>('[data-send]:enabled') : null;
    (button ?? heading)?.focus();
  }

  $effect(() =>
    shortcuts([
      { key: 'Ctrl+Enter', label: 'Go to the part that is next', run: () => void next(), always: true },
    ]),
  );

  async function copy() {
    try {
      const { id } = await ask('post', '/api/mailings/{id}/copy', { params: { id: sheet.id } });
      go(`/mailings/${id}`);
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  async function remove() {
    try {
      await ask('delete', '/api/mailings/{id}', { params: { id: sheet.id } });
      go('/mailings');
    } catch (failure) {
      notify(sentence(failure), { stop: true });
      asked = false;
    }
  }
</script>

<Page
  title={mailing?.name ?? 'Mailing'}
  crumb={mailing ? `${standing(mailing)} · made by ${mailing.maker}` : ''}
>
  {#snippet heading()}
    {#if sheet.open && mailing}
      <h1>
        <span class="unseen">{mailing.name}</span>
        <input
          aria-label="Name of the mailing"
          maxlength={120}
          value={mailing.name}
          oninput={(event) => sheet.rename(event.currentTarget.value)}
        />
      </h1>
    {:else}
      <h1>{mailing?.name ?? 'Mailing'}</h1>
    {/if}
  {/snippet}
  {#snippet actions()}
    {#if sheet.wrong.name}<span class="wrong" role="alert">{sheet.wrong.name}</span>{/if}
    {#if mailing}
      <Button quiet onclick={() => void copy()}>Copy</Button>
      {#if mailing.mayChange && mailing.state === 'WRITING'}
        {#if asked}
          <Button onclick={() => void remove()}>Yes, delete it</Button>
          <Button quiet onclick={() => (asked = false)}>Cancel</Button>
        {:else}
          <Button quiet onclick={() => (asked = true)}>Delete…</Button>
        {/if}
      {/if}
    {/if}
  {/snippet}
  {#snippet foot()}
    {#if mailing && sheet.ready && (mailing.state === 'WRITING' || mailing.state === 'PAUSED')}
      <span aria-live="polite"><b>{people.toLocaleString('en')}</b> {called(kind, people)}</span>
      <span><b>{sheet.going.toLocaleString('en')}</b> will go</span>
      <span class:stop={sheet.held > 0}><b>{sheet.held.toLocaleString('en')}</b> held</span>
      {#if sheet.ready.stops.length}<span class="stop"
          >{several(sheet.ready.stops.length, 'thing')} to deal with</span
        >{/if}
      <span class="right">{sheet.saving ? 'saving …' : 'saved'} · Ctrl+Enter what is next</span>
    {:else if mailing}
      <span aria-live="polite">{standing(mailing)}</span>
      <span>{several(mailing.counts.opened, 'opened', 'opened')}</span>
      <span>{several(mailing.counts.clicked, 'followed a link', 'followed a link')}</span>
      <span>{several(mailing.counts.replied, 'replied', 'replied')}</span>
      <span>{several(mailing.counts.unsubscribed, 'unsubscribed', 'unsubscribed')}</span>
    {/if}
  {/snippet}
  {#if sheet.failed}
    <p class="said" role="alert">
      {sheet.failed}
      <Button quiet onclick={() => void sheet.load()}>Try again</Button>
    </p>
  {:else if mailing}
    {#if sheet.wrong.page}<p class="said wrong" role="alert">{sheet.wrong.page}</p>{/if}
    {#if mailing.counts.sent}<ReportPart {sheet} bind:folded={folded.Report} />{/if}
    {#if mailing.state !== 'WRITING'}<UnderWay {sheet} bind:folded={folded.Sending} />{/if}
    {#if mailing.state === 'WRITING' || mailing.state === 'PAUSED'}
      <WhoPart {sheet} bind:folded={folded.Who} />
      <WhatPart {sheet} bind:folded={folded.What} />
      <PreviewsPart {sheet} bind:folded={folded.Previews} />
      <WhenPart {sheet} bind:folded={folded.When} />
      <GoalPart {sheet} bind:folded={folded.Goal} />
      <SendPart {sheet} bind:folded={folded.Send} />
    {/if}
  {/if}
</Page>

<style>
  h1 {
    font: 500 21px/1.2 var(--serif);
  }

  input {
    min-width: 200px;
    max-width: 60vw;
    margin-left: -5px;
    padding: 2px 4px;
    border: 1px solid transparent;
    background: none;
    color: var(--ink);
    font: inherit;
    field-sizing: content;
  }

  input:hover,
  input:focus {
    border-color: var(--edge);
  }

  .said {
    padding: 20px;
    color: var(--ink-soft);
  }

  .stop,
  .wrong {
    color: var(--stop);
  }

  .right {
    margin-left: auto;
  }
</style>
