<script lang="ts">
  import type { Schemas } from '../api/client';
  import SmallInput from '../ui/SmallInput.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import type { Writing } from './writing';

  /** What a template wishes for the envelope of its messages, as a sentence whose words are its controls. */
  let { desk }: { desk: Writing } = $props();

  type Wishes = NonNullable<Schemas['Draft']['wishes']>;
  const NONE: Wishes = { cc: [], bcc: [], replyTo: null, fromOwner: false, hour: null, countLinks: false };
  const hours: Record<NonNullable<Wishes['hour']>, string> = {
    THEIR_MORNING: 'on their next morning',
    THEIR_AFTERNOON: 'on their next afternoon',
    TOMORROW: 'tomorrow at 8:00',
    NEXT_WEEK: 'next week',
  };
  const wishes = $derived(desk.draft?.wishes ?? NONE);

  function change(part: Partial<Wishes>) {
    desk.change({ wishes: { ...wishes, ...part } }, true);
  }

  const addresses = (typed: string) => typed.split(/[,;\s]+/).filter(Boolean);
</script>

{#if desk.mayChange}
  <p class="envelope">
    From
    <SmallSelect
      word
      aria-label="From"
      value={wishes.fromOwner ? 'owner' : 'writer'}
      onchange={(event) => change({ fromOwner: event.currentTarget.value === 'owner' })}
    >
      <option value="writer">whoever writes</option>
      <option value="owner">the owner of the record</option>
    </SmallSelect>
    · copy to
    <SmallInput
      word
      aria-label="Copy to"
      placeholder="nobody"
      value={(wishes.cc ?? []).join(', ')}
      onchange={(event) => change({ cc: addresses(event.currentTarget.value) })}
    />
    · hidden copy to
    <SmallInput
      word
      aria-label="Hidden copy to"
      placeholder="nobody"
      value={(wishes.bcc ?? []).join(', ')}
      onchange={(event) => change({ bcc: addresses(event.currentTarget.value) })}
    />
    · replies go to
    <SmallInput
      word
      aria-label="Replies go to"
      placeholder="the sender"
      value={wishes.replyTo ?? ''}
      onchange={(event) => change({ replyTo: event.currentTarget.value.trim() || null })}
    />
    · leaves
    <SmallSelect
      word
      aria-label="Leaves"
      value={wishes.hour ?? ''}
      onchange={(event) => change({ hour: (event.currentTarget.value || null) as Wishes['hour'] })}
    >
      <option value="">when it is sent</option>
      {#each Object.entries(hours) as [hour, words] (hour)}<option value={hour}>{words}</option>{/each}
    </SmallSelect>
    {#if desk.draft?.mode === 'PLAIN'}
      · links are
      <SmallSelect
        word
        aria-label="Links"
        title="Counted where the company tracks links: the message then has a plain HTML part beside its text"
        value={wishes.countLinks ? 'counted' : 'not'}
        onchange={(event) => change({ countLinks: event.currentTarget.value === 'counted' })}
      >
        <option value="not">not counted</option>
        <option value="counted">counted</option>
      </SmallSelect>
    {/if}
  </p>
  {#if desk.wrong.wishes}<p class="wrong" role="alert">Not saved: {desk.wrong.wishes}</p>{/if}
{:else}
  <p class="envelope">
    From {wishes.fromOwner ? 'the owner of the record' : 'whoever writes'}{wishes.cc?.length
      ? ` · copy to ${wishes.cc.join(', ')}`
      : ''}{wishes.bcc?.length ? ` · hidden copy to ${wishes.bcc.join(', ')}` : ''}{wishes.replyTo
      ? ` · replies go to ${wishes.replyTo}`
      : ''} · leaves {wishes.hour ? hours[wishes.hour] : 'when it is sent'}{wishes.countLinks
      ? ' · links are counted'
      : ''}
  </p>
{/if}

<style>
  .envelope {
    color: var(--ink-soft);
    font-size: 13.5px;
    line-height: 1.9;
  }

  .wrong {
    color: var(--stop);
    font-size: 13px;
  }
</style>
