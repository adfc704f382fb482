<script lang="ts">
  import { ask, type Schemas } from '../api/client';
  import { gathered, onChange } from '../app/changes';
  import { recordAddress } from '../app/router';
  import InlineButton from '../ui/InlineButton.svelte';
  import { dayAndTime } from '../ui/when';

  /** Messages that one is writing: to a person or about a deal, or all of them. */
  type Line = Schemas['ShownDraftLine'];
  let {
    kind,
    record,
    onopen,
    title = 'Drafts',
  }: {
    kind?: Schemas['ShownDraftLine']['personKind'];
    record?: string;
    /** Opens one in place; without it each leads to its record. */
    onopen?: (id: string) => void;
    title?: string;
  } = $props();

  const id = $props.id();
  let lines = $state<Line[]>([]);
  /** More than these would push away what stands below. */
  const FIRST = 5;
  let all = $state(false);
  const shown = $derived(all ? lines : lines.slice(0, FIRST));

  async function read() {
    lines = await ask('get', '/api/message-drafts', { query: { kind, record } }).catch(() => lines);
  }

  const changed = gathered(read);
  $effect(() => onChange((change) => (change.what === 'drafts' || change.what === 'hello') && changed()));
  $effect(() => {
    void record;
    void read();
  });

  function address(line: Line): string {
    const at = line.deal ? recordAddress('deal', line.deal) : recordAddress(line.personKind, line.person);
    return `${at}?draft=${line.id}`;
  }
</script>

{#if lines.length}
  <section aria-labelledby={id}>
    <h2 {id}>{title}</h2>
    <ul>
      {#each shown as line (line.id)}
        <li>
          {#if onopen}
            <button onclick={() => onopen(line.id)}>{line.subject || 'Without a subject'}</button>
          {:else}
            <a href={address(line)}>{line.subject || 'Without a subject'}</a>
          {/if}
          <span class="words">{record ? line.firstWords : `to ${line.personName}`}</span>
          <span class="at">{dayAndTime(line.changedAt)}</span>
        </li>
      {/each}
    </ul>
    {#if lines.length > shown.length}
      <InlineButton soft onclick={() => (all = true)}>Show {lines.length - shown.length} more</InlineButton>
    {/if}
  </section>
{/if}

<style>
  section {
    margin-bottom: 14px;
    padding-top: 10px;
  }

  h2 {
    margin-bottom: 4px;
    font: 500 var(--large) / 1.3 var(--serif);
  }

  ul {
    margin: 0;
    padding: 0;
    border-top: 1px solid var(--rule);
    list-style: none;
  }

  li {
    display: grid;
    grid-template-columns: minmax(0, 1.4fr) minmax(0, 2fr) max-content;
    gap: 14px;
    align-items: baseline;
    padding: 5px 0;
    border-bottom: 1px solid var(--rule-soft);
  }

  li > * {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  a,
  button {
    padding: 0;
    border: 0;
    background: none;
    color: var(--ink);
    font: 600 var(--base) / 1.35 var(--sans);
    text-align: left;
    text-decoration: underline 1px;
    text-underline-offset: 3px;
    cursor: pointer;
  }

  .words,
  .at {
    color: var(--ink-soft);
    font-size: 13px;
  }

  @media (width <= 700px) {
    li {
      grid-template-columns: minmax(0, 1fr) max-content;
    }

    .words {
      display: none;
    }
  }
</style>
