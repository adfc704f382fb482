<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import LeftOutList from '../messages/LeftOutList.svelte';
  import RestDays from '../messages/RestDays.svelte';
  import RecordFinder from '../records/RecordFinder.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import AskedFor from './AskedFor.svelte';
  import type { MailingSheet } from './mailingSheet.svelte';
  import { called, several } from './mailingWords';
  import Part from './Part.svelte';

  /** Who gets a mailing: lists, a condition and people by name, without others; how many these are, and who is left out. */
  let { sheet, folded = $bindable(false) }: { sheet: MailingSheet; folded?: boolean } = $props();

  const who = $derived(sheet.plan!.who);
  let lists = $state.raw<Schemas['ShownList'][]>([]);
  let names = $state.raw<Record<string, string>>({});
  let finding = $state(false);
  let out = $state(false);
  let wrong = $state('');

  $effect(() => {
    ask('get', '/api/lists/kept/{kind}', { params: { kind: who.kind } })
      .then((all) => (lists = all))
      .catch((failure) => (wrong = sentence(failure)));
  });

  const list = (id: string) => lists.find((one) => one.id === id)?.name ?? 'a list you don’t see';
  const getting = $derived<Record<string, string>>(
    Object.fromEntries((sheet.ready?.in ?? []).map((one) => [one.key, one.name])),
  );
  /** The names of those who were named, as far as they get it or are left out. */
  const known = $derived({
    ...names,
    ...getting,
    ...Object.fromEntries((sheet.ready?.out ?? []).map((one) => [one.who.key, one.who.name])),
  });
  const total = $derived((sheet.ready?.in.length ?? 0) + (sheet.ready?.out.length ?? 0));
  const summary = $derived(
    `${several(sheet.ready?.in.length ?? 0, called(who.kind, 1), called(who.kind, 2))}${
      sheet.ready?.out.length ? `, ${sheet.ready.out.length} left out` : ''
    }`,
  );

  function add(id: string, name: string) {
    names = { ...names, [id]: name };
    finding = false;
    if (!who.people.includes(id)) sheet.who({ people: [...who.people, id] });
  }

  const without = (some: string[], id: string) => some.filter((one) => one !== id);
</script>

