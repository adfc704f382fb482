<script lang="ts">
  import { tick } from 'svelte';
  import { searchParams } from 'sv-router';
  import { ask, bring, fieldsOf, sentence, type Schemas } from '../api/client';
  import NothingHere from '../app/NothingHere.svelte';
  import { go, route } from '../app/router';
  import Button from '../ui/Button.svelte';
  import DropArea from '../ui/DropArea.svelte';
  import Page from '../ui/Page.svelte';
  import ImportCheck from './ImportCheck.svelte';
  import ImportColumns from './ImportColumns.svelte';
  import ImportReading from './ImportReading.svelte';
  import { listOf, many } from './importWords';
  import { ImportWork } from './importWork.svelte';

  /** A file of records: how it is read, where its columns go, what a check says, and the import itself; read downwards. */
  type Shown = Schemas['ImportShown'];

  const kinds = ['contact', 'lead', 'organisation', 'deal'];
  const kind = $derived(
    (route.pathname.startsWith('/deals')
      ? 'deal'
      : route.pathname.split('/')[2].replace(/s$/, '')) as Shown['kind'],
  );
  const id = $derived(String(searchParams.get('file') ?? ''));
  let shown = $state<Shown | null>(null);
  let result = $state<Schemas['ImportResult'] | null>(null);
  let failed = $state('');
  let wrong = $state<Record<string, string>>({});
  let uploading = $state('');
  let chooser = $state<HTMLInputElement>();
  const work = new ImportWork();

  async function read(file: string) {
    try {
      shown = await ask('get', '/api/imports/{id}', { params: { id: file } });
    } catch (failure) {
      searchParams.delete('file');
      failed = `${sentence(failure)} A file is kept for a day. Choose it again.`;
    }
  }

  $effect(() => {
    if (id && shown?.id !== id) void read(id);
    else if (!id && shown) forget();
  });
  $effect(() => () => work.stop());

  function forget() {
    shown = null;
    result = null;
  }

  async function upload(file: File | undefined) {
    if (!file || work.doing) return;
    failed = '';
    uploading = file.name;
    try {
      const name = encodeURIComponent(file.name);
      const begun = await bring<Shown>(`/api/imports/${kind}?name=${name}`, file);
      result = null;
      shown = begun;
      searchParams.set('file', begun.id);
    } catch (failure) {
      failed = `${file.name}: ${Object.values(fieldsOf(failure))[0] ?? sentence(failure)}`;
    }
    uploading = '';
    if (chooser) chooser.value = '';
  }

  async function change(settings: Partial<Shown['settings']>) {
    if (!shown) return;
    result = null;
    wrong = {};
    try {
      shown = await ask('put', '/api/imports/{id}', {
        params: { id: shown.id },
        body: { ...shown.settings, ...settings },
      });
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) wrong = { file: sentence(failure) };
    }
  }

  async function check() {
    if (!shown) return;
    result = await work.do(shown.id, 'check', { all: 'SKIP', some: {} });
    if (result) await onTo('the-check');
  }

  /** What was pressed is gone with the work it began; the keyboard goes on where its outcome is. */
  async function onTo(heading: string) {
    await tick();
    document.getElementById(heading)?.focus();
  }

  async function run(choices: Schemas['ImportChoices']) {
    if (!shown) return;
    const done = await work.do(shown.id, 'run', choices);
    if (done) {
      await read(shown.id);
      await onTo('the-end');
    } else if (work.unsure) await settle();
  }

  async function settle() {
    if (shown) shown = (await work.settle(shown.id)) ?? shown;
  }

  async function cancel() {
    if (shown && !shown.done)
      await ask('delete', '/api/imports/{id}', { params: { id: shown.id } }).catch(() => {});
    go(listOf(kind));
  }
</script>

{#if !kinds.includes(kind)}
  <NothingHere />
{:else}
  <Page title="Import {kind}s" crumb={shown?.name ?? ''}>
    {#snippet actions()}
      <Button quiet onclick={() => void cancel()}>{shown?.done ? 'Close' : 'Cancel'}</Button>
    {/snippet}
    <DropArea ondropped={(files) => void upload(files[0])}>
      <div class="sheet">
        <section aria-labelledby="the-file">
          <h2 id="the-file">File</h2>
          {#if !shown}
            <p>
              Choose a CSV file{kind === 'deal' ? '' : ' or a vCard file'}, up to 64 MB and 200,000 rows.
              Nothing is imported before you have seen what it holds.
            </p>
            {#if kind === 'deal'}
              <p>
                A deal can have several rows, one for each of its lines: repeat its name, or leave the name
                blank.
              </p>
            {/if}
          {:else if shown.done}
            <p><b>{shown.name}</b> had {many(shown.rows, shown.cards ? 'card' : 'row')}.</p>
          {:else}
            <ImportReading
              {shown}
              {wrong}
              locked={Boolean(work.doing)}
              onchange={(settings) => void change(settings)}
            />
          {/if}
          <p class="ways">
            <Button
              main={!shown}
              quiet={Boolean(shown)}
              disabled={Boolean(work.doing)}
              onclick={() => chooser?.click()}>Choose {shown ? 'another' : 'a'} file</Button
            >
            {#if !shown}<span>or drop it here.</span>{/if}
            <input
              bind:this={chooser}
              type="file"
              accept=".csv,.tsv,.txt,.vcf,.vcard,text/csv,text/vcard"
              hidden
              onchange={(event) => void upload(event.currentTarget.files?.[0])}
            />
          </p>
          {#if uploading}<p role="status">Uploading and reading {uploading} …</p>{/if}
          {#if failed || wrong.file}<p class="wrong" role="alert">{failed || wrong.file}</p>{/if}
        </section>
        {#if shown?.done}
          {@const done = shown.done}
          <section aria-labelledby="the-end">
            <h2 id="the-end" tabindex="-1">Imported</h2>
            <p role="status">
              {many(done.added, kind)} added, {done.updated.toLocaleString('en')} updated, {done.skipped.toLocaleString(
                'en',
              )}
              skipped{done.faulty ? `, ${many(done.faulty, 'row')} not imported` : ''}.
            </p>
            <p class="ways">
              <a href={listOf(kind)}>Show all {kind}s</a>
              {#if done.faulty}
                <a href="/api/imports/{shown.id}/faults.csv" download
                  >Download the rows that were not imported</a
                >
              {/if}
            </p>
          </section>
        {:else if shown}
          <ImportColumns
            {shown}
            locked={Boolean(work.doing)}
            error={wrong.targets ?? ''}
            onchange={(targets) => void change({ targets })}
            onfield={(targets) => change({ targets })}
          />
          <ImportCheck
            {shown}
            {work}
            {result}
            oncheck={() => void check()}
            onrun={(choices) => void run(choices)}
            onlook={() => void settle()}
          />
        {/if}
      </div>
    </DropArea>
  </Page>
{/if}

<style>
  .sheet {
    max-width: 1040px;
  }

  .sheet :global(section) {
    padding: 12px 0 4px;
  }

  .sheet :global(h2) {
    padding-bottom: 4px;
    font: 500 var(--large) / 1.3 var(--serif);
  }

  .ways {
    display: flex;
    gap: 14px;
    align-items: center;
    padding-top: 8px;
    color: var(--ink-soft);
  }

  .ways a {
    color: var(--ink);
  }

  /* A quiet button's own edge is not seen: its words stand where the others begin. */
  .ways :global(button.quiet) {
    margin-left: -6px;
  }

  .wrong {
    padding-top: 8px;
    color: var(--stop);
  }
</style>
