<script lang="ts">
  import { untrack } from 'svelte';
  import { ask, fieldsOf, lines, sentence, type Schemas } from '../api/client';
  import type { About } from '../library/about';
  import Button from '../ui/Button.svelte';
  import Sentence from '../ui/Sentence.svelte';
  import type { FoundField } from './finding';
  import { outOf } from './profiles';

  /** A condition as a sentence and in its written form, and for how many people it holds. */
  let {
    given,
    label,
    about,
    fields,
    editable,
    onchanged,
  }: {
    /** Its written form; begun anew when the component is. */
    given: string;
    label: string;
    about: About;
    fields: FoundField[];
    editable: boolean;
    onchanged: (written: string, sentence: string) => void;
  } = $props();

  let written = $state(untrack(() => given));
  let condition = $state<Schemas['ShownCondition'] | null>(null);
  let read = $state<Schemas['ReadCondition'] | null>(null);
  let verbs = $state<Schemas['ShownVerb'][]>([]);
  let wrong = $state('');
  let asWritten = $state(false);
  let sentenceShown = $state<HTMLElement>();
  let begun = false;
  let asked = 0;

  ask('get', '/api/desk/verbs')
    .then((all) => (verbs = all))
    .catch((failure) => (wrong = sentence(failure)));
  void take({ about: untrack(() => about), written: untrack(() => written), condition: null }, false);

  // The sentence comes a moment after the slip, and is what one opened it for.
  $effect(() => {
    if (begun || !condition || !verbs.length || !sentenceShown) return;
    begun = true;
    sentenceShown.querySelector<HTMLElement>('select')?.focus();
  });

  async function take(request: Schemas['ConditionRequest'], changed = true) {
    const mine = ++asked;
    const before = written;
    // The slip may be closed before the answer comes; what was chosen counts all the same.
    const tell = onchanged;
    try {
      const answer = await ask('post', '/api/desk/condition', { body: request });
      // An answer to what has been changed since is out of date.
      if (mine !== asked) return;
      read = answer;
      wrong = '';
      if (answer.condition) {
        condition = answer.condition;
        // What somebody has typed since is theirs.
        if (written === before) written = answer.written;
        if (changed) tell(answer.written, answer.sentence);
        if (answer.error) void countExactly(mine, answer.written);
      }
    } catch (failure) {
      if (mine === asked) wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
  }

  /** What was estimated at once is counted, as long as nobody changes the condition meanwhile. */
  async function countExactly(mine: number, of: string) {
    counting?.abort();
    const stopping = new AbortController();
    counting = stopping;
    percent = 0;
    try {
      for await (const line of lines('/api/desk/condition/exact', { about, written: of }, stopping.signal)) {
        const { counted, read: far, of: all } = line as Schemas['CountLine'];
        if (mine !== asked) return stopping.abort();
        percent = Math.floor((100 * far) / Math.max(1, all));
        if (counted && read) read = { ...read, ...counted };
      }
    } catch {
      // The estimate stays.
    } finally {
      if (counting === stopping) counting = null;
    }
  }
  let counting = $state<AbortController | null>(null);
  let percent = $state(0);
  $effect(() => () => untrack(() => counting)?.abort());

  function change(next: Schemas['ShownCondition']) {
    condition = next;
    void take({ about, written: null, condition: next });
  }
</script>

{#if condition && verbs.length}
  <div class="words" bind:this={sentenceShown}>
    <fieldset disabled={!editable}>
      <Sentence {condition} {fields} {verbs} {label} onchange={change} />
    </fieldset>
  </div>
{/if}
<p class="count" role="status">
  {#if read?.condition}holds for <b>{outOf(read.holds, read.of, read.error)}</b>{#if counting}; counting
      everybody: {percent} %{/if}{/if}
</p>
{#each read?.problems ?? [] as problem (problem.sentence)}
  <p class="wrong" role="alert">
    {problem.sentence}
    {#if problem.nearest.length}Did you mean {problem.nearest.join(' or ')}?{/if}
  </p>
{/each}
{#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
{#if asWritten || (read && !read.condition)}
  <label class="written">
    Written form
    <textarea
      rows="2"
      disabled={!editable}
      bind:value={written}
      onchange={() => void take({ about, written, condition: null })}
      onkeydown={(event) => {
        if (event.key === 'Enter') {
          event.preventDefault();
          void take({ about, written, condition: null });
        }
      }}></textarea>
  </label>
{:else}
  <p class="way"><Button quiet onclick={() => (asWritten = true)}>Written form</Button></p>
{/if}

<style>
  fieldset {
    min-width: 0;
    margin: 0;
    padding: 0;
    border: 0;
  }

  .words {
    font-size: 14px;
  }

  .count {
    min-height: 1.5em;
    color: var(--ink-soft);
  }

  .count b {
    color: var(--ink);
  }

  .wrong {
    color: var(--stop);
  }

  .written {
    display: block;
    margin-top: 6px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .way {
    margin: 4px 0 0 -6px;
  }

  textarea {
    width: 100%;
    padding: 5px 7px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: 13px/1.4 var(--sans);
  }
</style>
