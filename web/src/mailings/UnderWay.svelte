<script lang="ts">
  import { ask, type Schemas } from '../api/client';
  import { recordAddress } from '../app/router';
  import SentMessage from '../outbox/SentMessage.svelte';
  import Button from '../ui/Button.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import { dayAndTime, time } from '../ui/when';
  import type { MailingSheet } from './mailingSheet.svelte';
  import { expected, inTrouble, several, stands, toGo } from './mailingWords';
  import MoveMessage from './MoveMessage.svelte';
  import Part from './Part.svelte';

  /** A mailing that was started: how far it is, and how each of its people stands. */
  let { sheet, folded = $bindable(false) }: { sheet: MailingSheet; folded?: boolean } = $props();

  type Person = Schemas['ShownMailingPerson'];
  const SOME = 100;
  let shown = $state('');
  let all = $state(false);
  let opened = $state('');
  let asked = $state('');

  const mailing = $derived(sheet.mailing!);
  const counts = $derived(mailing.counts);
  const whole = $derived(expected(counts));
  const left = $derived(toGo(counts));
  const under = $derived(mailing.state === 'RUNNING' || mailing.state === 'PAUSED');
  const order = ['NOT_SURE', 'REFUSED', 'HELD', 'WAITING', 'LEAVING', 'PLANNED', 'SENT', 'LEFT_OUT'];
  const people = $derived(
    sheet.people
      .filter((one) => !shown || shows(one, shown))
      .sort(
        (one, other) =>
          order.indexOf(one.state) - order.indexOf(other.state) || one.name.localeCompare(other.name),
      ),
  );

  const choices: [string, string][] = [
    ['', 'everybody'],
    ['trouble', 'those with trouble'],
    ['SENT', 'who got it'],
    ['opened', 'who opened it'],
    ['unopened', 'who did not open it'],
    ['clicked', 'who followed a link'],
    ['replied', 'who replied'],
    ['unsubscribed', 'who unsubscribed'],
    ['PLANNED', 'who is still to get it'],
    ['LEFT_OUT', 'who does not get it'],
  ];

  function shows(one: Person, what: string): boolean {
    if (what === 'trouble') return ['NOT_SURE', 'REFUSED', 'HELD', 'WAITING'].includes(one.state);
    if (what === 'opened') return one.openedAt !== null;
    if (what === 'unopened') return one.state === 'SENT' && one.openedAt === null;
    if (what === 'clicked') return one.clickedAt !== null;
    if (what === 'replied') return one.repliedAt !== null;
    if (what === 'unsubscribed') return one.unsubscribed;
    return one.state === what;
  }

  function did(one: Person): string {
    return [
      one.openedAt ? `opened ${dayAndTime(one.openedAt)}` : '',
      one.clickedAt ? 'followed a link' : '',
      one.repliedAt ? `replied ${dayAndTime(one.repliedAt)}` : '',
      one.unsubscribed ? 'unsubscribed' : '',
    ]
      .filter(Boolean)
      .join(' · ');
  }

  const act = (how: () => Promise<unknown>) => () => void sheet.act(how);
  const again = (one: Person) =>
    act(() =>
      ask('post', '/api/mailings/{id}/people/{key}/again', { params: { id: sheet.id, key: one.key } }),
    );
  const hold = (one: Person, held: boolean) =>
    act(() =>
      ask('put', '/api/mailings/{id}/people/{key}/held', {
        params: { id: sheet.id, key: one.key },
        body: { held, why: '' },
      }),
    );
  const summary = $derived(`${counts.sent} of ${whole} sent`);
</script>

