<script lang="ts">
  /** Where one types to find in a list; the key / brings the cursor here. */
  let {
    label,
    value = $bindable(''),
    onfind,
    oninto,
  }: {
    label: string;
    value?: string;
    onfind: () => void;
    /** Brings the cursor from here to the first line of the list: with the arrow down, or Enter. */
    oninto?: () => void;
  } = $props();
</script>

<input
  data-finder
  type="search"
  placeholder="{label}  /"
  aria-label={label}
  bind:value
  oninput={onfind}
  onkeydown={(event) => {
    if (!oninto || !['ArrowDown', 'Enter'].includes(event.key)) return;
    event.preventDefault();
    oninto();
  }}
/>

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
