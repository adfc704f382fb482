<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import type { Composing } from '../desk/body/composing.svelte';
  import Draft from '../desk/Draft.svelte';
  import Gutter from '../desk/Gutter.svelte';
  import SentMessage from '../outbox/SentMessage.svelte';
  import { notify } from '../ui/notices.svelte';
  import Slip from '../ui/Slip.svelte';
  import { filesOf, takeFiles } from './brought';
  import PaperChoice from './PaperChoice.svelte';
  import type { MessageState } from './messageState.svelte';

  /** The message where it is written, and the notes about it beside their lines. */
  let {
    draft = $bindable(),
    layout = $bindable(),
    message,
    composing,
    proof,
    hidden,
    files,
    documents,
    onchip,
    onhand,
    ongoto,
  }: {
    draft: Draft | undefined;
    /** Changes when lines of the message may have moved. */
    layout: number;
    message: MessageState;
    composing: Composing;
    proof: Schemas['ShownProof'];
    hidden: boolean;
    files: Props['attached'];
    documents: Props['documents'];
    onchip: Props['onchip'];
    onhand: Props['onhand'];
    ongoto: (note: Schemas['ShownNote']) => void;
  } = $props();

  type Props = import('svelte').ComponentProps<typeof Draft>;

  /** The message sent before that is read, and what it was opened from. */
  let before = $state.raw<{ id: string; anchor: HTMLElement } | null>(null);
  const plain = $derived(message.draft?.mode === 'PLAIN');
  const notes = $derived(proof.notes.filter((one) => !one.waved));

  $effect(() => {
    const moved = () => layout++;
    window.addEventListener('resize', moved);
    return () => window.removeEventListener('resize', moved);
  });

  /** Ignores a check of this message for a reason, or has it asked again. */
  async function ignore({ code, words, title }: Schemas['ShownNote'], reason: string | null) {
    try {
      // The draft is what the server knows it by.
      await message.flush();
      await ask('post', '/api/message-drafts/{id}/ignored', {
        params: { id: message.draftId },
        body: { code, words, title, reason },
      });
      message.preview.ask();
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }
</script>

<div class="beside" class:hidden>
  <div
    class="mail"
    lang={proof.person.language}
    ondragovercapture={(event) => {
      if (filesOf(event.dataTransfer, plain).length) event.preventDefault();
    }}
    ondropcapture={(event) => draft?.attach(takeFiles(event, event.dataTransfer, plain))}
    onpastecapture={(event) => draft?.attach(takeFiles(event, event.clipboardData, plain))}
  >
    <Draft
      bind:this={draft}
      desk={message}
      {composing}
      {notes}
      labels={{ subject: 'Subject of this message', text: 'Text of this message' }}
      onmoved={() => layout++}
      {onchip}
      attached={files}
      {documents}
      {onhand}
    >
      {#snippet moreFiles(take)}<PaperChoice {message} onmade={take} />{/snippet}
    </Draft>
  </div>
  <Gutter
    notes={proof.notes}
    {layout}
    topOf={(note) => draft?.texts.topOf(note) ?? 0}
    onopen={ongoto}
    onremedy={(note, words) => draft?.texts.replace(note.part, note.start, note.end, words)}
    onfix={(note, fix) => draft?.texts.replace(note.part, fix.start, fix.end, fix.text)}
    onwave={(note, reason) => void ignore(note, reason)}
    onread={(id, anchor) => (before = { id, anchor })}
  />
</div>
{#if before}
  {#key before}
    <Slip title="Sent before" anchor={before.anchor} page onclose={() => (before = null)}>
      <SentMessage id={before.id} only />
    </Slip>
  {/key}
{/if}

<style>
  .beside {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 178px;
    column-gap: 8px;

    --gutter-rule: transparent;
  }

  .hidden {
    display: none;
  }

  @media (width <= 700px) {
    .beside:not(.hidden) {
      display: block;
    }
  }
</style>
