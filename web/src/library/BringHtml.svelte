<script lang="ts">
  import { fieldsOf, sentence } from '../api/client';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import Field from '../ui/Field.svelte';
  import Slip from '../ui/Slip.svelte';
  import { aboutOptions, type About } from './about';
  import { bareName, cleaned, readFile, type Brought, type BroughtText } from './brought';

  /** Brings a design in, from a file or pasted: HTML keeps its look, other texts become letters. The server cleans it. */
  let {
    anchor,
    ontaken,
    onclose,
  }: {
    anchor: HTMLElement | undefined;
    ontaken: (brought: Brought) => void;
    onclose: () => void;
  } = $props();

  const LARGEST = 64 * 1024 * 1024;
  let about = $state<About>('CONTACT');
  let html = $state('');
  let wrong = $state('');
  let coming = $state(false);
  let chooser = $state<HTMLInputElement>();
  /** A zip with several pages, of which one is to be chosen. */
  let several = $state.raw<{ file: File; pages: string[] } | null>(null);
  let page = $state('');

  async function take(reading: () => Promise<Omit<BroughtText, 'about'>>) {
    coming = true;
    wrong = '';
    try {
      ontaken(await cleaned({ ...(await reading()), about }));
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
    coming = false;
  }

  async function choose(file: File | undefined, wanted = '') {
    if (!file) return;
    if (file.size > LARGEST) {
      wrong = `${file.name} is larger than 64 MB.`;
      return;
    }
    coming = true;
    wrong = '';
    try {
      const read = await readFile(file, wanted);
      if (read.pages.length > 1 && !wanted) {
        several = { file, pages: read.pages };
        page = read.page;
      } else {
        await take(() =>
          Promise.resolve({ ...read, name: bareName(read.pages.length > 1 ? read.page : file.name) }),
        );
      }
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
    coming = false;
  }
</script>

<Slip title="Import a design" {anchor} placement="bottom-end" wide {onclose}>
  <p class="says">
    HTML and e-mails (.html, .eml, or a .zip of pages with their pictures) keep their look; Markdown and plain
    words (.md, .txt) become a letter. Scripts, forms and anything loaded from elsewhere are left out and
    listed. Pictures that come along are put into Materials with the template.
  </p>
  <Choose
    label="It is for"
    value={about}
    options={aboutOptions}
    onchange={(code) => (about = code as About)}
  />
  {#if several}
    <Choose
      label="Which page of {several.file.name}"
      value={page}
      options={several.pages.map((one) => [one, one] as const)}
      onchange={(one) => (page = one)}
    />
    <p>
      <Button main disabled={coming} onclick={() => void choose(several?.file, page)}
        >{coming ? 'Importing …' : 'Import this page'}</Button
      >
      <Button quiet onclick={() => (several = null)}>Another file</Button>
    </p>
    {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
  {:else}
    <p>
      <Button disabled={coming} onclick={() => chooser?.click()}>Choose a file</Button>
      <input
        bind:this={chooser}
        type="file"
        accept=".html,.htm,.md,.markdown,.txt,.eml,.zip,text/html,text/markdown,text/plain,message/rfc822,application/zip"
        hidden
        onchange={(event) => {
          const file = event.currentTarget.files?.[0];
          event.currentTarget.value = '';
          void choose(file);
        }}
      />
    </p>
    <form
      onsubmit={(event) => {
        event.preventDefault();
        void take(() => Promise.resolve({ text: html, written: 'HTML', title: '', name: '', pictures: 0 }));
      }}
    >
      <Field label="Or paste the source of an HTML page" lines={7} bind:value={html} error={wrong} />
      <Button main type="submit" disabled={coming || !html.trim()}>{coming ? 'Importing …' : 'Import'}</Button
      >
    </form>
  {/if}
</Slip>

<style>
  .says {
    color: var(--ink-soft);
    font-size: 13px;
  }

  .wrong {
    color: var(--stop);
    font-size: 13px;
  }

  p {
    margin-bottom: 8px;
  }
</style>
