<script lang="ts">
  import MessageFrame from '../ui/MessageFrame.svelte';
  import { thumbnail } from './thumbnails';

  /** A passage or signature as it looks, small. */
  let { id }: { id: string } = $props();
  const shown = $derived(thumbnail(id, '', () => true).catch(() => null));
</script>

<div inert aria-hidden="true">
  {#await shown then look}
    {#if look?.html}<MessageFrame html={look.html} title="" width={420} small />{/if}
  {/await}
</div>

<style>
  div {
    max-height: 160px;
    overflow: hidden;
    border: 1px solid var(--rule);
    border-radius: var(--corner);
    background: #fff;
  }
</style>
