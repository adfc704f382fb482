<script lang="ts">
  import { ask, bring, fieldsOf, sentence, type Schemas } from '../api/client';
  import InlineButton from '../ui/InlineButton.svelte';
  import Button from '../ui/Button.svelte';
  import Slip from '../ui/Slip.svelte';
  import type { Writing } from './writing';

  /** The files that are attached to a template's messages. */
  let { desk }: { desk: Writing } = $props();

  let all = $state<Schemas['KeptFile'][]>([]);
  let opener = $state<HTMLButtonElement>();
  let choosing = $state(false);
  let wrong = $state('');
  let coming = $state('');
  let chooser = $state<HTMLInputElement>();
  const chosen = $derived(desk.draft?.files ?? []);
  const left = $derived(all.filter((file) => !chosen.includes(file.id)));

  async function read() {
    all = await ask('get', '/api/materials/files').catch(() => all);
  }

  function name(id: string): string {
    return all.find((file) => file.id === id)?.name ?? 'a file that is gone';
  }

  function add(id: string) {
    choosing = false;
    desk.change({ files: [...chosen, id] }, true);
  }

  async function take(file: File | undefined) {
    if (!file) return;
    wrong = '';
    coming = file.name;
    try {
      const made = await bring<Schemas['KeptFile']>(
        `/api/materials/files?name=${encodeURIComponent(file.name)}`,
        file,
      );
      await read();
      add(made.id);
    } catch (failure) {
      wrong = `${file.name}: ${Object.values(fieldsOf(failure))[0] ?? sentence(failure)}`;
    }
    coming = '';
  }

  void read();
</script>

<span class="files">
  {#each chosen as id (id)}
    <span class="file"
      >{name(id)}{#if desk.mayChange}
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
</span>
{#if choosing}
  <Slip title="Attach a file" anchor={opener} onclose={() => (choosing = false)}>
    <ul>
      {#each left as file (file.id)}
        <li>
          <Button quiet onclick={() => add(file.id)}>{file.name}</Button>
          <small>{Math.ceil(file.size / 1000)} KB</small>
        </li>
      {/each}
    </ul>
    <Button onclick={() => chooser?.click()}>Upload one</Button>
    <input
      bind:this={chooser}
      type="file"
      hidden
      onchange={(event) => void take(event.currentTarget.files?.[0])}
    />
    {#if coming}<p role="status">uploading {coming} …</p>{/if}
    {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
  </Slip>
{/if}

<style>
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
