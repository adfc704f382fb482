<script lang="ts">
  import type { Schemas } from '../api/client';

  /** Merged words, in which whatever a field says, lacks or asks can be pointed at. */
  type Piece = Schemas['ShownPiece'];
  let {
    pieces,
    bare = false,
    onpoint,
    onleave,
    onpin,
  }: {
    pieces: Piece[];
    /** Whether they are only read, as those of another template. */
    bare?: boolean;
    onpoint: (piece: Piece, anchor: HTMLElement) => void;
    onleave: () => void;
    onpin: (piece: Piece, anchor: HTMLElement) => void;
  } = $props();

  const anchorOf = (event: Event) => event.currentTarget as HTMLElement;
</script>

{#snippet word(piece: Piece, kind: string, text: string)}<button
    class={kind}
    style:--colour="var(--{piece.source || 'date'})"
    onpointerenter={(event) => onpoint(piece, anchorOf(event))}
    onpointerleave={onleave}
    onfocus={(event) => onpoint(piece, anchorOf(event))}
    onblur={onleave}
    onclick={(event) => onpin(piece, anchorOf(event))}><bdi>{text}</bdi></button
  >{/snippet}

{#if bare}{pieces
    .map((piece) => piece.text || piece.label)
    .join('')}{:else}{#each pieces as piece, i (i)}{#if piece.origin === 'GAP'}{@render word(
        piece,
        'gap',
        `${piece.label}?`,
      )}{:else if piece.origin === 'ASKED'}{@render word(
        piece,
        'blank',
        piece.label,
      )}{:else if piece.origin === 'BROKEN'}<span class="gap">{piece.text}</span
      >{:else if piece.written && piece.text}{@render word(
        piece,
        piece.origin === 'FALLBACK' ? 'value fallback' : 'value',
        piece.text,
      )}{:else}{piece.text}{/if}{/each}{/if}

<style>
  button {
    display: inline;
    padding: 0;
    border: 0;
    background: none;
    color: inherit;
    font: inherit;
    text-align: left;
    white-space: pre-wrap;
    cursor: pointer;
    overflow-wrap: anywhere;
  }

  .value {
    border-bottom: 1.5px dotted var(--colour);
  }

  .fallback {
    background: var(--query-tint);
  }

  .gap {
    padding: 0 4px;
    background: var(--stop-tint);
    color: var(--stop);
  }

  .blank {
    padding: 0 5px;
    border: 1px dotted var(--ink);
    border-radius: var(--corner);
  }
</style>
