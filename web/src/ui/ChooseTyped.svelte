<script lang="ts">
  import Field from './Field.svelte';

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
    const folded = wanted.toLowerCase();
    const begins = options.filter(({ name }) => name.toLowerCase().startsWith(folded));
    const found =
      options.find(({ name, code }) => [name, code].some((one) => one.toLowerCase() === folded)) ??
      (wanted && begins.length === 1 ? begins[0] : undefined);
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
