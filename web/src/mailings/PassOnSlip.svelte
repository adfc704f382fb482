<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import { notify } from '../ui/notices.svelte';
  import Slip from '../ui/Slip.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';

  /** Pages that show what a mailing says to anybody, with nothing of its people in them: made, copied and closed. */
  let {
    id,
    mayMake,
    anchor,
    onclose,
  }: { id: string; mayMake: boolean; anchor: HTMLElement; onclose: () => void } = $props();

  let copies = $state.raw<Schemas['WebCopy'][]>([]);
  let pictures = $state.raw<Schemas['Picture'][]>([]);
  let title = $state('');
  let description = $state('');
  let picture = $state('');
  let wrong = $state.raw<Record<string, string>>({});

  $effect(() => {
    ask('get', '/api/mailings/{id}/report/web-copies', { params: { id } })
      .then((found) => (copies = found))
      .catch((failure) => (wrong = { all: sentence(failure) }));
    ask('get', '/api/materials/pictures')
      .then((found) => (pictures = found))
      .catch(() => undefined);
  });

  async function make(event: SubmitEvent) {
    event.preventDefault();
    wrong = {};
    try {
      const made = await ask('post', '/api/mailings/{id}/report/web-copies', {
        params: { id },
        body: { title, description, picture: picture || null },
      });
      copies = [made, ...copies];
    } catch (failure) {
      const fields = fieldsOf(failure);
      wrong = Object.keys(fields).length ? fields : { all: sentence(failure) };
    }
  }

  async function close(copy: Schemas['WebCopy']) {
    try {
      await ask('delete', '/api/web-copies/{id}', { params: { id: copy.id } });
      copies = copies.filter((one) => one.id !== copy.id);
    } catch (failure) {
      wrong = { all: sentence(failure) };
    }
  }

  async function copyAddress(copy: Schemas['WebCopy']) {
    try {
      await navigator.clipboard.writeText(copy.address);
      notify('The link is copied.');
    } catch {
      wrong = { all: 'This browser doesn’t let us copy. Select the link and copy it yourself.' };
    }
  }
</script>

<Slip title="Show it to anybody" {anchor} placement="top-start" wide {onclose}>
  {#if copies.length}
    <ul aria-label="Pages that anybody may see">
      {#each copies as copy (copy.id)}
        <li>
          <a href={copy.address} target="_blank" rel="noreferrer">{copy.address}</a>
          <InlineButton onclick={() => void copyAddress(copy)}>copy the link</InlineButton>
          {#if copy.mayClose}<InlineButton onclick={() => void close(copy)}>close it</InlineButton>{/if}
        </li>
      {/each}
    </ul>
  {/if}
  <p class="soft">
    A page with nothing personal in it: where a value would stand, the default of its field does. Whoever has
    the link can read it, until you close it.
  </p>
  {#if mayMake}
    <form onsubmit={make}>
      <Field
        label="Title where it is passed on"
        placeholder="its subject"
        maxlength={120}
        bind:value={title}
        error={wrong.title}
      />
      <Field
        label="A sentence or two about it"
        maxlength={300}
        bind:value={description}
        error={wrong.description}
      />
      <label class="picture">
        Picture beside it
        <SmallSelect value={picture} onchange={(event) => (picture = event.currentTarget.value)}>
          <option value="">none</option>
          {#each pictures as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
        </SmallSelect>
      </label>
      {#if wrong.picture || wrong.all}<p class="wrong" role="alert">{wrong.picture || wrong.all}</p>{/if}
      <Button main type="submit">Make a page</Button>
    </form>
  {/if}
</Slip>

<style>
  ul {
    margin: 0 0 8px;
    padding: 0;
    list-style: none;
  }

  li {
    padding: 4px 0;
    border-bottom: 1px solid var(--rule);
    overflow-wrap: anywhere;
  }

  form {
    display: grid;
    gap: 8px;
    justify-items: start;
  }

  .picture {
    display: flex;
    gap: 8px;
    align-items: center;
  }

  .soft {
    margin-bottom: 8px;
    color: var(--ink-soft);
  }

  .wrong {
    color: var(--stop);
  }
</style>
