<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { onChange } from '../app/changes';
  import { go } from '../app/router';
  import InlineButton from '../ui/InlineButton.svelte';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import Field from '../ui/Field.svelte';
  import Slip from '../ui/Slip.svelte';
  import { notify } from '../ui/notices.svelte';
  import { beginText } from './keptText';

  /** What a house style puts above and below messages; each is written on the desk. */
  let {
    style,
    mayChange,
    unkept,
  }: {
    style: string;
    mayChange: boolean;
    /** Settings beside it are changed and not saved yet; going to the desk would lose them. */
    unkept: boolean;
  } = $props();

  type Wrapping = Schemas['ShownWrapping'];
  let all = $state<Wrapping[]>([]);
  let adding = $state(false);
  let opener = $state<HTMLButtonElement>();
  let name = $state('');
  let kind = $state<Wrapping['kind']>('HEADER');
  let wrong = $state<Record<string, string>>({});
  const sides = [
    ['HEADER', 'Above the message'],
    ['FOOTER', 'Below the message'],
  ] as const;

  function read(of: string) {
    ask('get', '/api/templates/wrappings', { query: { style: of } })
      .then((found) => {
        if (of === style) all = found;
      })
      .catch((failure) => notify(sentence(failure), { stop: true }));
  }

  async function open(one: Wrapping) {
    try {
      const id =
        one.inStyle || !one.id
          ? (
              await ask('post', '/api/templates/wrappings', {
                body: { style, kind: one.kind, name: one.name },
              })
            ).template.id
          : one.id;
      go(`/materials/styles/${id}`);
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  async function add(event: SubmitEvent) {
    event.preventDefault();
    try {
      const id = await beginText(kind, name, 'PERSON', style);
      go(`/materials/styles/${id}`);
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) wrong = { name: sentence(failure) };
    }
  }

  $effect(() => read(style));
  $effect(() =>
    onChange((change) => {
      if (change.what === 'template' || change.what === 'house-style') read(style);
    }),
  );
</script>

<fieldset disabled={!mayChange}>
  <legend>Around the message</legend>
  {#each sides as [side, label] (side)}
    {@const here = all.filter((one) => one.kind === side)}
    <p class="side">{label}</p>
    <ul>
      {#each here as one, at (one.name)}
        <li>
          <span>{one.name}</span>
          <small>{one.inStyle ? (at === 0 ? 'the default' : '') : 'not ready yet'}</small>
          {#if mayChange}
            <InlineButton disabled={unkept} onclick={() => void open(one)}>edit</InlineButton>
          {/if}
        </li>
      {:else}
        <li><small>nothing</small></li>
      {/each}
    </ul>
  {/each}
  {#if mayChange}
    <Button bind:element={opener} quiet disabled={unkept} onclick={() => (adding = !adding)}
      >Add a header or footer</Button
    >
    {#if unkept}<small>Save the changes beside this first.</small>{/if}
  {/if}
</fieldset>
{#if adding}
  <Slip title="Add a header or footer" anchor={opener} onclose={() => (adding = false)}>
    <form class="add" onsubmit={add}>
      <Choose
        label="Where"
        value={kind}
        options={sides}
        onchange={(code) => (kind = code as Wrapping['kind'])}
      />
      <Field label="Name for colleagues" bind:value={name} error={wrong.name ?? wrong.design} />
      <Button main type="submit">Create</Button>
    </form>
  </Slip>
{/if}

<style>
  fieldset {
    margin: 0 0 10px;
    padding: 8px 0 0;
    border: 0;
    border-top: 1px solid var(--rule-soft);
  }

  legend {
    padding: 0 8px 0 0;
    font: 500 15px/1.2 var(--serif);
  }

  .side,
  small {
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  ul {
    margin: 0 0 6px;
    padding: 0;
    list-style: none;
  }

  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0 8px;
    align-items: baseline;
  }

  li small {
    flex: 1;
    white-space: nowrap;
  }

  .add {
    display: grid;
    gap: 8px;
  }
</style>
