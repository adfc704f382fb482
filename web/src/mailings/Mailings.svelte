<script lang="ts">
  import { searchParams } from 'sv-router';
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { gathered, onChange } from '../app/changes';
  import { go } from '../app/router';
  import Button from '../ui/Button.svelte';
  import { notify } from '../ui/notices.svelte';
  import Page from '../ui/Page.svelte';
  import SmallInput from '../ui/SmallInput.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import { day } from '../ui/when';
  import { inTrouble, standing } from './mailingWords';

  /** All mailings, the newest change first, narrowed by what they are and how they went. */
  type Line = Schemas['MailingLine'];
  let lines = $state.raw<Line[] | null>(null);
  let more = $state(false);
  let failed = $state('');
  let topics = $state.raw<Schemas['Topic'][]>([]);
  let colleagues = $state.raw<Schemas['Colleague'][]>([]);
  let asked = 0;

  const word = (name: string) => String(searchParams.get(name) ?? '');
  const narrowed = $derived({
    search: word('search'),
    state: word('state') as Line['state'] | '',
    topic: word('topic'),
    sender: word('sender'),
    tag: word('tag'),
    days: Number(word('days') || 0),
    figure: word('figure'),
    least: Number(word('least') || 0),
  });
  const any = $derived(Object.values(narrowed).some(Boolean));

  function narrow(name: string, value: string) {
    if (value) searchParams.set(name, value);
    else searchParams.delete(name);
  }

  async function read(after: string | null = null) {
    const mine = ++asked;
    try {
      const { state, sender, ...rest } = narrowed;
      const window = await ask('get', '/api/mailings', {
        query: { ...rest, state: state || null, sender: sender || null, after },
      });
      if (mine !== asked) return;
      lines = after ? [...(lines ?? []), ...window.lines] : window.lines;
      more = window.more;
      failed = '';
    } catch (failure) {
      if (mine === asked) failed = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
  }

  $effect(() => {
    void narrowed;
    void read();
  });
  const changed = gathered(() => read());
  $effect(() => onChange((change) => (change.what === 'mailing' || change.what === 'hello') && changed()));
  Promise.all([ask('get', '/api/topics'), ask('get', '/api/team')])
    .then(([all, team]) => {
      topics = all;
      colleagues = team;
    })
    .catch(() => undefined);

  async function begin() {
    try {
      const { id } = await ask('post', '/api/mailings', { body: { name: 'New mailing', choice: null } });
      go(`/mailings/${id}`);
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  const states: [Line['state'] | '', string][] = [
    ['', 'all mailings'],
    ['WRITING', 'those not sent'],
    ['RUNNING', 'those under way'],
    ['PAUSED', 'those paused'],
    ['DONE', 'those sent'],
    ['STOPPED', 'those stopped'],
  ];
  const figures: [string, string][] = [
    ['', 'however they went'],
    ['opened', 'that were opened by at least'],
    ['clicked', 'whose links were followed by at least'],
    ['replied', 'that were answered by at least'],
    ['unsubscribed', 'that made leave at least'],
  ];
  const share = (part: number, { counts }: Line) =>
    counts.sent ? `${part.toLocaleString('en')} (${Math.round((part / counts.sent) * 100)} %)` : '';
</script>

<Page title="Mailings" crumb="one template to a list of people">
  {#snippet actions()}
    <Button main onclick={() => void begin()}>New mailing</Button>
  {/snippet}
  {#snippet foot()}
    <span aria-live="polite">{lines ? `${lines.length}${more ? ' and more' : ''} shown` : ''}</span>
  {/snippet}
  <p class="which">
    <SmallSelect
      word
      aria-label="Which mailings"
      value={narrowed.state}
      onchange={(event) => narrow('state', event.currentTarget.value)}
    >
      {#each states as [value, words] (value)}<option {value}>{words}</option>{/each}
    </SmallSelect>
    about
    <SmallSelect
      word
      aria-label="About which topic"
      value={narrowed.topic}
      onchange={(event) => narrow('topic', event.currentTarget.value)}
    >
      <option value="">anything</option>
      {#each topics as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
    </SmallSelect>
    from
    <SmallSelect
      word
      aria-label="Who they are from"
      value={narrowed.sender}
      onchange={(event) => narrow('sender', event.currentTarget.value)}
    >
      <option value="">anybody</option>
      {#each colleagues as one (one.id)}<option value={one.id}>{one.firstName} {one.lastName}</option>{/each}
    </SmallSelect>,
    <SmallSelect
      word
      aria-label="How they went"
      value={narrowed.figure}
      onchange={(event) => narrow('figure', event.currentTarget.value)}
    >
      {#each figures as [value, words] (value)}<option {value}>{words}</option>{/each}
    </SmallSelect>
    {#if narrowed.figure}
      <SmallInput
        type="number"
        min="0"
        max="100"
        style="width: 60px"
        aria-label="Of a hundred"
        value={String(narrowed.least)}
        onchange={(event) => narrow('least', event.currentTarget.value)}
      /> %
    {/if}
    changed
    <SmallSelect
      word
      aria-label="Since when"
      value={String(narrowed.days)}
      onchange={(event) => narrow('days', event.currentTarget.value === '0' ? '' : event.currentTarget.value)}
    >
      <option value="0">whenever</option>
      <option value="7">in the last 7 days</option>
      <option value="30">in the last 30 days</option>
      <option value="365">in the last year</option>
    </SmallSelect>
    <SmallInput
      aria-label="Find a mailing by its name"
      placeholder="name"
      data-finder
      value={narrowed.search}
      oninput={(event) => narrow('search', event.currentTarget.value)}
    />
    <SmallInput
      aria-label="Find mailings by a tag"
      placeholder="tag"
      value={narrowed.tag}
      onchange={(event) => narrow('tag', event.currentTarget.value)}
    />
  </p>
  {#if failed}
    <p class="said" role="alert">{failed} <Button quiet onclick={() => void read()}>Try again</Button></p>
  {:else if lines?.length === 0}
    <p class="said">
      {any
        ? 'No mailing is like that.'
        : 'No mailing yet. A mailing is one template to a list of people: you see every message before it leaves. Begin one here, or choose people in a list.'}
    </p>
  {:else if lines}
    <table>
      <thead>
        <tr
          ><th>name</th><th>state</th><th class="figure">delivered</th><th class="figure">opened</th><th
            class="figure">links</th
          ><th class="figure">replied</th><th class="figure">left</th><th>changed</th></tr
        >
      </thead>
      <tbody>
        {#each lines as line (line.id)}
          <tr>
            <td
              ><a href="/mailings/{line.id}"><bdi>{line.name}</bdi></a><small
                >{[line.maker, line.tags].filter(Boolean).join(' · ')}</small
              ></td
            >
            <td class:look={line.state === 'PAUSED' || line.counts.notSure > 0}
              >{standing(line)}{inTrouble(line.counts)}</td
            >
            <td class="figure">{line.counts.sent || ''}</td>
            <td class="figure">{share(line.counts.opened, line)}</td>
            <td class="figure">{share(line.counts.clicked, line)}</td>
            <td class="figure">{share(line.counts.replied, line)}</td>
            <td class="figure">{share(line.counts.unsubscribed, line)}</td>
            <td class="soft">{day(line.changedAt)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
    {#if more}<p class="said">
        <Button quiet onclick={() => void read(lines!.at(-1)!.id)}>Show older ones</Button>
      </p>{/if}
  {/if}
</Page>

<style>
  .which {
    padding: 12px 20px;
    color: var(--ink-soft);
    line-height: 2;
  }

  table {
    width: 100%;
    border-collapse: collapse;
  }

  th {
    padding: 4px 12px 4px 0;
    border-bottom: 1px solid var(--rule);
    color: var(--ink-soft);
    font-size: 12.5px;
    font-weight: 500;
    text-align: left;
  }

  td {
    padding: 6px 12px 6px 0;
    border-bottom: 1px solid var(--rule-soft);
    vertical-align: baseline;
  }

  th:last-child,
  td:last-child {
    padding-left: 16px;
  }

  th:first-child,
  td:first-child {
    padding-left: 20px;
  }

  .figure {
    text-align: right;
    font-variant-numeric: tabular-nums;
    white-space: nowrap;
  }

  a {
    display: block;
    color: var(--ink);
    font-weight: 600;
  }

  small,
  .soft {
    color: var(--ink-soft);
  }

  .look {
    color: var(--query);
  }

  .said {
    padding: 14px 20px;
    color: var(--ink-soft);
  }

  @media (width <= 700px) {
    th:nth-child(n + 4),
    td:nth-child(n + 4) {
      display: none;
    }
  }
</style>
