<script lang="ts">
  import { ask, type Schemas } from '../api/client';
  import InlineButton from '../ui/InlineButton.svelte';
  import { day } from '../ui/when';
  import type { KeptList } from './narrowing.svelte';

  /** Who has come onto a list and gone from it since one looked at it last. */
  let { list }: { list: KeptList } = $props();
  let changes = $state.raw<Schemas['ListChanges'] | null>(null);
  const any = $derived(!!changes?.since && (changes.came > 0 || changes.went > 0));

  const params = $derived({ id: list.id });

  async function read() {
    const found = await ask('get', '/api/lists/{id}/changes', { params });
    changes = found;
    // What is seen for the first time, or is as it was, is looked at with that.
    if (!found.since || (!found.came && !found.went)) await ask('post', '/api/lists/{id}/look', { params });
  }

  async function seen() {
    await ask('post', '/api/lists/{id}/look', { params });
    changes = null;
  }

  /** Records that were deleted have no names. */
  function named(number: number, names: string[]): string {
    if (!names.length) return `${number}`;
    const more = number - names.length;
    return `${number} (${names.join(', ')}${more > 0 ? ` and ${more} more` : ''})`;
  }

  void read().catch(() => undefined);
</script>

{#if any && changes}
  <p role="status">
    Since you looked on {day(changes.since!)}:
    {#if changes.came}<b>{named(changes.came, changes.cameNames)}</b> came{changes.went ? ',' : '.'}{/if}
    {#if changes.went}<b>{named(changes.went, changes.wentNames)}</b> went.{/if}
    <InlineButton soft onclick={() => void seen()}>seen</InlineButton>
  </p>
{/if}

<style>
  p {
    max-height: 66px;
    margin: 0;
    padding: 6px 20px;
    overflow: auto;
    border-bottom: 1px solid var(--rule-soft);
    background: var(--sheet);
    color: var(--ink-soft);
    font-size: 14px;
  }

  b {
    color: var(--ink);
    font-weight: 500;
  }
</style>
