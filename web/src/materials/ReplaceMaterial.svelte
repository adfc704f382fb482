<script lang="ts">
  import type { Snippet } from 'svelte';
  import InItsPlace from '../library/InItsPlace.svelte';
  import { ofMaterial } from '../library/inItsPlace';
  import { notify } from '../ui/notices.svelte';

  /** Something of Materials that is to be deleted and is used: another one is to take its place. */
  let {
    what,
    thing,
    others,
    anchor,
    look,
    onclose,
    ondone,
  }: {
    what: 'PICTURE' | 'FEED' | 'FILE';
    thing: { id: string; name: string };
    others: readonly { id: string; name: string }[];
    anchor: HTMLElement;
    look?: Snippet<[id: string]>;
    onclose: () => void;
    ondone: () => void;
  } = $props();

  const exchange = $derived(ofMaterial(thing.id, what, others));
</script>

<InItsPlace
  {exchange}
  {anchor}
  {look}
  {onclose}
  onexchanged={(said) => {
    notify(`“${thing.name}” is deleted.${said}`);
    onclose();
    ondone();
  }}
/>
