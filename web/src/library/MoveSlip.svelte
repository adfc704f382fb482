<script lang="ts">
  import { ask, fieldsOf, sentence } from '../api/client';
  import { me } from '../app/session.svelte';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import Field from '../ui/Field.svelte';
  import Slip from '../ui/Slip.svelte';
  import { indented, move, open, type Folder } from './folders';
  import { shareOf, sharers, type Sharer } from './shares';

  /** Moves templates into another folder, or into one that is made and shared on the way. */
  let {
    templates,
    anchor,
    onclose,
    onmoved,
  }: {
    templates: readonly { id: string; name: string; folder?: string | null }[];
    anchor: HTMLElement;
    onclose: () => void;
    onmoved: () => Promise<void>;
  } = $props();

  let folders = $state.raw<Folder[] | null>(null);
  let wanted = $state('');
  let failed = $state('');
  let name = $state(`Shared by ${me().firstName}`);
  let whom = $state('EVERYBODY');
  let choices = $state.raw<Sharer[]>([]);
  let wrong = $state<Record<string, string>>({});
  const chosen = $derived(folders?.find((one) => one.id === wanted));

  const places = $derived<(readonly [string, string])[]>([
    ...(folders ?? []).map((one) => [one.id, indented(one)] as const),
    ['', 'a new folder, shared with others'],
  ]);

  // It opens once it is known what there is to choose from.
  Promise.all([ask('get', '/api/folders'), sharers([])])
    .then(([all, others]) => {
      const here = templates.length === 1 ? templates[0].folder : null;
      const there = open(all).filter((one) => one.id !== here);
      choices = others;
      wanted = there.find((one) => !one.personal)?.id ?? '';
      folders = there;
    })
    .catch((failure) => (failed = sentence(failure)));

  async function made(): Promise<Folder | undefined> {
    const added = await ask('post', '/api/folders', {
      body: { name, parent: null, shares: [shareOf(whom, 'USE')] },
    });
    return added.folders.find((one) => one.id === added.id);
  }

  async function go(event: SubmitEvent) {
    event.preventDefault();
    wrong = {};
    failed = '';
    try {
      const folder = wanted ? chosen : await made();
      if (!folder) return;
      await move(templates, folder, onmoved);
      onclose();
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) failed = sentence(failure);
    }
  }
</script>

{#if folders || failed}
  <Slip
    title={templates.length === 1 ? `Move “${templates[0].name}”` : `Move ${templates.length} templates`}
    {anchor}
    {onclose}
  >
    {#if folders}
      <form onsubmit={go}>
        <Choose label="Into the folder" bind:value={wanted} options={places} />
        {#if chosen}
          <p class="soft">{chosen.sharing}.</p>
        {:else}
          <Field label="Name of the folder" bind:value={name} error={wrong.name} />
          <Choose label="May use what is in it" bind:value={whom} options={choices} error={wrong.shares} />
        {/if}
        <Button main type="submit">{wanted ? 'Move' : 'Make it and move'}</Button>
      </form>
    {/if}
    {#if failed}<p role="alert">{failed}</p>{/if}
  </Slip>
{/if}

<style>
  .soft {
    margin: 0 0 12px;
    color: var(--ink-soft);
    font-style: italic;
  }
</style>
