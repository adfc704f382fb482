<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import { gathered, onChange } from '../app/changes';
  import { recordAddress } from '../app/router';
  import Button from '../ui/Button.svelte';
  import Page from '../ui/Page.svelte';
  import { notify } from '../ui/notices.svelte';
  import { dayAndTime, time } from '../ui/when';
  import SentMessage from './SentMessage.svelte';

  type Line = Schemas['OutboxLine'];
  let outbox = $state<Schemas['Outbox'] | null>(null);
  let failed = $state('');
  /** What is shown of the messages before those of the first page. */
  let older = $state<Line[]>([]);
  let more = $state(false);
  let opened = $state<string | null>(null);
  let asked = $state<string | null>(null);

  async function read() {
    try {
      const now = await ask('get', '/api/outbox');
      // What was on the first page and is pushed off it stays to be seen where older ones are.
      if (older.length && outbox) older = [...outbox.lines, ...older].filter(notIn(now.lines));
      else more = now.more;
      outbox = now;
      failed = '';
    } catch (failure) {
      failed = sentence(failure);
    }
  }

  const settled = (line: Line) => line.state === 'SENT' || line.state === 'CANCELLED';
  function notIn(lines: Line[]): (line: Line) => boolean {
    const there = new Set(lines.map((line) => line.id));
    return (line) => settled(line) && !there.has(line.id);
  }

  async function readOlder() {
    const last = [...(outbox?.lines ?? []), ...older].filter(settled).at(-1);
    if (!last) return;
    try {
      const page = await ask('get', '/api/outbox', { query: { before: last.id } });
      older = [...older, ...page.lines];
      more = page.more;
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  const changed = gathered(read);
  $effect(() => onChange((change) => (change.what === 'outbox' || change.what === 'hello') && changed()));
  void read();

  async function act(how: () => Promise<unknown>) {
    try {
      await how();
      await read();
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  function where(line: Line): string {
    if (line.state === 'SENT') return `sent ${dayAndTime(line.sentAt ?? line.createdAt)}`;
    if (line.state === 'SENDING') return 'is being sent';
    if (line.state === 'NOT_SURE') return 'not sure it went';
    if (line.state === 'REFUSED') return 'was rejected';
    if (line.state === 'CANCELLED') return 'was cancelled';
    return line.attempts === 0
      ? 'waits'
      : `waits after ${line.attempts} ${line.attempts === 1 ? 'try' : 'tries'}, next at ${time(line.nextAttemptAt ?? line.createdAt)}`;
  }
</script>

<Page title="Outbox" crumb="waiting, sent and rejected messages">
  {#snippet foot()}
    <span aria-live="polite"
      >{outbox
        ? (outbox.waiting ? `${outbox.waiting} waiting` : 'nothing waits') +
          (outbox.notSure ? ` · ${outbox.notSure} not sure` : '')
        : ''}</span
    >
  {/snippet}
  {#if failed}
    <p class="said" role="alert">{failed} <Button quiet onclick={() => void read()}>Try again</Button></p>
  {:else if outbox?.lines.length === 0}
    <p class="said">Nothing has been sent yet. Open somebody under People and write to them.</p>
  {:else if outbox}
    <ul>
      {#each [...outbox.lines, ...older] as line (line.id)}
        <li>
          <div class="line">
            <button
              class="subject"
              aria-expanded={opened === line.id}
              onclick={() => (opened = opened === line.id ? null : line.id)}>{line.subject}</button
            >
            <a href={recordAddress(line.personKind, line.personId)}>{line.toAddress}</a>
            <span class="soft">{line.test ? 'test by ' : ''}{line.senderName}</span>
            <span class={line.state.toLowerCase()}>{where(line)}</span>
            <span class="ways">
              {#if line.mayHandle && line.state === 'WAITING'}
                <Button
                  quiet
                  onclick={() =>
                    void act(() => ask('post', '/api/outbox/{id}/try-now', { params: { id: line.id } }))}
                  >Try now</Button
                >
              {/if}
              {#if line.mayHandle && line.state === 'NOT_SURE'}
                <Button
                  quiet
                  aria-expanded={asked === line.id}
                  onclick={() => (asked = asked === line.id ? null : line.id)}>Send again…</Button
                >
                <Button
                  quiet
                  onclick={() =>
                    void act(() => ask('post', '/api/outbox/{id}/arrived', { params: { id: line.id } }))}
                  >It arrived</Button
                >
              {/if}
              {#if line.mayHandle && (line.state === 'WAITING' || line.state === 'REFUSED')}
                <Button
                  quiet
                  danger
                  onclick={() =>
                    void act(() => ask('delete', '/api/outbox/{id}', { params: { id: line.id } }))}
                  >{line.state === 'REFUSED' ? 'Dismiss' : 'Cancel message'}</Button
                >
              {/if}
            </span>
          </div>
          {#if line.lastAnswer && line.state !== 'SENT' && line.state !== 'CANCELLED'}
            <p class="answer">{line.lastAnswer}</p>
          {/if}
          {#if line.state === 'NOT_SURE' && asked === line.id}
            <p class="ask">
              {line.toAddress} may get this message twice: the mail server may have taken it already. Ask them,
              or look at your mailbox’s copies, if that matters.
              <Button
                onclick={() =>
                  void act(() => ask('post', '/api/outbox/{id}/send-again', { params: { id: line.id } }))}
                >Send again</Button
              >
              <Button quiet onclick={() => (asked = null)}>Cancel</Button>
            </p>
          {/if}
          {#if opened === line.id}<SentMessage id={line.id} />{/if}
        </li>
      {/each}
    </ul>
    {#if more}
      <p class="more"><Button quiet onclick={() => void readOlder()}>Show older messages</Button></p>
    {/if}
  {/if}
</Page>

<style>
  .said {
    padding: 24px 20px;
    color: var(--ink-soft);
  }

  .more {
    padding: 10px 20px;
  }

  li {
    padding: 6px 20px;
    border-bottom: 1px solid var(--rule-soft);
  }

  .line {
    display: grid;
    grid-template-columns: minmax(0, 2fr) minmax(0, 1.4fr) 110px minmax(0, 1.2fr) 190px;
    gap: 16px;
    align-items: center;
    min-height: 24px;
  }

  .line > * {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .subject {
    padding: 0;
    border: 0;
    background: none;
    color: var(--ink);
    font: 600 var(--base) / 1.4 var(--sans);
    text-align: left;
    cursor: pointer;
  }

  a {
    color: var(--ink-soft);
  }

  .soft,
  .sent {
    color: var(--ink-soft);
  }

  .cancelled {
    color: var(--ink-soft);
  }

  .ask {
    padding: 4px 0 6px;
  }

  .waiting,
  .sending,
  .not_sure,
  .answer {
    color: var(--query);
  }

  .refused {
    color: var(--stop);
  }

  .ways {
    text-align: right;
  }

  @media (width <= 700px) {
    .line {
      grid-template-columns: minmax(0, 1fr);
      gap: 2px;
    }

    .ways {
      text-align: left;
    }
  }
</style>
