<script lang="ts">
  import { searchParams } from 'sv-router';
  import { ask, fieldsOf, sentence } from '../api/client';
  import { go, recordAddress, route } from '../app/router';
  import { me } from '../app/session.svelte';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import Ledger from '../ui/Ledger.svelte';
  import Find from '../ui/Find.svelte';
  import Page from '../ui/Page.svelte';
  import Slip from '../ui/Slip.svelte';
  import { Chosen } from './chosen.svelte';
  import ChosenFoot from './ChosenFoot.svelte';
  import ColumnsSlip from './ColumnsSlip.svelte';
  import ListChanges from './ListChanges.svelte';
  import Interchange from './Interchange.svelte';
  import { Narrowing } from './narrowing.svelte';
  import RecordFinder from './RecordFinder.svelte';
  import WhichRecords from './WhichRecords.svelte';

  /** What a new record of each kind begins with. */
  const beginnings = {
    contact: { first_name: '', last_name: '' },
    lead: { first_name: '', last_name: '', company: '' },
    organisation: { name: '' },
    deal: { name: '' },
  };
  /** What belongs into a list that is empty. */
  const absent = {
    contact: 'No contacts yet. Contacts are the people you sell to and look after.',
    lead: 'No leads yet. Leads are people who may become customers.',
    organisation: 'No organisations yet. Organisations are the companies your contacts work for.',
    deal: 'No deals yet. A deal is something a customer may buy: with a value, a stage and its people.',
  };
  const people = [
    ['contact', 'Contacts', '/people/contacts'],
    ['lead', 'Leads', '/people/leads'],
    ['organisation', 'Organisations', '/people/organisations'],
  ] as const;
  const kind = $derived(
    route.pathname.startsWith('/deals')
      ? 'deal'
      : (people.find(([, , address]) => address === route.pathname)?.[0] ?? 'contact'),
  );
  const search = $derived(String(searchParams.get('find') ?? ''));
  const sort = $derived(String(searchParams.get('by') ?? ''));
  const descending = $derived(searchParams.get('down') !== null);

  const narrowing = $derived(new Narrowing(kind));
  const chosen = new Chosen();
  /** What the lines depend on; what is chosen is chosen among them. */
  const shown = $derived(
    `${kind} ${search} ${narrowing.listId} ${narrowing.minus} ${narrowing.deals} ${narrowing.role} ${narrowing.typed}`,
  );
  /** Changes when the lines have to be read again as they are. */
  let anew = $state(0);
  let choosingColumns = $state<HTMLElement | null>(null);
  /** How much more or less the total may be. */
  let error = $state(0);
  /** While the few that fit are found: how many there may be at most. */
  let atMost = $state<number | null>(null);
  /** The total, once it has been counted. */
  let known = $state<number | null>(null);

  $effect(() => {
    void narrowing.follow(narrowing.where);
  });

  $effect(() => {
    void shown;
    chosen.none();
  });

  let typed = $derived(search);
  let total = $state<number | null>(null);
  /** Whether there may be more of what is looked for than is shown. */
  let more = $state(false);
  let timer: ReturnType<typeof setTimeout>;
  let adding = $state(false);
  let opener = $state<HTMLButtonElement>();
  let values = $state<Record<string, string>>({});
  let email = $state('');
  let wrong = $state<Record<string, string>>({});

  /** Whether the cursor goes to the first line as soon as what is looked for has been found. */
  let into = false;

  function find() {
    clearTimeout(timer);
    into = false;
    timer = setTimeout(look, 150);
  }

  // A search that was typed and left is not looked up on the page that comes next.
  $effect(() => () => clearTimeout(timer));

  function look() {
    if (typed) searchParams.set('find', typed);
    else searchParams.delete('find');
  }

  function goInto() {
    clearTimeout(timer);
    into = true;
    if (typed === search && total !== null) toFirst();
    else look();
  }

  function toFirst() {
    if (!into) return;
    into = false;
    document.querySelector<HTMLElement>('[data-at="0"] a')?.focus();
  }

  function read(from: number, most: number, soon: boolean) {
    return ask('get', '/api/lists/records/{kind}', {
      params: { kind },
      query: {
        search,
        sort,
        descending,
        from,
        most,
        soon,
        where: narrowing.typed,
        list: narrowing.listId,
        minus: narrowing.minus,
        deals: narrowing.deals,
        role: narrowing.role,
      },
    });
  }

  async function load(from: number, most: number) {
    const of = shown;
    let answer = await read(from, most, from === 0);
    if (answer.sought) {
      // Hardly any fit: how many there may be is shown while they are found.
      if (of === shown) atMost = answer.window.total + answer.error;
      answer = await read(from, most, false).finally(() => (atMost = null));
    }
    const { window, error: unsure } = answer;
    if (from === 0) {
      known = null;
      error = unsure;
      if (unsure) void count(shown);
    }
    total = known ?? window.total;
    more = window.more;
    return { ...window, total };
  }

  /** What was estimated at once is counted. */
  async function count(of: string) {
    try {
      const { number } = await ask('get', '/api/lists/records/{kind}/count', {
        params: { kind },
        query: {
          where: narrowing.typed,
          list: narrowing.listId,
          minus: narrowing.minus,
          deals: narrowing.deals,
          role: narrowing.role,
        },
      });
      if (of !== shown) return;
      known = number;
      total = number;
      error = 0;
    } catch {
      // The estimate stays.
    }
  }

  const figure = (number: number) => number.toLocaleString('en');

  function sortBy(column: string, down: boolean) {
    searchParams.set('by', column);
    if (down) searchParams.set('down', 'yes');
    else searchParams.delete('down');
  }

  function begin() {
    values = { ...beginnings[kind] };
    values.owner = me().id;
    email = '';
    wrong = {};
    adding = !adding;
  }

  async function add(event: SubmitEvent) {
    event.preventDefault();
    try {
      const made = await ask('post', '/api/records/{kind}', { params: { kind }, body: { values, email } });
      adding = false;
      go(recordAddress(kind, made.id));
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) wrong = { last_name: sentence(failure), name: sentence(failure) };
    }
  }
