<script lang="ts">
  import type { Schemas } from '../api/client';
  import Act from './Act.svelte';

  /** What is reckoned from a day: so many units on or back, one step after another. */
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
      <select
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
      </select>
      <input
        aria-label="How many"
        type="number"
        min="0"
        max="10000"
        disabled={!editable}
        value={Math.abs(step.number)}
        onchange={(event) => number(i, event.currentTarget.value)}
      />
      <select
        aria-label="Of what"
        disabled={!editable}
        value={step.unit}
        onchange={(event) => change(i, { unit: event.currentTarget.value as Schemas['ShownStep']['unit'] })}
      >
        {#each units as [code, label] (code)}<option value={code}>{label}</option>{/each}
      </select>
      {#if editable}
        <Act soft aria-label="Take this step out" onclick={() => onchange(steps.filter((_, at) => at !== i))}
          >×</Act
        >
      {/if}
    </span>
  {/each}
  {#if editable}
    <Act onclick={() => onchange([...steps, { number: 5, unit: 'WORKING_DAY' }])}>
      {steps.length ? 'and then …' : 'plus or minus …'}
    </Act>
  {/if}
</span>

<style>
  .step {
    display: inline-flex;
    gap: 3px;
    align-items: baseline;
    margin-right: 4px;
  }

  select,
  input {
    padding: 2px 3px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: inherit;
  }

  input {
    width: 58px;
  }
</style>
