<script lang="ts">
  import { marks } from '../ui/marks';
  import type { FromMessage } from './fromMessage.svelte';

  /** The message with what was found in it; a click says yes or no to a value. */
  let { from }: { from: FromMessage } = $props();

  const read = $derived(from.read!);
  /** Parts paragraphs in what the server sends; within one, lines end as usual. */
  const PARAGRAPH = '\u2029';
  const inHead = (key: string) => key === 'SUBJECT' || key === 'PREVIEW_TEXT';
</script>

{#snippet parts(text: NonNullable<FromMessage['read']>['texts'][number])}
  {#each text.parts as part, i (i)}
    {#if part.found !== null}
      {@const found = read.found[part.found]}
      {@const field = from.taken[part.found]}
      {@const taken = field < 0 ? null : found.fields[field]}
      <button
        type="button"
        id="found-{part.found}"
        class:taken
        aria-pressed={!!taken}
        style:--colour={taken ? `var(--${taken.source})` : undefined}
        style:--tint={taken ? `var(--${taken.source}-tint)` : undefined}
        data-mark={taken ? (marks[taken.source] ?? '▫') : undefined}
        title={taken ? `“${part.text}” becomes a field` : `“${part.text}” stays`}
        onclick={() => from.take(found, taken ? -1 : 0)}>{taken ? taken.label : part.text}</button
      >
    {:else if part.field}<span class="field">{part.text}</span>{:else}{part.text.replaceAll(
        PARAGRAPH,
        '\n\n',
      )}{/if}
  {/each}
{/snippet}

<section aria-label="The message" tabindex="-1">
  <div class="sheet">
    {#each read.texts as text (text.key)}
      {#if inHead(text.key)}
        <p class:subject={text.key === 'SUBJECT'}>{@render parts(text)}</p>
      {:else}
        <div class="words">{@render parts(text)}</div>
      {/if}
    {/each}
  </div>
</section>

<style>
  section {
    min-height: 0;
    padding: 20px;
    overflow: auto;
    background: var(--shade);
  }

  .sheet {
    max-width: 680px;
    margin: 0 auto;
    padding: 22px 28px 28px;
    background: var(--sheet);
    box-shadow: 0 0 0 1px var(--rule-soft);
    line-height: 1.65;
  }

  .subject {
    margin-bottom: 12px;
    padding-bottom: 8px;
    border-bottom: 1px solid var(--rule-soft);
    font: 500 18px/1.4 var(--serif);
  }

  .words {
    white-space: pre-wrap;
    overflow-wrap: anywhere;
  }

  .field {
    border-bottom: 1px solid var(--rule);
    color: var(--ink-soft);
  }

  button {
    display: inline;
    padding: 0 3px;
    border: 0;
    border-bottom: 2px dotted var(--ink-soft);
    background: none;
    color: inherit;
    font: inherit;
    text-align: left;
    cursor: pointer;
  }

  .taken {
    border-bottom: 0;
    border-radius: 2px 2px 0 0;
    background: var(--tint);
    box-shadow: inset 0 -2px 0 var(--colour);
  }

  .taken::before {
    margin-right: 3px;
    color: var(--colour);
    font-size: 9px;
    vertical-align: 2px;
    content: attr(data-mark);
  }
</style>
