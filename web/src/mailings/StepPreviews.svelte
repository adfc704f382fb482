<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import { shortcuts } from '../app/keys.svelte';
  import DesignPreview from '../library/DesignPreview.svelte';
  import Button from '../ui/Button.svelte';
  import type { Way } from '../ui/MessageFrame.svelte';
  import Slip from '../ui/Slip.svelte';
  import type { MailingSheet } from './mailingSheet.svelte';
  import { goes } from './mailingWords';

  /** What one of them gets, whole; the next one with a key. */
  let {
    sheet,
    key,
    onstep,
    onclose,
  }: {
    sheet: MailingSheet;
    key: string;
    onstep: (key: string) => void;
    onclose: () => void;
  } = $props();

  let proof = $state.raw<Schemas['ShownProof'] | null>(null);
  let failed = $state('');
  let way = $state<Way>('wide');
  const at = $derived(sheet.sorted.findIndex((row) => row.key === key));
  const row = $derived(sheet.sorted[at]);

  $effect(() => {
    const mine = key;
    ask('get', '/api/mailings/{id}/people/{key}', { params: { id: sheet.id, key: mine } })
      .then((read) => {
        if (mine !== key) return;
        proof = read;
        failed = '';
      })
      .catch((failure) => mine === key && (failed = sentence(failure)));
  });

  function step(by: number) {
    const next = sheet.sorted[at + by];
    if (next) onstep(next.key);
  }

  $effect(() =>
    shortcuts([
      { key: '.', label: 'Next person', run: () => step(1) },
      { key: ',', label: 'Person before', run: () => step(-1) },
    ]),
  );
</script>

<Slip title="What {row?.name ?? ''} gets" modal page {onclose}>
  <p class="steps">
    <Button quiet disabled={at <= 0} onclick={() => step(-1)}>‹ before</Button>
    <span role="status">{at + 1} of {sheet.sorted.length}{row && !goes(row) ? ' · held' : ''}</span>
    <Button quiet disabled={at >= sheet.sorted.length - 1} onclick={() => step(1)}>next ›</Button>
  </p>
  {#each row?.notes ?? [] as note (note.code + note.title)}
    <p class={note.stops ? 'stop' : 'look'}>{note.title}. {note.remedy}</p>
  {/each}
  {#if failed}
    <p class="stop" role="alert">{failed}</p>
  {:else if proof}
    <div class="message"><DesignPreview {proof} name="The message" bind:way /></div>
  {/if}
</Slip>

<style>
  .steps {
    display: flex;
    gap: 10px;
    align-items: center;
    margin-bottom: 6px;
  }

  .message {
    max-height: 60vh;
    overflow: auto;
  }

  .stop {
    color: var(--stop);
  }

  .look {
    color: var(--query);
  }
</style>
