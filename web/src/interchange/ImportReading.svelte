<script lang="ts">
  import type { Schemas } from '../api/client';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import { delimiters, many } from './importWords';

  /** How a file was understood, as a sentence whose words can be changed. */
  type Shown = Schemas['ImportShown'];
  let {
    shown,
    locked,
    wrong,
    onchange,
  }: {
    shown: Shown;
    /** While the file is checked or imported it can't be read in another way. */
    locked: boolean;
    wrong: Record<string, string>;
    onchange: (settings: Partial<Shown['settings']>) => void;
  } = $props();
  const settings = $derived(shown.settings);
  const error = $derived(wrong.encoding ?? wrong.delimiter ?? wrong.headings ?? wrong.decimal ?? '');
</script>

<p class="sentence">
  <b>{shown.name}</b> has {many(shown.rows, shown.cards ? 'card' : 'row')}, read as
  <SmallSelect
    word
    aria-label="Encoding"
    disabled={locked}
    value={settings.encoding}
    onchange={(event) => onchange({ encoding: event.currentTarget.value })}
  >
    {#each shown.encodings as one (one)}<option>{one}</option>{/each}
  </SmallSelect>{#if !shown.cards}, columns separated by
    <SmallSelect
      word
      aria-label="What separates the columns"
      disabled={locked}
      value={settings.delimiter}
      onchange={(event) => onchange({ delimiter: event.currentTarget.value })}
    >
      {#each delimiters as [sign, word] (sign)}<option value={sign}>{word}</option>{/each}
    </SmallSelect>, headings in
    <SmallSelect
      word
      aria-label="Where the headings are"
      disabled={locked}
      value={String(settings.headings)}
      onchange={(event) => onchange({ headings: Number(event.currentTarget.value) })}
    >
      <option value="0">no row</option>
      {#each [1, 2, 3, 4, 5] as row (row)}<option value={String(row)}>row {row}</option>{/each}
    </SmallSelect>. Dates have
    <SmallSelect
      word
      aria-label="How dates are written"
      disabled={locked}
      value={settings.dates}
      onchange={(event) => onchange({ dates: event.currentTarget.value as Shown['settings']['dates'] })}
    >
      <option value="DAY_FIRST">the day first</option>
      <option value="MONTH_FIRST">the month first</option>
    </SmallSelect>, numbers a decimal
    <SmallSelect
      word
      aria-label="The decimal mark"
      disabled={locked}
      value={settings.decimal}
      onchange={(event) => onchange({ decimal: event.currentTarget.value })}
    >
      <option value=".">point</option>
      <option value=",">comma</option>
    </SmallSelect>{/if}.
</p>
{#if shown.leftOut.length}
  <p class="left">Records have no field for {shown.leftOut.join(', ')}: these are left out.</p>
{/if}
{#if error}<p class="wrong" role="alert">{error}</p>{/if}

<style>
  .sentence {
    line-height: 1.9;
  }

  .left {
    color: var(--ink-soft);
  }

  .wrong {
    color: var(--stop);
  }
</style>
