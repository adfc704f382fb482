<script lang="ts">
  import { ask, sentence } from '../api/client';
  import { addable, called, mayChangeIn, places, type Folder } from '../library/folders';
  import { notify } from '../ui/notices.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';

  /** The folder that something of Materials lies in; whoever may change it chooses another one here. */
  let {
    what,
    thing,
    folders,
    mayChange,
    onmoved,
  }: {
    what: 'pictures' | 'files' | 'house-styles';
    thing: { id: string; name: string; folder?: string | null; owner?: string };
    folders: Folder[];
    /** Where it is known already; else its folder says so. */
    mayChange?: boolean;
    onmoved: () => Promise<void>;
  } = $props();

  const lies = $derived(folders.find((one) => one.id === thing.folder));
  const may = $derived(mayChange ?? mayChangeIn(folders, thing));
  const others = $derived(addable(folders).filter((one) => one.id !== thing.folder));

  async function put(folder: string) {
    await ask('put', `/api/materials/${what}/{id}/folder`, { params: { id: thing.id }, body: { folder } });
    await onmoved();
  }

  async function move(folder: string) {
    const before = thing.folder!;
    const mayGoBack = addable(folders).some((one) => one.id === before);
    try {
      await put(folder);
      const to = folders.find((one) => one.id === folder)!;
      notify(
        `“${thing.name}” is ${to.personal && to.mine ? 'yours alone' : `in “${to.name}”`} now.`,
        mayGoBack ? { undo: () => put(before) } : {},
      );
    } catch (failure) {
      notify(sentence(failure));
      await onmoved();
    }
  }
</script>

{#if may && others.length}
  <SmallSelect
    aria-label="Folder of {thing.name}"
    value={thing.folder ?? ''}
    onchange={(event) => void move(event.currentTarget.value)}
  >
    <option value={thing.folder ?? ''}>{called(lies)}</option>
    {#each places(others) as [code, name] (code)}<option value={code}>{name}</option>{/each}
  </SmallSelect>
{:else}
  {called(lies)}
{/if}
