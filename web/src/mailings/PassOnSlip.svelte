<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import WebLinks from '../outbox/WebLinks.svelte';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
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
</script>

<Slip title="Show it to anybody" {anchor} placement="top-start" wide {onclose}>
  <WebLinks bind:copies label="Pages that anybody may see" onwrong={(said) => (wrong = { all: said })} />
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
