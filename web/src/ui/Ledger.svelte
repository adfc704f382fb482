<script lang="ts">
  import { tick, untrack, type Snippet } from 'svelte';

  /**
   * A list of any length, one line a record: sorted by pressing a column's name, read a window at a time while one
   * scrolls, walked with the arrow keys.
   */
  interface Column {
    name: string;
    label: string;
    figures: boolean;
    /** Whether the list can be sorted by it. */
    sorts: boolean;
  }
  interface Line {
    id: string;
    cells: string[];
  }
  interface Window {
    total: number;
    columns: Column[];
    lines: Line[];
  }

  /** Which lines are chosen. */
  interface Choosing {
    all: boolean;
    has: (id: string) => boolean;
    toggle: (id: string, at: number) => void;
    upTo: (at: number, lineAt: (at: number) => string | undefined) => void;
    chooseAll: () => void;
    none: () => void;
    number: (total: number) => number;
  }

  let {
    label,
    address,
    load,
    onread,
    reload,
    sort,
    descending,
    onsort,
    known = null,
    chosen = null,
    empty,
  }: {
    label: string;
    address: (id: string) => string;
    load: (from: number, most: number) => Promise<Window>;
    /** Told when the first lines are there. */
    onread?: () => void;
    /** Changes whenever the lines have to be read anew from the start. */
    reload: string;
    sort: string;
    descending: boolean;
    onsort: (column: string, descending: boolean) => void;
    /** How many lines there are, once it is known better than from a window. */
    known?: number | null;
    chosen?: Choosing | null;
    /** Stands in the place of the lines when there are none. */
    empty?: Snippet;
  } = $props();

  const height = 33;
  const chunk = 50;
  let total = $state(-1);
  let columns = $state<Column[]>([]);
  let lines = $state<Record<number, Line>>({});
  let failed = $state('');
  let slow = $state(false);
  let body = $state<HTMLElement>();
  let top = $state(0);
  let viewport = $state(600);
  let run = 0;
  /** The run whose lines are shown. */
  let filled = 0;
  const asked = new Set<number>();

  const first = $derived(Math.max(0, Math.floor(top / height) - 8));
  const last = $derived(Math.min(total, Math.ceil((top + viewport) / height) + 8));
  const shown = $derived(Array.from({ length: Math.max(0, last - first) }, (_, i) => first + i));

  async function read(part: number, mine: number) {
    if (asked.has(part)) return;
    asked.add(part);
    const late = setTimeout(() => (slow = true), 300);
    try {
      const window = await load(part * chunk, chunk);
      if (mine !== run) return;
      // What was there stays to be read until something else is.
      if (filled !== mine) {
        lines = {};
        filled = mine;
      }
      total = window.total;
      columns = window.columns;
      window.lines.forEach((line, i) => (lines[part * chunk + i] = line));
      failed = '';
      if (part === 0 && onread) void tick().then(onread);
    } catch (failure) {
      if (mine === run) failed = failure instanceof Error ? failure.message : '';
      asked.delete(part);
    } finally {
      clearTimeout(late);
      slow = false;
    }
  }

  $effect(() => {
    void reload;
    run++;
    asked.clear();
    if (body) body.scrollTop = 0;
    top = 0;
    void read(0, run);
  });

  $effect(() => {
    if (known !== null && untrack(() => total) > 0) total = known;
  });

  /** While the bar is dragged over many lines nothing is asked for; what is in sight once it rests is. */
  const rest = 60;
  let resting: ReturnType<typeof setTimeout>;
  let before = 0;

  $effect(() => {
    if (total < 0) return;
    const from = Math.floor(first / chunk);
    const to = Math.floor(Math.max(0, last - 1) / chunk);
    const far = Math.abs(first - before) > chunk;
    before = first;
    clearTimeout(resting);
    const readSeen = () => {
      for (let part = from; part <= to; part++) void read(part, run);
    };
    if (far) resting = setTimeout(readSeen, rest);
    else readSeen();
  });

  function onkeydown(event: KeyboardEvent) {
    const steps: Record<string, number> = { ArrowDown: 1, ArrowUp: -1 };
    const step = steps[event.key];
    const at = (document.activeElement as HTMLElement | null)?.closest<HTMLElement>('[data-at]');
    if (event.key === ' ' && at && chosen) {
      const line = lines[Number(at.dataset.at)];
      if (!line) return;
      event.preventDefault();
      choose(line.id, Number(at.dataset.at), event.shiftKey);
      return;
    }
    if (!step || !at || !body) return;
    event.preventDefault();
    const next = Number(at.dataset.at) + step;
    if (next < 0 || next >= total) return;
    const edge = next * height;
    if (edge < body.scrollTop) body.scrollTop = edge;
    if (edge + height > body.scrollTop + viewport) body.scrollTop = edge + height - viewport;
    // A key that is held down comes quicker than a line that is not drawn yet.
    const link = () => body?.querySelector<HTMLElement>(`[data-at="${next}"] a`);
    if (link()) link()?.focus();
    else requestAnimationFrame(() => link()?.focus());
  }

  function choose(id: string, at: number, upTo: boolean) {
    if (upTo) chosen?.upTo(at, (one) => lines[one]?.id);
    else chosen?.toggle(id, at);
  }

  const some = $derived(chosen ? chosen.number(Math.max(0, total)) : 0);
</script>

