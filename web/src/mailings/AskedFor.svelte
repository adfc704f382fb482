<script lang="ts">
  import { ask, fieldsOf, sentence as said, type Schemas } from '../api/client';
  import InlineButton from '../ui/InlineButton.svelte';
  import Sentence from '../ui/Sentence.svelte';

  /** A condition as a sentence, or the way to begin one. */
  let {
    kind,
    written,
    label,
    begin,
    before,
    onchanged,
  }: {
    kind: Schemas['ListSelection']['kind'];
    /** In its written form; empty for none. */
    written: string;
    label: string;
    /** What begins one. */
    begin: string;
    /** What stands before one. */
    before: string;
    onchanged: (written: string) => void;
  } = $props();

  let fields = $state.raw<Schemas['FoundField'][]>([]);
  let verbs = $state.raw<Schemas['ShownVerb'][]>([]);
  let condition = $state.raw<Schemas['ShownCondition'] | null>(null);
  let wrong = $state('');
  /** The written form that the condition came of. */
  let read = '';
  let asked = 0;

  $effect(() => {
    Promise.all([ask('get', '/api/lists/fields/{kind}', { params: { kind } }), ask('get', '/api/desk/verbs')])
      .then(([found, all]) => ([fields, verbs] = [found, all]))
      .catch((failure) => (wrong = said(failure)));
  });

  $effect(() => {
    if (written === read) return;
    read = written;
    if (written) void take({ kind, written, condition: null }, false);
    else condition = null;
  });

  async function take(body: Schemas['ListConditionRequest'], tell = true) {
    const mine = ++asked;
    try {
      const answer = await ask('post', '/api/lists/condition', { body });
      if (mine !== asked) return;
      condition = answer.condition ?? null;
      wrong = answer.problems.map((problem) => problem.sentence).join(' ');
      if (tell && !wrong) {
        read = answer.written;
        onchanged(answer.written);
      }
    } catch (failure) {
      if (mine === asked) wrong = Object.values(fieldsOf(failure))[0] ?? said(failure);
    }
  }

  const first = () => fields.find((one) => one.path.includes('.'))?.path ?? 'today';

  function start() {
    const one = {
      kind: 'comparison',
      parts: [],
      path: first(),
      steps: [],
      verb: 'IS_FILLED' as const,
      measures: [],
    };
    void take({ kind, written: null, condition: one });
  }

  function clear() {
    asked++;
    condition = null;
    wrong = '';
    read = '';
    onchanged('');
  }
</script>

{#if condition && fields.length && verbs.length}
  <span class="asked"
    >{before}
    <Sentence
      {condition}
      {fields}
      {verbs}
      {label}
      onchange={(next) => void take({ kind, written: null, condition: next })}
    /><InlineButton soft aria-label="Take the condition away: {label.toLowerCase()}" onclick={clear}
      >×</InlineButton
    ></span
  >
{:else if fields.length}
  <InlineButton onclick={start}>{begin}</InlineButton>
{/if}
{#if wrong}<span class="wrong" role="alert">{wrong}</span>{/if}

<style>
  .wrong {
    color: var(--stop);
  }
</style>
