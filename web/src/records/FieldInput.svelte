<script lang="ts">
  import { untrack } from 'svelte';
  import type { Schemas } from '../api/client';
  import { named } from '../ui/named';

  /** What one types a value of some type into. Values are in the stored form. */
  let {
    label,
    type,
    choices,
    required = false,
    most = 200,
    value = $bindable(''),
    invalid = false,
    grab = true,
  }: {
    label: string;
    type: Schemas['Fact']['type'];
    choices: Schemas['ShownOption'][];
    required?: boolean;
    most?: number;
    value?: string;
    invalid?: boolean;
    /** Takes the focus when it appears. */
    grab?: boolean;
  } = $props();

  /** More than these are found by typing. */
  const few = 30;
  const id = $props.id();
  const many = $derived(choices.map((one) => ({ code: one.code, name: one.label })));
  /** What is typed stays as it is typed, whatever is meant by it. */
  let typed = $state(untrack(() => many.find((one) => one.code === value)?.name ?? value));

  /** Something that is called by no name goes as it is, so that the answer says so. */
  function take() {
    value = named(many, typed)?.code ?? typed.trim();
  }

  const aria = $derived({ 'aria-label': label, 'aria-invalid': invalid ? true : undefined });

  function focus(element: HTMLElement) {
    if (!grab) return;
    element.focus();
    if (element instanceof HTMLInputElement && element.type === 'text') element.select();
  }

  function toggle(code: string, on: boolean) {
    const now = value.split('\n').filter((one) => one && one !== code);
    value = (on ? [...now, code] : now).join('\n');
  }
</script>

{#if type === 'CHOICES'}
  <div class="several">
    {#each choices as choice (choice.code)}
      <label>
        <input
          type="checkbox"
          checked={value.split('\n').includes(choice.code)}
          onchange={(event) => toggle(choice.code, event.currentTarget.checked)}
        />
        {choice.label}
      </label>
    {/each}
  </div>
{:else if type === 'YES_NO'}
  <select {...aria} bind:value {@attach focus}>
    <option value="">not known</option>
    <option value="yes">yes</option>
    <option value="no">no</option>
  </select>
{:else if choices.length > few}
  <input
    {...aria}
    type="text"
    list="{id}-choices"
    autocomplete="off"
    bind:value={typed}
    oninput={take}
    {@attach focus}
  />
  <datalist id="{id}-choices">
    {#each choices as choice (choice.code)}<option value={choice.label}></option>{/each}
  </datalist>
{:else if choices.length}
  <select {...aria} bind:value {@attach focus}>
    {#if !required}<option value="">none</option>{/if}
    {#each choices as choice (choice.code)}<option value={choice.code}>{choice.label}</option>{/each}
  </select>
{:else if type === 'LONG_TEXT'}
  <textarea {...aria} rows="3" bind:value {@attach focus}></textarea>
{:else if type === 'DATE'}
  <input {...aria} type="date" bind:value {@attach focus} />
{:else}
  <input {...aria} type="text" maxlength={most + 50} bind:value {@attach focus} />
{/if}

<style>
  input[type='text'],
  input[type='date'],
  textarea,
  select {
    width: 100%;
    padding: 3px 6px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: inherit;
  }

  .several label {
    display: block;
  }

  [aria-invalid] {
    border-color: var(--stop);
  }
</style>
