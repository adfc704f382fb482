<script lang="ts">
  import { ask, bring, fieldsOf, sentence, type Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import Slip from '../ui/Slip.svelte';

  /** Brings a design in, from a file or pasted: HTML keeps its look, other texts become letters. The server cleans it. */
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
  const LARGEST_EMAIL = 25 * 1024 * 1024;
  type Written = NonNullable<Schemas['BroughtIn']['written']>;
  let html = $state('');
  let wrong = $state('');
  let coming = $state(false);
  let chooser = $state<HTMLInputElement>();

  async function bringIn(text: string, written: Written, file = '', title = '') {
    coming = true;
    wrong = '';
    try {
      const clean = await ask('post', '/api/desk/bring-in', { body: { html: text, written } });
      ontaken(title ? { ...clean, title } : clean, file);
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
    coming = false;
  }

  /** An e-mail comes as it looks, or as words where it is no more. */
  async function email(file: File, name: string) {
    try {
      const read = await bring<Schemas['MessageRead']>('/api/templates/from-message/file', file);
      await bringIn(read.html || read.text, read.html ? 'HTML' : 'WORDS', name, read.subject);
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
  }

  async function choose(files: FileList | null) {
    const file = files?.[0];
    if (!file) return;
    const kind = file.name.match(/\.(html?|md|markdown|txt|eml)$/i)?.[1].toLowerCase() ?? '';
    const name = file.name.replace(/\.\w+$/, '').slice(0, 100);
    if (file.size > (kind === 'eml' ? LARGEST_EMAIL : LARGEST))
      wrong = `${file.name} is larger than ${kind === 'eml' ? 25 : 4} MB.`;
    else if (kind === 'eml') await email(file, name);
    else {
      const written = kind === 'md' || kind === 'markdown' ? 'MARKDOWN' : kind === 'txt' ? 'WORDS' : 'HTML';
      await bringIn(await file.text(), written, name);
    }
  }
</script>

<Slip title="Import a design" {anchor} placement="bottom-end" wide {onclose}>
  <p class="says">
    HTML and e-mails (.html, .eml) keep their look; Markdown and plain words (.md, .txt) become a letter.
    Scripts, forms and anything loaded from elsewhere are left out and listed; pictures come from Materials
    only.
  </p>
  <p>
    <Button onclick={() => chooser?.click()}>Choose a file</Button>
    <input
      bind:this={chooser}
      type="file"
      accept=".html,.htm,.md,.markdown,.txt,.eml,text/html,text/markdown,text/plain,message/rfc822"
      hidden
      onchange={(event) => void choose(event.currentTarget.files)}
    />
  </p>
  <form
    onsubmit={(event) => {
      event.preventDefault();
      void bringIn(html, 'HTML');
    }}
  >
    <Field label="Or paste the source of an HTML page" lines={7} bind:value={html} error={wrong} />
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
