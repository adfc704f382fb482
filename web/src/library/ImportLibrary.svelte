<script lang="ts">
  import { ask, bring, bringWith, fieldsOf, sentence, type Schemas } from '../api/client';
  import { go } from '../app/router';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import DropArea from '../ui/DropArea.svelte';
  import Page from '../ui/Page.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import { notify } from '../ui/notices.svelte';
  import { indented, open, type Folder } from './folders';
  import { added, count, inShort, states, whats } from './importing';

  /** Templates from a file that was exported here or elsewhere: what would come is said before anything does. */
  type Report = Schemas['LibraryReport'];
  type Answer = 'SKIP' | 'KEEP_BOTH' | 'REPLACE';
  let file = $state.raw<File | null>(null);
  let report = $state.raw<Report | null>(null);
  let folders = $state.raw<Folder[]>([]);
  let folder = $state('');
  let others = $state<Answer>('SKIP');
  /** Whether folders that are made are shared as they were there. */
  let sharing = $state(false);
  let single = $state<Record<string, Answer>>({});
  let fault = $state('');
  let busy = $state(false);
  let chooser = $state<HTMLInputElement>();

  const answers: readonly (readonly [Answer, string])[] = [
    ['SKIP', 'keep ours'],
    ['KEEP_BOTH', 'keep both'],
    ['REPLACE', 'replace ours'],
  ];
  const clashes = $derived(report?.things.filter((one) => one.state === 'OTHER') ?? []);
  const coming = $derived(
    (report?.things ?? []).filter(
      (one) => one.state === 'NEW' || (one.state === 'OTHER' && (single[one.id] ?? others) !== 'SKIP'),
    ).length,
  );

  async function look(files: FileList | null) {
    const chosen = files?.[0];
    if (!chosen) return;
    fault = '';
    busy = true;
    try {
      const [read, all] = await Promise.all([
        bring<Report>('/api/library/look', chosen),
        ask('get', '/api/folders'),
      ]);
      folders = open(all);
      folder ||= folders.find((one) => one.personal && one.mine)?.id ?? folders[0]?.id ?? '';
      single = {};
      sharing = false;
      file = chosen;
      report = read;
    } catch (failure) {
      fault = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
    busy = false;
  }

  async function run() {
    if (!file) return;
    busy = true;
    fault = '';
    try {
      const wanted = {
        folder,
        sharing,
        others,
        single: Object.entries(single).map(([id, answer]) => ({ id, answer })),
      };
      const done = await bringWith<Schemas['LibraryDone']>('/api/library/import', file, wanted);
      notify(added(done));
      go('/templates', { search: `?folder=${folder}` });
    } catch (failure) {
      fault = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
    busy = false;
  }
</script>

<Page
  title="Import templates"
  crumb={report ? `${file?.name ?? ''}${report.company ? `, from ${report.company}` : ''}` : ''}
>
  {#snippet actions()}
    {#if report}
      <Button onclick={() => (report = null)}>Another file</Button>
      <Button main disabled={busy || !coming} onclick={() => void run()}
        >{busy ? 'Importing …' : coming ? `Import ${count(coming, 'thing')}` : 'Nothing to import'}</Button
      >
    {/if}
  {/snippet}
  {#if report}
    <div class="report">
      {#if fault}<p class="fault" role="alert">{fault}</p>{/if}
      <div class="where">
        <Choose
          label="The templates go into"
          bind:value={folder}
          options={folders.map((one) => [one.id, indented(one)] as const)}
        />
        {#if clashes.length}
          <Choose
            label={`${count(clashes.length, 'thing')} here ${clashes.length === 1 ? 'says' : 'say'} something else`}
            value={others}
            options={answers}
            onchange={(code) => {
              others = code as Answer;
              single = {};
            }}
          />
        {/if}
      </div>
      {#if report.shared.length}
        <label class="sharing">
          <input type="checkbox" bind:checked={sharing} />
          <span
            >Share new folders as they were there ({report.shared.join(', ')}){report.strangers.length
              ? `, but not with ${report.strangers.join(', ')}, who aren’t here`
              : ''}</span
          >
        </label>
      {/if}
      <p>{inShort(report.things)}</p>
      {#if report.missing.length}
        <p>
          Fields that aren’t here:
          {#each report.missing as field, i (field.path)}{i ? ', ' : ''}<code>{field.path}</code> ({count(
              field.templates,
              'template',
            )}){/each}. Those templates come all the same, with a note at the place.
        </p>
      {/if}
      <table>
        <thead>
          <tr>
            <th scope="col">Name</th>
            <th scope="col">What</th>
            <th scope="col">Here</th>
          </tr>
        </thead>
        <tbody>
          {#each report.things as one (`${one.what} ${one.id}`)}
            <tr>
              <td>
                {#if one.path.length}<small>{one.path.join(' › ')} ›</small>{/if}{one.name}
              </td>
              <td class="soft">{whats[one.what]}</td>
              <td>
                {#if one.state === 'OTHER'}
                  <SmallSelect
                    aria-label="What to do with {one.name}"
                    value={single[one.id] ?? others}
                    onchange={(event) =>
                      (single = { ...single, [one.id]: event.currentTarget.value as Answer })}
                  >
                    {#each answers as [code, word] (code)}
                      {#if one.replaceable || code !== 'REPLACE'}<option value={code}>{word}</option>{/if}
                    {/each}
                  </SmallSelect>
                {/if}
                <span class:fault={one.state === 'LEFT'} class:soft={one.state !== 'LEFT'}
                  >{[one.state === 'OTHER' ? '' : states[one.state], one.remark]
                    .filter(Boolean)
                    .join(': ')}</span
                >
              </td>
            </tr>
          {:else}
            <tr><td colspan="3">There is nothing in this file.</td></tr>
          {/each}
        </tbody>
      </table>
    </div>
  {:else}
    <DropArea ondropped={(files) => void look(files)}>
      <p class="says">
        Drop a file here that was exported from Famulus, this one or another company’s: templates with their
        folders, tags, passages, styles, pictures and files. What would come is shown first.
      </p>
      <Button main onclick={() => chooser?.click()}>{busy ? 'Reading …' : 'Choose a file'}</Button>
      <input
        bind:this={chooser}
        type="file"
        accept=".zip,application/zip"
        hidden
        onchange={(event) => void look(event.currentTarget.files)}
      />
      {#if fault}<p class="fault" role="alert">{fault}</p>{/if}
    </DropArea>
  {/if}
</Page>

<style>
  .sharing {
    display: flex;
    gap: 8px;
    align-items: baseline;
    margin-bottom: 8px;
  }

  .report {
    padding: 14px 20px 40px;
  }

  .where {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 320px));
    gap: 20px;
  }

  .says {
    max-width: 640px;
    margin: 14px 0 10px;
    color: var(--ink-soft);
  }

  p {
    margin-bottom: 10px;
  }

  table {
    width: 100%;
    max-width: 980px;
    border-collapse: collapse;
  }

  th {
    color: var(--ink-soft);
    font-size: 12.5px;
    font-weight: 400;
    text-align: left;
  }

  th,
  td {
    padding: 5px 12px 5px 0;
    border-bottom: 1px solid var(--rule-soft);
    vertical-align: baseline;
  }

  small {
    margin-right: 6px;
  }

  .soft,
  small {
    color: var(--ink-soft);
  }

  .fault {
    color: var(--stop);
  }

  code {
    font: 12.5px/1.4 monospace;
  }

  @media (width <= 700px) {
    .where {
      grid-template-columns: minmax(0, 1fr);
      gap: 0;
    }
  }
</style>
