<script lang="ts">
  import Choose from '../../ui/Choose.svelte';
  import { savedLinks, type SavedLink } from './savedLinks';

  /** Lets a block lead to one of the saved links; any other address is written in the block itself. */
  let { link, onchoose }: { link: string; onchoose: (written: string) => void } = $props();

  let saved = $state<SavedLink[]>([]);
  const chosen = $derived(saved.find((one) => one.written === link.trim())?.written ?? '');
  const options = $derived(saved.map((one) => [one.written, one.label] as const));

  void savedLinks().then((links) => (saved = links));
</script>

{#if saved.length}
  <Choose
    label="Leads to a saved link"
    value={chosen}
    {options}
    empty="no, use the block’s own address"
    onchange={(written) => written && onchoose(written)}
  />
{/if}
