<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { onChange } from '../app/changes';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import Find from '../ui/Find.svelte';
  import Slip from '../ui/Slip.svelte';
  import ViewSwitch from '../ui/ViewSwitch.svelte';
  import { notify } from '../ui/notices.svelte';
  import { day } from '../ui/when';
  import { mayChangeIn, type Folder } from '../library/folders';
  import { isUsed } from '../library/inItsPlace';
  import BringIn from './BringIn.svelte';
  import FolderOf from './FolderOf.svelte';
  import IntoFolder from './IntoFolder.svelte';
  import ReplaceMaterial from './ReplaceMaterial.svelte';
  import { says } from './pictureWords';

  /** The pictures that templates and house styles show. */
  type Picture = Schemas['Picture'];
  let pictures = $state<Picture[] | null>(null);
  let folders = $state.raw<Folder[]>([]);
  /** Where new ones go; where everyone finds them when empty. */
  let into = $state('');
  let failed = $state('');
  let open = $state<{ picture: Picture; anchor: HTMLElement } | null>(null);
  /** One that was to be deleted, and is used. */
  let used = $state.raw<{ picture: Picture; anchor: HTMLElement } | null>(null);
  let name = $state('');
  let description = $state('');
  let wrong = $state<Record<string, string>>({});
  let words = $state('');
  let category = $state('');
  /** The one category that is shown; all when empty. */
  let only = $state('');
  const categories = $derived(
    [...new Set((pictures ?? []).map((one) => one.category).filter(Boolean))].sort((a, b) =>
      a.localeCompare(b),
    ),
  );
  const found = $derived(
    (pictures ?? []).filter((one) => says(one, words) && (!only || one.category === only)),
  );

  async function read() {
    try {
      [folders, pictures] = await Promise.all([
        ask('get', '/api/folders'),
        ask('get', '/api/materials/pictures'),
      ]);
    } catch (failure) {
      failed = sentence(failure);
    }
  }

  const mayChange = (picture: Picture) => mayChangeIn(folders, picture);

  function address(file: File): string {
    const title = file.name.replace(/\.[^.]*$/, '') || 'Picture';
    return `/api/materials/pictures?${new URLSearchParams({ name: title, ...(into ? { folder: into } : {}) })}`;
  }

  function show(picture: Picture, anchor: HTMLElement) {
    ({ name, description, category } = picture);
    wrong = {};
    open = { picture, anchor };
  }

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    try {
      await ask('put', '/api/materials/pictures/{id}', {
        params: { id: open!.picture.id },
        body: { name, description, category },
      });
      open = null;
      await read();
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) wrong = { name: sentence(failure) };
    }
  }

  async function remove() {
    const { picture } = open!;
    try {
      await ask('delete', '/api/materials/pictures/{id}', { params: { id: picture.id } });
      open = null;
      notify(`“${picture.name}” is deleted.`);
      await read();
    } catch (failure) {
      if (isUsed(failure)) {
        used = open;
        open = null;
      } else wrong = { delete: sentence(failure) };
    }
  }

  $effect(() => onChange((change) => ['picture', 'folder'].includes(change.what) && void read()));
  void read();
</script>

<BringIn
  label="Upload pictures"
  says="PNG, JPEG, GIF, WebP or SVG, up to 5 MB each."
  accept="image/png,image/jpeg,image/gif,image/webp,image/svg+xml"
  {address}
  onbrought={read}
>
  {#snippet place()}<IntoFolder {folders} bind:chosen={into} />{/snippet}
  {#if failed}<p class="wrong" role="alert">{failed}</p>{/if}
  {#if pictures?.length}
    <div class="find">
      <Find label="Find a picture" bind:value={words} onfind={() => undefined} />
      {#if categories.length}
        <ViewSwitch label="Category" ways={['', ...categories]} bind:way={only} names={{ '': 'all' }} />
      {/if}
    </div>
    <table>
      <thead>
        <tr>
          <td></td>
          <th scope="col">Name</th>
          <th scope="col">Category</th>
          <th scope="col">Description</th>
          <th scope="col">Folder</th>
          <th scope="col" class="figures">Pixels</th>
          <th scope="col" class="figures">KB</th>
          <th scope="col" class="figures">Added</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        {#each found as picture (picture.id)}
          <tr>
            <td class="small"
              ><img src="/api/materials/pictures/{picture.id}~wide.160" alt="" loading="lazy" /></td
            >
            <td>{picture.name}</td>
            <td>{picture.category}</td>
            <td class:none={!picture.description}>{picture.description || 'nothing yet'}</td>
            <td><FolderOf what="pictures" thing={picture} {folders} onmoved={read} /></td>
            <td class="figures">{picture.width} × {picture.height}{picture.moving ? ', animated' : ''}</td>
            <td class="figures">{Math.ceil(picture.size / 1000)}</td>
            <td class="figures">{day(picture.addedAt)}</td>
            <td class="figures">
              {#if mayChange(picture)}<Button
                  quiet
                  aria-label="Change {picture.name}"
                  onclick={(event: MouseEvent) => show(picture, event.currentTarget as HTMLElement)}
                  >edit</Button
                >{/if}
            </td>
          </tr>
        {:else}
          <tr><td colspan="9" class="none">No picture matches.</td></tr>
        {/each}
      </tbody>
    </table>
  {:else if pictures}
    <p>No pictures yet. Upload the first.</p>
  {/if}
</BringIn>
{#if open}
  <Slip title={open.picture.name} anchor={open.anchor} placement="bottom-end" onclose={() => (open = null)}>
    <form onsubmit={keep}>
      <Field label="Name" required bind:value={name} error={wrong.name} />
      <Field label="Description" bind:value={description} error={wrong.description} />
      <Field
        label="Category"
        placeholder="such as products, or maps"
        list="picture-categories"
        bind:value={category}
        error={wrong.category}
      />
      <datalist id="picture-categories">
        {#each categories as one (one)}<option value={one}></option>{/each}
      </datalist>
      <p class="ways">
        <Button main type="submit">Save</Button>
        <Button onclick={() => void remove()}>Delete picture</Button>
      </p>
      {#if wrong.delete}<p class="wrong" role="alert">{wrong.delete}</p>{/if}
    </form>
  </Slip>
{/if}
{#if used}
  <ReplaceMaterial
    what="PICTURE"
    thing={used.picture}
    others={pictures ?? []}
    anchor={used.anchor}
    onclose={() => (used = null)}
    ondone={() => void read()}
  >
    {#snippet look(one: string)}<img
        class="look"
        src="/api/materials/pictures/{one}~wide.320"
        alt=""
      />{/snippet}
  </ReplaceMaterial>
{/if}

<style>
  .look {
    max-width: 100%;
    max-height: 140px;
  }

  .find {
    display: flex;
    gap: 16px;
    align-items: center;
    margin-bottom: 8px;
  }

  .wrong {
    color: var(--stop);
  }

  table {
    width: 100%;
    max-width: 1100px;
    border-collapse: collapse;
  }

  th {
    padding: 4px 10px 4px 0;
    border-bottom: 1px solid var(--rule);
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 13px;
    text-align: left;
  }

  td {
    padding: 6px 10px 6px 0;
    border-bottom: 1px solid var(--rule-soft);
  }

  .figures {
    text-align: right;
    font-variant-numeric: tabular-nums;
  }

  .small {
    width: 96px;
  }

  .none {
    color: var(--query);
  }

  img {
    display: block;
    max-width: 84px;
    max-height: 48px;
  }
</style>
