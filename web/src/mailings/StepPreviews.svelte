<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import { shortcuts } from '../app/keys.svelte';
  import DesignPreview from '../library/DesignPreview.svelte';
  import Button from '../ui/Button.svelte';
  import type { Way } from '../ui/MessageFrame.svelte';
  import Slip from '../ui/Slip.svelte';
  import SmallInput from '../ui/SmallInput.svelte';
  import type { MailingSheet } from './mailingSheet.svelte';
  import { goes, remarkBy } from './mailingWords';

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

  let message = $state<HTMLElement>();
  let words = $state('');
  /** The words of the message that were marked, which a remark is about. */
  let quote = $state('');
  const LONGEST_QUOTE = 200;

  $effect(() => {
    void key;
    quote = '';
  });

  /** What is marked in the message, whether it stands on the page or in a frame of its own. */
  function marked(): string {
    const own = document.getSelection();
    const said = [
      own?.anchorNode && message?.contains(own.anchorNode) ? own.toString() : '',
      ...[...(message?.querySelectorAll('iframe') ?? [])].map(
        (frame) => frame.contentDocument?.getSelection()?.toString() ?? '',
      ),
    ];
    return (said.find((one) => one.trim()) ?? '').replace(/\s+/g, ' ').trim().slice(0, LONGEST_QUOTE);
  }

  // A mark on the page is gone once the field is written into.
  $effect(() => {
    const keep = () => {
      const now = marked();
      if (now) quote = now;
    };
    document.addEventListener('selectionchange', keep);
    return () => document.removeEventListener('selectionchange', keep);
  });

  function remark(event: SubmitEvent) {
    event.preventDefault();
    if (!words.trim()) return;
    sheet.remarks = [
      ...sheet.remarks,
      { part: 'Previews', words: words.trim(), key, name: row?.name ?? null, quote },
    ];
    words = '';
    quote = '';
  }

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
  {#each [...sheet.sentBack.comments, ...sheet.remarks].filter((one) => one.key === key) as one, i (i)}
    <p class="look">{remarkBy(sheet.sentBack.by, one)}</p>
  {/each}
  {#if sheet.looking}
    <form onsubmit={remark}>
      <SmallInput
        aria-label="What is to be changed in this message"
        placeholder={quote
          ? `what is to be changed in “${quote}”`
          : 'what is to be changed? Mark words to quote them'}
        maxlength={500}
        style="flex: 1"
        bind:value={words}
        onfocus={() => (quote = marked() || quote)}
      />
      <Button quiet type="submit" disabled={!words.trim()}>Add</Button>
    </form>
  {/if}
  {#if failed}
    <p class="stop" role="alert">{failed}</p>
  {:else if proof}
    <div class="message" bind:this={message}><DesignPreview {proof} name="The message" bind:way /></div>
  {/if}
</Slip>

<style>
  .steps {
    display: flex;
    gap: 10px;
    align-items: center;
    margin-bottom: 6px;
  }

  form {
    display: flex;
    gap: 8px;
    align-items: center;
    margin: 4px 0 8px;
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
