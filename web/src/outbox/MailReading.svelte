<script lang="ts">
  import type { Schemas } from '../api/client';
  import MessageFrame from '../ui/MessageFrame.svelte';
  import ViewSwitch from '../ui/ViewSwitch.svelte';

  /** A message to be read: as text, by its headers, or as the bytes it was on the wire. */
  let { read, pieces = [] }: { read: Schemas['SourceText']; pieces?: Schemas['KeptPiece'][] } = $props();

  type Reading = 'message' | 'text' | 'headers' | 'source';
  const ways = $derived<Reading[]>(
    read.html ? ['message', 'text', 'headers', 'source'] : ['text', 'headers', 'source'],
  );
  /** How somebody wants to read; a message that can’t be read so is read as it is best. */
  let wanted = $state<Reading | null>(null);
  const way = $derived(wanted && ways.includes(wanted) ? wanted : ways[0]);
  const origins: Record<string, string> = {
    RECORD: 'from the record',
    FALLBACK: 'a fallback',
    CHOSEN: 'chosen for this message',
    TYPED: 'written for this message',
  };

  function title(piece: Schemas['KeptPiece']): string | undefined {
    if (piece.origin === 'ANSWERED') return `asked for “${piece.stored}”, written in by the sender`;
    return piece.path ? `${piece.path}, ${origins[piece.origin] ?? ''}` : origins[piece.origin];
  }
</script>

<div class="mail">
  <div class="top">
    <span class="subject"><bdi>{read.subject}</bdi></span>
    <span class="right"
      ><ViewSwitch label="How to read it" {ways} bind:way={() => way, (to) => (wanted = to)} /></span
    >
  </div>
  {#if read.files.length}
    <p class="files">attached: {read.files.join(', ')}</p>
  {/if}
  {#if way === 'message'}
    <MessageFrame html={read.html} title="The message" />
  {:else if way === 'text'}
    <div class="text">
      {#if pieces.length}
        {#each pieces as piece, i (i)}<span
            class:value={piece.path !== ''}
            class:typed={piece.origin === 'TYPED' && piece.text.trim() !== ''}
            class:answered={piece.origin === 'ANSWERED'}
            title={title(piece)}
            >{piece.text}{#if piece.origin === 'ANSWERED'}<span class="unseen">
                ({title(piece)})</span
              >{/if}</span
          >{/each}
      {:else}{read.text}{/if}
    </div>
  {:else if way === 'headers'}
    <dl>
      {#each read.headers as header, i (i)}
        <dt>{header.name}</dt>
        <dd>{header.value}</dd>
      {/each}
    </dl>
  {:else}
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <pre tabindex="0" aria-label="Source">{read.source}</pre>
  {/if}
</div>

<style>
  .mail {
    margin-top: 8px;
    border: 1px solid var(--rule);
    background: var(--sheet);
    color: var(--ink);
  }

  .top {
    display: flex;
    gap: 14px;
    padding: 8px 18px;
    border-bottom: 1px solid var(--rule-soft);
  }

  .subject {
    font-weight: 600;
    overflow-wrap: anywhere;
  }

  .right {
    margin-left: auto;
  }

  .files {
    padding: 6px 18px;
    border-bottom: 1px solid var(--rule-soft);
    color: var(--ink-soft);
    font-size: 13px;
  }

  .text {
    padding: 12px 18px;
    font: 14px/1.5 var(--letter);
    white-space: pre-wrap;
    overflow-wrap: anywhere;
  }

  .value {
    border-bottom: 1.5px dotted var(--ink-soft);
  }

  .typed {
    background: var(--mine);
  }

  dl {
    display: grid;
    grid-template-columns: max-content minmax(0, 1fr);
    gap: 4px 14px;
    padding: 12px 18px;
    font-size: 13px;
  }

  dt {
    color: var(--ink-soft);
  }

  dd {
    overflow-wrap: anywhere;
  }

  pre {
    max-height: 420px;
    margin: 0;
    padding: 12px 18px;
    overflow: auto;
    font-size: 12px;
    line-height: 1.45;
  }

  .answered {
    padding: 0 3px;
    border: 1px dotted var(--edge);
    border-radius: var(--corner);
  }
</style>
