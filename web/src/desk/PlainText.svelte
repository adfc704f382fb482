<script lang="ts">
  import type { Snippet } from 'svelte';
  import { ask, sentence, type Schemas } from '../api/client';
  import InlineButton from '../ui/InlineButton.svelte';
  import type { Writing } from './writing';

  /** The plain text of a letter or designed message: derived from it, or kept by hand. */
  type Kept = Schemas['KeptPlainText'];
  let {
    desk,
    words,
  }: {
    desk: Writing;
    /** Where it is written. */
    words: Snippet<[Kept]>;
  } = $props();

  let wrong = $state('');
  const kept = $derived(desk.draft?.plainText ?? null);
  const drifted = $derived(desk.preview.proof?.notes.some((note) => note.code === 'drift') ?? false);

  async function fromMessage(): Promise<Kept | null> {
    try {
      wrong = '';
      return await ask('post', '/api/desk/plain-text', { body: { draft: { ...desk.draft! } } });
    } catch (failure) {
      wrong = sentence(failure);
      return null;
    }
  }

  async function begin() {
    const text = await fromMessage();
    if (text) desk.change({ plainText: text.words ? text : { ...text, words: 'Dear …' } }, true);
  }

  /** Whoever has read both says that they belong together. */
  async function confirm() {
    const text = await fromMessage();
    if (text && kept) desk.change({ plainText: { ...kept, of: text.of } }, true);
  }
</script>

<div class="plain">
  {#if kept}
    <!-- Once its fields are known, they are chips from the beginning. -->
    {#if desk.preview.proof?.plainText}<div class="words">{@render words(kept)}</div>{/if}
    <p>
      Kept by hand, without the style’s header, footer and small print.
      {#if desk.mayChange}
        {#if drifted}
          <b>The message has changed since.</b>
          <InlineButton onclick={() => void confirm()}>It is right</InlineButton>
        {/if}
        <InlineButton onclick={() => desk.change({ plainText: null }, true)}
          >Take it from the message again</InlineButton
        >
      {/if}
    </p>
  {:else}
    <p>
      taken from the message
      {#if desk.mayChange}<InlineButton onclick={() => void begin()}>write it by hand</InlineButton>{/if}
    </p>
  {/if}
  {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
</div>

<style>
  .plain {
    min-width: 0;
    font-size: 14px;
  }

  p {
    color: var(--ink-soft);
    font-size: 13.5px;
  }

  b {
    color: var(--query);
    font-weight: 500;
  }

  .words {
    margin-bottom: 4px;
    padding: 8px 10px;
    border: 1px solid var(--rule);
    background: var(--sheet);
  }

  .wrong {
    color: var(--stop);
  }
</style>
