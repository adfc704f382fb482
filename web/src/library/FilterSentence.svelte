<script lang="ts">
  import InlineButton from '../ui/InlineButton.svelte';
  import type { Schemas } from '../api/client';
  import type { Folder } from './folders';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import { indented } from './folders';
  import { everything, narrowed, words, type Wants } from './wants';

  /** What is shown of the library, as a sentence whose words are the controls. */
  let {
    wants,
    folders,
    sorts,
    onwant,
  }: {
    wants: Wants;
    folders: Folder[];
    /** What templates can be told apart by besides. */
    sorts: Schemas['Sorts'];
    onwant: (part: Partial<Wants>) => void;
  } = $props();

  interface Sort {
    code: string;
    name: string;
  }
  const named = (name: string): Sort => ({ code: name, name });

  /** What is not as usual stands out. */
  const set = 'border-bottom: 2px solid; font-weight: 600';
  const hidden = $derived(wants.folder && !folders.some((one) => one.id === wants.folder));
</script>

{#snippet choice(key: 'which' | 'ready' | 'about' | 'mode' | 'order', label: string)}
  <SmallSelect
    word
    aria-label={label}
    style={wants[key] === everything[key] ? undefined : set}
    value={wants[key]}
    onchange={(event) => onwant({ [key]: event.currentTarget.value })}
  >
    {#each Object.entries(words[key]) as [code, name] (code)}<option value={code}>{name}</option>{/each}
  </SmallSelect>
{/snippet}

{#snippet sort(key: 'purpose' | 'tag' | 'language', label: string, any: string, all: Sort[])}
  <SmallSelect
    word
    aria-label={label}
    style={wants[key] ? set : undefined}
    value={wants[key]}
    onchange={(event) => onwant({ [key]: event.currentTarget.value })}
  >
    <option value="">{any}</option>
    {#each all as { code, name } (code)}<option value={code}>{name}</option>{/each}
    {#if wants[key] && !all.some((one) => one.code === wants[key])}<option value={wants[key]}
        >{wants[key]}</option
      >{/if}
  </SmallSelect>
{/snippet}

<p>
  {@render choice('which', 'Which templates')} in
  <SmallSelect
    word
    aria-label="In which folder"
    style={wants.folder ? set : undefined}
    value={wants.folder}
    onchange={(event) => onwant({ folder: event.currentTarget.value })}
  >
    <option value="">every folder</option>
    {#each folders as folder (folder.id)}<option value={folder.id}>{indented(folder)}</option>{/each}
    {#if hidden}<option value={wants.folder}>a folder you don’t see</option>{/if}
  </SmallSelect>, for {@render choice(
    'about',
    'For what',
  )}{#if sorts.purposes.length || wants.purpose}&nbsp;and {@render sort(
      'purpose',
      'For which purpose',
      'any purpose',
      sorts.purposes.map(named),
    )}{/if}, {@render choice('ready', 'Ready or not')}, written
  {@render choice('mode', 'How they are written')}{#if sorts.languages.length || wants.language}&nbsp;in {@render sort(
      'language',
      'In which language',
      'any language',
      sorts.languages.map(({ code, name }) => ({ code, name: `${name} too` })),
    )}{/if}{#if sorts.tags.length || wants.tag}, tagged {@render sort(
      'tag',
      'Which tag',
      'anything',
      sorts.tags.map(named),
    )}{/if}{#if wants.search}, best fit first{:else}; within a folder by {@render choice(
      'order',
      'In which order',
    )}{/if}
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
</style>
