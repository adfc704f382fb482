<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { me } from '../app/session.svelte';
  import { ownTypes } from '../company/types';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import Field from '../ui/Field.svelte';
  import PlainTable from '../ui/PlainTable.svelte';
  import Slip from '../ui/Slip.svelte';

  /** Where the columns of a file go; an administrator makes a new field for one on the spot. */
  type Shown = Schemas['ImportShown'];
  let {
    shown,
    locked,
    error,
    onchange,
    onfield,
  }: {
    shown: Shown;
    locked: boolean;
    error: string;
    onchange: (targets: string[]) => void;
    /** A new field has been made, and a column goes there. */
    onfield: (targets: string[]) => Promise<void>;
  } = $props();

  const fresh = '+';
  const mayMake = me().role === 'ADMINISTRATOR';
  let making = $state<{ column: number; anchor: HTMLSelectElement } | null>(null);
  let label = $state('');
  let type = $state<string>('TEXT');
  let choices = $state('');
  let wrong = $state<Record<string, string>>({});

  const targets = (column: number, word: string) =>
    shown.settings.targets.map((one, at) => (at === column ? word : one));

  function choose(column: number, select: HTMLSelectElement) {
    if (select.value !== fresh) {
      onchange(targets(column, select.value));
      return;
    }
    select.value = shown.settings.targets[column];
    const one = shown.columns[column];
    label = one.heading;
    type = one.type;
    choices = one.choices.join('\n');
    wrong = {};
    making = { column, anchor: select };
  }

  async function make(event: SubmitEvent) {
    event.preventDefault();
    try {
      const listed =
        type === 'CHOICE' || type === 'CHOICES' ? choices.split('\n').filter((one) => one.trim()) : [];
      const fields = await ask('post', '/api/fields', {
        body: {
          kind: shown.kind,
          label,
          type: type as Schemas['NewField']['type'],
          section: '',
          inList: false,
          choices: listed,
        },
      });
      const made = fields.find((one) => one.kind === shown.kind && one.label === label.trim());
      const column = making!.column;
      making = null;
      if (made) await onfield(targets(column, made.name));
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) wrong = { label: sentence(failure) };
    }
  }
</script>

<section aria-labelledby="the-columns">
  <h2 id="the-columns">Columns</h2>
  <PlainTable
    label="Columns"
    heads={['In the file', 'Holds, for example', 'Goes to']}
    widths={['24%', '', '250px']}
  >
    {#each shown.columns as column, i (i)}
      <tr class:out={!shown.settings.targets[i]}>
        <td>{column.heading}</td>
        <td class="soft">{column.samples.join(' · ') || 'nothing'}</td>
        <td>
          <select
            aria-label="“{column.heading}” goes to"
            disabled={locked}
            value={shown.settings.targets[i]}
            onchange={(event) => choose(i, event.currentTarget)}
          >
            <option value="">left out</option>
            {#each shown.targets as target (target.word)}<option value={target.word}>{target.label}</option
              >{/each}
            {#if mayMake && !shown.cards}<option value={fresh}>a new field …</option>{/if}
          </select>
        </td>
      </tr>
    {/each}
  </PlainTable>
  {#if error || shown.wrong}<p class="wrong" role="alert">{error || shown.wrong}</p>{/if}
</section>

{#if making}
  <Slip
    title="New field for “{shown.columns[making.column].heading}”"
    anchor={making.anchor}
    placement="bottom-end"
    onclose={() => (making = null)}
  >
    <form onsubmit={make}>
      <Field label="Name" bind:value={label} error={wrong.label} />
      <Choose label="Holds" bind:value={type} options={ownTypes} error={wrong.type} />
      {#if type === 'CHOICE' || type === 'CHOICES'}
        <Field label="Choices, one a line" lines={5} bind:value={choices} error={wrong.choices} />
      {/if}
      <Button main type="submit">Add field</Button>
    </form>
  </Slip>
{/if}

<style>
  .out td:first-child {
    color: var(--ink-soft);
  }

  .wrong {
    color: var(--stop);
  }
</style>
