<script lang="ts">
  import type { Snippet } from 'svelte';
  import { ask, bring, fieldsOf, sentence, type Schemas } from '../api/client';
  import InlineButton from '../ui/InlineButton.svelte';
  import Button from '../ui/Button.svelte';
  import { drawn } from '../ui/drawn';
  import { size } from '../ui/size';
  import Slip from '../ui/Slip.svelte';
  import type { Writing } from './writing';

  /** The files that are attached to a template's messages, or to one message, which can have files of its own. */
  let {
    desk,
    attached = [],
    documents = [],
    more,
  }: {
    desk: Writing;
    /** What is known of the files of a message, which need not be in Materials. */
    attached?: Schemas['KeptFile'][];
    /** Files of the deal it is about. */
    documents?: Schemas['KeptFile'][];
    /** Where else a file can come from; it is given what takes one. */
    more?: Snippet<[(file: Schemas['KeptFile']) => void]>;
  } = $props();

  /** The files of Materials; not known until they have been read. */
  let all = $state<Schemas['KeptFile'][] | null>(null);
  let opener = $state<HTMLButtonElement>();
  let choosing = $state(false);
  let wrong = $state('');
  let coming = $state('');
  let chooser = $state<HTMLInputElement>();
  let mine = $state<Schemas['KeptFile'][]>([]);
  const apart = $derived(desk.hand !== null);
  const chosen = $derived(desk.draft?.files ?? []);
  const known = $derived([...(all ?? []), ...documents, ...attached, ...mine]);
  const left = $derived((all ?? []).filter((file) => !chosen.includes(file.id)));
  const papers = $derived(documents.filter((file) => !chosen.includes(file.id)));
  const together = $derived(
    chosen.reduce((sum, id) => sum + (known.find((file) => file.id === id)?.size ?? 0), 0),
  );

  async function read() {
    all = await ask('get', '/api/materials/files').catch(() => all);
  }

  function name(id: string): string {
    return known.find((file) => file.id === id)?.name ?? (all ? 'a file that is gone' : '…');
  }

  function sizeOf(id: string): string {
    const file = known.find((one) => one.id === id);
    return file ? size(file.size) : '';
  }

  function add(id: string) {
    choosing = false;
    desk.change({ files: [...chosen, id] }, true);
  }

  /** Attaches a file that was made for this message. */
  function takeMade(file: Schemas['KeptFile']) {
    mine = [...mine, file];
    add(file.id);
  }

  /** Attaches files from this computer, one after another. */
  export async function attach(files: Iterable<File>): Promise<void> {
    for (const file of files) await take(file);
  }

  /** To where files are attached. */
  export function focus(): void {
    opener?.focus();
  }

  async function take(file: File | undefined) {
    if (!file) return;
    wrong = '';
    coming = file.name;
    try {
      const made = await bring<Schemas['KeptFile']>(
        `/api/materials/files${apart ? '/apart' : ''}?name=${encodeURIComponent(file.name)}`,
        file,
      );
      if (apart) mine = [...mine, made];
      else await read();
      add(made.id);
    } catch (failure) {
      wrong = `${file.name}: ${Object.values(fieldsOf(failure))[0] ?? sentence(failure)}`;
    }
    coming = '';
  }

  void drawn().then(read);
</script>

{#snippet choices(files: Schemas['KeptFile'][])}
  <ul>
    {#each files as file (file.id)}
      <li>
        <Button quiet onclick={() => add(file.id)}>{file.name}</Button>
        <small>{size(file.size)}</small>
      </li>
    {/each}
  </ul>
{/snippet}

<span class="files">
  {#each chosen as id (id)}
    <span class="file"
      >{#if known.some((file) => file.id === id)}<a href="/api/materials/files/{id}" download={name(id)}
          >{name(id)}</a
        >{:else}{name(id)}{/if}{#if apart && sizeOf(id)}<small>, {sizeOf(id)}</small>{/if}{#if desk.mayChange}
        <InlineButton
          soft
          aria-label="Remove {name(id)}"
          onclick={() => desk.change({ files: chosen.filter((one) => one !== id) }, true)}>×</InlineButton
        >{/if}</span
    >
  {/each}
  {#if desk.mayChange}
    <InlineButton bind:element={opener} aria-expanded={choosing} onclick={() => (choosing = !choosing)}
      >{chosen.length ? 'attach another' : 'attach a file'}</InlineButton
    >
  {:else if !chosen.length}
    <span class="none">none</span>
  {/if}
  {#if apart && chosen.length > 1}<span class="none">{size(together)} in all</span>{/if}
  {#if coming}<span class="none" role="status">uploading {coming} …</span>{/if}
</span>
{#if wrong && !choosing}<p class="wrong" role="alert">{wrong}</p>{/if}
{#if choosing}
  <Slip title="Attach a file" anchor={opener} onclose={() => (choosing = false)}>
    {#if papers.length}
      <p class="none">Documents of the deal</p>
      {@render choices(papers)}
      {#if left.length}<p class="none">From Materials</p>{/if}
    {/if}
    {@render choices(left)}
    <Button onclick={() => chooser?.click()}>{apart ? 'From this computer' : 'Upload one'}</Button>
    <input
      bind:this={chooser}
      type="file"
      hidden
      multiple={apart}
      onchange={(event) => void attach([...(event.currentTarget.files ?? [])])}
    />
    {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
    {@render more?.(takeMade)}
  </Slip>
{/if}

<style>
  .file a {
    color: inherit;
  }

  .files {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 12px;
    align-items: baseline;
    font-size: 14px;
  }

  .none,
  small {
    color: var(--ink-soft);
  }

  ul {
    max-height: 220px;
    margin: 0 0 8px -6px;
    padding: 0;
    overflow: auto;
    list-style: none;
  }

  .wrong {
    margin-top: 6px;
    color: var(--stop);
  }
</style>