<Part name="Who" {summary} said={sheet.sentBack} bind:folded>
  {#if sheet.open}
    <p class="who">
      {#if sheet.mailing?.state === 'WRITING'}
        <SmallSelect
          word
          aria-label="What is chosen"
          value={who.kind}
          onchange={(event) =>
            sheet.who({
              kind: event.currentTarget.value as typeof who.kind,
              lists: [],
              people: [],
              minus: [],
              putBack: [],
              where: '',
              minusWhere: '',
            })}
        >
          <option value="contact">Contacts</option>
          <option value="lead">Leads</option>
          <option value="deal">Main contacts of deals</option>
        </SmallSelect>
      {:else}
        {who.kind === 'contact' ? 'Contacts' : who.kind === 'lead' ? 'Leads' : 'Main contacts of deals'}
      {/if}
      {#each who.lists as id (id)}
        <span class="word"
          >on “{list(id)}”<InlineButton
            soft
            aria-label="Take “{list(id)}” away"
            onclick={() => sheet.who({ lists: without(who.lists, id) })}>×</InlineButton
          ></span
        >
      {/each}
      <SmallSelect
        word
        aria-label="Add everybody on a list"
        value=""
        onchange={(event) => {
          const id = event.currentTarget.value;
          event.currentTarget.value = '';
          if (id) sheet.who({ lists: [...who.lists, id] });
        }}
      >
        <option value="">{who.lists.length ? 'or on a list …' : 'on a list …'}</option>
        {#each lists.filter((one) => !who.lists.includes(one.id)) as one (one.id)}
          <option value={one.id}>{one.name}</option>
        {/each}
      </SmallSelect>
      <AskedFor
        kind={who.kind}
        written={who.where}
        label="Who gets it"
        begin={who.lists.length ? 'or whose …' : 'whose …'}
        before={who.lists.length ? 'or whose' : 'whose'}
        onchanged={(where) => sheet.who({ where })}
      />
      {#each who.people as id (id)}
        <span class="word"
          ><bdi>{known[id] ?? 'somebody'}</bdi><InlineButton
            soft
            aria-label="Take {known[id] ?? 'somebody'} away"
            onclick={() => sheet.who({ people: without(who.people, id) })}>×</InlineButton
          ></span
        >
      {/each}
      {#if who.kind !== 'deal'}
        {#if finding}
          <span class="find">
            {#key who.people.length}
              <RecordFinder
                label="Add somebody by name"
                kind={who.kind === 'lead' ? 'lead' : 'contact'}
                onchoose={add}
              />
            {/key}
          </span>
        {:else}
          <InlineButton onclick={() => (finding = true)}>somebody by name …</InlineButton>
        {/if}
      {/if}
    </p>
    <p class="who">
      Leaving out
      <RestDays days={who.restDays} onchange={(restDays) => sheet.who({ restDays })} />
      {#each who.minus as id (id)}
        <span class="word"
          >and those on “{list(id)}”<InlineButton
            soft
            aria-label="Leave those on “{list(id)}” in"
            onclick={() => sheet.who({ minus: without(who.minus, id) })}>×</InlineButton
          ></span
        >
      {/each}
      <SmallSelect
        word
        aria-label="Leave out those on a list"
        value=""
        onchange={(event) => {
          const id = event.currentTarget.value;
          event.currentTarget.value = '';
          if (id) sheet.who({ minus: [...who.minus, id] });
        }}
      >
        <option value="">and those on a list …</option>
        {#each lists.filter((one) => !who.minus.includes(one.id)) as one (one.id)}
          <option value={one.id}>{one.name}</option>
        {/each}
      </SmallSelect>
      <AskedFor
        kind={who.kind}
        written={who.minusWhere}
        label="Who is left out"
        begin="and those whose …"
        before="and those whose"
        onchanged={(minusWhere) => sheet.who({ minusWhere })}
      />
    </p>
  {/if}
  {#if sheet.ready?.wrong.who}
    <p class="wrong" role="alert">{sheet.ready.wrong.who}</p>
  {:else if sheet.ready}
    <p role="status">
      {#if total === 0}
        Nobody yet: choose a list, ask for something that is true of them, or name them.
      {:else}
        <b>{several(sheet.ready.in.length, called(who.kind, 1), called(who.kind, 2))}</b> of {total.toLocaleString(
          'en',
        )}
        can get it{sheet.ready.out.length
          ? `; ${sheet.ready.out.length} ${sheet.ready.out.length === 1 ? 'is' : 'are'} left out.`
          : '.'}
        {#if sheet.ready.out.length || who.putBack.length}
          <InlineButton aria-expanded={out} onclick={() => (out = !out)}
            >{out ? 'hide them' : 'see who, and why'}</InlineButton
          >
        {/if}
      {/if}
    </p>
    {#if out}
      <LeftOutList
        out={sheet.ready.out}
        open={sheet.open}
        back={who.putBack.map((one) => ({ ...one, name: getting[one.key] ?? '' }))}
        onchange={(putBack) => sheet.who({ putBack })}
      />
    {/if}
  {/if}
  {#if wrong || sheet.wrong.where || sheet.wrong.people || sheet.wrong.lists}
    <p class="wrong" role="alert">{wrong || sheet.wrong.where || sheet.wrong.people || sheet.wrong.lists}</p>
  {/if}
</Part>

<style>
  .who {
    color: var(--ink-soft);
  }

  .who > * {
    margin-right: 4px;
  }

  .word {
    color: var(--ink);
  }

  .find {
    display: inline-block;
    width: 240px;
    vertical-align: middle;
  }

  .wrong {
    color: var(--stop);
  }
</style>
