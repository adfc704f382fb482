<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import { gathered, onChange } from '../app/changes';
  import InlineButton from '../ui/InlineButton.svelte';
  import { notify } from '../ui/notices.svelte';
  import { dayAndTime } from '../ui/when';
  import MoveMailing from './MoveMailing.svelte';
  import MoveMessage from './MoveMessage.svelte';
  import { expected, inTrouble, several, stands, standing, toGo } from './mailingWords';

  /** Mailings on their way, or with somebody to look after: a line each, however many messages it has. It opens to its people. */
  let { waiting = $bindable(0) }: { /** How many of their messages have not left. */ waiting?: number } =
    $props();

  let lines = $state.raw<Schemas['MailingUnderWay'][]>([]);
  let opened = $state('');
  let toStop = $state('');
  let people = $state.raw<Schemas['ShownMailingPerson'][]>([]);

  let toLookAt = $state.raw<Schemas['MailingToLookAt'][]>([]);

  async function read() {
    toLookAt = await ask('get', '/api/mailings/to-look-at').catch(() => toLookAt);
    lines = await ask('get', '/api/mailings/under-way').catch(() => lines);
    waiting = lines.reduce((sum, { line }) => sum + toGo(line.counts), 0);
    if (opened) await open(opened);
  }

  async function open(id: string) {
    people = await ask('get', '/api/mailings/{id}/people', { params: { id } }).catch(() => []);
    opened = id;
  }

  async function act(how: () => Promise<unknown>) {
    try {
      await how();
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
    await read();
  }

  const hold = (id: string, key: string, held: boolean) => () =>
    void act(() =>
      ask('put', '/api/mailings/{id}/people/{key}/held', { params: { id, key }, body: { held, why: '' } }),
    );

  const changed = gathered(read);
  $effect(() => onChange((change) => (change.what === 'mailing' || change.what === 'hello') && changed()));
  void read();
</script>

{#if toLookAt.length}
  <ul aria-label="Mailings to look at">
    {#each toLookAt as one (one.id)}
      <li>
        <a href="/mailings/{one.id}"><bdi>{one.name}</bdi></a>
        <span class="soft">{one.askedBy} asks you to look at this mailing</span>
      </li>
    {/each}
  </ul>
{/if}
{#if lines.length}
  <ul aria-label="Mailings">
    {#each lines as { line, mayChange } (line.id)}
      <li>
        <div class="line">
          <a href="/mailings/{line.id}"><bdi>{line.name}</bdi></a>
          <span class="soft">{expected(line.counts).toLocaleString('en')} messages of one mailing</span>
          <span class:look={!!inTrouble(line.counts)}>{standing(line)}{inTrouble(line.counts)}</span>
          <span class="ways">
            {#if mayChange && toStop === line.id}
              <span role="alert"
                >{several(toGo(line.counts) + line.counts.held, 'person', 'people')} would not get it any more.</span
              >
              <InlineButton
                onclick={() => {
                  toStop = '';
                  void act(() => ask('post', '/api/mailings/{id}/stop', { params: { id: line.id } }));
                }}>Yes, stop it for good</InlineButton
              >
              <InlineButton soft onclick={() => (toStop = '')}>Cancel</InlineButton>
            {:else if mayChange && line.state === 'RUNNING'}
              <InlineButton
                soft
                aria-label="Pause {line.name}"
                onclick={() =>
                  void act(() => ask('post', '/api/mailings/{id}/pause', { params: { id: line.id } }))}
                >pause</InlineButton
              >
            {:else if mayChange && line.state === 'PAUSED'}
              <a class="soft" href="/mailings/{line.id}" aria-label="Go on with {line.name}">go on…</a>
            {/if}
            {#if mayChange && toStop !== line.id && (line.state === 'RUNNING' || line.state === 'PAUSED')}
              {#if line.counts.planned}
                <MoveMailing mailing={line.id} name={line.name} onmoved={read} />
              {/if}
              <InlineButton soft aria-label="Stop {line.name} for good" onclick={() => (toStop = line.id)}
                >stop…</InlineButton
              >
            {/if}
            <InlineButton
              aria-expanded={opened === line.id}
              onclick={() => (opened === line.id ? (opened = '') : void open(line.id))}
              >{opened === line.id ? 'close' : 'its messages'}</InlineButton
            >
          </span>
        </div>
        {#if opened === line.id}
          <ul aria-label="Messages of {line.name}" class="inner">
            {#each people.filter((one) => one.state !== 'LEFT_OUT').slice(0, 500) as one (one.key)}
              <li class="line">
                <span><bdi>{one.name}</bdi></span>
                <span class="soft">{one.address}</span>
                <span class:look={one.state === 'NOT_SURE' || one.state === 'HELD' || one.state === 'REFUSED'}
                  >{stands[one.state]}{one.state === 'PLANNED' && one.dueAt
                    ? `, ${dayAndTime(one.dueAt)}`
                    : ''}</span
                >
                <span class="ways">
                  {#if mayChange && one.state === 'PLANNED' && line.state !== 'DONE'}
                    <MoveMessage mailing={line.id} to={one} started onmoved={read} />
                    <InlineButton
                      soft
                      aria-label="Hold {one.name} back"
                      onclick={hold(line.id, one.key, true)}>hold back</InlineButton
                    >
                  {:else if mayChange && one.state === 'HELD' && one.held}
                    <InlineButton
                      soft
                      aria-label="Let {one.name} have it"
                      onclick={hold(line.id, one.key, false)}>send it</InlineButton
                    >
                  {/if}
                </span>
              </li>
            {/each}
          </ul>
        {/if}
      </li>
    {/each}
  </ul>
{/if}

<style>
  ul {
    list-style: none;
  }

  li {
    padding: 6px 20px;
    border-bottom: 1px solid var(--rule-soft);
  }

  .line {
    display: grid;
    grid-template-columns: minmax(0, 2fr) minmax(0, 1.4fr) minmax(0, 1.6fr) 260px;
    gap: 16px;
    align-items: baseline;
    min-height: 24px;
  }

  .line > * {
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
  }

  .inner {
    max-height: 300px;
    overflow: auto;
  }

  .inner li {
    padding: 3px 0;
    border-top: 1px solid var(--rule-soft);
    border-bottom: 0;
  }

  a {
    color: var(--ink);
    font-weight: 600;
  }

  .soft {
    color: var(--ink-soft);
  }

  .look {
    color: var(--query);
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
