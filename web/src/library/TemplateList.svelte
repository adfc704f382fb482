<script lang="ts">
  import { searchParams } from 'sv-router';
  import { ask, sentence, type Schemas } from '../api/client';
  import { gathered, onChange } from '../app/changes';
  import { shortcuts } from '../app/keys.svelte';
  import { go } from '../app/router';
  import Button from '../ui/Button.svelte';
  import Find from '../ui/Find.svelte';
  import Page from '../ui/Page.svelte';
  import Slip from '../ui/Slip.svelte';
  import { notify } from '../ui/notices.svelte';
  import { day } from '../ui/when';
  import { aboutLabels, modeLabels } from './about';

  type Line = Schemas['TemplateLine'];
  const stages = { DRAFT: 'not ready', READY: '', CHANGED: 'changed since it was ready' };
  let lines = $state<Line[] | null>(null);
  let total = $state(0);
  let uncounted = $state(false);
  let goesOn = $state(false);
  let failed = $state('');
  let run = 0;
  const search = $derived(String(searchParams.get('find') ?? ''));
  let typed = $state('');
  let timer: ReturnType<typeof setTimeout>;
  let more = $state<{ line: Line; anchor: HTMLElement } | null>(null);

  async function read() {
    const mine = ++run;
    try {
      // As many as were shown are read anew, so that nobody loses their place.
      const wanted = lines && search === foundFor ? lines.length : 1;
      let found: Line[] = [];
      let page: Schemas['TemplatePage'];
      do {
        page = await ask('get', '/api/templates', { query: { search, after: found.at(-1)?.id } });
        found = [...found, ...page.lines];
      } while (page.more && found.length < wanted && mine === run);
      if (mine !== run) return;
      lines = found;
      total = page.total;
      uncounted = page.uncounted;
      goesOn = page.more;
      foundFor = search;
      failed = '';
    } catch (failure) {
      failed = sentence(failure);
    }
  }

  let foundFor = '';
  let reading = false;
  async function readOn() {
    if (reading || !goesOn || !lines) return;
    reading = true;
    const mine = run;
    try {
      const page = await ask('get', '/api/templates', { query: { search, after: lines.at(-1)?.id } });
      if (mine === run) {
        lines = [...lines, ...page.lines];
        goesOn = page.more;
      }
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    } finally {
      reading = false;
    }
  }

  /** Reads on before the end of what is there comes into sight. */
  function atEnd(mark: HTMLElement) {
    const watch = new IntersectionObserver(
      (seen) => seen.some((one) => one.isIntersecting) && void readOn(),
      {
        rootMargin: '600px',
      },
    );
    watch.observe(mark);
    return () => watch.disconnect();
  }

  const changed = gathered(read);
  $effect(() => {
    typed = search;
    void read();
  });
  $effect(() => onChange((change) => change.what === 'template' && changed()));
  $effect(() => shortcuts([{ key: 'n', label: 'New template', run: () => go('/templates/new') }]));

  function find() {
    clearTimeout(timer);
    timer = setTimeout(() => {
      if (typed) searchParams.set('find', typed);
      else searchParams.delete('find');
    }, 120);
  }

  async function duplicate(line: Line) {
    more = null;
    try {
      const made = await ask('post', '/api/templates/{id}/duplicate', { params: { id: line.id } });
      go(`/templates/${made.template.id}`);
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  async function remove(line: Line) {
    more = null;
    try {
      await ask('delete', '/api/templates/{id}', { params: { id: line.id } });
      await read();
      notify(`“${line.name}” is deleted.`, {
        undo: async () => {
          await ask('post', '/api/templates/{id}/restore', { params: { id: line.id } });
          await read();
        },
      });
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  function onkeydown(event: KeyboardEvent) {
    const way = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    const links = [...document.querySelectorAll<HTMLElement>('.templates a')];
    const at = links.indexOf(document.activeElement as HTMLElement);
    if (!way || at < 0) return;
    event.preventDefault();
    links[at + way]?.focus();
  }
</script>

<Page title="Templates">
  {#snippet actions()}
    <Find label="Find in names and texts" bind:value={typed} onfind={find} />
    <Button main onclick={() => go('/templates/new')}>New template</Button>
  {/snippet}
  {#snippet foot()}
    <span aria-live="polite"
      >{lines
        ? `${uncounted ? 'more than ' : ''}${total.toLocaleString('en')} template${total === 1 ? '' : 's'}`
        : ''}{search ? ' found' : ''}</span
    >
    <span class="keys">n new · / find · ? keys</span>
  {/snippet}
  {#if failed}
    <p class="said" role="alert">{failed} <Button quiet onclick={() => void read()}>Try again</Button></p>
  {:else if lines?.length === 0}
    <p class="said">
      {#if search}
        No template matches.
      {:else}
        No templates yet. Start with a message you write every week.
        <Button quiet onclick={() => go('/templates/new')}>Choose a design</Button>
      {/if}
    </p>
  {:else if lines}
    <!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
    <table class="templates" {onkeydown}>
      <thead>
        <tr>
          <th scope="col">Name</th>
          <th scope="col">Subject</th>
          <th scope="col">For</th>
          <th scope="col">Owner</th>
          <th scope="col" class="figures">Used</th>
          <th scope="col" class="figures">Changed</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        {#each lines as line (line.id)}
          <tr>
            <td class="name">
              <a href="/templates/{line.id}">{line.name}</a>
              <small
                >{[
                  line.purpose,
                  modeLabels[line.mode],
                  line.languages.length ? `also in ${line.languages.join(' and ')}` : '',
                  stages[line.stage],
                ]
                  .filter(Boolean)
                  .join(' · ')}</small
              >
            </td>
            <td class="subject"
              >{#each line.subject as part, i (i)}{#if part.field}<span class="field">{part.text}</span
                  >{:else}{part.text}{/if}{/each}</td
            >
            <td>{aboutLabels[line.about]}</td>
            <td>{line.mine ? 'mine' : line.owner}</td>
            <td class="figures">{line.used || ''}</td>
            <td class="figures">{day(line.changedAt)}</td>
            <td class="figures">
              <Button
                quiet
                aria-label="More for {line.name}"
                onclick={(event: MouseEvent) => (more = { line, anchor: event.currentTarget as HTMLElement })}
                >more</Button
              >
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
    {#if goesOn}{#key lines.length}<p class="said" {@attach atEnd}>
          More templates are read as you scroll.
        </p>{/key}{/if}
  {/if}
</Page>
{#if more}
  {@const { line, anchor } = more}
  <Slip title={line.name} {anchor} placement="bottom-end" onclose={() => (more = null)}>
    <p class="ways">
      <Button onclick={() => void duplicate(line)}>Duplicate</Button>
      {#if line.mayChange}<Button onclick={() => void remove(line)}>Delete template</Button>{/if}
    </p>
    <p class="remark">
      {line.mayChange
        ? 'Deleting can be undone for ten seconds.'
        : `${line.owner} keeps this template. A duplicate is yours.`}
    </p>
  </Slip>
{/if}

<style>
  .keys {
    margin-left: auto;
  }

  .said {
    padding: 24px 20px;
    color: var(--ink-soft);
  }

  table {
    width: 100%;
    border-collapse: collapse;
    table-layout: fixed;
  }

  th {
    position: sticky;
    top: 0;
    background: var(--paper);
    color: var(--ink-soft);
    font-weight: 500;
    font-size: 12.5px;
    text-align: left;
  }

  th,
  td {
    padding: 6px 9px;
    border-bottom: 1px solid var(--rule-soft);
    color: var(--ink-soft);
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  th:first-child,
  td:first-child {
    width: 27%;
    padding-left: 20px;
  }

  th:nth-child(2) {
    width: 33%;
  }

  thead td {
    width: 72px;
  }

  tbody tr:hover,
  tbody tr:focus-within {
    background: var(--chosen);
  }

  .figures {
    text-align: right;
  }

  .name a {
    color: var(--ink);
    font-weight: 600;
    text-decoration: none;
  }

  .name a:hover {
    text-decoration: underline;
  }

  small {
    margin-left: 6px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .field {
    padding: 0 2px;
    border-bottom: 1.5px solid var(--rule);
    color: var(--ink);
  }

  .ways {
    display: flex;
    gap: 8px;
  }

  .remark {
    margin-top: 10px;
    color: var(--ink-soft);
  }

  @media (width <= 700px) {
    th:nth-child(n + 3),
    td:nth-child(n + 3) {
      display: none;
    }

    th:first-child,
    td:first-child {
      width: 60%;
      padding-left: 14px;
      white-space: normal;
    }
  }
</style>
