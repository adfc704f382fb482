<script lang="ts">
  import { notify } from '../../ui/notices.svelte';
  import { droppedPicture } from './droppedPicture';
  import type { Snippet } from 'svelte';
  import type { Schemas } from '../../api/client';
  import { copyAddress, type Retouching } from './retouching';
  import { cardOf } from './cardOf';
  import { columnLabels, isKnown, kindLabel } from './kinds';
  import type { Align, Block } from './body';
  import WidthHandle from './WidthHandle.svelte';

  /** A block as it stands in the draft: its words to be written in place, the rest as a sketch of what it becomes. */
  let {
    block,
    inside,
    text,
    rich,
    source,
    onpicture,
    onwidth,
    onfact,
  }: {
    block: Block;
    /** What a passage or signature says to the proof person. */
    inside?: Schemas['ShownInside'];
    /** A string of the block, by its key. */
    text: Snippet<[key: string, placeholder: string]>;
    rich: Snippet<[placeholder: string]>;
    /** The editor of its HTML. */
    source: Snippet;
    /** Opens the choice of a picture, or brings one in that was dropped here. */
    onpicture: (anchor: HTMLElement, file?: File) => void;
    /** Makes its picture wider or narrower; nothing where nothing can be changed. */
    onwidth?: (width: number) => void;
    /** Puts add a line or link at the end. */
    onfact: () => void;
  } = $props();

  /** The draft's sheet is so much narrower than the message. */
  const SCALE = 0.8;
  let over = $state(false);
  /** While the edge of the picture is dragged: how wide it would be. */
  let sizing = $state<number | null>(null);
  const width = $derived(Number(block.width ?? (block.kind === 'picture' ? 240 : 480)));
  const align = $derived((block.align ?? 'start') as Align);
  const columns = $derived((block.columns as { is: string; label?: string }[] | undefined) ?? []);
  const facts = $derived((block.facts as string[] | undefined) ?? []);
  const links = $derived((block.links as { icon?: string }[] | undefined) ?? []);
</script>

