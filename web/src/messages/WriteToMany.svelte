<script lang="ts">
  import { tick } from 'svelte';
  import { ask, fieldsOf, lines, sentence, type Schemas } from '../api/client';
  import { go } from '../app/router';
  import Button from '../ui/Button.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import { notify } from '../ui/notices.svelte';
  import Slip from '../ui/Slip.svelte';
  import SmallInput from '../ui/SmallInput.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import { aboutOf, lookFor, whom } from './many';
  import TemplateChooser from '../library/TemplateChooser.svelte';

  /** Writes to those who are chosen in a list: who gets it, who does not and why, and from which template each draft is begun. */
  let {
    choice,
    lists,
    anchor,
    onclose,
  }: {
    choice: Schemas['Choice'];
    /** Lists whose people can be left out. */
    lists: Schemas['ShownList'][];
    anchor: HTMLElement;
    onclose: () => void;
  } = $props();

  let restDays = $state(7);
  let minus = $state('');
  let topic = $state('');
  let topics = $state.raw<Schemas['Topic'][]>([]);
  let putBack = $state.raw<Schemas['Meant']['putBack']>([]);
  /** Who is being put back, and why. */
  let backing = $state('');
  let reason = $state('');
  let audience = $state.raw<Schemas['ShownAudience'] | null>(null);
  let wrong = $state('');
  let far = $state('');
  let asked = 0;
  /** Whose button was pressed. */
  let from = '';
  let list = $state<HTMLElement>();
  let stopping: AbortController | null = null;

  const meant = $derived<Schemas['Meant']>({
    choice,
    minus: minus || null,
    restDays,
    topic: topic || null,
    putBack,
  });
  const back = (key: string) => putBack.find((one) => one.key === key);
  const number = (of: number) => of.toLocaleString('en');
  const tooMany = $derived(audience !== null && audience.in.length > audience.most);
  const first = $derived(audience?.in[0] ?? null);

  $effect(() => {
    const mine = ++asked;
    ask('post', '/api/messages/many/audience', { body: meant })
      .then((answer) => {
        if (mine !== asked) return;
        audience = answer;
        wrong = '';
        // Whoever was put back, or left out, is gone on from: the line has another button now.
        const key = from;
        from = '';
        if (key)
          void tick().then(() => list?.querySelector<HTMLElement>(`[data-key="${key}"] button`)?.focus());
      })
      .catch((failure) => {
        if (mine === asked) wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
      });
  });

  $effect(() => () => stopping?.abort());

  ask('get', '/api/topics')
    .then((all) => (topics = all))
    .catch(() => undefined);

  function askWhy(key: string) {
    backing = key;
    reason = '';
    void tick().then(() => list?.querySelector<HTMLElement>(`[data-key="${key}"] input`)?.focus());
  }

  function putBackIn(event: SubmitEvent) {
    event.preventDefault();
    if (!reason.trim()) return;
    from = backing;
    putBack = [...putBack, { key: backing, reason }];
    backing = '';
  }

  function out(key: string) {
    from = key;
    putBack = putBack.filter((one) => one.key !== key);
  }

  async function begin(template: string | null) {
    if (!template) return;
    wrong = '';
    far = 'Beginning …';
    stopping = new AbortController();
    let drafts: string[] | null = null;
    try {
      const body = { meant, template };
      for await (const line of lines('/api/messages/many/drafts', body, stopping.signal)) {
        const read = line as Schemas['BegunLine'];
        far = `${read.begun} of ${audience?.in.length ?? read.begun} begun`;
        drafts = read.drafts ?? drafts;
      }
    } catch (failure) {
      if (!(failure instanceof DOMException))
        wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    } finally {
      far = '';
      stopping = null;
    }
    if (!drafts) {
      wrong ||= 'No draft was begun.';
      return;
    }
    const many = drafts.length;
    onclose();
    notify(
      `${many} draft${many === 1 ? ' is' : 's are'} begun. Look through ${many === 1 ? 'it' : 'them'} and send ${many === 1 ? 'it' : 'each'}.`,
    );
    await tick();
    go('/today');
  }
</script>

