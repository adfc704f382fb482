<script lang="ts">
  import type { Schemas } from '../api/client';

  /** The blanks that a template leaves to its sender, in order; filled in before anything else, one after another with Tab. */
  let {
    blanks,
    answers,
    onanswer,
    ondone,
  }: {
    blanks: Schemas['ShownBlank'][];
    answers: Record<string, string>;
    onanswer: (hint: string, answer: string) => void;
    /** The last one is answered. */
    ondone: () => void;
  } = $props();

  /** In milliseconds. */
  const PAUSE = 150;
  const id = $props.id();
  const open = $derived(blanks.filter((one) => !(answers[one.hint] ?? '').trim()).length);
  let form = $state<HTMLElement>();

  let timer: ReturnType<typeof setTimeout>;

  /** The message follows while one types, a moment after each letter, and at once when the place is left. */
  function typed(hint: string, text: string, wait: number) {
    clearTimeout(timer);
    if (text === (answers[hint] ?? '')) return;
    if (wait) timer = setTimeout(() => onanswer(hint, text), wait);
    else onanswer(hint, text);
  }

  $effect(() => () => clearTimeout(timer));

  $effect(() => {
    form?.querySelector<HTMLElement>('textarea')?.focus();
  });

  function onkeydown(event: KeyboardEvent, at: number) {
    const onward = event.key === 'Tab' && !event.shiftKey;
    const enter = event.key === 'Enter' && !event.shiftKey && !event.ctrlKey;
    if (!enter && !(onward && at === blanks.length - 1)) return;
    event.preventDefault();
    // What was typed counts before the next place is gone to.
    (event.currentTarget as HTMLElement).blur();
    if (at === blanks.length - 1) ondone();
    else form?.querySelectorAll<HTMLElement>('textarea')[at + 1]?.focus();
  }
</script>

<section class="blanks" aria-label="To fill in" bind:this={form}>
  <p>
    {open === 0 ? 'All filled in.' : open === 1 ? 'One place to fill in.' : `${open} places to fill in.`}
  </p>
  {#each blanks as one, i (one.hint)}
    <label for="{id}-{i}">{one.hint}</label>
    <textarea
      id="{id}-{i}"
      rows="1"
      maxlength="4000"
      value={answers[one.hint] ?? ''}
      oninput={(event) => typed(one.hint, event.currentTarget.value, PAUSE)}
      onchange={(event) => typed(one.hint, event.currentTarget.value, 0)}
      onkeydown={(event) => onkeydown(event, i)}></textarea>
  {/each}
</section>

<style>
  .blanks {
    display: grid;
    grid-template-columns: minmax(90px, max-content) minmax(0, 1fr);
    gap: 4px 10px;
    align-items: baseline;
    margin-bottom: 10px;
    padding: 8px 10px;
    border: 1px dotted var(--ink);
    border-radius: var(--corner);
  }

  p {
    grid-column: 1 / -1;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  textarea {
    field-sizing: content;
    width: 100%;
    padding: 4px 8px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: inherit;
    resize: vertical;
  }

  @media (width <= 700px) {
    .blanks {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
