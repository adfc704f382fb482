<script lang="ts">
  import { count } from '../library/usedIn';
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { me } from '../app/session.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import Field from '../ui/Field.svelte';
  import PlainTable from '../ui/PlainTable.svelte';
  import Slip from '../ui/Slip.svelte';
  import { notify } from '../ui/notices.svelte';
  import OptionLines from './OptionLines.svelte';
  import { ownTypes, typeLabel } from './types';

  /** The fields the house adds to its records. */
  type OwnField = Schemas['OwnField'];
  const may = me().role === 'ADMINISTRATOR';
  const kinds = [
    ['contact', 'contacts'],
    ['lead', 'leads'],
    ['deal', 'deals'],
    ['organisation', 'organisations'],
  ] as const;

  let fields = $state<OwnField[] | null>(null);
  let failed = $state('');
  let wrong = $state<Record<string, string>>({});
  let open = $state<{ name: string; typed: Schemas['NewField']; anchor: HTMLElement } | null>(null);
  /** The choices of a new field, one a line. */
  let choices = $state('');
  /** The choices of a field that is there, and how many records have each. */
  let options = $state<Schemas['Option'][]>([]);
  let uses = $state.raw<Record<string, number>>({});
  let retiring = $state<{ field: OwnField; used: Schemas['Used']; anchor: HTMLElement } | null>(null);

  ask('get', '/api/fields')
    .then((read) => (fields = read))
    .catch((failure) => (failed = sentence(failure)));

  function edit(field: OwnField | null, event: MouseEvent) {
    wrong = {};
    choices = '';
    options = field?.choices.map((one) => ({ ...one })) ?? [];
    uses = {};
    if (field?.choices.length) void readUses(field);
    open = {
      name: field?.name ?? '',
      typed: {
        kind: field?.kind ?? 'contact',
        label: field?.label ?? '',
        type: field?.type ?? 'TEXT',
        section: field?.section ?? '',
        inList: field?.inList ?? false,
        choices: [],
      },
      anchor: event.currentTarget as HTMLElement,
    };
  }

  async function readUses(field: OwnField) {
    const params = { kind: field.kind, name: field.name };
    try {
      uses = await ask('get', '/api/fields/{kind}/{name}/uses', { params });
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    if (!open) return;
    const { name, typed } = open;
    const given = choices
      .split('\n')
      .map((one) => one.trim())
      .filter(Boolean);
    try {
      fields = name
        ? await ask('put', '/api/fields/{kind}/{name}', {
            params: { kind: typed.kind, name },
            body: { label: typed.label, inList: typed.inList, choices: $state.snapshot(options) },
          })
        : await ask('post', '/api/fields', { body: { ...typed, choices: given } });
      open = null;
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) notify(sentence(failure), { stop: true });
    }
  }

  async function askToRetire(field: OwnField, event: MouseEvent) {
    const anchor = event.currentTarget as HTMLElement;
    try {
      const used = await ask('get', '/api/templates/using', {
        query: { kind: field.kind, field: field.name },
      });
      retiring = { field, used, anchor };
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  async function retire(field: OwnField, method: 'post' | 'delete') {
    retiring = null;
    try {
      const params = { kind: field.kind, name: field.name };
      fields =
        method === 'post'
          ? await ask('post', '/api/fields/{kind}/{name}/retire', { params })
          : await ask('delete', '/api/fields/{kind}/{name}/retire', { params });
      if (method === 'post') {
        notify(`“${field.label}” is retired. Its values are kept.`, { undo: () => retire(field, 'delete') });
      }
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }
</script>

<p class="soft">
  Fields of your own, beside the built-in ones: on the records’ pages, in templates and in conditions. A
  field’s name in templates stays, whatever it is called later.
  {#if !may}An administrator changes them.{/if}
</p>
{#if failed}<p role="alert">{failed}</p>{/if}
{#if fields}
  <PlainTable label="Fields" heads={['Of', 'Field', 'Holds', 'In the list', 'In templates', '']}>
    {#each fields as field (field.path)}
      <tr class:retired={field.retired}>
        <td class="soft">{field.kind}</td>
        <td>{field.label}{field.retired ? ', retired' : ''}</td>
        <td class="soft">{typeLabel(field.type)}</td>
        <td class="soft">{field.inList ? 'yes' : ''}</td>
        <td class="soft">&#123;{field.path}&#125;</td>
        <td class="ways">
          {#if may && field.retired}
            <InlineButton onclick={() => void retire(field, 'delete')}>restore</InlineButton>
          {:else if may}
            <InlineButton onclick={(event) => edit(field, event)}>edit</InlineButton>
            <InlineButton soft onclick={(event) => void askToRetire(field, event)}>retire</InlineButton>
          {/if}
        </td>
      </tr>
    {:else}
      <tr><td colspan="6" class="soft">There is no field of your own yet.</td></tr>
    {/each}
  </PlainTable>
  {#if may}<Button onclick={(event) => edit(null, event)}>Add a field</Button>{/if}
{/if}
{#if open}
  <Slip
    title={open.name ? open.typed.label : 'Add a field'}
    anchor={open.anchor}
    wide={options.length > 0}
    onclose={() => (open = null)}
  >
    <form onsubmit={keep}>
      {#if !open.name}
        <Choose
          label="Of"
          value={open.typed.kind}
          options={kinds}
          onchange={(code) => (open!.typed.kind = code as OwnField['kind'])}
        />
      {/if}
      <Field label="Name" bind:value={open.typed.label} error={wrong.label} />
      {#if !open.name}
        <Choose
          label="Type"
          value={open.typed.type}
          options={ownTypes}
          error={wrong.type}
          onchange={(code) => (open!.typed.type = code as OwnField['type'])}
        />
        <Field
          label="Heading on the page"
          bind:value={open.typed.section}
          error={wrong.section}
          remark="Details, when it is left empty."
        />
      {/if}
      {#if open.typed.type === 'CHOICE' || open.typed.type === 'CHOICES'}
        {#if open.name}
          <OptionLines
            title="Choices"
            about="A new name counts for the records that have it."
            word="choice"
            editable
            bind:lines={options}
            fresh={() => ({ code: '', label: '', retired: false })}
            {uses}
            kind={open.typed.kind}
          />
          {#if wrong.choices}<p class="wrong" role="alert">{wrong.choices}</p>{/if}
        {:else}
          <Field label="Choices, one a line" lines={4} bind:value={choices} error={wrong.choices} />
        {/if}
      {/if}
      <label class="check"
        ><input type="checkbox" bind:checked={open.typed.inList} /> a column of the list</label
      >
      <Button main type="submit">Save</Button>
    </form>
  </Slip>
{/if}
{#if retiring}
  {@const { field, used, anchor } = retiring}
  <Slip title="Retire “{field.label}”?" {anchor} placement="bottom-end" onclose={() => (retiring = null)}>
    {#if count(used)}
      <p>{count(used) === 1 ? 'One template uses it' : `${count(used)} templates use it`} and will say so:</p>
      <ul>
        {#each used.seen as template (template.id)}<li>
            <a href="/templates/{template.id}">{template.name}</a>
          </li>{/each}
        {#if used.others}<li>{used.others} that you don’t see</li>{/if}
      </ul>
    {:else}
      <p>No template uses it.</p>
    {/if}
    <p class="soft">Its values are kept, and are back when the field is restored.</p>
    <Button main data-first onclick={() => void retire(field, 'post')}>Retire</Button>
  </Slip>
{/if}

<style>
  .wrong {
    padding-bottom: 8px;
    color: var(--stop);
  }

  .soft {
    color: var(--ink-soft);
  }

  .retired :global(td) {
    color: var(--ink-soft);
    font-style: italic;
  }

  .check {
    display: block;
    margin-bottom: 10px;
  }

  ul {
    margin: 4px 0 8px;
    padding-left: 16px;
    list-style: disc;
  }
</style>