</script>

<Page title={kind === 'deal' ? 'Deals' : 'People'}>
  {#snippet heading()}
    <h1>{kind === 'deal' ? 'Deals' : 'People'}</h1>
    {#if kind !== 'deal'}
      <nav aria-label="Kinds of people">
        {#each people as [one, label, address] (one)}
          <a href={address} aria-current={kind === one ? 'page' : undefined}>{label}</a>
        {/each}
      </nav>
    {/if}
  {/snippet}
  {#snippet actions()}
    <Find label="Find in this list" bind:value={typed} onfind={find} oninto={goInto} />
    <Interchange {kind} />
    <Button bind:element={opener} onclick={begin}>New {kind}</Button>
  {/snippet}
  {#snippet foot()}
    {#if total !== null && chosen.number(total)}
      <ChosenFoot
        {narrowing}
        choice={chosen.choice(kind, {
          search,
          where: narrowing.typed,
          list: narrowing.listId || null,
          minus: narrowing.minus || null,
          deals: narrowing.deals || null,
          role: narrowing.role || null,
        })}
        number={chosen.number(total)}
        {total}
        about={error > 0}
        onall={() => chosen.chooseAll()}
        onnone={() => chosen.none()}
        onchanged={() => anew++}
      />
    {:else}
      <span aria-live="polite"
        >{atMost !== null
          ? `about ${figure(atMost)} ${kind}s at most. Finding them …`
          : total === null
            ? ''
            : more
              ? `more than ${figure(total)} ${kind}s found: type more to see fewer`
              : `${error ? 'about ' : ''}${figure(total)} ${kind}${total === 1 ? '' : 's'}${search ? ' found' : ''}${
                  error ? `, ${figure(error)} more or less` : ''
                }`}</span
      >
    {/if}
    <span class="keys">↑ ↓ walk · space choose · / find · ? keys</span>
  {/snippet}
  <!-- Lines of one kind are never shown as those of another. -->
  {#key kind}
    <div class="list">
      <div>
        <WhichRecords
          {narrowing}
          {sort}
          {descending}
          onchanged={() => anew++}
          oncolumns={(event) =>
            (choosingColumns = choosingColumns ? null : (event.currentTarget as HTMLElement))}
        />
        {#if narrowing.list}{#key `${narrowing.listId} ${anew}`}<ListChanges
              list={narrowing.list}
            />{/key}{/if}
      </div>
      <Ledger
        label={`${kind}s`}
        {known}
        {chosen}
        address={(id) => recordAddress(kind, id)}
        {load}
        onread={toFirst}
        reload={`${shown} ${sort} ${descending} ${anew}`}
        {sort}
        {descending}
        onsort={sortBy}
      >
        {#snippet empty()}
          {#if search}
            No {kind} matches “{search}”{narrowing.any ? ' here' : ''}.
          {:else if narrowing.list && !narrowing.list.live && !narrowing.typed}
            {kind === 'contact' || kind === 'lead' ? 'Nobody' : 'Nothing'} is on this list yet. Choose {kind}s
            in any list and add them.
          {:else if narrowing.any}
            No {kind} fits the condition.
          {:else}
            {absent[kind]}
            <Button quiet onclick={begin}>Add the first {kind}</Button> or
            <a href="{kind === 'deal' ? '/deals' : `/people/${kind}s`}/import">import {kind}s</a>.
          {/if}
        {/snippet}
      </Ledger>
    </div>
  {/key}
</Page>
{#if choosingColumns}
  <ColumnsSlip
    {kind}
    anchor={choosingColumns}
    onclose={() => (choosingColumns = null)}
    onchanged={() => anew++}
  />
{/if}
{#if adding}
  <Slip title="New {kind}" anchor={opener} placement="bottom-end" onclose={() => (adding = false)}>
    <form onsubmit={add}>
      {#if kind === 'contact' || kind === 'lead'}
        <Field label="First name" bind:value={values.first_name} error={wrong.first_name} />
        <Field label="Surname" bind:value={values.last_name} error={wrong.last_name} />
        <Field label="E-mail" bind:value={email} error={wrong.email} />
      {:else}
        <Field label="Name" bind:value={values.name} error={wrong.name} />
      {/if}
      {#if kind === 'lead'}
        <Field label="Company" bind:value={values.company} error={wrong.company} />
      {/if}
      {#if kind === 'contact' || kind === 'deal'}
        <RecordFinder
          label="Organisation"
          kind="organisation"
          onchoose={(id) => (values.organisation = id)}
          error={wrong.organisation}
        />
      {/if}
      <Button main type="submit">Add {kind}</Button>
    </form>
  </Slip>
{/if}

<style>
  h1 {
    font: 500 21px/1.2 var(--serif);
  }

  nav {
    display: flex;
    gap: 14px;
    align-self: stretch;
    margin-left: 6px;
  }

  nav a {
    display: flex;
    align-items: center;
    border-bottom: 2px solid transparent;
    color: var(--ink-soft);
    text-decoration: none;
  }

  nav a[aria-current] {
    border-color: var(--ink);
    color: var(--ink);
  }

  .keys {
    margin-left: auto;
  }

  .list {
    display: grid;
    grid-template-rows: auto minmax(0, 1fr);
    height: 100%;
  }

  @media (width <= 700px) {
    nav a {
      min-height: 30px;
    }
  }
</style>