<div class="ledger" class:choosing={chosen} style:--columns={columns.length}>
  {#if failed}
    <p class="said" role="alert">{failed} Sort or search to try again.</p>
  {:else if total === 0}
    <p class="said">
      {#if empty}{@render empty()}{:else}Nothing matches.{/if}
    </p>
  {:else}
    <!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
    <div
      class="body"
      role="table"
      aria-label={label}
      aria-rowcount={total + 1}
      tabindex="-1"
      bind:this={body}
      bind:clientHeight={viewport}
      onscroll={() => (top = body?.scrollTop ?? 0)}
      {onkeydown}
    >
      <div class="line head" role="row" aria-rowindex={1}>
        {#if chosen}
          <div role="columnheader" class="box">
            <label>
              <input
                type="checkbox"
                aria-label="All {label}"
                checked={some > 0 && some >= total}
                indeterminate={some > 0 && some < total}
                onclick={() => (some > 0 ? chosen.none() : chosen.chooseAll())}
              />
            </label>
          </div>
        {/if}
        {#each columns as column (column.name)}
          <div
            role="columnheader"
            class:figures={column.figures}
            aria-sort={(sort || columns[0].name) === column.name
              ? descending
                ? 'descending'
                : 'ascending'
              : undefined}
          >
            <button
              disabled={!column.sorts}
              onclick={() =>
                onsort(column.name, (sort || columns[0].name) === column.name ? !descending : false)}
            >
              {column.label}<span class="way" aria-hidden="true"
                >{(sort || columns[0].name) === column.name ? (descending ? ' ↓' : ' ↑') : ''}</span
              >
            </button>
          </div>
        {/each}
      </div>
      <div class="tall" style:height="{Math.max(total, 0) * height}px" role="rowgroup">
        {#each shown as at (at)}
          {@const line = lines[at]}
          <div
            class="line"
            class:chosen={line && chosen?.has(line.id)}
            role="row"
            aria-rowindex={at + 2}
            aria-selected={chosen && line ? chosen.has(line.id) : undefined}
            data-at={at}
            style:transform="translateY({at * height}px)"
          >
            {#if line}
              {#if chosen}
                <div role="cell" class="box">
                  <label>
                    <input
                      type="checkbox"
                      tabindex="-1"
                      aria-label="Choose {line.cells[0] || 'no name'}"
                      checked={chosen.has(line.id)}
                      onclick={(event) => choose(line.id, at, event.shiftKey)}
                    />
                  </label>
                </div>
              {/if}
              {#each line.cells as cell, i (i)}
                <div role="cell" class:figures={columns[i]?.figures} class:name={i === 0}>
                  {#if i === 0}
                    <a href={address(line.id)}><bdi>{cell || 'no name'}</bdi></a>
                  {:else}
                    <bdi>{cell}</bdi>
                  {/if}
                </div>
              {/each}
            {:else}
              <div role="cell" class="soft">…</div>
            {/if}
          </div>
        {/each}
      </div>
    </div>
    {#if slow}<p class="reading" role="status">reading …</p>{/if}
  {/if}
</div>

<style>
  .ledger {
    position: relative;
    height: 100%;
  }

  .body {
    height: 100%;
    overflow: auto;
    outline: none;
  }

  .tall {
    position: relative;
  }

  .line {
    display: grid;
    grid-template-columns: minmax(180px, 1.5fr) repeat(calc(var(--columns) - 1), minmax(90px, 1fr));
    gap: 18px;
    align-items: center;
    height: 33px;
    padding: 0 20px;
    border-bottom: 1px solid var(--rule-soft);
  }

  .choosing .line {
    grid-template-columns: 20px minmax(180px, 1.5fr) repeat(calc(var(--columns) - 1), minmax(90px, 1fr));
  }

  .tall .line.chosen {
    background: var(--chosen);
  }

  .line > .box {
    z-index: 1;
    overflow: visible;
    line-height: 0;
  }

  .box input {
    width: 16px;
    height: 16px;
    margin: 0;
    accent-color: var(--ink);
  }

  /* All the way to the edge of the line a press is meant for the box. */
  .box label {
    display: block;
    margin: -8px -9px -8px -20px;
    padding: 8px 9px 8px 20px;
    cursor: pointer;
  }

  .tall .line {
    position: absolute;
    top: 0;
    right: 0;
    left: 0;
  }

  .tall .line:hover,
  .tall .line:focus-within {
    background: var(--chosen);
  }

  .head {
    position: sticky;
    top: 0;
    z-index: 1;
    border-bottom: 1px solid var(--rule);
    background: var(--paper);
  }

  .line > div {
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    color: var(--ink-soft);
  }

  .line > .name {
    overflow: visible;
  }

  .figures {
    text-align: right;
  }

  .line a {
    display: block;
    overflow: hidden;
    color: var(--ink);
    font-weight: 600;
    text-decoration: none;
    text-overflow: ellipsis;
  }

  .line a::after {
    position: absolute;
    inset: 0;
    content: '';
  }

  .line a:focus-visible {
    outline-offset: -2px;
  }

  button:disabled {
    cursor: default;
  }

  button {
    padding: 6px 0;
    border: 0;
    background: none;
    color: var(--ink-soft);
    font: 500 12.5px/1 var(--sans);
    cursor: pointer;
  }

  .said {
    padding: 24px 20px;
    color: var(--ink-soft);
  }

  .reading {
    position: absolute;
    right: 20px;
    bottom: 8px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  @media (width <= 700px) {
    .line {
      grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr);
      gap: 10px;
      padding: 0 14px;
    }

    .choosing .line {
      grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr);
    }

    /* What is done with chosen lines needs more room than there is. */
    .line > .box {
      display: none;
    }

    .ledger:not(.choosing) .line > div:nth-child(n + 3),
    .choosing .line > div:nth-child(n + 4) {
      display: none;
    }
  }
</style>
