<script lang="ts">
  import SmallSelect from '../ui/SmallSelect.svelte';

  /** For how many days whoever was written to is left alone, as words of a sentence that begins with *leave out*. */
  let { days, onchange }: { days: number; onchange: (days: number) => void } = $props();

  /** Days that can be chosen, with what is chosen already. */
  const choices = $derived(
    [...new Set([3, 7, 14, 30, 90, days])].filter((one) => one > 1).sort((a, b) => a - b),
  );
</script>

<SmallSelect
  word
  style="max-width: none"
  aria-label="Leave out whoever was written to lately"
  value={String(days)}
  onchange={(event) => onchange(Number(event.currentTarget.value))}
>
  <option value="0">nobody who was written to lately</option>
  <option value="1">whoever was written to today</option>
  {#each choices as one (one)}
    <option value={String(one)}>whoever was written to in the last {one} days</option>
  {/each}
</SmallSelect>
