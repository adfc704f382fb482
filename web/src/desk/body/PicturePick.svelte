<script lang="ts">
  import { droppedPicture } from './droppedPicture';
  import { untrack } from 'svelte';
  import { ask, bring, fieldsOf, sentence, type Schemas } from '../../api/client';
  import { copyAddress } from './retouching';
  import Button from '../../ui/Button.svelte';
  import { says } from '../../materials/pictureWords';

  /** The pictures in Materials to choose from; new ones are chosen from files, dropped or pasted here. */
  let {
    chosen,
    file,
    onchoose,
    moving = $bindable([]),
  }: {
    chosen: string;
    /** Told: those that move. */
    moving?: string[];
    /** One that is to be brought in at once. */
    file?: File;
    onchoose: (picture: Schemas['Picture']) => void;
  } = $props();

  let pictures = $state<Schemas['Picture'][]>([]);
  let wrong = $state('');
  let coming = $state('');
  let chooser = $state<HTMLInputElement>();
  let words = $state('');
  /** With so few there is nothing to find. */
  const FEW = 8;
  const found = $derived(pictures.filter((one) => says(one, words)));

  async function read() {
    try {
      pictures = await ask('get', '/api/materials/pictures');
      moving = pictures.filter((one) => one.moving).map((one) => one.id);
    } catch (failure) {
      wrong = sentence(failure);
    }
  }

  async function take(one: File | string | null | undefined) {
    if (!one) return;
    wrong = typeof one === 'string' ? one : '';
    if (typeof one === 'string') return;
    coming = one.name || 'the picture';
    try {
      const name = one.name.replace(/\.[^.]*$/, '') || 'Picture';
      const made = await bring<Schemas['Picture']>(
        `/api/materials/pictures?name=${encodeURIComponent(name)}`,
        one,
      );
      onchoose(made);
      await read();
    } catch (failure) {
      wrong = `${coming}: ${Object.values(fieldsOf(failure))[0] ?? sentence(failure)}`;
    }
    coming = '';
  }

  void read();
  void take(untrack(() => file));
</script>

<!-- svelte-ignore a11y_no_static_element_interactions -->
<div
  class="pick"
  ondragover={(event) => event.preventDefault()}
  ondrop={(event) => {
    event.preventDefault();
    void take(event.dataTransfer && droppedPicture(event.dataTransfer));
  }}
  onpaste={(event) => {
    const pasted = event.clipboardData && droppedPicture(event.clipboardData);
    if (!pasted) return;
    event.preventDefault();
    void take(pasted);
  }}
>
  {#if pictures.length > FEW}
    <label class="find">
      <span>Find by name, words or category</span>
      <input type="search" bind:value={words} />
    </label>
  {/if}
  <ul>
    {#each found as picture (picture.id)}
      <li>
        <button
          aria-pressed={picture.id === chosen}
          aria-label={picture.name}
          title={picture.name}
          onclick={() => onchoose(picture)}
          ><img src={copyAddress(picture.id, {}, 160)} alt="" loading="lazy" /></button
        >
      </li>
    {/each}
  </ul>
  <p>
    <Button quiet onclick={() => chooser?.click()}>Upload one</Button> or drop or paste it here
  </p>
  <input
    bind:this={chooser}
    type="file"
    accept="image/png,image/jpeg,image/gif,image/webp,image/svg+xml"
    hidden
    onchange={(event) => void take(event.currentTarget.files?.[0])}
  />
  {#if coming}<p role="status">uploading {coming} …</p>{/if}
  {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
</div>

<style>
  ul {
    display: flex;
    flex-wrap: wrap;
    gap: 4px;
    max-height: 150px;
    margin: 0;
    padding: 2px;
    overflow: auto;
    list-style: none;
  }

  .find {
    display: flex;
    gap: 8px;
    align-items: center;
    margin-bottom: 4px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .find input {
    flex: 1;
    min-height: 26px;
    padding: 2px 6px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: 13.5px/1.2 var(--sans);
  }

  button[aria-pressed] {
    display: grid;
    place-items: center;
    width: 74px;
    height: 56px;
    padding: 2px;
    border: 1px solid var(--rule);
    border-radius: var(--corner);
    background: #fff;
    cursor: pointer;
  }

  button[aria-pressed='true'] {
    outline: 2px solid var(--ink);
  }

  img {
    display: block;
    max-width: 100%;
    max-height: 50px;
  }

  p {
    margin: 2px 0 6px -6px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .wrong {
    margin-left: 0;
    color: var(--stop);
  }
</style>
