<script lang="ts">
  import type { Schemas } from '../api/client';
  import ChooseTyped from '../ui/ChooseTyped.svelte';

  /** Where a company is: its country, time zone and currency. */
  let {
    place = $bindable(),
    choices,
    wrong,
  }: {
    place: { country: string; timeZone: string; currency: string };
    choices: Schemas['Choices'];
    wrong: Record<string, string>;
  } = $props();

  const fields = [
    ['country', 'Country', 'countries'],
    ['timeZone', 'Time zone', 'timeZones'],
    ['currency', 'Currency', 'currencies'],
  ] as const;
</script>

{#each fields as [name, label, options] (name)}
  <ChooseTyped {label} bind:value={place[name]} options={choices[options]} error={wrong[name]} />
{/each}
