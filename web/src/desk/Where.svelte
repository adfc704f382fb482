<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import { onChange } from '../app/changes';
  import InlineButton from '../ui/InlineButton.svelte';
  import type { Folder } from '../library/folders';
  import MoveSlip from '../library/MoveSlip.svelte';
  import ShareSlip from '../library/ShareSlip.svelte';
  import { archive } from '../library/sorting';
  import { notify } from '../ui/notices.svelte';

  /** Where a template lies and who may use it, which can be changed in place. */
  let {
    template,
    archived,
    mayChange,
    onmoved,
  }: {
    template: Schemas['Template'];
    archived: boolean;
    mayChange: boolean;
    onmoved: () => Promise<void>;
  } = $props();

  let folders = $state.raw<Folder[]>([]);
  let moving = $state<HTMLElement | null>(null);
  let sharing = $state<HTMLElement | null>(null);
  const folder = $derived(folders.find((one) => one.id === template.folder));
  /** What is private is shared by moving it; the folder of all that is one's own hardly is. */
  const shareable = $derived(folder?.may === 'MANAGE' && !folder.personal);

  const read = () =>
    ask('get', '/api/folders')
      .then((all) => (folders = all))
      .catch(() => (folders = []));
  void read();
  const bringBack = () =>
    archive([template], false, onmoved).catch((failure) => notify(sentence(failure), { stop: true }));
  $effect(() => onChange((change) => change.what === 'folder' && void read()));
</script>

{#if folder}
  <span class="where">
    <span class="said" title={folder.sharing}
      >in “{folder.name}” · <em>{archived ? 'Archived: it is offered to nobody' : folder.sharing}</em></span
    >
    {#if mayChange && archived}
      <InlineButton soft onclick={() => void bringBack()}>Bring back</InlineButton>
    {:else if mayChange}
      <InlineButton soft onclick={(event) => (moving = event.currentTarget as HTMLElement)}
        >{folder.personal ? 'Share…' : 'Move…'}</InlineButton
      >
      {#if shareable}<InlineButton soft onclick={(event) => (sharing = event.currentTarget as HTMLElement)}
          >Share…</InlineButton
        >{/if}
    {/if}
  </span>
{/if}
{#if moving}
  <MoveSlip templates={[template]} anchor={moving} onclose={() => (moving = null)} {onmoved} />
{/if}
{#if sharing && folder}
  <ShareSlip {folder} anchor={sharing} onclose={() => (sharing = null)} onsaved={(all) => (folders = all)} />
{/if}

<style>
  .where {
    display: flex;
    min-width: 0;
    gap: 6px;
    align-items: baseline;
    color: var(--ink-soft);
    font-size: 13px;
    white-space: nowrap;
  }

  /* What is said gives way before what can be done. */
  .said {
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
  }
</style>
