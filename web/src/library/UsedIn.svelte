<script lang="ts">
  import type { Schemas } from '../api/client';
  import { nowhere } from './usedIn';

  /** The templates that use a thing, each a way there, and how many more there are. */
  let { uses = nowhere }: { uses?: Schemas['Used'] } = $props();
</script>

{#each uses.seen as use, at (use.id)}{at ? ', ' : ''}<a href="/templates/{use.id}">{use.name}</a
  >{/each}{#if uses.others}<span
    >{uses.seen.length ? ' and ' : ''}{uses.others}
    {uses.others === 1 ? 'template' : 'templates'} you don’t see</span
  >{:else if !uses.seen.length}<span>nothing yet</span>{/if}

<style>
  a {
    color: var(--ink);
  }

  span {
    color: var(--ink-soft);
  }
</style>
