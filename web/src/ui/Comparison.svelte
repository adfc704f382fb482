<script lang="ts">
  import SmallSelect from './SmallSelect.svelte';
  import type { Schemas } from '../api/client';
  import DateSteps from './DateSteps.svelte';
  import InlineButton from './InlineButton.svelte';
  import Measure from './Measure.svelte';

  type FoundField = Schemas['FoundField'];
  type Condition = Schemas['ShownCondition'];
  type ShownMeasure = Schemas['ShownMeasure'];

  /** One comparison in a sentence: a value, how it is compared, and with what. */
  let {
    comparison,
    fields,
    verbs,
    onchange,
  }: {
    comparison: Condition;
    fields: FoundField[];
    verbs: Schemas['ShownVerb'][];
    onchange: (comparison: Condition) => void;
  } = $props();

  const field = $derived(fields.find((one) => one.path === comparison.path));
  const group = $derived(field?.group ?? 'WORDS');
  const fitting = $derived(verbs.filter((one) => one.groups.includes(group)));
  const verb = $derived(verbs.find((one) => one.verb === comparison.verb));
  const sources = $derived([...new Set(fields.map((one) => one.whose))]);

  function wanted(takes: string): number {
    return takes === 'NOTHING' ? 0 : takes === 'TWO' ? 2 : 1;
  }

  function emptyMeasure(of: FoundField | undefined, takes: string): ShownMeasure {
    const kind =
      takes === 'DAYS' || of?.group === 'FIGURES'
        ? 'number'
        : of?.group === 'ANSWER'
          ? 'yes'
          : of?.group === 'DAYS'
            ? 'field'
            : 'text';
    const value =
      takes === 'DAYS' ? '30' : kind === 'field' ? 'today' : kind === 'number' ? '0' : (of?.choices[0] ?? '');
    return { kind, value, currency: '', steps: [] };
  }

  /** Measures that still fit stay, the others begin anew. */
  function measures(of: FoundField | undefined, takes: string, before: ShownMeasure[]): ShownMeasure[] {
    const fresh = emptyMeasure(of, takes);
    const same = before.filter(
      (one) =>
        one.kind === fresh.kind &&
        (fresh.kind !== 'text' || !of?.choices.length || of.choices.includes(one.value)),
    );
    if (takes === 'SEVERAL') return same.length ? same : [fresh];
    return Array.from({ length: wanted(takes) }, (_, at) => same[at] ?? fresh);
  }

  function chooseField(path: string) {
    const chosen = fields.find((one) => one.path === path);
    const kept = verbs.find(
      (one) => one.verb === comparison.verb && one.groups.includes(chosen?.group ?? 'WORDS'),
    );
    const next = kept ?? verbs.find((one) => one.groups.includes(chosen?.group ?? 'WORDS'))!;
    onchange({
      ...comparison,
      path,
      steps: [],
      verb: next.verb,
      measures: measures(chosen, next.takes, kept ? comparison.measures : []),
    });
  }

  function chooseVerb(code: string) {
    const next = verbs.find((one) => one.verb === code)!;
    const sameSort = (verb?.takes === 'DAYS') === (next.takes === 'DAYS');
    onchange({
      ...comparison,
      verb: next.verb,
      measures: measures(field, next.takes, sameSort ? comparison.measures : []),
    });
  }

  function put(at: number, measure: ShownMeasure) {
    onchange({ ...comparison, measures: comparison.measures.map((one, i) => (i === at ? measure : one)) });
  }
</script>

<SmallSelect
  word
  data-subject
  style="font-weight: 600"
  aria-label="What is compared"
  value={comparison.path}
  onchange={(event) => chooseField(event.currentTarget.value)}
>
  {#if !field}<option value={comparison.path}>{comparison.path}</option>{/if}
  {#each sources as source (source)}
    <optgroup label={source}>
      {#each fields.filter((one) => one.whose === source) as one (one.path)}
        <option value={one.path}>{one.label}</option>
      {/each}
    </optgroup>
  {/each}
</SmallSelect>
{#if group === 'DAYS'}
  <DateSteps steps={comparison.steps} onchange={(steps) => onchange({ ...comparison, steps })} />
{/if}
<SmallSelect
  word
  aria-label="How"
  value={comparison.verb}
  onchange={(event) => chooseVerb(event.currentTarget.value)}
>
  {#if verb && !fitting.includes(verb)}<option value={verb.verb}>{verb.written}</option>{/if}
  {#each fitting as one (one.verb)}
    <option value={one.verb}>{one.written}{one.after ? ` …${one.after}` : ''}</option>
  {/each}
</SmallSelect>
{#each comparison.measures as measure, i (i)}
  {#if i > 0}<span class="word">{verb?.takes === 'TWO' ? 'and' : 'or'}</span>{/if}
  <Measure {measure} {field} {fields} inDays={verb?.takes === 'DAYS'} onchange={(next) => put(i, next)} />
  {#if verb?.takes === 'SEVERAL' && comparison.measures.length > 1}
    <InlineButton
      sign
      soft
      aria-label="Remove this one"
      onclick={() => onchange({ ...comparison, measures: comparison.measures.filter((_, at) => at !== i) })}
      >×</InlineButton
    >
  {/if}
{/each}
{#if verb?.takes === 'SEVERAL'}
  <InlineButton
    onclick={() =>
      onchange({ ...comparison, measures: [...comparison.measures, emptyMeasure(field, 'SEVERAL')] })}
    >or …</InlineButton
  >
{/if}
{#if verb?.takes === 'DAYS'}<span class="word">days{verb.after}</span>{/if}
