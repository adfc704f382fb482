<script lang="ts">
  /** Where one types to find in a list; the key / brings the cursor here. */
  let {
    label,
    value = $bindable(''),
    onfind,
  }: {
    label: string;
    value?: string;
    onfind: () => void;
  } = $props();
</script>

<input data-finder type="search" placeholder="{label}  /" aria-label={label} bind:value oninput={onfind} />

<style>
  input {
    width: 230px;
    padding: 6px 10px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: inherit;
  }

  @media (width <= 700px) {
    input {
      width: 150px;
    }
  }
</style>
