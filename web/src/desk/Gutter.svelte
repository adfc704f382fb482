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
    onwave,
    onread,
  }: {
    notes: Schemas['ShownNote'][];
    topOf: (note: Schemas['ShownNote']) => number;
    /** Changes when the lines may have moved. */
    layout: number;
    onopen: (note: Schemas['ShownNote']) => void;
    onremedy: (note: Schemas['ShownNote'], name: string) => void;
    /** Mends it in the one obvious way. */
    onfix: (note: Schemas['ShownNote'], fix: Schemas['ShownFix']) => void;
    /** Lets a query pass for a reason, or has it asked again; nothing for those who may not. */
    onwave?: (note: Schemas['ShownNote'], reason: string | null) => void;
    /** Shows the message that was sent before and that a note is about. */
    onread?: (message: string, anchor: HTMLElement) => void;
  } = $props();

  /** The query that is being let pass. */
  let waving = $state<string | null>(null);
  let reason = $state('');
  /** More than one looks through; of very many the gravest are shown. */
  const MOST = 60;
  const all = $derived(notes.filter((note) => !note.waved));
  const open = $derived(all.length <= MOST ? all : gravest());
  const more = $derived(all.length - open.length);

  function gravest(): Schemas['ShownNote'][] {
    const chosen = new Set(
      [...all].sort((a, b) => Number(b.level === 'STOP') - Number(a.level === 'STOP')).slice(0, MOST),
    );
    return all.filter((note) => chosen.has(note));
  }

  const passed = $derived(notes.filter((note) => note.waved));

  function name(note: Schemas['ShownNote']): string {
    return `${note.code} ${note.part} ${note.start} ${note.title}`;
  }

  const between = 10;
  let gutter = $state<HTMLElement>();
  let tops = $state<number[]>([]);

  $effect(() => {
    void layout;
    void waving;
    const [margin, shown] = [gutter, open];
    if (!margin || !shown.length) return;
    // Just before all is drawn: whoever measures while the page still changes has it laid out twice.
    const frame = requestAnimationFrame(() => {
      const start = margin.getBoundingClientRect().top;
      let free = 8;
      const heights = [...margin.querySelectorAll<HTMLElement>('.note')].map((one) => one.offsetHeight);
      tops = shown.map((note, i) => {
        const top = Math.max(topOf(note) - start, free);
        free = top + (heights[i] ?? 60) + between;
        return top;
      });
    });
    return () => cancelAnimationFrame(frame);
  });
</script>

<section class="gutter" aria-label="Notes" bind:this={gutter}>
  {#if !notes.length}<p class="hint">Problems appear here, beside the line they are about.</p>{/if}
  {#each open as note, i (name(note))}
    <div class="note {note.level.toLowerCase()}" style:top="{tops[i] ?? 0}px">
      <button class="title" onclick={() => onopen(note)}
        ><span class="unseen">{note.level === 'STOP' ? 'Must fix: ' : 'To check: '}</span>{note.title}</button
      >
      <span>{note.remedy}</span>
      {#if note.fix}
        {@const fix = note.fix}
        <span class="nearest"><button onclick={() => onfix(note, fix)}>{fix.label}</button></span>
      {/if}
      {#if note.message && onread}
        {@const message = note.message}
        <span class="nearest"
          ><button onclick={(event) => onread(message, event.currentTarget)}>Read that message</button></span
        >
      {/if}
      {#if note.nearest.length}
        <span class="nearest">
          {#each note.nearest as name (name)}<button onclick={() => onremedy(note, name)}>{name}</button>
          {/each}
        </span>
      {/if}
      {#if onwave && note.level === 'QUERY'}
        {#if waving === name(note)}
          <form
            onsubmit={(event) => {
              event.preventDefault();
              waving = null;
              onwave(note, reason);
            }}
          >
            <!-- svelte-ignore a11y_autofocus -->
            <input
              aria-label="Why it can be ignored"
              placeholder="why?"
              required
              maxlength="200"
              autofocus
              bind:value={reason}
              onkeydown={(event) => event.key === 'Escape' && (waving = null)}
            />
          </form>
        {:else}
          <button
            class="wave"
            onclick={() => {
              reason = '';
              waving = name(note);
            }}>Ignore</button
          >
        {/if}
      {/if}
    </div>
  {/each}
  {#if more}<p class="more">and {more} more; those that stop the message come first</p>{/if}
  {#if passed.length}
    <details>
      <summary>{passed.length} ignored</summary>
      {#each passed as note (name(note))}
        <p>
          {note.title}: “{note.waved?.reason}”, {note.waved?.by}
          {#if onwave}<button onclick={() => onwave(note, null)}>check again</button>{/if}
        </p>
      {/each}
    </details>
  {/if}
</section>

<style>
  .hint {
    padding: 18px 10px;
    color: var(--ink-soft);
  }

  .gutter {
    position: relative;
    border-right: 1px solid var(--gutter-rule, var(--rule-soft));
    border-left: 1px solid var(--gutter-rule, var(--rule-soft));
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
    color: var(--ink);
    font: inherit;
    text-align: left;
    overflow-wrap: anywhere;
    cursor: pointer;
    text-decoration: underline 1px;
    text-underline-offset: 3px;
  }

  .wave {
    display: block;
    color: var(--ink-soft);
  }

  form {
    margin-top: 3px;
  }

  input {
    width: 100%;
    padding: 3px 6px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: 12.5px/1.3 var(--sans);
  }

  .more {
    padding: 4px 8px;
    color: var(--ink-soft);
  }

  details {
    position: sticky;
    top: calc(100% - 34px);
    padding: 4px 8px;
    border-top: 1px solid var(--rule-soft);
    background: var(--paper);
    color: var(--ink-soft);
  }

  details[open] {
    top: auto;
    bottom: 0;
  }

  /* On a phone notes follow the words they are about. */
  @media (width <= 700px) {
    .gutter {
      border: 0;
    }

    .note,
    details {
      position: static;
      margin: 8px 0;
    }
  }

  .title {
    text-decoration: none;
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
