<script lang="ts">
  import { untrack } from 'svelte';
  import { ask, sentence, type Schemas } from '../api/client';
  import InlineButton from '../ui/InlineButton.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import { onSameDay } from './bothClocks';
  import HourSlip from './HourSlip.svelte';
  import type { MessageState } from './messageState.svelte';
  import OneOfSeveral from './OneOfSeveral.svelte';
  import OthersSlip from './OthersSlip.svelte';

  /** The envelope as a sentence whose words are its controls; what leaves no choice is only said. */
  let {
    message,
    to,
    contacts,
    onDeal,
    shown = $bindable(),
    onaddress,
    onsender,
    onperson,
    ondeal,
    onpeople,
    onhour,
  }: {
    message: MessageState;
    /** Whom it goes to. */
    to: Schemas['ProvedPerson'];
    /** On a deal's page: who can be written to. */
    contacts: Schemas['RelatedLine'][];
    onDeal: boolean;
    /** The envelope as the server reads it. */
    shown: Schemas['ShownEnvelope'] | null;
    onaddress: (id: string) => void;
    onsender: (id: string) => void;
    onperson: (id: string) => void;
    ondeal: (id: string) => void;
    /** Somebody else is greeted too, or no more. */
    onpeople: (wishes: Schemas['SendingWishes']) => void;
    /** It leaves at another hour, or at once. */
    onhour: (hour: Schemas['Hour'] | null) => void;
  } = $props();

  let others = $state<HTMLElement | null>(null);
  let when = $state<HTMLElement | null>(null);
  let failed = $state('');
  let asked = 0;
  let line = $state<HTMLElement>();
  let othersButton = $state<HTMLButtonElement>();
  let hourButton = $state<HTMLButtonElement>();

  const wishes = $derived<Schemas['SendingWishes']>(
    message.envelope.wishes ?? {
      also: [],
      cc: [],
      bcc: [],
      replyTo: null,
      toName: null,
      hour: null,
      several: null,
      mailing: null,
    },
  );
  /** Where nobody is named it is from whoever writes, who comes first. */
  const sender = $derived(
    shown?.senders.find((one) => !message.envelope.sender || one.id === message.envelope.sender),
  );
  const copies = $derived([...(wishes.cc ?? []), ...(wishes.bcc ?? []).map((one) => `${one} (hidden)`)]);
  /** What is wrong, where the sentence itself does not say it. */
  const wrong = $derived(Object.entries(shown?.wrong ?? {}).filter(([part]) => part !== 'files'));
  const places: Record<string, string> = {
    address: 'To',
    toName: 'Name shown',
    also: 'Together with',
    cc: 'Copy',
    bcc: 'Hidden copy',
    replyTo: 'Replies',
    hour: 'Hour',
  };

  async function read() {
    const turn = ++asked;
    try {
      const now = await ask('post', '/api/messages/envelope', { body: message.asItIs() });
      if (turn === asked) {
        shown = now;
        failed = '';
      }
    } catch (failure) {
      if (turn === asked) failed = sentence(failure);
    }
  }

  /** What the server reads it from; words say nothing about it. */
  const from = $derived(JSON.stringify([message.envelope, message.draft?.files]));
  $effect(() => {
    void from;
    untrack(() => void read());
  });

  /** Goes to where a part of it is chosen. */
  export function open(part: string): void {
    line?.scrollIntoView({ block: 'nearest' });
    if (part === 'hour') when = hourButton!;
    else if (part !== 'address') others = othersButton!;
    else (line?.querySelector<HTMLElement>('[aria-label="Address"]') ?? othersButton!).focus();
  }

  function change(now: Schemas['SendingWishes']) {
    const greeted = JSON.stringify(now.also ?? []) !== JSON.stringify(wishes.also ?? []);
    if (greeted) onpeople(now);
    else {
      message.envelope.wishes = now;
      message.moved();
    }
  }
</script>

