<script lang="ts">
  import SmallInput from './SmallInput.svelte';
  import SmallSelect from './SmallSelect.svelte';
  import type { Schemas } from '../api/client';
  import InlineButton from './InlineButton.svelte';
  import DateSteps from './DateSteps.svelte';

  type FoundField = Schemas['FoundField'];
  type ShownMeasure = Schemas['ShownMeasure'];

  /** What a value is compared with: words, a figure, a day, yes or no, or another value. */
  let {
    measure,
    field,
    fields,
    inDays,
    onchange,
  }: {
    measure: ShownMeasure;
    field: FoundField | undefined;
    fields: FoundField[];
    /** A number of days, whatever the field. */
    inDays: boolean;
    onchange: (measure: ShownMeasure) => void;
  } = $props();

  const days = $derived(field?.group === 'DAYS');
  const others = $derived(fields.filter((one) => one.group === field?.group && one.path !== field?.path));
  /** The label as the field has it, however it was typed. */
  const label = $derived(
    field?.choices.find((one) => one.toLowerCase() === measure.value.trim().toLowerCase()) ?? measure.value,
  );
  const wide = $derived(Math.min(Math.max(measure.value.length + 1, 7), 26));

  /** Whether one can compare with another field just as well. */
  const either = $derived(!inDays && !days && field?.group !== 'ANSWER' && others.length > 0);

  function turn() {
    onchange(
      measure.kind === 'field'
        ? {
            kind: field?.group === 'FIGURES' ? 'number' : 'text',
            value: field?.group === 'FIGURES' ? '0' : (field?.choices[0] ?? ''),
            currency: '',
            steps: [],
          }
        : { kind: 'field', value: others[0].path, currency: '', steps: [] },
    );
  }

  function becomeDay(which: string) {
    onchange(
      which === 'a day'
        ? { kind: 'text', value: '', currency: '', steps: [] }
        : { kind: 'field', value: which, currency: '', steps: measure.kind === 'field' ? measure.steps : [] },
    );
  }
</script>

{#if inDays}
  <SmallInput
    word
    type="number"
    min="0"
    max="99999"
    aria-label="How many days"
    value={measure.value}
    onchange={(event) => onchange({ ...measure, value: event.currentTarget.value || '0' })}
  />
{:else if days}
  <SmallSelect
    word
    aria-label="Which day"
    value={measure.kind === 'field' ? measure.value : 'a day'}
    onchange={(event) => becomeDay(event.currentTarget.value)}
  >
    <option value="today">today</option>
    <option value="a day">the day</option>
    {#each others.filter((one) => one.path !== 'today') as one (one.path)}
      <option value={one.path}>{one.label}</option>
    {/each}
  </SmallSelect>
  {#if measure.kind === 'field'}
    <DateSteps steps={measure.steps} onchange={(steps) => onchange({ ...measure, steps })} />
  {:else}
    <SmallInput
      word
      type="date"
      aria-label="The day"
      value={measure.value}
      onchange={(event) => onchange({ ...measure, value: event.currentTarget.value })}
    />
  {/if}
{:else if measure.kind === 'field'}
  <SmallSelect
    word
    aria-label="Which value"
    value={measure.value}
    onchange={(event) => onchange({ ...measure, value: event.currentTarget.value })}
  >
    {#if !others.some((one) => one.path === measure.value)}<option value={measure.value}
        >{measure.value}</option
      >{/if}
    {#each others as one (one.path)}<option value={one.path}>{one.label}</option>{/each}
  </SmallSelect>
{:else if field?.group === 'ANSWER'}
  <SmallSelect
    word
    aria-label="Yes or no"
    value={measure.kind}
    onchange={(event) => onchange({ ...measure, kind: event.currentTarget.value })}
  >
    <option>yes</option>
    <option>no</option>
  </SmallSelect>
{:else if field?.group === 'FIGURES'}
  <SmallInput
    word
    wide={64}
    inputmode="decimal"
    aria-label="The figure"
    value={measure.value}
    onchange={(event) => onchange({ ...measure, value: event.currentTarget.value })}
  />
  {#if field.type === 'MONEY'}
    <SmallInput
      word
      wide={42}
      aria-label="Currency, or none for any"
      placeholder="any"
      maxlength={3}
      value={measure.currency}
      onchange={(event) => onchange({ ...measure, currency: event.currentTarget.value.trim().toUpperCase() })}
    />
  {/if}
{:else if field?.choices.length}
  <SmallSelect
    word
    aria-label="Which"
    value={label}
    onchange={(event) => onchange({ ...measure, value: event.currentTarget.value })}
  >
    {#if !field.choices.includes(label)}<option value={measure.value}>{measure.value || '…'}</option>{/if}
    {#each field.choices as choice (choice)}<option>{choice}</option>{/each}
  </SmallSelect>
{:else}
  <SmallInput
    word
    aria-label="The words"
    style="width: {wide}ch"
    value={measure.value}
    onchange={(event) => onchange({ ...measure, value: event.currentTarget.value })}
  />
{/if}

{#if either}
  <InlineButton
    sign
    soft
    aria-label={measure.kind === 'field' ? 'Compare with something given' : 'Compare with another field'}
    title={measure.kind === 'field' ? 'Compare with something given' : 'Compare with another field'}
    onclick={turn}>⇄</InlineButton
  >
{/if}
