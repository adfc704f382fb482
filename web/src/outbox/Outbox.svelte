<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import { onChange } from '../app/changes';
  import { recordAddress } from '../app/router';
  import Button from '../ui/Button.svelte';
  import Page from '../ui/Page.svelte';
  import { notify } from '../ui/notices.svelte';
  import { dayAndTime, time } from '../ui/when';
  import SentMessage from './SentMessage.svelte';

  type Line = Schemas['OutboxLine'];
  let outbox = $state<Schemas['Outbox'] | null>(null);
  let failed = $state('');
  let opened = $state<string | null>(null);

  async function read() {
    try {
      outbox = await ask('get', '/api/outbox');
      failed = '';
    } catch (failure) {
      failed = sentence(failure);
    }
  }

  $effect(() => onChange((change) => (change.what === 'outbox' || change.what === 'hello') && void read()));
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
    if (line.state === 'SENT') return `went ${dayAndTime(line.sentAt ?? line.createdAt)}`;
    if (line.state === 'SENDING') return 'is being handed over';
    if (line.state === 'REFUSED') return 'was refused for good';
    return line.attempts === 0
      ? 'waits'
      : `waits after ${line.attempts} ${line.attempts === 1 ? 'try' : 'tries'}, next at ${time(line.nextAttemptAt ?? line.createdAt)}`;
  }
</script>

<Page title="Outbox" crumb="what waits to go, and what has gone">
  {#snippet foot()}
    <span aria-live="polite"
      >{outbox ? (outbox.waiting ? `${outbox.waiting} waiting` : 'nothing waits') : ''}</span
    >
  {/snippet}
  {#if failed}
    <p class="said" role="alert">{failed} <Button quiet onclick={() => void read()}>Try again</Button></p>
  {:else if outbox?.lines.length === 0}
    <p class="said">Nothing has been sent yet. Open somebody under People and write to them.</p>
  {:else if outbox}
    <ul>
      {#each outbox.lines as line (line.id)}
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
              {#if line.state === 'WAITING'}
                <Button
                  quiet
                  onclick={() =>
                    void act(() => ask('post', '/api/outbox/{id}/try-now', { params: { id: line.id } }))}
                  >Try now</Button
                >
              {/if}
              {#if line.state === 'WAITING' || line.state === 'REFUSED'}
                <Button
                  quiet
                  danger
                  onclick={() =>
                    void act(() => ask('delete', '/api/outbox/{id}', { params: { id: line.id } }))}
                  >Discard</Button
                >
              {/if}
            </span>
          </div>
          {#if line.lastAnswer && line.state !== 'SENT'}<p class="answer">{line.lastAnswer}</p>{/if}
          {#if opened === line.id}<SentMessage id={line.id} />{/if}
        </li>
      {/each}
    </ul>
  {/if}
</Page>

<style>
  .said {
    padding: 24px 20px;
    color: var(--ink-soft);
  }

  li {
    padding: 6px 20px;
    border-bottom: 1px solid var(--rule-soft);
  }

  .line {
    display: grid;
    grid-template-columns: minmax(0, 2fr) minmax(0, 1.4fr) 110px minmax(0, 1.5fr) 140px;
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

  .waiting,
  .sending,
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
