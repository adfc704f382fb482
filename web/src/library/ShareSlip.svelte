<script lang="ts">
  import { ask, fieldsOf, sentence } from '../api/client';
  import Button from '../ui/Button.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import Slip from '../ui/Slip.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import type { Folder } from './folders';
  import { codeOf, rights, shareOf, sharers, type Share, type Sharer } from './shares';

  /** Who may do what in a folder. */
  let {
    folder,
    anchor,
    onclose,
    onsaved,
  }: {
    folder: Folder;
    anchor: HTMLElement;
    onclose: () => void;
    onsaved: (folders: Folder[]) => void;
  } = $props();

  // svelte-ignore state_referenced_locally
  let shares = $state<Share[]>(folder.shares.map((one) => ({ ...one })));
  // svelte-ignore state_referenced_locally
  let own = $state(folder.own || !folder.parent);
  let failed = $state('');
  let choices = $state.raw<Sharer[]>([]);

  // svelte-ignore state_referenced_locally
  const known = sharers(folder.shares)
    .then((all) => (choices = all))
    .catch((failure) => {
      failed = sentence(failure);
    });

  /** Whoever is quicker than the names of those it can be shared with gets the line once they are there. */
  async function add() {
    await known;
    const taken = shares.map(codeOf);
    const next = choices.find(([one]) => !taken.includes(one));
    if (next) shares.push(shareOf(next[0], 'USE'));
  }

  async function save(event: SubmitEvent) {
    event.preventDefault();
    try {
      onsaved(
        await ask('put', '/api/folders/{id}/sharing', { params: { id: folder.id }, body: { own, shares } }),
      );
      onclose();
    } catch (failure) {
      failed = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
  }
</script>

<Slip title="Share “{folder.name}”" {anchor} placement="bottom-end" wide {onclose}>
  <form onsubmit={save}>
    {#if folder.parent}
      <label class="way"><input type="radio" bind:group={own} value={false} /> As the folder above</label>
      <label class="way"><input type="radio" bind:group={own} value={true} /> In its own way</label>
    {/if}
    {#if own}
      {#each shares as share, i (i)}
        <div class="share">
          <SmallSelect
            whole
            aria-label="Shared with"
            value={codeOf(share)}
            onchange={(event) => (shares[i] = shareOf(event.currentTarget.value, share.may))}
          >
            {#each choices as [one, name] (one)}<option value={one}>{name}</option>{/each}
          </SmallSelect>
          <SmallSelect
            whole
            aria-label="What they may do"
            value={share.may}
            onchange={(event) => (share.may = event.currentTarget.value as Share['may'])}
          >
            {#each Object.entries(rights) as [right, name] (right)}<option value={right}>{name}</option
              >{/each}
          </SmallSelect>
          <InlineButton soft aria-label="Remove this line" onclick={() => shares.splice(i, 1)}
            >remove</InlineButton
          >
        </div>
      {:else}
        <p class="soft">Shared with nobody.</p>
      {/each}
      <InlineButton onclick={() => void add()}>Add somebody</InlineButton>
    {/if}
    <p class="soft">
      Use: read and write from what is ready. Change: also what is not ready. Manage: share, rename, move and
      delete the folder. Its owner and administrators always may.
    </p>
    {#if failed}<p role="alert">{failed}</p>{/if}
    <Button main type="submit">Save</Button>
  </form>
</Slip>

<style>
  .way {
    display: block;
    margin-bottom: 4px;
  }

  .share {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 130px auto;
    gap: 8px;
    align-items: center;
    margin: 6px 0;
  }

  .soft {
    max-width: 46ch;
    margin: 10px 0;
    color: var(--ink-soft);
    font-size: 13px;
  }
</style>
