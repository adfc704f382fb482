<script lang="ts">
  /** A labelled choice among a few. */
  let {
    label,
    value = $bindable(''),
    options,
    error = '',
    empty = '',
    onchange,
  }: {
    label: string;
    value?: string;
    options: readonly (readonly [code: string, label: string])[];
    error?: string;
    empty?: string;
    onchange?: (code: string) => void;
  } = $props();

  const id = $props.id();
</script>

<div class="choose">
  <label for={id}>{label}</label>
  <select
    {id}
    bind:value
    aria-invalid={error ? true : undefined}
    onchange={(event) => onchange?.(event.currentTarget.value)}
  >
    {#if empty}<option value="">{empty}</option>{/if}
    {#each options as [code, text] (code)}<option value={code}>{text}</option>{/each}
  </select>
  {#if error}<p>{error}</p>{/if}
</div>

<style>
  .choose {
    margin-bottom: 10px;
  }

  label {
    display: block;
    margin-bottom: 2px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  select {
    width: 100%;
    padding: 6px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: var(--base) / 1.35 var(--sans);
  }

  p {
    margin-top: 3px;
    color: var(--stop);
    font-size: 12.5px;
  }
</style>
