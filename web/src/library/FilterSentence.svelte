<script lang="ts">
  import InlineButton from '../ui/InlineButton.svelte';
  import type { Folder } from './folders';
  import { indented } from './folders';
  import { everything, narrowed, words, type Wants } from './wants';

  /** What is shown of the library, as a sentence whose words are the controls. */
  let {
    wants,
    folders,
    onwant,
  }: {
    wants: Wants;
    folders: Folder[];
    onwant: (part: Partial<Wants>) => void;
  } = $props();

  const hidden = $derived(wants.folder && !folders.some((one) => one.id === wants.folder));
</script>

{#snippet choice(key: 'which' | 'ready' | 'about' | 'mode' | 'order', label: string)}
  <select
    aria-label={label}
    class:set={wants[key] !== everything[key]}
    value={wants[key]}
    onchange={(event) => onwant({ [key]: event.currentTarget.value })}
  >
    {#each Object.entries(words[key]) as [code, name] (code)}<option value={code}>{name}</option>{/each}
  </select>
{/snippet}

<p>
  {@render choice('which', 'Which templates')} in
  <select
    aria-label="In which folder"
    class:set={!!wants.folder}
    value={wants.folder}
    onchange={(event) => onwant({ folder: event.currentTarget.value })}
  >
    <option value="">every folder</option>
    {#each folders as folder (folder.id)}<option value={folder.id}>{indented(folder)}</option>{/each}
    {#if hidden}<option value={wants.folder}>a folder you don’t see</option>{/if}
  </select>, for {@render choice('about', 'For what')}, {@render choice('ready', 'Ready or not')}, written
  {@render choice('mode', 'How they are written')}{#if wants.search}, best fit first{:else}; within a folder
    by {@render choice('order', 'In which order')}{/if}
  {#if narrowed(wants) || wants.folder}<InlineButton
      soft
      onclick={() => onwant({ ...everything, search: wants.search, order: wants.order })}
      >show all</InlineButton
    >{/if}
</p>

<style>
  p {
    margin: 0;
    padding: 9px 20px 7px;
    color: var(--ink-soft);
    line-height: 1.9;
  }

  select {
    max-width: 190px;
    padding: 0 1px;
    border: 0;
    border-bottom: 1px solid var(--edge);
    border-radius: 0;
    background: none;
    color: var(--ink);
    font: 14px/1.3 var(--sans);
    appearance: none;
    field-sizing: content;
    cursor: pointer;
  }

  .set {
    font-weight: 600;
    border-bottom: 2px solid var(--ink);
  }

  option {
    background: var(--sheet);
    color: var(--ink);
  }
</style>
