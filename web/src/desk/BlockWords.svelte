<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Schemas } from '../api/client';
  import { paragraphKind, slotLabel } from './designWords';

  /** The words of a design, block by block; a block's number is its handle. */
  type Slot = Schemas['ShownSlot'];
  let {
    blocks,
    design,
    text,
  }: {
    blocks: Schemas['ShownBlock'][];
    design: string;
    /** One string of it to write in. */
    text: Snippet<[Slot, string]>;
  } = $props();

  const silent: Record<string, string> = {
    signature: 'the sender’s signature, from their profile',
    divider: 'a rule',
    spacer: 'room',
  };

  /** The strings of a block in lines: the runs of a paragraph share one. */
  function linesOf(slots: Slot[]): Slot[][] {
    const all: Slot[][] = [];
    for (const slot of slots) {
      const paragraph = /\/(\d+)\.\d+$/.exec(slot.key)?.[1];
      const before = all.at(-1)?.[0];
      if (paragraph && before && /\/(\d+)\.\d+$/.exec(before.key)?.[1] === paragraph) all.at(-1)!.push(slot);
      else all.push([slot]);
    }
    return all;
  }

  /** Which item of its list a line is. */
  function numberOf(lines: Slot[][], at: number): number {
    let number = 1;
    for (let i = at - 1; i >= 0 && paragraphKind(design, lines[i][0].key) === 'numbered'; i--) number++;
    return number;
  }

  /** What stands before a string that is not running text. */
  function lead(slot: Slot, kind: string): string {
    const words = slotLabel(slot.key, kind).split(': ')[1];
    if (words) return words === 'address' ? 'leads to' : words;
    if (kind === 'item table') return 'without lines';
    if (/\/fact\d+$/.test(slot.key)) return kind === 'record card' ? 'line' : 'link';
    return kind === 'text' || kind === 'pairing' ? '' : kind;
  }
</script>

<ol>
  {#each blocks as block, at (block.id)}
    {@const lines = linesOf(block.slots)}
    <li>
      <span class="number" title={block.kind}>{at + 1}</span>
      <div>
        {#if block.shownWhen}<p class="when">shown when {block.shownWhen}</p>{/if}
        {#if block.kind === 'item table'}<p class="silent">the lines of the deal</p>{/if}
        {#each lines as line, i (line[0].key)}
          {@const kind = paragraphKind(design, line[0].key)}
          {@const before = lead(line[0], block.kind)}
          <div class="string {kind}" class:aside={before !== ''}>
            {#if before}<span class="lead">{before}</span>{/if}
            {#if kind === 'bullet'}<span aria-hidden="true">•</span>{/if}
            {#if kind === 'numbered'}<span aria-hidden="true">{numberOf(lines, i)}.</span>{/if}
            <div class="texts" class:several={line.length > 1}>
              {#each line as slot (slot.key)}
                {@render text(slot, `Block ${at + 1}, ${slotLabel(slot.key, block.kind)}`)}
              {/each}
            </div>
          </div>
        {:else}
          <p class="silent">{silent[block.kind] ?? block.kind}</p>
        {/each}
      </div>
    </li>
  {/each}
</ol>

<style>
  ol {
    margin: 0;
    padding: 0;
    list-style: none;
  }

  li {
    display: grid;
    grid-template-columns: 26px minmax(0, 1fr);
    padding: 6px 0;
    border-bottom: 1px solid var(--rule-soft);
  }

  li:last-child {
    border: 0;
  }

  .number {
    padding-top: 4px;
    color: var(--ink-soft);
    font: 500 13px/1.4 var(--serif);
  }

  .when,
  .silent {
    padding-top: 3px;
    color: var(--ink-soft);
    font-size: 13px;
  }

  .when {
    font-style: italic;
  }

  .string {
    display: flex;
    gap: 8px;
    align-items: baseline;
    padding: 2px 0;
  }

  .texts {
    flex: 1;
    min-width: 0;
  }

  .several {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
  }

  .several > :global(*) {
    max-width: 100%;
  }

  .lead {
    flex: none;
    width: 80px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .aside .texts {
    font-size: 14px;
  }

  .heading-1 .texts {
    font: 600 20px/1.3 var(--serif);
  }

  .heading-2 .texts {
    font: 600 17px/1.3 var(--serif);
  }

  .heading-3 .texts {
    font-weight: 600;
  }

  .quote .texts {
    padding-left: 10px;
    border-left: 2px solid var(--rule);
  }
</style>
