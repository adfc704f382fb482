<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { shortcuts } from '../app/keys.svelte';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import Slip from '../ui/Slip.svelte';
  import { notify } from '../ui/notices.svelte';
  import { day, dayAndTime } from '../ui/when';
  import SentMessage from '../outbox/SentMessage.svelte';

  /** The history, newest first, and the ways to log a call, a note or a reply. */
  let {
    page,
    onchanged,
    onfollow,
  }: {
    page: Schemas['RecordPage'];
    onchanged: () => void;
    /** Writes the next message of a conversation. */
    onfollow: (id: string, subject: string) => void;
  } = $props();
  const person = $derived(page.kind === 'contact' || page.kind === 'lead');

  type Kind = Schemas['NewEntry']['kind'];
  const titles: Record<Kind, string> = {
    CALL: 'Log a call',
    NOTE: 'Add a note',
    ANSWERED_ELSEWHERE: 'Log a reply',
  };
  const letters: Record<Kind, string> = { CALL: 'c', NOTE: 'n', ANSWERED_ELSEWHERE: 'r' };
  const kinds = $derived<Kind[]>(
    page.kind === 'organisation' ? ['CALL', 'NOTE'] : ['CALL', 'NOTE', 'ANSWERED_ELSEWHERE'],
  );
  const openers = $state<Partial<Record<Kind, HTMLButtonElement>>>({});
  const labels: Record<Kind, string> = {
    CALL: 'About the call',
    NOTE: 'Note',
    ANSWERED_ELSEWHERE: 'Their reply, and how it came',
  };
  let noting = $state<{ kind: Kind; anchor: HTMLElement } | null>(null);
  let words = $state('');
  let minutes = $state('');
  let wrong = $state<Record<string, string>>({});
  let opened = $state<string | null>(null);
  /** What is older than the page's own entries, as far as it has been asked for. */
  let older = $state<Schemas['HistoryEntry'][]>([]);
  let more = $derived(page.moreSaid);

  async function readOlder() {
    const last = older.at(-1) ?? page.said.at(-1);
    if (!last) return;
    try {
      const portion = await ask('get', '/api/records/{kind}/{id}/history', {
        params: { kind: page.kind, id: page.id },
        query: { before: last.at, beforeId: last.id },
      });
      older = [...older, ...portion.said];
      more = portion.more;
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  $effect(() =>
    shortcuts(
      kinds.map((kind) => ({
        key: letters[kind],
        label: titles[kind],
        run: () => openers[kind] && begin(openers[kind], kind),
      })),
    ),
  );

  const said = $derived.by(() => {
    const there = new Set(page.said.map((entry) => entry.id));
    return [...page.said, ...older.filter((entry) => !there.has(entry.id))];
  });

  function begin(anchor: HTMLElement, kind: Kind) {
    noting = { kind, anchor };
    words = '';
    minutes = '';
    wrong = {};
  }

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    const typedMinutes = Number(minutes.trim() || 0);
    if (!Number.isInteger(typedMinutes)) return void (wrong = { minutes: 'Whole minutes, please.' });
    try {
      await ask('post', '/api/records/{kind}/{id}/history', {
        params: { kind: page.kind, id: page.id },
        body: { kind: noting!.kind, minutes: typedMinutes, words },
      });
      noting = null;
      onchanged();
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) wrong = { words: sentence(failure) };
    }
  }

  async function takeBack(entry: Schemas['HistoryEntry']) {
    try {
      await ask('delete', '/api/records/history/{entry}', { params: { entry: entry.id } });
      onchanged();
      notify('The entry is removed.', {
        undo: async () => {
          await ask('post', '/api/records/{kind}/{id}/history', {
            params: { kind: page.kind, id: page.id },
            body: { kind: entry.kind as Kind, minutes: entry.minutes, words: entry.words },
          });
          onchanged();
        },
      });
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  /** An address without what everybody knows of it. */
  function shortened(address: string): string {
    return address.replace(/^https?:\/\//, '').replace(/[?#].*$/, '');
  }

  function what(entry: Schemas['HistoryEntry']): string {
    if (entry.kind === 'CALL') return entry.minutes ? `Call, ${entry.minutes} min` : 'Call';
    return entry.kind === 'NOTE' ? 'Note' : 'Replied elsewhere';
  }
</script>

<header>
  <h2>History</h2>
  <div class="ways">
    {#each kinds as kind (kind)}
      <Button
        quiet
        bind:element={openers[kind]}
        aria-keyshortcuts={letters[kind]}
        onclick={() => begin(openers[kind]!, kind)}>{titles[kind]}</Button
      >
    {/each}
  </div>
</header>
<ol>
  {#each said as entry (entry.id)}
    <li>
      <time datetime={entry.at}>{day(entry.at)}</time>
      <div>
        {#if entry.kind === 'MESSAGE'}
          <button
            class="message"
            aria-expanded={opened === entry.id}
            onclick={() => (opened = opened === entry.id ? null : entry.id)}
          >
            <b>{entry.words}</b>
          </button>
          <span class="soft">
            {entry.template ? `${entry.template} · ` : ''}{entry.by}{page.kind === 'organisation' ||
            page.kind === 'deal'
              ? ` to ${entry.person}`
              : ''}
          </span>
          {#if entry.state === 'WAITING' || entry.state === 'SENDING'}<span class="waits"
              >{entry.plannedFor ? `leaves ${dayAndTime(entry.plannedFor)}` : 'waits in the outbox'}</span
            >{/if}
          {#if entry.state === 'HELD'}<a class="waits" href="/today">held before it left</a>{/if}
          {#if entry.state === 'REFUSED'}<span class="refused">was rejected</span>{/if}
          {#if entry.state === 'NOT_SURE'}<a class="waits" href="/outbox">not sure it went</a>{/if}
          {#if entry.firstWords && opened !== entry.id}<p class="first">{entry.firstWords}</p>{/if}
          {#if entry.openedAt || entry.clicked || entry.unsubscribed}
            <p class="became">
              {[
                entry.openedAt && `opened ${dayAndTime(entry.openedAt)}`,
                entry.clicked && `clicked ${shortened(entry.clicked)}`,
                entry.unsubscribed && 'unsubscribed from mailings',
              ]
                .filter(Boolean)
                .join(' · ')}
            </p>
          {/if}
          {#if opened === entry.id}
            <SentMessage
              id={entry.id}
              onfollow={person ? (subject) => onfollow(entry.id, subject) : undefined}
            />
          {/if}
        {:else}
          <span class:answered={entry.kind === 'ANSWERED_ELSEWHERE'}>{what(entry)}</span>
          <span class="soft"
            >{entry.by}{page.kind === 'organisation' && entry.person ? `, ${entry.person}` : ''}</span
          >
          {#if entry.mine}
            <button class="back" onclick={() => void takeBack(entry)}>remove</button>
          {/if}
          {#if entry.words}<p>{entry.words}</p>{/if}
        {/if}
      </div>
    </li>
  {:else}
    <li class="nothing">No history yet. Write the first message with <kbd>w</kbd>, or log a call.</li>
  {/each}
</ol>
{#if more}
  <p class="soft"><Button quiet onclick={() => void readOlder()}>Show earlier entries</Button></p>
{/if}
{#if noting}
  <Slip
    title={titles[noting.kind]}
    anchor={noting.anchor}
    placement="bottom-end"
    onclose={() => (noting = null)}
  >
    <form onsubmit={keep}>
      {#if noting.kind === 'CALL'}
        <Field label="Minutes" inputmode="numeric" bind:value={minutes} error={wrong.minutes} />
      {/if}
      <Field label={labels[noting.kind]} lines={4} bind:value={words} error={wrong.words} />
      <Button main type="submit">Save</Button>
    </form>
  </Slip>
{/if}

<style>
  header {
    display: flex;
    align-items: baseline;
    justify-content: space-between;
    gap: 10px;
    margin: 6px 0 4px;
  }

  h2 {
    font: 500 15.5px/1.2 var(--serif);
    white-space: nowrap;
  }

  li {
    display: grid;
    grid-template-columns: 76px minmax(0, 1fr);
    padding: 7px 0 8px;
    border-top: 1px solid var(--rule);
    font-size: 13.5px;
  }

  li.nothing {
    display: block;
    color: var(--ink-soft);
  }

  time,
  .soft {
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  p {
    color: var(--ink-soft);
    white-space: pre-line;
    overflow-wrap: anywhere;
  }

  .message {
    padding: 0;
    border: 0;
    background: none;
    color: var(--ink);
    font: inherit;
    text-align: left;
    overflow-wrap: anywhere;
    cursor: pointer;
  }

  .first {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .message:hover b {
    text-decoration: underline;
  }

  .message b {
    font-weight: 600;
  }

  .answered {
    color: var(--good);
    font-weight: 600;
  }

  .became {
    color: var(--good);
    font-size: 12.5px;
  }

  .waits {
    color: var(--query);
  }

  .refused {
    color: var(--stop);
  }

  .back {
    min-height: 24px;
    border: 0;
    background: none;
    color: var(--ink);
    font: inherit;
    font-size: 12.5px;
    cursor: pointer;
    text-decoration: underline 1px;
    text-underline-offset: 3px;
  }

  @media (width <= 700px) {
    header {
      display: block;
    }

    .ways {
      margin-left: -6px;
    }
  }
</style>
