<script lang="ts">
  import { computePosition, flip, offset, shift } from '@floating-ui/dom';
  import type { Schemas } from '../api/client';
  import { recordAddress } from '../app/router';
  import Button from '../ui/Button.svelte';
  import Mark from '../ui/Mark.svelte';
  import Slip from '../ui/Slip.svelte';

  /** Why a word of the proof says what it says; pinned, it leads to the draft and to the record. */
  let {
    piece,
    anchor,
    pinned,
    onplace,
    onclose,
  }: {
    piece: Schemas['ShownPiece'];
    anchor: HTMLElement;
    pinned: boolean;
    onplace: () => void;
    onclose: () => void;
  } = $props();

  const id = $props.id();
  const origins: Record<string, string> = {
    RECORD: 'from the record',
    CHOSEN: 'given for this message',
    ANSWERED: 'written in by the sender',
    ASKED: 'the sender fills it in at each use',
    GAP: 'missing, and no fallback',
    WRITTEN: 'as written in the template',
  };
  const origin = $derived(
    piece.origin === 'FALLBACK'
      ? `the value is missing: fallback ${piece.fallback}`
      : piece.origin === 'RECORD' && piece.path.endsWith('.greeting')
        ? 'by your company’s greeting rules'
        : piece.origin === 'RECORD' && !piece.path.includes('.')
          ? 'calculated when it is sent'
          : (origins[piece.origin] ?? ''),
  );
  const asked = $derived(piece.origin === 'ASKED' || piece.origin === 'ANSWERED');
  let hint = $state<HTMLElement>();

  $effect(() => {
    const shown = hint;
    if (!shown) return;
    anchor.setAttribute('aria-describedby', id);
    void computePosition(anchor, shown, {
      placement: 'bottom-start',
      strategy: 'fixed',
      middleware: [offset(5), flip({ padding: 8 }), shift({ padding: 8 })],
    }).then(({ x, y }) => {
      shown.style.left = `${x}px`;
      shown.style.top = `${y}px`;
    });
    return () => anchor.removeAttribute('aria-describedby');
  });
</script>

{#snippet reasons()}
  <dl>
    {#if piece.path && !asked}
      <dt>Field</dt>
      <dd><Mark source={piece.source} />{piece.path}</dd>
    {/if}
    {#if piece.stored && !asked && !piece.path.endsWith('.greeting')}
      <dt>Stored</dt>
      <dd><bdi>{piece.stored}</bdi></dd>
    {/if}
    {#if piece.text && piece.text !== piece.stored}
      <dt>Printed</dt>
      <dd><bdi>{piece.text}</bdi>{piece.format ? `, as ${piece.format}` : ''}</dd>
    {/if}
    <dt>Why</dt>
    <dd>{origin}</dd>
  </dl>
{/snippet}

{#if pinned}
  <Slip title={piece.label || 'Text'} {anchor} {onclose}>
    {@render reasons()}
    <p class="ways">
      <Button quiet data-first onclick={onplace}>Go to it in the draft</Button>
      {#if piece.place}
        <a href="{recordAddress(piece.place.kind, piece.place.id)}#fact-{piece.place.field}"
          >Open it on the record</a
        >
      {/if}
    </p>
  </Slip>
{:else}
  <div {id} class="hint" role="tooltip" bind:this={hint}>
    <b>{piece.label || 'Text'}</b>
    {@render reasons()}
  </div>
{/if}

<style>
  .hint {
    position: fixed;
    top: 0;
    left: 0;
    z-index: 22;
    max-width: 340px;
    padding: 6px 10px 8px;
    border: 1px solid var(--rule);
    border-radius: var(--corner);
    background: var(--sheet);
    box-shadow: var(--shadow);
    font-size: 12.5px;
    pointer-events: none;
  }

  dl {
    display: grid;
    grid-template-columns: 54px minmax(0, 1fr);
    gap: 1px 8px;
  }

  dt {
    color: var(--ink-soft);
  }

  dd {
    overflow-wrap: anywhere;
  }

  .ways {
    display: flex;
    gap: 12px;
    align-items: center;
    margin: 6px 0 0 -6px;
  }
</style>
