<script lang="ts">
  import { monitorForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
  import type { Snippet } from 'svelte';
  import type { Schemas } from '../../api/client';
  import AddHere from './AddHere.svelte';
  import BlockView from './BlockView.svelte';
  import Handle from './Handle.svelte';
  import { withShares, type Block } from './body';
  import { takesRows } from './pastedRows';
  import ColumnEdge from './ColumnEdge.svelte';
  import type { Composing, Dragged } from './composing.svelte';

  /** The draft of a letter or designed message: bands of columns of blocks, each with its number as its handle. */
  let {
    composing,
    sentences,
    inside,
    text,
    rich,
    source,
    onpicture,
  }: {
    composing: Composing;
    /** Conditions as sentences, by block or band, as far as the server has said. */
    sentences: ReadonlyMap<string, string>;
    /** What passages and signatures say, by block. */
    inside: Readonly<Record<string, Schemas['ShownInside']>>;
    text: Snippet<[Block, string, string]>;
    rich: Snippet<[Block, string]>;
    source: Snippet<[Block]>;
    onpicture: (block: Block, anchor: HTMLElement, file?: File) => void;
  } = $props();

  /** While the border of two columns is dragged: what the shares would be. */
  let sizing = $state<{ band: string; shares: number[] } | null>(null);
  const bands = $derived(composing.body.bands);
  const banded = $derived(composing.banded);

  /** So many blocks are drawn at once; the others follow frame by frame, and the first can be read and written meanwhile. */
  const AT_ONCE = 4;
  const A_FRAME = 12;
  let drawn = $state(AT_ONCE);
  $effect(() => {
    if (drawn === Infinity) return;
    const all = composing.numbers.size;
    const more = () => (drawn = drawn < all ? drawn + A_FRAME : Infinity);
    let later: ReturnType<typeof setTimeout> | undefined;
    // What is there is painted after this frame begins; more of it would be painted with it.
    const next = requestAnimationFrame(() => (later = setTimeout(more)));
    return () => {
      cancelAnimationFrame(next);
      clearTimeout(later);
    };
  });

  $effect(() =>
    monitorForElements({
      onDragStart: ({ source }) => (composing.dragged = source.data as unknown as Dragged),
      onDrop: () => (composing.dragged = null),
    }),
  );

  function oneMore(block: Block) {
    const facts = block.facts as string[] | undefined;
    const links = block.links as object[] | undefined;
    composing.change(
      block.id,
      facts ? { facts: [...facts, ''] } : { links: [...(links ?? []), { label: '', address: '' }] },
      true,
    );
  }
</script>

{#snippet when(part: { id: string; shownWhen?: string; hiddenOnSmall?: boolean })}
  {#if part.shownWhen}<p class="when">shown when {sentences.get(part.id) || part.shownWhen}</p>{/if}
  {#if part.hiddenOnSmall}<p class="when">not on small screens</p>{/if}
{/snippet}

{#each bands as band, bandAt (band.id)}
  {#if composing.editable && banded}<AddHere {composing} place={{ bandAt }} />{/if}
  <section
    class="band"
    class:banded
    class:dragged={composing.dragged?.what === 'band' && composing.dragged.id === band.id}
    class:chosen={composing.chosen.includes(band.id)}
    data-part={band.id}
    aria-label={banded ? `Row ${bandAt + 1}` : undefined}
    class:backed={band.look?.background}
    style:--back={band.look?.background}
  >
    {#if banded}
      <div class="grip"><Handle {composing} id={band.id} what="band" label="row" /></div>
    {/if}
    {@render when(band)}
    <div
      class="columns"
      style:grid-template-columns={(sizing?.band === band.id
        ? sizing.shares
        : band.columns.map((one) => one.share ?? 1)
      )
        .map((share) => `minmax(0, ${share}fr)`)
        .join(' ')}
    >
      {#each band.columns as column, at (at)}
        {@const blocks = column.blocks ?? []}
        <div class="column" class:split={band.columns.length > 1}>
          {#if at > 0 && composing.editable}
            <ColumnEdge
              {band}
              column={at}
              onsizing={(shares) => (sizing = shares && { band: band.id, shares })}
              onsized={(shares) => composing.put(withShares(composing.body, band.id, shares))}
            />
          {/if}
          {#each blocks as block, i (block.id)}
            {#if (composing.numbers.get(block.id) ?? 0) <= drawn}
              {#if composing.editable}<AddHere
                  {composing}
                  place={{ band: band.id, column: at, at: i }}
                />{/if}
              <div
                class="block"
                class:chosen={composing.chosen.includes(block.id)}
                class:dragged={composing.dragged?.what === 'block' && composing.dragged.id === block.id}
                data-part={block.id}
                data-block={block.id}
                role="group"
                {@attach takesRows((html) => composing.pasteRows(html, block.id))}
                aria-label="Block {composing.numbers.get(block.id)}"
                class:pointed={composing.pointed === block.id}
                onpointerenter={() => (composing.pointed = block.id)}
                onpointerleave={() => (composing.pointed = null)}
                onfocusin={() => (composing.writing = block.id)}
              >
                <Handle
                  {composing}
                  id={block.id}
                  what="block"
                  label={String(composing.numbers.get(block.id))}
                />
                <div class="held" class:backed={block.look?.background} style:--back={block.look?.background}>
                  {@render when(block)}
                  <BlockView
                    {block}
                    inside={inside[block.id]}
                    onpicture={(anchor, file) => onpicture(block, anchor, file)}
                    onwidth={composing.editable
                      ? (width) => composing.change(block.id, { width }, true)
                      : undefined}
                    onfact={() => oneMore(block)}
                  >
                    {#snippet text(key, placeholder)}{@render string(block, key, placeholder)}{/snippet}
                    {#snippet rich(placeholder)}{@render formatted(block, placeholder)}{/snippet}
                    {#snippet source()}{@render html(block)}{/snippet}
                  </BlockView>
                </div>
              </div>
            {/if}
          {/each}
          {#if composing.editable && (blocks.length === 0 || bandAt === bands.length - 1 || composing.dragged)}
            <AddHere
              {composing}
              place={{ band: band.id, column: at, at: blocks.length }}
              last={!composing.dragged && (blocks.length === 0 || (!banded && bandAt === bands.length - 1))}
            />
          {/if}
        </div>
      {/each}
    </div>
  </section>
{/each}
{#if composing.editable && (banded || !bands.length)}
  <AddHere {composing} place={{ bandAt: bands.length }} last={!composing.dragged} />
{/if}
{#snippet string(block: Block, key: string, placeholder: string)}{@render text(
    block,
    key,
    placeholder,
  )}{/snippet}
{#snippet html(block: Block)}{@render source(block)}{/snippet}
{#snippet formatted(block: Block, placeholder: string)}{@render rich(block, placeholder)}{/snippet}

<style>
  .band {
    position: relative;
    padding: 3px 22px 3px 0;
  }

  .banded {
    border-bottom: 1px dashed var(--rule-soft);
  }

  .banded.chosen,
  .block.chosen {
    outline: 2px solid var(--ink);
    outline-offset: -1px;
  }

  .grip {
    position: absolute;
    top: 2px;
    right: -2px;
    writing-mode: vertical-rl;
  }

  .columns {
    display: grid;
  }

  .column {
    position: relative;
    min-width: 0;
    padding-bottom: 4px;
  }

  .split + .split {
    border-left: 1px dashed var(--rule-soft);
  }

  .block {
    display: grid;
    grid-template-columns: 26px minmax(0, 1fr);
    align-items: start;
    padding: 5px 0;
  }

  .split .block {
    grid-template-columns: 22px minmax(0, 1fr);
    padding-right: 6px;
  }

  .dragged {
    opacity: 0.4;
  }

  .pointed {
    box-shadow: inset 2px 0 0 var(--ink);
  }

  .held {
    min-width: 0;
    padding-top: 2px;
  }

  /* The colour itself is for the proof: on it the desk's own inks could not be read in every light. */
  .backed {
    background: linear-gradient(var(--back), var(--back)) 0 0 / 5px 100% no-repeat;
  }

  /* Words of a colour of their own were chosen for it, and may be seen on nothing else. */
  .backed :global(.ProseMirror span[style*='color:']:not(.chip)) {
    background: var(--back);
  }

  .held.backed {
    padding-left: 11px;
  }

  .when {
    color: var(--ink-soft);
    font: italic 13px/1.4 var(--serif);
  }
</style>
