<script lang="ts">
  import { untrack } from 'svelte';
  import { ask, fieldsOf, lines, sentence, type Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import { notify } from '../ui/notices.svelte';
  import Slip from '../ui/Slip.svelte';
  import FieldInput from './FieldInput.svelte';
  import RecordFinder from './RecordFinder.svelte';

  /** Sets one field of all chosen records: who looks after them, or any other. */
  let {
    choice,
    number,
    anchor,
    onclose,
    ondone,
  }: {
    choice: Schemas['ListSelection'];
    /** How many are chosen. */
    number: string;
    anchor: HTMLElement;
    onclose: () => void;
    ondone: () => void;
  } = $props();

  let fields = $state.raw<Schemas['Fact'][]>([]);
  let name = $state('');
  let value = $state('');
  let wrong = $state('');
  let far = $state('');
  let stopping: AbortController | null = null;
  const field = $derived(fields.find((one) => one.name === name));

  ask('get', '/api/records/{kind}/settable', { params: { kind: untrack(() => choice.kind) } })
    .then((all) => {
      fields = all;
      name = all.find((one) => one.name === 'owner')?.name ?? all[0]?.name ?? '';
    })
    .catch((failure) => (wrong = sentence(failure)));

  $effect(() => () => stopping?.abort());

  async function set(event: SubmitEvent) {
    event.preventDefault();
    wrong = '';
    far = 'reading …';
    stopping = new AbortController();
    let done: Schemas['Changed'] | null = null;
    try {
      const body = { choice, field: name, value };
      for await (const line of lines('/api/lists/set-field', body, stopping.signal)) {
        const { changed, done: read, of } = line as Schemas['SetLine'];
        far = `${read.toLocaleString('en')} of ${of.toLocaleString('en')}`;
        done = changed ?? done;
      }
    } catch (failure) {
      if (!(failure instanceof DOMException)) wrong = fieldsOf(failure)[name] ?? sentence(failure);
    } finally {
      far = '';
      stopping = null;
    }
    if (done) tell(done, field?.label ?? name);
    else wrong ||= 'Nothing was changed.';
  }

  function tell({ id, changed }: Schemas['Changed'], label: string) {
    // The slip is closed by what it does here.
    const [again, { kind }] = [ondone, choice];
    onclose();
    again();
    notify(
      changed
        ? `${label} is set for ${changed.toLocaleString('en')} ${kind}${changed === 1 ? '' : 's'}.`
        : `${label} was so already for all of them.`,
      changed
        ? {
            undo: async () => {
              await ask('post', '/api/lists/set-field/{change}/take-back', { params: { change: id } });
              again();
            },
          }
        : {},
    );
  }
</script>

<Slip title="Set a field of {number}" {anchor} placement="top-start" {onclose}>
  <form onsubmit={set}>
    <Choose
      label="Field"
      bind:value={name}
      options={fields.map((one) => [one.name, one.label] as const)}
      onchange={() => (value = '')}
    />
    {#if field}
      {#if field.type === 'RELATION' && field.choices.length === 0}
        <RecordFinder label={field.label} kind="organisation" onchoose={(id) => (value = id)} />
      {:else}
        {#key field.name}
          <p class="new">
            <span>New value</span>
            <FieldInput
              label="{field.label} of all"
              type={field.type}
              choices={field.choices}
              required={field.required}
              most={field.most}
              grab={false}
              bind:value
            />
          </p>
        {/key}
      {/if}
    {/if}
    {#if wrong}<p class="failed" role="alert">{wrong}</p>{/if}
    <p class="ways">
      <Button main type="submit" disabled={far !== ''}>{value ? 'Set' : 'Empty'} for {number}</Button>
      {#if far}<span role="status">{far}</span>
        <Button quiet onclick={() => stopping?.abort()}>Stop</Button>{/if}
    </p>
  </form>
</Slip>

<style>
  .new {
    margin: 0 0 10px;
  }

  .new span {
    display: block;
    margin-bottom: 2px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .failed {
    margin: 0 0 10px;
    color: var(--stop);
  }

  .ways {
    display: flex;
    gap: 10px;
    align-items: center;
    margin: 0;
  }
</style>
