<script lang="ts">
  import { ask, bring, fieldsOf, sentence, type Schemas } from '../api/client';
  import { onChange } from '../app/changes';
  import { isEditor } from '../app/session.svelte';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import { notify } from '../ui/notices.svelte';
  import PlainTable from '../ui/PlainTable.svelte';
  import { day } from '../ui/when';

  /** Addresses and domains that nobody here writes to any more. */
  type Entry = Schemas['DoNotEmailEntry'];
  const may = isEditor();
  let entries = $state<Entry[] | null>(null);
  let more = $state(false);
  let begins = $state('');
  let entry = $state('');
  let reason = $state('');
  let wrong = $state<Record<string, string>>({});
  let failed = $state('');
  let imported = $state<Schemas['Imported'] | null>(null);
  let chooser = $state<HTMLInputElement>();
  let asked = 0;

  async function read(after?: string) {
    const turn = ++asked;
    try {
      const page = await ask('get', '/api/do-not-email', { query: { begins, after } });
      if (turn !== asked) return;
      entries = after ? [...(entries ?? []), ...page.entries] : page.entries;
      more = page.more;
      failed = '';
    } catch (failure) {
      failed = sentence(failure);
    }
  }

  async function add(event: SubmitEvent) {
    event.preventDefault();
    try {
      await ask('post', '/api/do-not-email', { body: { entry, reason } });
      wrong = {};
      notify(`Nobody writes to ${entry.trim()} any more.`);
      entry = '';
      reason = '';
      await read();
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) wrong = { entry: sentence(failure) };
    }
  }

  async function remove(one: Entry) {
    try {
      await ask('delete', '/api/do-not-email', { query: { entry: one.entry } });
      await read();
      notify(`${one.entry} may be written to again.`, {
        undo: async () => {
          await ask('post', '/api/do-not-email', { body: { entry: one.entry, reason: one.reason } });
          await read();
        },
      });
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  async function bringIn(file: File | undefined) {
    if (!file) return;
    try {
      imported = await bring<Schemas['Imported']>('/api/do-not-email/import', file);
      failed = '';
      await read();
    } catch (failure) {
      failed = `${file.name}: ${fieldsOf(failure).file ?? sentence(failure)}`;
    }
    chooser!.value = '';
  }

  $effect(() => onChange((change) => change.what === 'do-not-email' && void read()));
  void read();
</script>

<p class="soft">
  No message leaves for an address or domain on this list, whatever it is about. Everybody adds to it{may
    ? '.'
    : '; editors and administrators take somebody off.'} An import of people changes nothing here.
</p>
<form onsubmit={add}>
  <Field
    label="Address or domain"
    bind:value={entry}
    error={wrong.entry}
    placeholder="ines@example.com or example.com"
  />
  <Field label="Reason" bind:value={reason} error={wrong.reason} placeholder="asked us to stop" />
  <Button main type="submit">Add</Button>
</form>
<p class="ways">
  <label
    >Find <input
      type="search"
      bind:value={begins}
      oninput={() => void read()}
      placeholder="begins with …"
    /></label
  >
  <Button quiet onclick={() => chooser?.click()}>Import CSV</Button>
  <a href="/api/do-not-email/do-not-email.csv" download>Export CSV</a>
  <input
    bind:this={chooser}
    type="file"
    accept=".csv,text/csv,text/plain"
    hidden
    onchange={(event) => void bringIn(event.currentTarget.files?.[0])}
  />
</p>
{#if failed}<p class="wrong" role="alert">{failed}</p>{/if}
{#if imported}
  <div role="status">
    <p>
      {imported.added} added{imported.already
        ? `, ${imported.already} on the list already`
        : ''}{imported.notRead
        ? `, ${imported.notRead} not read${imported.notRead > imported.wrong.length ? '; the first of them' : ''}:`
        : '.'}
    </p>
    <ul>
      {#each imported.wrong as one (one)}<li class="wrong">{one}</li>{/each}
    </ul>
  </div>
{/if}
{#if entries?.length}
  <PlainTable label="Do not email" heads={['Address or domain', 'Reason', 'Added by', 'Added', '']}>
    {#each entries as one (one.entry)}
      <tr>
        <td><b>{one.entry}</b> {one.wholeDomain ? 'and all addresses of it' : ''}</td>
        <td>{one.reason}</td>
        <td>{one.addedBy}</td>
        <td>{day(one.addedAt)}</td>
        <td>
          {#if may}
            <Button quiet aria-label="Remove {one.entry}" onclick={() => void remove(one)}>Remove</Button>
          {/if}
        </td>
      </tr>
    {/each}
  </PlainTable>
  {#if more}
    <p class="ways"><Button quiet onclick={() => void read(entries?.at(-1)?.entry)}>Show more</Button></p>
  {/if}
{:else if entries}
  <p class="soft">{begins ? 'No entry begins with that.' : 'Nobody is on the list.'}</p>
{/if}

<style>
  .soft {
    max-width: 720px;
    margin-bottom: 12px;
    color: var(--ink-soft);
  }

  form {
    display: grid;
    grid-template-columns: minmax(0, 300px) minmax(0, 300px) auto;
    gap: 0 14px;
    align-items: end;
    max-width: 720px;
  }

  form :global(button) {
    margin-bottom: 10px;
  }

  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 16px;
    align-items: center;
    margin: 6px 0 10px;
  }

  .ways a {
    color: var(--ink);
    font-weight: 600;
  }

  [type='search'] {
    padding: 3px 6px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: 13px/1.2 var(--sans);
  }

  .wrong {
    color: var(--stop);
  }

  @media (width <= 700px) {
    form {
      grid-template-columns: minmax(0, 1fr);
      justify-items: start;
    }
  }
</style>
