<script lang="ts">
  import type { About } from '../library/about';
  import { outOf, readProfile, type Profile } from './profiles';

  /** What a field holds for everybody, in three lines; asked a moment after one points at it. */
  let { about, path }: { about: About; path: string } = $props();

  const AFTER = 180;
  let profile = $state<Profile | null>(null);

  $effect(() => {
    const asked = path;
    const timer = setTimeout(() => {
      readProfile(about, asked)
        .then((read) => {
          if (asked === path) profile = read;
        })
        .catch(() => (profile = null));
    }, AFTER);
    return () => clearTimeout(timer);
  });

  const shown = $derived(profile?.path === path ? profile : null);
</script>

<div class="summary">
  {#if shown?.counted}
    <p>
      <b>{outOf(shown.filled, shown.of, shown.error)}</b> have one{#if shown.commonest.length}, most often
        {#each shown.commonest.slice(0, 3) as one, i (one.value)}{i ? ', ' : ''}<bdi>{one.value}</bdi>
          ({one.people}){/each}{/if}
    </p>
    {#if shown.longest}
      <p class="soft">{shown.longest.why}: <bdi>{shown.longest.value}</bdi></p>
    {/if}
    {#if shown.odd.length}
      <p class="odd">
        {#each shown.odd.slice(0, 2) as one, i (i)}{i ? '; ' : ''}<bdi class="as-stored">{one.value}</bdi>
          {one.why}{/each}{#if shown.odd.length > 2}; and more{/if}
      </p>
    {/if}
  {:else if shown}
    <p class="soft">Worked out for each person.</p>
  {:else}
    <p class="soft">…</p>
  {/if}
</div>

<style>
  .summary {
    min-height: 64px;
    padding: 6px 10px;
    border-top: 1px solid var(--rule);
    background: var(--paper);
    font-size: 12.5px;
  }

  p {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .soft {
    color: var(--ink-soft);
  }

  .odd {
    color: var(--query);
  }

  .as-stored {
    white-space: pre;
  }
</style>
