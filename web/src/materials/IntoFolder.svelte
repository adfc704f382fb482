<script lang="ts">
  import { addable, everyone, places, type Folder } from '../library/folders';
  import SmallSelect from '../ui/SmallSelect.svelte';

  /** Where what is uploaded goes: where everyone finds it, unless another folder is chosen. */
  let { folders, chosen = $bindable('') }: { folders: Folder[]; chosen: string } = $props();
  const others = $derived(addable(folders).filter((one) => one.id !== everyone));
</script>

<label>
  into
  <SmallSelect value={chosen} onchange={(event) => (chosen = event.currentTarget.value)}>
    <option value="">Everyone</option>
    {#each places(others) as [code, name] (code)}
      <option value={code}>{name}</option>
    {/each}
  </SmallSelect>
</label>

<style>
  label {
    display: inline-flex;
    flex: none;
    gap: 6px;
    align-items: center;
  }
</style>
