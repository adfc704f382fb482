<script lang="ts">
  import { fieldsOf, sentence } from '../api/client';

  /**
   * The blanks that a template leaves to its sender, in order; filled in before anything else, one after another with Tab.
   * What was filled in stands in the message, and is changed there.
   */
  let {
    open,
    onanswer,
    ondone,
  }: {
    /** The hints of those that are open. */
    open: string[];
    onanswer: (hint: string, answer: string) => Promise<void>;
    /** The last one is answered, or passed over. */
    ondone: () => void;
  } = $props();

  const id = $props.id();
  let typed = $state<Record<string, string>>({});
  let wrong = $state('');
  let form = $state<HTMLElement>();

  $effect(() => {
    form?.querySelector<HTMLElement>('textarea')?.focus();
  });

  /** Puts in what was typed and has not been left yet; says whether all is put in. */
  export async function putIn(): Promise<boolean> {
    for (const hint of [...open]) await answer(hint);
    return wrong === '';
  }

  async function answer(hint: string) {
    const text = typed[hint] ?? '';
    if (!text.trim()) return;
    try {
      await onanswer(hint, text);
      wrong = '';
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
  }

  function onkeydown(event: KeyboardEvent, at: number) {
    const onward = event.key === 'Tab' && !event.shiftKey;
    const enter = event.key === 'Enter' && !event.shiftKey && !event.ctrlKey;
    if (!enter && !(onward && at === open.length - 1)) return;
    event.preventDefault();
    const next = form?.querySelectorAll<HTMLElement>('textarea')[at + 1];
    if (next) next.focus();
    else void answer(open[at]).then(() => wrong || ondone());
  }
</script>

<section class="blanks" aria-label="To fill in" bind:this={form}>
  <p>{open.length === 1 ? 'One place to fill in.' : `${open.length} places to fill in.`}</p>
  {#each open as hint, i (hint)}
    <label for="{id}-{i}">{hint}</label>
    <textarea
      id="{id}-{i}"
      rows="1"
      maxlength="4000"
      bind:value={typed[hint]}
      onchange={() => void answer(hint)}
      onkeydown={(event) => onkeydown(event, i)}></textarea>
  {/each}
  {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
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

  .wrong {
    color: var(--stop);
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
