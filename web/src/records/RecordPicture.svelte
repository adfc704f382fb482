<script lang="ts">
  import { bring, Problem, fieldsOf, sentence, ask } from '../api/client';
  import { copyAddress } from '../desk/body/retouching';
  import Button from '../ui/Button.svelte';
  import DropArea from '../ui/DropArea.svelte';
  import { notify } from '../ui/notices.svelte';

  /** The picture of a record or colleague: chosen, dropped, replaced, removed. */
  let {
    of,
    name,
    picture,
    onchanged,
  }: {
    /** A record, or a colleague. */
    of: { kind: 'contact' | 'lead' | 'organisation' | 'deal'; id: string } | { colleague: string };
    /** Whose picture it is. */
    name: string;
    picture: string | null;
    onchanged: () => void;
  } = $props();

  let chooser = $state<HTMLInputElement>();
  const address = $derived(
    'colleague' in of ? `/api/team/${of.colleague}/picture` : `/api/records/${of.kind}/${of.id}/picture`,
  );

  async function take(file: File | undefined) {
    if (!file) return;
    await act(() => bring(address, file));
  }

  async function remove() {
    await act(() =>
      'colleague' in of
        ? ask('delete', '/api/team/{id}/picture', { params: { id: of.colleague } })
        : ask('delete', '/api/records/{kind}/{id}/picture', { params: { kind: of.kind, id: of.id } }),
    );
  }

  async function act(how: () => Promise<unknown>) {
    try {
      await how();
      onchanged();
    } catch (failure) {
      const said = failure instanceof Problem ? Object.values(fieldsOf(failure))[0] : undefined;
      notify(said ?? sentence(failure), { stop: true });
    }
  }
</script>

<DropArea small ondropped={(files) => void take(files[0])}>
  <div class="picture">
    {#if picture}
      <img src={copyAddress(picture, {}, 160)} alt="Picture of {name}" />
      <span class="ways">
        <Button quiet onclick={() => chooser?.click()}>Replace</Button>
        <Button quiet onclick={() => void remove()}>Remove</Button>
      </span>
    {:else}
      <Button quiet onclick={() => chooser?.click()}>Add a picture</Button>
    {/if}
    <input
      bind:this={chooser}
      type="file"
      accept="image/*"
      aria-label="Picture of {name}"
      hidden
      onchange={(event) => void take(event.currentTarget.files?.[0])}
    />
  </div>
</DropArea>

<style>
  .picture {
    display: flex;
    align-items: end;
    gap: 8px;
    margin: 4px 0 14px -6px;
  }

  img {
    width: 72px;
    height: 72px;
    margin-left: 6px;
    border: 1px solid var(--rule);
    background: var(--sheet);
    object-fit: contain;
  }
</style>
