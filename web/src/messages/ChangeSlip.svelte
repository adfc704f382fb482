<script lang="ts">
  import type { Hand } from '../desk/writing';
  import Button from '../ui/Button.svelte';
  import Slip from '../ui/Slip.svelte';

  /** What a template says in the place of words that were changed by hand. */
  let {
    change,
    anchor,
    onback,
    onclose,
  }: {
    change: Hand['changes'][number];
    anchor: HTMLElement;
    onback: () => void;
    onclose: () => void;
  } = $props();

  const was = $derived(change.was.trim());
</script>

<Slip title="Changed for this message" {anchor} {onclose}>
  {#if was}
    <p>The template says: “{was}”</p>
  {:else}
    <p>The template says nothing here.</p>
  {/if}
  <p class="ways">
    <Button main data-first onclick={onback}>As the template says</Button>
    <Button onclick={onclose}>Keep my words</Button>
  </p>
</Slip>

<style>
  .ways {
    display: flex;
    gap: 8px;
    margin-top: 10px;
  }
</style>