<p class="envelope" bind:this={line}>
  From
  {#if shown && shown.senders.length > 1}
    <SmallSelect
      word
      aria-label="From"
      value={sender?.id ?? message.envelope.sender}
      onchange={(event) => onsender(event.currentTarget.value)}
    >
      {#if !sender}<option value={message.envelope.sender}>…</option>{/if}
      {#each shown.senders as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
    </SmallSelect>
  {:else}
    <b>{sender?.name ?? ''}</b>
  {/if}
  to
  {#if onDeal && contacts.length > 1}
    <SmallSelect
      word
      aria-label="To"
      value={message.envelope.person}
      onchange={(event) => onperson(event.currentTarget.value)}
    >
      {#each contacts as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
    </SmallSelect>
  {/if}
  {#if to.addresses.length > 1}
    <SmallSelect
      word
      aria-label="Address"
      value={message.envelope.address}
      onchange={(event) => onaddress(event.currentTarget.value)}
    >
      {#each to.addresses as one (one.id)}<option value={one.id}>{one.address}</option>{/each}
    </SmallSelect>
  {:else}
    <b>{to.addresses[0]?.address ?? 'nobody yet: there is no address'}</b>
  {/if}
  {#if shown?.also.length}and <b>{shown.also.map((one) => one.name).join(', ')}</b>{/if}
  {#if copies.length}with a copy to <b>{copies.join(', ')}</b>{/if}
  <InlineButton
    bind:element={othersButton}
    aria-expanded={!!others}
    onclick={(event) => (others = others ? null : (event.currentTarget as HTMLElement))}
    >{shown?.also.length || copies.length ? 'change who gets it' : 'and nobody else'}</InlineButton
  >
  {#if !onDeal && to.deals.length > 1}
    · about
    <SmallSelect
      word
      aria-label="Deal"
      value={message.envelope.deal}
      onchange={(event) => ondeal(event.currentTarget.value)}
    >
      {#each to.deals as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
    </SmallSelect>
  {/if}
  {#if wishes.replyTo}· replies go to <b>{wishes.replyTo}</b>{/if}
  {#if wishes.several}<OneOfSeveral several={wishes.several} />{/if}
  · leaves
  <InlineButton
    bind:element={hourButton}
    aria-expanded={!!when}
    onclick={(event) => (when = when ? null : (event.currentTarget as HTMLElement))}
    >{!shown?.hour
      ? 'now'
      : shown.hour.ours === shown.hour.theirs
        ? shown.hour.ours
        : `${shown.hour.ours} (${onSameDay(shown.hour.theirs, shown.hour.ours)} for them)`}</InlineButton
  >
</p>
{#if shown?.hour?.remarks.length}<p class="remark">{shown.hour.remarks.join(' ')}</p>{/if}
{#each wrong as [part, said] (part)}
  <p class="wrong" role="alert">{places[part] ?? part}: {said}</p>
{/each}
{#if failed}<p class="wrong" role="alert">{failed}</p>{/if}
{#if others && shown}
  <OthersSlip
    anchor={others}
    {wishes}
    {shown}
    name={to.name}
    onchange={change}
    onclose={() => (others = null)}
  />
{/if}
{#if when}
  <HourSlip
    anchor={when}
    kind={message.envelope.kind}
    person={message.envelope.person}
    name={to.name}
    hour={wishes.hour ?? null}
    onchoose={(hour) => {
      onhour(hour);
      return Promise.resolve('');
    }}
    onclose={() => (when = null)}
  />
{/if}

<style>
  .envelope {
    margin-bottom: 6px;
    color: var(--ink-soft);
    font-size: 13.5px;
    line-height: 1.9;
  }

  b {
    color: var(--ink);
    font-weight: 600;
  }

  .remark {
    margin-bottom: 4px;
    color: var(--query);
    font-size: 13px;
  }

  .wrong {
    margin-bottom: 4px;
    color: var(--stop);
    font-size: 13px;
  }
</style>
