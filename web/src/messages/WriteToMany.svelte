<script lang="ts">
  import { tick } from 'svelte';
  import { ask, fieldsOf, lines, sentence, type Schemas } from '../api/client';
  import { go } from '../app/router';
  import Button from '../ui/Button.svelte';
  import { notify } from '../ui/notices.svelte';
  import Slip from '../ui/Slip.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import { aboutOf, lookFor, whom } from './many';
  import LeftOutList from './LeftOutList.svelte';
  import RestDays from './RestDays.svelte';
  import TemplateChooser from '../library/TemplateChooser.svelte';

  /** Writes to those who are chosen in a list: who gets it, who does not and why, and from which template each draft is begun. */
  let {
    choice,
    lists,
    anchor,
    onclose,
  }: {
    choice: Schemas['ListSelection'];
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
  let audience = $state.raw<Schemas['ShownAudience'] | null>(null);
  let wrong = $state('');
  let far = $state('');
  let asked = 0;
  let stopping: AbortController | null = null;

  const meant = $derived<Schemas['Meant']>({
    choice,
    minus: minus || null,
    restDays,
    topic: topic || null,
    putBack,
  });
  const reasons = $derived<Record<string, string>>(
    Object.fromEntries(putBack.map((one) => [one.key, one.reason])),
  );
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
      })
      .catch((failure) => {
        if (mine === asked) wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
      });
  });

  $effect(() => () => stopping?.abort());

  ask('get', '/api/topics')
    .then((all) => (topics = all))
    .catch(() => undefined);

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
    <RestDays days={restDays} onchange={(days) => (restDays = days)} />
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
    <LeftOutList
      out={audience.out}
      back={audience.in
        .filter((one) => reasons[one.key])
        .map((one) => ({ key: one.key, name: one.name, reason: reasons[one.key]! }))}
      onchange={(next) => (putBack = next)}
    />
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

  .wrong {
    color: var(--stop);
  }
</style>
