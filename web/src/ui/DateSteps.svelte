<script lang="ts">
  import SmallInput from './SmallInput.svelte';
  import SmallSelect from './SmallSelect.svelte';
  import type { Schemas } from '../api/client';
  import InlineButton from './InlineButton.svelte';

  /** A date calculated from a day: so many units on or back, one step after another. */
  let {
    steps,
    editable = true,
    onchange,
  }: {
    steps: Schemas['ShownStep'][];
    editable?: boolean;
    onchange: (steps: Schemas['ShownStep'][]) => void;
  } = $props();

  const units = [
    ['WORKING_DAY', 'working days'],
    ['DAY', 'days'],
    ['WEEK', 'weeks'],
    ['MONTH', 'months'],
    ['HOUR', 'hours'],
  ] as const;

  function change(at: number, part: Partial<Schemas['ShownStep']>) {
    onchange(steps.map((step, i) => (i === at ? { ...step, ...part } : step)));
  }

  function number(at: number, typed: string) {
    const far = Math.min(Math.max(Math.trunc(Number(typed)) || 0, 0), 10000);
    change(at, { number: steps[at].number < 0 ? -far : far });
  }
</script>

<span class="steps">
  {#each steps as step, i (i)}
    <span class="step">
      <SmallSelect
        aria-label="On or back"
        disabled={!editable}
        value={step.number < 0 ? 'minus' : 'plus'}
        onchange={(event) =>
          change(i, {
            number: event.currentTarget.value === 'minus' ? -Math.abs(step.number) : Math.abs(step.number),
          })}
      >
        <option>plus</option>
        <option>minus</option>
      </SmallSelect>
      <SmallInput
        aria-label="How many"
        type="number"
        min="0"
        max="10000"
        disabled={!editable}
        value={Math.abs(step.number)}
        onchange={(event) => number(i, event.currentTarget.value)}
      />
      <SmallSelect
        aria-label="Of what"
        disabled={!editable}
        value={step.unit}
        onchange={(event) => change(i, { unit: event.currentTarget.value as Schemas['ShownStep']['unit'] })}
      >
        {#each units as [code, label] (code)}<option value={code}>{label}</option>{/each}
      </SmallSelect>
      {#if editable}
        <InlineButton
          sign
          soft
          aria-label="Remove this step"
          onclick={() => onchange(steps.filter((_, at) => at !== i))}>×</InlineButton
        >
      {/if}
    </span>
  {/each}
  {#if editable}
    <InlineButton onclick={() => onchange([...steps, { number: 5, unit: 'WORKING_DAY' }])}>
      {steps.length ? 'and then …' : 'plus or minus …'}
    </InlineButton>
  {/if}
</span>

<style>
  .step {
    display: inline-flex;
    gap: 3px;
    align-items: baseline;
    margin-right: 4px;
  }
</style>
