<script lang="ts">
  import { ask, sentence, type Schemas } from '../../api/client';
  import Choose from '../../ui/Choose.svelte';

  /** Which feed a block shows the newest entries of. */
  let { chosen, onchoose }: { chosen: string; onchoose: (feed: string) => void } = $props();

  let feeds = $state<Schemas['ShownFeed'][] | null>(null);
  let failed = $state('');
  const options = $derived((feeds ?? []).map((one) => [one.id, one.name] as const));

  ask('get', '/api/materials/feeds')
    .then((found) => (feeds = found))
    .catch((failure) => (failed = sentence(failure)));
</script>

{#if failed}
  <p class="wrong" role="alert">{failed}</p>
{:else if feeds && !feeds.length}
  <p>There is no feed yet. <a href="/materials/feeds">Editors import them</a></p>
{:else if feeds}
  <Choose label="Feed" value={chosen} {options} empty={chosen ? '' : 'choose one'} onchange={onchoose} />
{/if}

<style>
  .wrong {
    color: var(--stop);
  }
</style>
