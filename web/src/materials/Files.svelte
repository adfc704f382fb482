<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import { onChange } from '../app/changes';
  import Button from '../ui/Button.svelte';
  import { notify } from '../ui/notices.svelte';
  import { day } from '../ui/when';
  import { mayChangeIn, type Folder } from '../library/folders';
  import { isUsed } from '../library/inItsPlace';
  import BringIn from './BringIn.svelte';
  import FolderOf from './FolderOf.svelte';
  import IntoFolder from './IntoFolder.svelte';
  import ReplaceMaterial from './ReplaceMaterial.svelte';

  /** The files that can be attached to messages. */
  let files = $state<Schemas['KeptFile'][] | null>(null);
  let folders = $state.raw<Folder[]>([]);
  /** Where new ones go; where everyone finds them when empty. */
  let into = $state('');
  let failed = $state('');
  /** One that was to be deleted, and is used. */
  let used = $state.raw<{ file: Schemas['KeptFile']; anchor: HTMLElement } | null>(null);

  async function read() {
    try {
      [folders, files] = await Promise.all([ask('get', '/api/folders'), ask('get', '/api/materials/files')]);
    } catch (failure) {
      failed = sentence(failure);
    }
  }

  async function remove(file: Schemas['KeptFile'], anchor: HTMLElement) {
    try {
      await ask('delete', '/api/materials/files/{id}', { params: { id: file.id } });
      notify(`“${file.name}” is deleted.`);
      await read();
    } catch (failure) {
      if (isUsed(failure)) used = { file, anchor };
      else failed = `${file.name}: ${sentence(failure)}`;
    }
  }

  $effect(() => onChange((change) => ['file', 'folder'].includes(change.what) && void read()));
  void read();
</script>

<BringIn
  label="Upload files"
  says="Up to 25 MB each, no programs."
  address={(file) =>
    `/api/materials/files?${new URLSearchParams({ name: file.name, ...(into ? { folder: into } : {}) })}`}
  onbrought={read}
>
  {#snippet place()}<IntoFolder {folders} bind:chosen={into} />{/snippet}
  {#if failed}<p class="wrong" role="alert">{failed}</p>{/if}
  {#if files?.length}
    <table>
      <thead>
        <tr>
          <th scope="col">Name</th>
          <th scope="col" class="figures">KB</th>
          <th scope="col">Folder</th>
          <th scope="col">Added by</th>
          <th scope="col" class="figures">Added</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        {#each files as file (file.id)}
          <tr>
            <td><a href="/api/materials/files/{file.id}" download={file.name}>{file.name}</a></td>
            <td class="figures">{Math.ceil(file.size / 1000)}</td>
            <td><FolderOf what="files" thing={file} {folders} onmoved={read} /></td>
            <td>{file.addedBy}</td>
            <td class="figures">{day(file.addedAt)}</td>
            <td class="figures">
              {#if mayChangeIn(folders, file)}
                <Button
                  quiet
                  aria-label="Delete {file.name}"
                  onclick={(event: MouseEvent) => void remove(file, event.currentTarget as HTMLElement)}
                  >Delete</Button
                >
              {/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  {:else if files}
    <p class="none">No files yet. A file kept here can be attached to any template.</p>
  {/if}
</BringIn>
{#if used}
  <ReplaceMaterial
    what="FILE"
    thing={used.file}
    others={files ?? []}
    anchor={used.anchor}
    onclose={() => (used = null)}
    ondone={() => void read()}
  />
{/if}

<style>
  .wrong {
    margin-bottom: 10px;
    color: var(--stop);
  }

  .none {
    color: var(--ink-soft);
  }

  table {
    width: 100%;
    max-width: 860px;
    border-collapse: collapse;
  }

  th,
  td {
    padding: 7px 14px 7px 0;
    border-bottom: 1px solid var(--rule-soft);
    text-align: left;
  }

  th {
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 12.5px;
  }

  .figures {
    text-align: right;
    font-variant-numeric: tabular-nums;
  }

  a {
    color: var(--ink);
    font-weight: 600;
  }
</style>
