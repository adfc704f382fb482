<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import Slip from '../ui/Slip.svelte';

  /** Brings HTML in, from a file or pasted; the server cleans it. */
  let {
    anchor,
    ontaken,
    onclose,
  }: {
    anchor: HTMLElement | undefined;
    ontaken: (clean: Schemas['CleanSource'], file: string) => void;
    onclose: () => void;
  } = $props();

  const LARGEST = 4_000_000;
  let html = $state('');
  let wrong = $state('');
  let coming = $state(false);
  let chooser = $state<HTMLInputElement>();

  async function bring(text: string, file = '') {
    coming = true;
    wrong = '';
    try {
      ontaken(await ask('post', '/api/desk/bring-in', { body: { html: text } }), file);
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
    coming = false;
  }

  async function choose(files: FileList | null) {
    const file = files?.[0];
    if (!file) return;
    if (file.size > LARGEST) wrong = `${file.name} is larger than 4 MB; no message is.`;
    else await bring(await file.text(), file.name.replace(/\.html?$/i, '').slice(0, 100));
  }
</script>

<Slip title="Import HTML" {anchor} placement="bottom-end" wide {onclose}>
  <p class="says">
    The HTML keeps its look. Scripts, forms and anything loaded from elsewhere are left out and listed;
    pictures come from Materials only.
  </p>
  <p>
    <Button onclick={() => chooser?.click()}>Choose a file</Button>
    <input
      bind:this={chooser}
      type="file"
      accept=".html,.htm,text/html"
      hidden
      onchange={(event) => void choose(event.currentTarget.files)}
    />
  </p>
  <form
    onsubmit={(event) => {
      event.preventDefault();
      void bring(html);
    }}
  >
    <Field label="Or paste its source" lines={7} bind:value={html} error={wrong} />
    <Button main type="submit" disabled={coming || !html.trim()}>{coming ? 'Importing …' : 'Import'}</Button>
  </form>
</Slip>

<style>
  .says {
    color: var(--ink-soft);
    font-size: 13px;
  }

  p {
    margin-bottom: 8px;
  }
</style>
