<script lang="ts">
  import Field from './Field.svelte';
  import { named } from './named';

  /** A labelled choice among many, found by typing; a name or a code will do. */
  let {
    label,
    value = $bindable(''),
    options,
    error = '',
  }: {
    label: string;
    /** The code of what is chosen; what was typed, where nothing is called so. */
    value?: string;
    options: readonly { code: string; name: string }[];
    error?: string;
  } = $props();

  let typed = $derived(options.find((one) => one.code === value)?.name ?? value);
  let unknown = $state('');

  function take() {
    const wanted = typed.trim();
    const found = named(options, wanted);
    unknown = found ? '' : wanted;
    value = found?.code ?? wanted;
    if (found) typed = found.name;
  }
</script>

<Field
  {label}
  bind:value={typed}
  error={unknown ? `Nothing here is called “${unknown}”.` : error}
  suggestions={options.map((one) => one.name)}
  autocomplete="off"
  onchange={take}
  onfocus={(event) => event.currentTarget.select()}
/>
