<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import Slip from '../ui/Slip.svelte';
  import { notify } from '../ui/notices.svelte';
  import type { Sorted } from './sorting';

  /** When a template is meant to be used: in these months, at these stages, in these countries. */
  let { template, anchor, onclose }: { template: Sorted; anchor: HTMLElement; onclose: () => void } =
    $props();

  const MONTHS = Array.from({ length: 12 }, (_, at) => ({
    month: at + 1,
    name: new Date(2026, at, 1).toLocaleDateString('en-GB', { month: 'long' }),
  }));

  let choices = $state.raw<Schemas['OccasionChoices'] | null>(null);
  let months = $state<number[]>([]);
  let stages = $state<string[]>([]);
  let countries = $state<string[]>([]);
  let typed = $state('');
  let wrong = $state('');
  const nameOf = (code: string) => choices?.countries.find((one) => one.code === code)?.label ?? code;

  async function read() {
    try {
      const { named, choices: all } = await ask('get', '/api/templates/{id}/occasion', {
        params: { id: template.id },
      });
      ({ months, stages, countries } = named);
      choices = all;
    } catch (failure) {
      wrong = sentence(failure);
    }
  }

  function toggled<T>(all: T[], one: T): T[] {
    return all.includes(one) ? all.filter((other) => other !== one) : [...all, one];
  }

  /** A country is added as soon as its name is there. */
  function addCountry() {
    const found = choices?.countries.find((one) => one.label.toLowerCase() === typed.trim().toLowerCase());
    if (!found) {
      wrong = typed.trim() ? `There is no country called “${typed.trim()}”.` : '';
      return;
    }
    wrong = '';
    typed = '';
    if (!countries.includes(found.code)) countries = [...countries, found.code];
  }

  async function save(event: SubmitEvent) {
    event.preventDefault();
    wrong = '';
    if (typed.trim()) addCountry();
    if (wrong) return;
    try {
      const body = { months, stages, countries };
      await ask('put', '/api/templates/{id}/occasion', { params: { id: template.id }, body });
      onclose();
      const named = months.length || stages.length || countries.length;
      notify(
        named
          ? `“${template.name}” comes first then, and last otherwise.`
          : `“${template.name}” is for anything.`,
      );
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
  }

  void read();
</script>

<Slip title="When “{template.name}” is used" {anchor} placement="bottom-end" {onclose}>
  {#if choices}
    <form onsubmit={save}>
      <p>
        While a message is begun, it comes first in what you name here, and last in everything else. Where
        nothing is named, it is for anything.
      </p>
      <fieldset class="months">
        <legend>Months</legend>
        {#each MONTHS as { month, name } (month)}
          <label
            ><input
              type="checkbox"
              checked={months.includes(month)}
              onchange={() => (months = toggled(months, month))}
            />{name}</label
          >
        {/each}
      </fieldset>
      {#if choices.stages.length}
        <fieldset>
          <legend>Stages of a deal</legend>
          {#each choices.stages as { code, label } (code)}
            <label
              ><input
                type="checkbox"
                checked={stages.includes(code)}
                onchange={() => (stages = toggled(stages, code))}
              />{label}</label
            >
          {/each}
        </fieldset>
      {/if}
      {#if countries.length}
        <ul aria-label="Countries">
          {#each countries as code (code)}
            <li>
              {nameOf(code)}
              <InlineButton
                soft
                aria-label="Remove {nameOf(code)}"
                onclick={() => (countries = toggled(countries, code))}>remove</InlineButton
              >
            </li>
          {/each}
        </ul>
      {/if}
      <Field
        label="Add a country"
        suggestions={choices.countries.map((one) => one.label)}
        bind:value={typed}
        onchange={addCountry}
        error={wrong}
      />
      <Button main type="submit">Save</Button>
      <Button quiet onclick={onclose}>Cancel</Button>
    </form>
  {:else if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
</Slip>

<style>
  form {
    max-width: 400px;
  }

  p {
    margin-bottom: 8px;
    color: var(--ink-soft);
    font-size: 13px;
  }

  fieldset {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 14px;
    margin: 0 0 10px;
    padding: 0;
    border: 0;
  }

  .months {
    display: grid;
    gap: 2px 4px;
    grid-template-columns: repeat(3, auto);
  }

  legend {
    padding: 0;
    color: var(--ink-soft);
    font-size: 13px;
  }

  label {
    display: flex;
    gap: 3px;
    align-items: center;
    min-height: 26px;
    font-size: 13.5px;
  }

  ul {
    margin: 0 0 6px;
    padding: 0;
    list-style: none;
    font-size: 13.5px;
  }

  .wrong {
    color: var(--stop);
  }
</style>