{#snippet picture(id: unknown, retouching: unknown = undefined, drawn = 'No picture yet')}
  <button
    class="picture"
    class:over
    aria-label={id ? 'Choose another picture' : 'Choose a picture'}
    onclick={(event) => onpicture(event.currentTarget)}
    ondragover={(event) => {
      if (!event.dataTransfer?.types.some((type) => /^(Files|text\/html|text\/uri-list)$/.test(type))) return;
      event.preventDefault();
      over = true;
    }}
    ondragleave={() => (over = false)}
    ondrop={(event) => {
      over = false;
      const found = event.dataTransfer && droppedPicture(event.dataTransfer);
      if (!found) return;
      event.preventDefault();
      if (typeof found === 'string') notify(found, { stop: true });
      else onpicture(event.currentTarget, found);
    }}
  >
    {#if id}<img
        src={copyAddress(
          String(id),
          retouching as Retouching | undefined,
          undefined,
          block.kind === 'video still',
        )}
        alt=""
      />{:else}<span>{drawn}. Choose one, or drop a file here.</span>{/if}
  </button>
{/snippet}

{#snippet sized(id: unknown, retouching: unknown = undefined, drawn: string | undefined = undefined)}
  <div class="sized" style:--wide="{(sizing ?? width) * SCALE}px">
    {@render picture(id, retouching, drawn)}
    {#if onwidth && id}
      <WidthHandle
        {width}
        {align}
        scale={SCALE}
        onsizing={(to) => (sizing = to)}
        onsized={(to) => onwidth(to)}
      />
    {/if}
  </div>
{/snippet}

{#snippet line(lead: string, key: string, placeholder: string)}
  <div class="line">
    <span class="lead">{lead}</span>
    <div>{@render text(key, placeholder)}</div>
  </div>
{/snippet}

{#if block.kind === 'text'}
  {@render rich('Write here. Type { to put in a field.')}
{:else if block.kind === 'picture'}
  <div class="to-{String(block.align ?? 'start')}">{@render sized(block.picture, block.retouching)}</div>
  {@render line('description', 'description', 'what it shows, for those who don’t see it')}
  {@render line('leads to', 'link', 'nowhere')}
{:else if block.kind === 'pairing'}
  {@const held = block.picture as { picture?: string; retouching?: Retouching }}
  <div class="pairing" class:right={block.pictureRight === true} style:--share="{Number(block.share ?? 40)}%">
    <div class="held">{@render picture(held?.picture, held?.retouching)}</div>
    <div class="beside">{@render rich('Text beside the picture')}</div>
  </div>
  {@render line('description', 'description', 'what it shows, for those who don’t see it')}
  {@render line('leads to', 'link', 'nowhere')}
{:else if block.kind === 'button'}
  <div class="to-{String(block.align ?? 'start')}">
    <div class="button" style:border-color={block.background ? String(block.background) : undefined}>
      {@render text('label', 'button text')}
    </div>
  </div>
  {@render line('leads to', 'link', 'an address, https:// …')}
{:else if block.kind === 'divider'}
  <hr
    style:border-top-width="{Number(block.thickness ?? 1)}px"
    style:border-color={block.colour ? String(block.colour) : undefined}
  />
{:else if block.kind === 'spacer'}
  <p class="spacer" style:height="{Number(block.height ?? 16)}px">
    <span>{Number(block.height ?? 16)} px</span>
  </p>
{:else if block.kind === 'item table'}
  <p class="columns">
    {#each columns as column (column.is)}<span>{columnLabels[column.is] ?? column.is}</span>{/each}
  </p>
  <p class="silent">the lines of the deal{block.totals ? ', with their sums' : ''}</p>
  {@render line('without lines', 'label', 'nothing')}
{:else if block.kind === 'event'}
  {@render line('event', 'label', 'what happens')}
  {@render line('day', 'day', 'one date field')}
  {@render line('place', 'place', 'where')}
  <p class="silent">
    {block.time ? `at ${String(block.time)}` : 'the whole day'}, {Number(block.minutes ?? 60)} minutes; attached
    as a calendar file
  </p>
{:else if block.kind === 'record card'}
  {#if cardOf(block.picture)}
    <p class="silent">with the picture of {cardOf(block.picture)?.label}, where there is one</p>
  {/if}
  {@render line('heading', 'label', 'heading')}
  {#each facts.keys() as at (at)}{@render line('line', `fact${at}`, 'a fact')}{/each}
  <button class="more" onclick={onfact}>add a line</button>
{:else if block.kind === 'video still'}
  {@render sized(block.picture, undefined, 'A drawn still is shown')}
  {@render line('leads to', 'link', 'the address of the video’s page')}
  {@render line('description', 'description', 'what it shows')}
{:else if block.kind === 'social links'}
  {#each links as one, at (at)}
    {#if one.icon}<img class="icon" src={copyAddress(`drawn-icon-${one.icon}`, {}, 160)} alt="" />{/if}
    {@render line('link', `fact${at}`, 'what it is called')}
    {@render line('leads to', `fact${at}/link`, 'https:// …')}
  {/each}
  <button class="more" onclick={onfact}>add a link</button>
{:else if block.kind === 'signature'}
  {#if inside}
    <p class="kept">{inside.words}</p>
    <p class="silent">the sender’s signature, from Materials</p>
  {:else}
    <p class="silent">the sender’s signature, from their profile</p>
  {/if}
{:else if block.kind === 'feed'}
  {#if inside}
    <p class="passage">the newest of {inside.name}</p>
    <p class="kept">{inside.words}</p>
  {:else}
    <p class="silent">
      {block.feed ? 'this feed is missing' : 'a feed: choose one in its settings'}
    </p>
  {/if}
{:else if block.kind === 'own HTML'}
  {@render source()}
{:else if block.kind === 'passage'}
  {#if inside}
    <p class="passage">{inside.name}</p>
    <p class="kept">{inside.words}</p>
  {:else}
    <p class="silent">
      {block.passage ? 'this passage is not ready or missing' : 'a passage: choose one in its settings'}
    </p>
  {/if}
{:else}
  <p class="silent">
    {isKnown(block)
      ? kindLabel(block.kind)
      : `“${block.kind}”: made by a newer Famulus. It is kept as it is.`}
  </p>
{/if}

<style>
  .icon {
    float: right;
    width: 20px;
    height: 20px;
    margin: 2px 6px 0;
  }

  .picture {
    display: block;
    width: fit-content;
    max-width: 100%;
    min-height: 40px;
    padding: 0;
    border: 1px dashed transparent;
    background: none;
    color: var(--ink-soft);
    font: 13px/1.4 var(--sans);
    text-align: left;
    cursor: pointer;
  }

  .picture span {
    display: block;
    padding: 12px;
  }

  .picture:not(:has(img)),
  .over {
    border-color: var(--edge);
  }

  .picture:hover img {
    outline: 1px dashed var(--edge);
  }

  .over {
    background: var(--chosen);
  }

  img {
    display: block;
    max-width: min(100%, 320px);
    max-height: 130px;
  }

  .sized {
    position: relative;
    width: fit-content;
    max-width: 100%;
  }

  .sized img {
    width: var(--wide);
    max-width: 100%;
    max-height: none;
  }

  .to-centre {
    display: grid;
    justify-content: center;
  }

  .to-end {
    display: grid;
    justify-content: end;
  }

  .pairing {
    display: grid;
    grid-template-columns: minmax(0, var(--share)) minmax(0, 1fr);
    gap: 14px;
    align-items: center;
    padding-bottom: 4px;
  }

  .right {
    grid-template-columns: minmax(0, 1fr) minmax(0, var(--share));
  }

  .right .held {
    order: 2;
  }

  .button {
    display: inline-block;
    min-width: 120px;
    max-width: 100%;
    margin: 2px 0 4px;
    padding: 7px 16px;
    border: 2px solid var(--edge);
    border-radius: var(--corner);
    font-weight: 600;
    text-align: center;
  }

  hr {
    margin: 8px 0;
    border: 0 solid var(--ink-soft);
  }

  .spacer {
    display: grid;
    min-height: 18px;
    place-content: center;
    background: repeating-linear-gradient(135deg, transparent 0 7px, var(--rule-soft) 7px 8px);
    color: var(--ink-soft);
    font-size: 12px;
  }

  .spacer span {
    padding: 0 6px;
    background: var(--sheet);
  }

  .columns {
    display: flex;
    gap: 4px 16px;
    flex-wrap: wrap;
    border-bottom: 1px solid var(--rule);
    font-weight: 600;
    font-size: 13px;
  }

  .silent {
    padding: 2px 0;
    color: var(--ink-soft);
    font-size: 13px;
  }

  .passage {
    color: var(--ink-soft);
    font: italic 14px/1.4 var(--serif);
  }

  .kept {
    display: -webkit-box;
    overflow: hidden;
    line-clamp: 3;
    -webkit-line-clamp: 3;
    white-space: pre-line;
    -webkit-box-orient: vertical;
  }

  .line {
    display: grid;
    grid-template-columns: 78px minmax(0, 1fr);
    align-items: baseline;
    font-size: 14px;
  }

  .lead {
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .more {
    min-height: 24px;
    padding: 0;
    border: 0;
    background: none;
    color: var(--ink);
    font: italic 13px/1.4 var(--serif);
    cursor: pointer;
    text-decoration: underline 1px;
    text-underline-offset: 3px;
  }
</style>
