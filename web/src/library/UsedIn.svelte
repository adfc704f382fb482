<script lang="ts">
  import type { Schemas } from '../api/client';

  /** The templates that use a thing, each a way there. */
  let { uses = [] }: { uses?: Schemas['UsingTemplate'][] } = $props();
</script>

{#each uses as use, at (use.id)}{at ? ', ' : ''}<a href="/templates/{use.id}">{use.name}</a>{:else}<span
    >nothing yet</span
  >{/each}

<style>
  a {
    color: var(--ink);
  }

  span {
    color: var(--ink-soft);
  }
</style>
