<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { isEditor } from '../app/session.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import Field from '../ui/Field.svelte';
  import CompanyForm from './CompanyForm.svelte';
  import PlainTable from '../ui/PlainTable.svelte';
  import Slip from '../ui/Slip.svelte';
  import { notify } from '../ui/notices.svelte';
  import { typeOptions } from './types';

  /** Details of our company, each with the day it was last true. */
  type Fact = Schemas['HouseFact'];
  const may = isEditor();
  const types = typeOptions(['TEXT', 'NUMBER', 'MONEY', 'DATE', 'LINK', 'PHONE', 'EMAIL']);

  let facts = $state<Fact[] | null>(null);
  let open = $state<{ name: string; typed: Schemas['TypedFact']; anchor: HTMLElement } | null>(null);
  let wrong = $state<Record<string, string>>({});
  let failed = $state('');

  ask('get', '/api/company/facts')
    .then((read) => (facts = read))
    .catch((failure) => (failed = sentence(failure)));

  function edit(fact: Fact | null, event: MouseEvent) {
    wrong = {};
    const { label, type, value, asOf, months } = fact ?? {
      label: '',
      type: 'TEXT',
      value: '',
      asOf: '',
      months: 12,
    };
    open = {
      name: fact?.name ?? '',
      typed: { label, type, value, asOf, months } as Schemas['TypedFact'],
      anchor: event.currentTarget as HTMLElement,
    };
  }

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    if (!open) return;
    try {
      facts = open.name
        ? await ask('put', '/api/company/facts/{name}', { params: { name: open.name }, body: open.typed })
        : await ask('post', '/api/company/facts', { body: open.typed });
      open = null;
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) notify(sentence(failure), { stop: true });
    }
  }

  async function remove(fact: Fact) {
    const { label, type, value, asOf, months } = fact;
    try {
      facts = await ask('delete', '/api/company/facts/{name}', { params: { name: fact.name } });
      notify(`“${label}” is removed. Templates that use it say so.`, {
        undo: async () => {
          facts = await ask('post', '/api/company/facts', { body: { label, type, value, asOf, months } });
        },
      });
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }
</script>

<CompanyForm />
<h2>More details for templates</h2>
<p class="soft">
  Facts about our company that templates can print, such as the number of customers, each with the day it was
  last checked.
  {#if !may}Editors and administrators change them.{/if}
</p>
{#if failed}<p role="alert">{failed}</p>{/if}
{#if facts}
  <PlainTable label="Details" heads={['Detail', 'Says', 'As of', 'In templates', '']}>
    {#each facts as fact (fact.name)}
      <tr>
        <td>{fact.label}</td>
        <td><bdi>{fact.value}</bdi></td>
        <td>{fact.asOf}</td>
        <td class="soft">&#123;{fact.path}&#125; and &#123;{fact.path}_as_of&#125;</td>
        <td class="ways">
          {#if may}
            <InlineButton onclick={(event) => edit(fact, event)}>edit</InlineButton>
            <InlineButton soft onclick={() => void remove(fact)}>remove</InlineButton>
          {/if}
        </td>
      </tr>
    {:else}
      <tr><td colspan="5" class="soft">No details yet.</td></tr>
    {/each}
  </PlainTable>
  {#if may}<Button onclick={(event) => edit(null, event)}>Add a detail</Button>{/if}
{/if}
{#if open}
  <Slip
    title={open.name ? open.typed.label : 'Add a detail'}
    anchor={open.anchor}
    onclose={() => (open = null)}
  >
    <form onsubmit={keep}>
      {#if !open.name}
        <Field label="Name" bind:value={open.typed.label} error={wrong.label} />
        <Choose
          label="Type"
          value={open.typed.type}
          options={types}
          error={wrong.type}
          onchange={(code) => (open!.typed.type = code as Fact['type'])}
        />
      {/if}
      <Field label="Value" bind:value={open.typed.value} error={wrong.value} />
      <Field label="As of" type="date" bind:value={open.typed.asOf} error={wrong.asOf} />
      <Choose
        label="Ask whether it is still true"
        value={open.typed.months === null ? '' : String(open.typed.months)}
        options={[
          ['3', 'after 3 months'],
          ['6', 'after 6 months'],
          ['12', 'after a year'],
          ['24', 'after two years'],
          ['', 'never'],
        ]}
        error={wrong.months}
        onchange={(code) => (open!.typed.months = code ? Number(code) : null)}
      />
      <Button main type="submit">Save</Button>
    </form>
  </Slip>
{/if}

<style>
  h2 {
    margin: 22px 0 4px;
    font: 500 var(--large) / 1.3 var(--serif);
  }

  .soft {
    color: var(--ink-soft);
  }
</style>
