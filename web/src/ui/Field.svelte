<script lang="ts">
  import type { HTMLInputAttributes } from 'svelte/elements';

  /** A labelled line to type in, with what is wrong with it below. */
  let {
    label,
    value = $bindable(''),
    error = '',
    remark = '',
    lines = 1,
    suggestions = [],
    ...rest
  }: HTMLInputAttributes & {
    label: string;
    value?: string;
    error?: string;
    remark?: string;
    lines?: number;
    /** What may be meant; anything else can be typed too. */
    suggestions?: string[];
  } = $props();

  const id = $props.id();
</script>

<div class="field">
  <label for={id}>{label}</label>
  {#if lines > 1}
    <textarea
      {id}
      rows={lines}
      bind:value
      aria-invalid={error ? true : undefined}
      aria-describedby={error || remark ? `${id}-said` : undefined}></textarea>
  {:else}
    <input
      {id}
      bind:value
      aria-invalid={error ? true : undefined}
      aria-describedby={error || remark ? `${id}-said` : undefined}
      list={suggestions.length ? `${id}-suggestions` : undefined}
      {...rest}
    />
    {#if suggestions.length}
      <datalist id="{id}-suggestions">
        {#each suggestions as one (one)}<option value={one}></option>{/each}
      </datalist>
    {/if}
  {/if}
  {#if error || remark}<p id="{id}-said" class:error>{error || remark}</p>{/if}
</div>

<style>
  .field {
    margin-bottom: 10px;
  }

  label {
    display: block;
    margin-bottom: 2px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  input,
  textarea {
    width: 100%;
    padding: 6px 9px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: var(--base) / 1.35 var(--sans);
    resize: vertical;
  }

  [aria-invalid] {
    border-color: var(--stop);
  }

  p {
    margin-top: 3px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .error {
    color: var(--stop);
  }
</style>
