<script lang="ts">
  /** A labelled choice among many, found by typing; a name or a code will do. */
  let {
    label,
    value = $bindable(''),
    options,
    error = '',
    disabled = false,
  }: {
    label: string;
    /** The code of what is chosen. */
    value?: string;
    options: readonly { code: string; name: string }[];
    error?: string;
    disabled?: boolean;
  } = $props();

  const id = $props.id();
  const nameOf = (code: string) => options.find((one) => one.code === code)?.name ?? code;
  let typed = $derived(nameOf(value));
  let unknown = $state('');
  const said = $derived(unknown ? `Nothing here is called “${unknown}”.` : error);

  function take() {
    const wanted = typed.trim().toLowerCase();
    const fits = (one: { code: string; name: string }) =>
      one.name.toLowerCase() === wanted || one.code.toLowerCase() === wanted;
    const begins = options.filter((one) => one.name.toLowerCase().startsWith(wanted));
    const found = options.find(fits) ?? (wanted && begins.length === 1 ? begins[0] : undefined);
    unknown = found ? '' : typed.trim();
    if (!found) return;
    value = found.code;
    typed = found.name;
  }
</script>

<div class="choose">
  <label for={id}>{label}</label>
  <input
    {id}
    {disabled}
    list="{id}-all"
    autocomplete="off"
    bind:value={typed}
    aria-invalid={said ? true : undefined}
    aria-describedby={said ? `${id}-said` : undefined}
    onchange={take}
    onfocus={(event) => event.currentTarget.select()}
  />
  <datalist id="{id}-all">
    {#each options as one (one.code)}<option value={one.name}>{one.code}</option>{/each}
  </datalist>
  {#if said}<p id="{id}-said">{said}</p>{/if}
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

  input {
    width: 100%;
    padding: 6px 8px;
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
