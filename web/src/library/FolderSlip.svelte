<script lang="ts">
  import { ask, fieldsOf, sentence } from '../api/client';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import Field from '../ui/Field.svelte';
  import Slip from '../ui/Slip.svelte';
  import { notify } from '../ui/notices.svelte';
  import { indented, open, type Folder } from './folders';

  /** Makes a folder, or changes the name and place of one. */
  let {
    folder,
    folders,
    anchor,
    onclose,
    onsaved,
  }: {
    /** Null for a new one. */
    folder: Folder | null;
    folders: Folder[];
    anchor: HTMLElement;
    onclose: () => void;
    /** All folders as they are now, and the one that was made, if one was. */
    onsaved: (folders: Folder[], made?: string) => void;
  } = $props();

  // svelte-ignore state_referenced_locally
  let name = $state(folder?.name ?? '');
  // svelte-ignore state_referenced_locally
  let parent = $state(folder?.parent ?? '');
  let wrong = $state<Record<string, string>>({});
  const within = $derived(folder ? below(folder.id) : []);
  const places = $derived([
    ['', 'the top'] as const,
    ...open(folders)
      .filter((one) => one.id !== folder?.id && !within.includes(one.id))
      .map((one) => [one.id, indented(one)] as const),
  ]);

  function below(id: string): string[] {
    return folders.filter((one) => one.parent === id).flatMap((one) => [one.id, ...below(one.id)]);
  }

  async function save(event: SubmitEvent) {
    event.preventDefault();
    const body = { name, parent: parent || null };
    try {
      if (folder) onsaved(await ask('put', '/api/folders/{id}', { params: { id: folder.id }, body }));
      else {
        const made = await ask('post', '/api/folders', { body: { ...body, shares: null } });
        onsaved(made.folders, made.id);
      }
      onclose();
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) notify(sentence(failure), { stop: true });
    }
  }

  async function remove() {
    if (!folder) return;
    const { name: called, parent: place, shares, own } = folder;
    try {
      onsaved(await ask('delete', '/api/folders/{id}', { params: { id: folder.id } }));
      onclose();
      notify(`The folder “${called}” is deleted.`, {
        undo: async () => {
          const body = { name: called, parent: place ?? null, shares: own ? shares : null };
          onsaved((await ask('post', '/api/folders', { body })).folders);
        },
      });
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }
</script>

<Slip title={folder ? folder.name : 'New folder'} {anchor} placement="bottom-end" {onclose}>
  <form onsubmit={save}>
    <Field label="Name" bind:value={name} error={wrong.name} />
    <Choose label="In" bind:value={parent} options={places} error={wrong.parent} />
    {#if !folder && !parent}<p class="soft">Only you see it until you share it.</p>{/if}
    <p class="ways">
      <Button main type="submit">Save</Button>
      {#if folder}<Button quiet onclick={() => void remove()}>Delete folder</Button>{/if}
    </p>
  </form>
</Slip>

<style>
  .ways {
    display: flex;
    gap: 8px;
  }

  .soft {
    color: var(--ink-soft);
    font-size: 13px;
  }
</style>
