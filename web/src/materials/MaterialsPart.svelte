<script lang="ts">
  import type { Snippet } from 'svelte';

  /** One part of Materials: what it is for, the way to add to it, and what is there. */
  let {
    says,
    add,
    failed,
    children,
  }: {
    says: string;
    add?: Snippet;
    /** Why it could not be read; empty when it could. */
    failed: string;
    children: Snippet;
  } = $props();
</script>

<div class="place">
  <p class="says">{says} {@render add?.()}</p>
  {#if failed}<p class="wrong" role="alert">{failed}</p>{/if}
  {@render children()}
</div>

<style>
  .place {
    max-width: 1020px;
    padding: 16px 20px;
  }

  .says {
    display: flex;
    gap: 20px;
    justify-content: space-between;
    align-items: center;
    margin-bottom: 12px;
    color: var(--ink-soft);
  }

  .says :global(button) {
    flex: none;
  }

  .wrong {
    color: var(--stop);
  }
</style>
