<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { go, recordAddress } from '../app/router';
  import HourSlip from '../messages/HourSlip.svelte';
  import Button from '../ui/Button.svelte';
  import { notify } from '../ui/notices.svelte';
  import { dayAndTime, time } from '../ui/when';
  import SentMessage from './SentMessage.svelte';

  /** A message on its way or gone, and what can be done about it. */
  type Line = Schemas['OutboxLine'];
  let { line, onacted }: { line: Line; onacted: () => Promise<void> } = $props();

  let opened = $state(false);
  let asked = $state(false);
  let moving = $state<HTMLElement | null>(null);
  /** Whether it waits for an hour that was chosen, rather than for somebody to think again. */
  const planned = $derived(line.state === 'WAITING' && line.attempts === 0 && !!line.plannedFor);
  const held = $derived(line.state === 'HELD');

  async function act(how: () => Promise<unknown>) {
    try {
      await how();
      await onacted();
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  /** Takes it back whole, to be written on where it was written. */
  async function writeOn() {
    const { draft } = await ask('post', '/api/outbox/{id}/take-back', { params: { id: line.id } });
    if (draft) go(recordAddress(line.personKind, line.personId), { search: `?draft=${draft}` });
  }

  /** Has it leave at another hour; says what is wrong with that. */
  async function move(hour: Schemas['Hour'] | null): Promise<string> {
    try {
      await ask('put', '/api/outbox/{id}/hour', { params: { id: line.id }, body: { hour: hour! } });
      await onacted();
      return '';
    } catch (failure) {
      return fieldsOf(failure).hour ?? sentence(failure);
    }
  }

  function where(): string {
    if (line.state === 'SENT') return `sent ${dayAndTime(line.sentAt ?? line.createdAt)}`;
    if (line.state === 'SENDING') return 'is being sent';
    if (line.state === 'NOT_SURE') return 'not sure it went';
    if (line.state === 'REFUSED') return 'was rejected';
    if (line.state === 'CANCELLED') return 'was cancelled';
    if (line.state === 'HELD') return 'held: look at it';
    return line.attempts === 0
      ? `leaves ${line.plannedFor ? dayAndTime(line.plannedFor) : `at ${time(line.nextAttemptAt ?? line.createdAt)}`}`
      : `waits after ${line.attempts} ${line.attempts === 1 ? 'try' : 'tries'}, next at ${time(line.nextAttemptAt ?? line.createdAt)}`;
  }
</script>

<li>
  <div class="line">
    <button class="subject" aria-expanded={opened} onclick={() => (opened = !opened)}>{line.subject}</button>
    <a href={recordAddress(line.personKind, line.personId)}
      >{line.toAddress}{line.others ? ` and ${line.others} more` : ''}</a
    >
    <span class="soft">{line.test ? 'test by ' : ''}{line.senderName}</span>
    <span class={line.state.toLowerCase()}>{where()}</span>
    <span class="ways">
      {#if line.mayHandle && line.state === 'WAITING'}
        <Button
          quiet
          onclick={() => void act(() => ask('post', '/api/outbox/{id}/try-now', { params: { id: line.id } }))}
          >{line.attempts ? 'Try now' : 'Send now'}</Button
        >
      {/if}
      {#if line.mayHandle && line.state === 'NOT_SURE'}
        <Button quiet aria-expanded={asked} onclick={() => (asked = !asked)}>Send again…</Button>
        <Button
          quiet
          onclick={() => void act(() => ask('post', '/api/outbox/{id}/arrived', { params: { id: line.id } }))}
          >It arrived</Button
        >
      {/if}
      {#if line.mayHandle && held}
        <Button
          quiet
          onclick={() =>
            void act(() => ask('post', '/api/outbox/{id}/as-it-is', { params: { id: line.id } }))}
          >Send as it is</Button
        >
      {/if}
      {#if line.mayHandle && planned}
        <Button
          quiet
          aria-expanded={!!moving}
          onclick={(event) => (moving = moving ? null : event.currentTarget)}>Move…</Button
        >
      {/if}
      {#if line.mayHandle && (held || (line.state === 'WAITING' && line.attempts === 0))}
        <Button quiet onclick={() => void act(writeOn)}>{planned || held ? 'Open' : 'Take back'}</Button>
      {/if}
      {#if line.mayHandle && (line.state === 'REFUSED' || held || planned || (line.state === 'WAITING' && line.attempts > 0))}
        <Button
          quiet
          onclick={() => void act(() => ask('delete', '/api/outbox/{id}', { params: { id: line.id } }))}
          >{line.state === 'REFUSED' ? 'Dismiss' : planned || held ? 'Cancel' : 'Cancel message'}</Button
        >
      {/if}
    </span>
  </div>
  {#if held}<p class="answer">{line.heldWhy}</p>{/if}
  {#if line.lastAnswer && line.state !== 'SENT' && line.state !== 'CANCELLED'}
    <p class="answer">{line.lastAnswer}</p>
  {/if}
  {#if line.state === 'NOT_SURE' && asked}
    <p class="ask">
      {line.toAddress} may get this message twice: the mail server may have taken it already. Ask them, or look
      at your mailbox’s copies, if that matters.
      <Button
        onclick={() =>
          void act(() => ask('post', '/api/outbox/{id}/send-again', { params: { id: line.id } }))}
        >Send again</Button
      >
      <Button quiet onclick={() => (asked = false)}>Cancel</Button>
    </p>
  {/if}
  {#if opened}<SentMessage id={line.id} />{/if}
</li>
{#if moving}
  <HourSlip
    anchor={moving}
    kind={line.personKind}
    person={line.personId}
    name={line.toAddress}
    hour={null}
    mayBeNow={false}
    onchoose={move}
    onclose={() => (moving = null)}
  />
{/if}

<style>
  li {
    padding: 6px 20px;
    border-bottom: 1px solid var(--rule-soft);
  }

  .line {
    display: grid;
    grid-template-columns: minmax(0, 2fr) minmax(0, 1.4fr) 110px minmax(0, 1.1fr) 250px;
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
  .held,
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
