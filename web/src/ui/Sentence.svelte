<script lang="ts">
  import SmallSelect from './SmallSelect.svelte';
  import type { Schemas } from '../api/client';
  import InlineButton from './InlineButton.svelte';
  import Comparison from './Comparison.svelte';
  import Self from './Sentence.svelte';

  type FoundField = Schemas['FoundField'];
  type Condition = Schemas['ShownCondition'];

  /**
   * A condition as a sentence whose words are the controls. Parts are joined by "and" or "or"; a part can be a bracketed
   * sentence of its own. Tells of each change; what it means is the server's to say.
   */
  let {
    condition,
    fields,
    verbs,
    label,
    inner = false,
    onchange,
  }: {
    condition: Condition;
    fields: FoundField[];
    verbs: Schemas['ShownVerb'][];
    /** What a screen reader calls the whole. */
    label: string;
    inner?: boolean;
    onchange: (condition: Condition) => void;
  } = $props();

  const group = $derived(condition.kind === 'every' || condition.kind === 'any');
  const parts = $derived(group ? condition.parts : [condition]);
  const joint = $derived(condition.kind === 'any' ? 'or' : 'and');
  let words = $state<HTMLElement>();

  function put(next: Condition[], kind = condition.kind === 'any' ? 'any' : 'every') {
    onchange(next.length === 1 && !inner ? next[0] : joined(kind, next));
  }

  function joined(kind: string, held: Condition[]): Condition {
    return { kind, parts: held, path: '', steps: [], verb: null, measures: [] };
  }

  function change(at: number, part: Condition) {
    put(parts.map((one, i) => (i === at ? part : one)));
  }

  function fresh(): Condition {
    return {
      kind: 'comparison',
      parts: [],
      path: fields[0]?.path ?? 'today',
      steps: [],
      verb: 'IS_FILLED',
      measures: [],
    };
  }

  function add() {
    put([...parts, fresh()]);
    requestAnimationFrame(() => {
      const controls = words?.querySelectorAll<HTMLElement>('[data-subject]');
      controls?.[controls.length - 1]?.focus();
    });
  }
</script>

<span class="sentence" class:inner role="group" aria-label={label} bind:this={words}>
  {#each parts as part, i (i)}
    {#if i > 0}
      <SmallSelect
        word
        style="font-style: italic"
        aria-label="How the parts are joined"
        value={joint}
        onchange={(event) => put(parts, event.currentTarget.value === 'or' ? 'any' : 'every')}
      >
        <option>and</option>
        <option>or</option>
      </SmallSelect>
    {/if}
    <span class="part">
      {#if part.kind === 'comparison'}
        <Comparison comparison={part} {fields} {verbs} onchange={(next) => change(i, next)} />
        {#if !inner}
          <InlineButton
            sign
            soft
            aria-label="Bracket this part"
            title="Bracket this part"
            onclick={() => change(i, joined('any', [part, fresh()]))}>( )</InlineButton
          >
        {/if}
      {:else}
        <span class="not">
          <SmallSelect
            word
            aria-label="Whether the bracket has to hold"
            value={part.kind === 'not' ? 'not' : ''}
            onchange={(event) =>
              change(i, event.currentTarget.value === 'not' ? joined('not', [part]) : part.parts[0])}
          >
            <option value="">it holds that</option>
            <option value="not">it does not hold that</option>
          </SmallSelect>
          (<Self
            condition={part.kind === 'not' ? part.parts[0] : part}
            {fields}
            {verbs}
            label="Bracketed part"
            inner
            onchange={(next) => change(i, part.kind === 'not' ? joined('not', [next]) : next)}
          />)
        </span>
      {/if}
      {#if parts.length > 1}
        <InlineButton
          sign
          soft
          aria-label="Remove part {i + 1}"
          onclick={() => put(parts.filter((_, at) => at !== i))}>×</InlineButton
        >
      {/if}
    </span>
  {/each}
  <InlineButton onclick={add}>{joint} …</InlineButton>
</span>

<style>
  .sentence {
    display: inline;
    line-height: 2;
  }

  .part {
    display: inline;
  }
</style>
