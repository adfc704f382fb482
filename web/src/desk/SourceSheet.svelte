<script lang="ts">
  import type { Snippet } from 'svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import { blocksOf, type Block } from './body/body';
  import type { Composing } from './body/composing.svelte';

  /** HTML that was imported, as its source; a message may have a note of its sender's above it. */
  let {
    composing,
    message,
    html,
    note,
  }: {
    composing: Composing;
    /** Whether it is a message to one person. */
    message: boolean;
    html: Snippet<[Block]>;
    /** The text of a note, to be written in. */
    note: Snippet<[Block]>;
  } = $props();

  const blocks = $derived(blocksOf(composing.body));
  const noted = $derived(blocks.find((block) => block.kind === 'text'));
</script>

{#if message && composing.editable}
  <p class="hint">
    {#if noted}
      Your note stands above the message.
      <InlineButton soft onclick={() => composing.remove([noted.id])}>remove the note</InlineButton>
    {:else}
      <InlineButton onclick={() => composing.add('text', { bandAt: 0 })}
        >write a note of your own above it</InlineButton
      >
    {/if}
  </p>
{/if}
<p class="hint">
  Imported HTML. When it is shown or sent, style sheets are written into it and what can’t be sent is left
  out. Type &#123; to put in a field.
</p>
{#each blocks as block (block.id)}
  {#if block.kind === 'own HTML'}
    {@render html(block)}
  {:else if block.kind === 'text'}
    <div class="note" data-part={block.id}>{@render note(block)}</div>
  {/if}
{/each}

<style>
  .hint {
    margin: 0 0 8px;
    color: var(--ink-soft);
    font-size: 13px;
  }

  .note {
    margin-bottom: 12px;
    padding-bottom: 10px;
    border-bottom: 1px solid var(--rule);
  }
</style>
