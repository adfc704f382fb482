<script lang="ts">
  import type { Schemas } from '../api/client';

  /** Margin notes, each level with the line it is about; where two would meet, the lower one gives way. */
  let {
    notes,
    topOf,
    layout,
    onopen,
    onremedy,
    onfix,
  }: {
    notes: Schemas['ShownNote'][];
    topOf: (note: Schemas['ShownNote']) => number;
    /** Changes when the lines may have moved. */
    layout: number;
    onopen: (note: Schemas['ShownNote']) => void;
    onremedy: (note: Schemas['ShownNote'], name: string) => void;
    /** Mends it in the one obvious way. */
    onfix: (note: Schemas['ShownNote'], fix: Schemas['ShownFix']) => void;
  } = $props();

  const between = 10;
  let gutter = $state<HTMLElement>();
  let tops = $state<number[]>([]);

  $effect(() => {
    void layout;
    if (!gutter) return;
    const start = gutter.getBoundingClientRect().top;
    let free = 8;
    const heights = [...gutter.querySelectorAll<HTMLElement>('.note')].map((one) => one.offsetHeight);
    tops = notes.map((note, i) => {
      const top = Math.max(topOf(note) - start, free);
      free = top + (heights[i] ?? 60) + between;
      return top;
    });
  });
</script>

<aside class="gutter" aria-label="Margin notes" bind:this={gutter}>
  {#each notes as note, i (`${note.code} ${note.part} ${note.start} ${note.title}`)}
    <div class="note {note.level.toLowerCase()}" style:top="{tops[i] ?? 0}px">
      <button class="title" onclick={() => onopen(note)}
        ><span class="unseen">{note.level === 'STOP' ? 'Stop: ' : 'Query: '}</span>{note.title}</button
      >
      <span>{note.remedy}</span>
      {#if note.fix}
        {@const fix = note.fix}
        <span class="nearest"><button onclick={() => onfix(note, fix)}>{fix.label}</button></span>
      {/if}
      {#if note.nearest.length}
        <span class="nearest">
          {#each note.nearest as name (name)}<button onclick={() => onremedy(note, name)}>{name}</button>
          {/each}
        </span>
      {/if}
    </div>
  {/each}
</aside>

<style>
  .gutter {
    position: relative;
    border-right: 1px solid var(--rule-soft);
    border-left: 1px solid var(--rule-soft);
    font-size: 12.5px;
    line-height: 1.35;
  }

  .note {
    position: absolute;
    right: 10px;
    left: 0;
    padding: 2px 0 2px 12px;
    border-left: 3px solid;
    overflow-wrap: anywhere;
  }

  .note.stop {
    border-color: var(--stop);
  }

  .note.query {
    border-color: var(--query);
  }

  button {
    min-height: 24px;
    padding: 0;
    border: 0;
    background: none;
    color: var(--act);
    font: inherit;
    text-align: left;
    overflow-wrap: anywhere;
    cursor: pointer;
  }

  .title {
    display: block;
    font-weight: 600;
  }

  .stop .title {
    color: var(--stop);
  }

  .query .title {
    color: var(--query);
  }

  .nearest {
    display: flex;
    flex-direction: column;
    gap: 2px;
    margin-top: 2px;
  }
</style>