<Part name="Sending" {summary} bind:folded>
  <div class="bar" role="img" aria-label="{counts.sent} of {whole} sent">
    <i style="width: {whole ? (counts.sent / whole) * 100 : 0}%"></i>
  </div>
  <p role="status" aria-live="polite">
    <b>{counts.sent.toLocaleString('en')}</b> of {whole.toLocaleString('en')} sent{left
      ? `, ${left} to go`
      : ''}{inTrouble(counts)}.
    {#if mailing.restsUntil && mailing.state === 'RUNNING'}
      <span class="look"
        >The mail server takes nothing just now (“{mailing.said}”). It is asked again at {time(
          mailing.restsUntil,
        )}.</span
      >
    {:else if mailing.said}
      <span class="look">{mailing.said}</span>
    {/if}
    {#if mailing.starter && mailing.startedAt}
      <span class="soft"
        >Started by {mailing.starter}
        {dayAndTime(mailing.startedAt)}{mailing.endedAt && mailing.state !== 'RUNNING'
          ? `, ended ${dayAndTime(mailing.endedAt)}`
          : ''}.</span
      >
    {/if}
  </p>
  {#if mailing.mayChange && (under || (mailing.state === 'DONE' && counts.held))}
    <p class="ways">
      {#if mailing.state === 'RUNNING'}
        <Button onclick={act(() => ask('post', '/api/mailings/{id}/pause', { params: { id: sheet.id } }))}
          >Pause</Button
        >
      {/if}
      {#if asked === 'stop'}
        <span role="alert">{several(left + counts.held, 'person', 'people')} would not get it any more.</span>
        <Button
          onclick={() => {
            asked = '';
            void sheet.act(() => ask('post', '/api/mailings/{id}/stop', { params: { id: sheet.id } }));
          }}>{under ? 'Yes, stop it for good' : 'Yes, leave them out'}</Button
        >
        <Button quiet onclick={() => (asked = '')}>Cancel</Button>
      {:else}
        <Button quiet onclick={() => (asked = 'stop')}
          >{under ? 'Stop for good…' : 'Leave out who was held…'}</Button
        >
      {/if}
    </p>
  {/if}
  <p class="soft">
    Showing
    <SmallSelect
      word
      aria-label="Who is shown"
      value={shown}
      onchange={(event) => (shown = event.currentTarget.value)}
    >
      {#each choices as [value, words] (value)}<option {value}>{words}</option>{/each}
    </SmallSelect>: {people.length.toLocaleString('en')}
  </p>
  <ul aria-label="Its people">
    {#each all ? people : people.slice(0, SOME) as one (one.key)}
      <li>
        <div class="line">
          <a href={recordAddress(one.kind, one.person)}><bdi>{one.name}</bdi></a>
          <span class="soft address" title={one.address}>{one.address}</span>
          <span class={one.state.toLowerCase()}
            >{stands[one.state]}{one.state === 'SENT' && one.leftAt
              ? ` ${dayAndTime(one.leftAt)}`
              : one.state === 'PLANNED' && one.dueAt
                ? `, ${dayAndTime(one.dueAt)}`
                : ''}{one.why ? `: ${one.why}` : ''}</span
          >
          <span class="soft">{did(one)}</span>
          <span class="acts">
            {#if one.message && one.state === 'SENT'}
              <InlineButton
                soft
                aria-expanded={opened === one.key}
                aria-label="Read what {one.name} got"
                onclick={() => (opened = opened === one.key ? '' : one.key)}>read</InlineButton
              >
            {/if}
            {#if mailing.mayChange && mailing.state !== 'STOPPED'}
              {#if one.state === 'REFUSED'}
                <InlineButton aria-label="Send to {one.name} again" onclick={again(one)}
                  >send again</InlineButton
                >
              {:else if one.state === 'HELD'}
                <InlineButton
                  aria-label="Let {one.name} have it"
                  onclick={one.held ? hold(one, false) : again(one)}>send it</InlineButton
                >
              {:else if one.state === 'PLANNED'}
                {#if under}
                  <MoveMessage mailing={sheet.id} to={one} started onmoved={() => sheet.load()} />
                {/if}
                <InlineButton soft aria-label="Hold {one.name} back" onclick={hold(one, true)}
                  >hold back</InlineButton
                >
              {:else if one.state === 'NOT_SURE' && one.message}
                {@const message = one.message}
                <InlineButton
                  aria-label="It arrived with {one.name}"
                  onclick={act(() => ask('post', '/api/outbox/{id}/arrived', { params: { id: message } }))}
                  >it arrived</InlineButton
                >
                {#if asked === one.key}
                  <span role="alert">They may get it twice.</span>
                  <InlineButton
                    onclick={() => {
                      asked = '';
                      void sheet.act(() =>
                        ask('post', '/api/outbox/{id}/send-again', { params: { id: message } }),
                      );
                    }}>send again</InlineButton
                  >
                {:else}
                  <InlineButton onclick={() => (asked = one.key)}>send again…</InlineButton>
                {/if}
              {/if}
            {/if}
          </span>
        </div>
        {#if opened === one.key && one.message}<SentMessage id={one.message} />{/if}
      </li>
    {/each}
  </ul>
  {#if !all && people.length > SOME}
    <InlineButton onclick={() => (all = true)}>show {people.length - SOME} more</InlineButton>
  {/if}
</Part>

<style>
  .bar {
    height: 6px;
    max-width: 520px;
    margin: 6px 0;
    background: var(--rule-soft);
  }

  .bar i {
    display: block;
    height: 100%;
    background: var(--ink);
  }

  .ways {
    display: flex;
    gap: 10px;
    align-items: center;
  }

  ul {
    list-style: none;
  }

  li {
    border-top: 1px solid var(--rule-soft);
  }

  .line {
    display: grid;
    grid-template-columns: minmax(0, 1.1fr) minmax(0, 1.3fr) minmax(0, 1.6fr) minmax(0, 1.2fr) 170px;
    gap: 12px;
    align-items: baseline;
    min-height: 30px;
    padding: 2px 0;
    line-height: 1.4;
  }

  .line > * {
    min-width: 0;
    overflow-wrap: anywhere;
  }

  .address {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .acts {
    text-align: right;
  }

  a {
    color: var(--ink);
  }

  .soft,
  .planned,
  .sent,
  .left_out {
    color: var(--ink-soft);
  }

  .look,
  .held,
  .waiting,
  .leaving,
  .not_sure {
    color: var(--query);
  }

  .refused {
    color: var(--stop);
  }

  @media (width <= 700px) {
    .line {
      grid-template-columns: minmax(0, 1fr);
      gap: 0;
    }

    .acts {
      text-align: left;
    }
  }
</style>
