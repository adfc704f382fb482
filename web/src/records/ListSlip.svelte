<script lang="ts">
  import { ask, fieldsOf, sentence } from '../api/client';
  import { open, places, type Folder } from '../library/folders';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import Field from '../ui/Field.svelte';
  import { notify } from '../ui/notices.svelte';
  import Slip from '../ui/Slip.svelte';
  import type { KeptList } from './narrowing.svelte';
  import { typedList } from './typedList';

  /** What a list is, what it is called and who else has it. */
  let {
    list,
    anchor,
    onclose,
    onchanged,
    ongone,
  }: {
    list: KeptList;
    anchor: HTMLElement;
    onclose: () => void;
    onchanged: () => Promise<void>;
    ongone: () => Promise<void>;
  } = $props();

  let name = $derived(list.name);
  let folder = $derived(list.folder);
  let folders = $state.raw<Folder[]>([]);
  let wrong = $state<Record<string, string>>({});
  let failed = $state('');
  const here = $derived(folders.find((one) => one.id === folder));
  const options = $derived([
    ...places(folders),
    ...(here ? [] : [[folder, list.folderName || `${list.owner}’s own`] as const]),
  ]);

  ask('get', '/api/folders')
    .then((all) => (folders = open(all)))
    .catch((failure) => (failed = sentence(failure)));

  async function change(event: SubmitEvent) {
    event.preventDefault();
    wrong = {};
    failed = '';
    try {
      await ask('put', '/api/lists/{id}', {
        params: { id: list.id },
        body: {
          version: list.version,
          list: typedList(name, { folder }),
        },
      });
      await onchanged();
      onclose();
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!wrong.name) failed = sentence(failure);
    }
  }

  async function remove() {
    const { id, name: called, kind } = list;
    // The slip is closed by what it does here.
    const [gone, changed] = [ongone, onchanged];
    try {
      await ask('delete', '/api/lists/{id}', { params: { id } });
      onclose();
      notify(`The list “${called}” is deleted. Its ${kind}s are all there.`, {
        undo: async () => {
          await ask('post', '/api/lists/{id}/bring-back', { params: { id } });
          await changed();
        },
      });
      await gone();
    } catch (failure) {
      failed = sentence(failure);
    }
  }
</script>

<Slip title={list.name} {anchor} {onclose}>
  <p>
    {#if list.live}
      A live list: {list.kind}s{list.sentence ? ` whose ${list.sentence}` : ''}{list.base
        ? ` who are on “${list.baseName || 'a list you don’t see'}”`
        : ''}{list.deals
        ? ` on the deals of “${list.dealsName || 'a list you don’t see'}”${list.role ? `, in the role “${list.role}”` : ''}`
        : ''}{list.minus ? `, leaving out those on “${list.minusName || 'a list you don’t see'}”` : ''}.
    {:else}
      A fixed list: {list.kind}s that were put on it by hand.
    {/if}
    {list.mine ? 'It is yours' : `It is ${list.owner}’s`}{list.folderName
      ? `, in the folder “${list.folderName}”`
      : list.mine
        ? ', and nobody else sees it'
        : ''}.
  </p>
  {#if list.mayChange}
    <form onsubmit={change}>
      <Field label="Name" bind:value={name} error={wrong.name} autocomplete="off" />
      <Choose label="In the folder" bind:value={folder} {options} />
      {#if here && !here.personal}<p class="soft">{here.sharing}.</p>{/if}
      <p class="ways">
        <Button main type="submit">Save</Button>
        <Button quiet onclick={() => void remove()}>Delete list</Button>
      </p>
    </form>
  {/if}
  {#if failed}<p class="failed" role="alert">{failed}</p>{/if}
</Slip>

<style>
  p {
    margin: 0 0 10px;
  }

  .soft {
    color: var(--ink-soft);
  }

  .ways {
    display: flex;
    gap: 10px;
    margin: 0;
  }

  .failed {
    color: var(--stop);
  }
</style>
