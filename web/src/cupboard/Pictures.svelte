<script lang="ts">
  import { ask, fieldsOf, send, sentence, type Schemas } from '../api/client';
  import { onChange } from '../app/changes';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import Slip from '../ui/Slip.svelte';
  import { notify } from '../ui/notices.svelte';
  import { day } from '../ui/when';

  /** The pictures that templates and house styles show. */
  type Picture = Schemas['Picture'];
  let pictures = $state<Picture[] | null>(null);
  let failed = $state('');
  let over = $state(false);
  let chooser = $state<HTMLInputElement>();
  let open = $state<{ picture: Picture; anchor: HTMLElement } | null>(null);
  let name = $state('');
  let description = $state('');
  let wrong = $state<Record<string, string>>({});

  async function read() {
    try {
      pictures = await ask('get', '/api/cupboard/pictures');
    } catch (failure) {
      failed = sentence(failure);
    }
  }

  /** Brings files in one after another; what is wrong with one does not keep the others out. */
  async function bring(files: FileList | null | undefined) {
    failed = '';
    for (const file of files ?? []) {
      try {
        const title = file.name.replace(/\.[^.]*$/, '') || 'Picture';
        await send(`/api/cupboard/pictures?name=${encodeURIComponent(title)}`, file);
      } catch (failure) {
        failed = `${file.name}: ${Object.values(fieldsOf(failure))[0] ?? sentence(failure)}`;
      }
    }
    await read();
  }

  function show(picture: Picture, anchor: HTMLElement) {
    ({ name, description } = picture);
    wrong = {};
    open = { picture, anchor };
  }

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    try {
      await ask('put', '/api/cupboard/pictures/{id}', {
        params: { id: open!.picture.id },
        body: { name, description },
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
      await ask('delete', '/api/cupboard/pictures/{id}', { params: { id: picture.id } });
      open = null;
      notify(`“${picture.name}” is deleted.`);
      await read();
    } catch (failure) {
      wrong = { delete: sentence(failure) };
    }
  }

  $effect(() => onChange((change) => change.what === 'picture' && void read()));
  void read();
</script>

<!-- svelte-ignore a11y_no_static_element_interactions -->
<div
  class="place"
  class:over
  ondragover={(event) => {
    event.preventDefault();
    over = true;
  }}
  ondragleave={() => (over = false)}
  ondrop={(event) => {
    event.preventDefault();
    over = false;
    void bring(event.dataTransfer?.files);
  }}
>
  <p class="ways">
    <Button main onclick={() => chooser?.click()}>Bring pictures in</Button>
    <span>or drop them here. PNG, JPEG or GIF, up to 5 MB each.</span>
    <input
      bind:this={chooser}
      type="file"
      accept="image/png,image/jpeg,image/gif"
      multiple
      hidden
      onchange={(event) => void bring(event.currentTarget.files)}
    />
  </p>
  {#if failed}<p class="wrong" role="alert">{failed}</p>{/if}
  {#if pictures?.length}
    <table>
      <thead>
        <tr>
          <td></td>
          <th scope="col">Name</th>
          <th scope="col">Read out in its place</th>
          <th scope="col" class="figures">Points</th>
          <th scope="col" class="figures">KB</th>
          <th scope="col" class="figures">Added</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        {#each pictures as picture (picture.id)}
          <tr>
            <td class="small"><img src="/api/cupboard/pictures/{picture.id}" alt="" loading="lazy" /></td>
            <td>{picture.name}</td>
            <td class:none={!picture.description}>{picture.description || 'nothing yet'}</td>
            <td class="figures">{picture.width} × {picture.height}</td>
            <td class="figures">{Math.ceil(picture.size / 1000)}</td>
            <td class="figures">{day(picture.addedAt)}</td>
            <td class="figures">
              <Button
                quiet
                aria-label="Change {picture.name}"
                onclick={(event: MouseEvent) => show(picture, event.currentTarget as HTMLElement)}
                >change</Button
              >
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  {:else if pictures}
    <p>There is no picture yet.</p>
  {/if}
</div>
{#if open}
  <Slip title={open.picture.name} anchor={open.anchor} placement="bottom-end" onclose={() => (open = null)}>
    <form onsubmit={keep}>
      <Field label="Name" required bind:value={name} error={wrong.name} />
      <Field label="Read out in its place" bind:value={description} error={wrong.description} />
      <p class="ways">
        <Button main type="submit">Keep</Button>
        <Button danger onclick={() => void remove()}>Delete picture</Button>
      </p>
      {#if wrong.delete}<p class="wrong" role="alert">{wrong.delete}</p>{/if}
    </form>
  </Slip>
{/if}

<style>
  .place {
    min-height: 100%;
    padding: 14px 20px 40px;
  }

  .over {
    outline: 2px dashed var(--act);
    outline-offset: -8px;
  }

  .ways {
    display: flex;
    gap: 12px;
    align-items: center;
    padding-bottom: 10px;
    color: var(--ink-soft);
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