<Slip title="Write to each of them" {anchor} placement="top-start" page {onclose}>
  <p class="who">
    {#if topics.length && choice.kind !== 'deal'}
      It is about
      <SmallSelect
        word
        style="max-width: 260px"
        aria-label="What it is about"
        value={topic}
        onchange={(event) => (topic = event.currentTarget.value)}
      >
        <option value="">none of our topics</option>
        {#each topics as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
      </SmallSelect>.
    {/if}
    Leave out
    <SmallSelect
      word
      style="max-width: none"
      aria-label="Leave out whoever was written to lately"
      value={String(restDays)}
      onchange={(event) => (restDays = Number(event.currentTarget.value))}
    >
      <option value="0">nobody who was written to lately</option>
      <option value="1">whoever was written to today</option>
      {#each [3, 7, 14, 30, 90] as days (days)}
        <option value={String(days)}>whoever was written to in the last {days} days</option>
      {/each}
    </SmallSelect>
    and
    <SmallSelect
      word
      style="max-width: 260px"
      aria-label="Leave out those on a list"
      value={minus}
      onchange={(event) => (minus = event.currentTarget.value)}
    >
      <option value="">nobody on a list</option>
      {#each lists as one (one.id)}<option value={one.id}>everybody on “{one.name}”</option>{/each}
    </SmallSelect>.
  </p>
  {#if audience}
    <p role="status">
      <b>{number(audience.in.length)}</b> of {number(audience.in.length + audience.out.length)} get a message{audience
        .out.length
        ? `, ${number(audience.out.length)} ${audience.out.length === 1 ? 'is' : 'are'} left out:`
        : '.'}
    </p>
    {#if audience.out.length || putBack.length}
      <ul class="out" aria-label="Left out" bind:this={list}>
        {#each audience.out as { who, reasons, mayBePutBack } (who.key)}
          <li data-key={who.key}>
            <span><b><bdi>{who.name}</bdi></b> {reasons.join(' ')}</span>
            {#if mayBePutBack && backing === who.key}
              <form onsubmit={putBackIn}>
                <SmallInput
                  aria-label="Why {who.name} gets it all the same"
                  placeholder="why?"
                  maxlength={200}
                  bind:value={reason}
                  onkeydown={(event) => {
                    if (event.key !== 'Escape') return;
                    event.stopPropagation();
                    backing = '';
                  }}
                />
                <Button quiet type="submit" disabled={!reason.trim()}>Put back</Button>
              </form>
            {:else if mayBePutBack}
              <InlineButton aria-label="Put {who.name} back" onclick={() => askWhy(who.key)}
                >put back</InlineButton
              >
            {/if}
          </li>
        {/each}
        {#each audience.in.filter((one) => back(one.key)) as one (one.key)}
          <li data-key={one.key}>
            <span><b><bdi>{one.name}</bdi></b> gets it all the same: <q>{back(one.key)?.reason}</q></span>
            <InlineButton aria-label="Leave {one.name} out" onclick={() => out(one.key)}
              >leave out</InlineButton
            >
          </li>
        {/each}
      </ul>
    {/if}
    {#if choice.kind !== 'deal'}
      <p class="soft">
        {audience.choosable
          ? 'Each message says at its foot why its reader gets it, and lets them choose what they get.'
          : 'Our company has no public address, so nobody can unsubscribe: write only to those who expect it.'}
      </p>
    {/if}
    {#if tooMany}
      <p class="wrong" role="alert">
        Choose {audience.most} people at most: each message is yours to look through before it leaves.
      </p>
    {:else if first}
      <p class="soft">
        Each gets a message of their own, as a draft. The preview is for <bdi>{first.name}</bdi>.
      </p>
      {#if far}
        <p role="status">{far} <Button quiet onclick={() => stopping?.abort()}>Stop</Button></p>
      {:else}
        {#key first.key}
          <TemplateChooser
            about={aboutOf(choice.kind)}
            whom={whom(choice.kind, first)}
            only
            look={(template) => lookFor(choice.kind, first, template)}
            onchoose={(template) => void begin(template)}
            {onclose}
          />
        {/key}
      {/if}
    {:else}
      <p class="wrong" role="alert">Nobody is left to write to.</p>
    {/if}
  {:else if !wrong}
    <p role="status">Looking who gets it …</p>
  {/if}
  {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
</Slip>

<style>
  .who,
  .soft {
    color: var(--ink-soft);
  }

  .who {
    line-height: 1.9;
  }

  p {
    margin: 0 0 8px;
  }

  .out {
    max-height: 132px;
    margin: 0 0 10px;
    padding: 0;
    overflow: auto;
    border: solid var(--rule-soft);
    border-width: 1px 0;
    list-style: none;
  }

  li {
    display: flex;
    gap: 10px;
    align-items: baseline;
    justify-content: space-between;
    min-height: 27px;
    padding: 2px 0;
    border-bottom: 1px solid var(--rule-soft);
  }

  li:last-child {
    border-bottom: 0;
  }

  form {
    display: flex;
    gap: 6px;
    align-items: center;
  }

  .wrong {
    color: var(--stop);
  }
</style>
