<script lang="ts">
  import { allLines } from '../library/allLines';
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { onChange } from '../app/changes';
  import { go } from '../app/router';
  import { isEditor } from '../app/session.svelte';
  import UsedIn from '../library/UsedIn.svelte';
  import { aboutLabels, aboutOptions, type About } from '../library/about';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import Field from '../ui/Field.svelte';
  import PlainTable from '../ui/PlainTable.svelte';
  import Slip from '../ui/Slip.svelte';
  import { notify } from '../ui/notices.svelte';
  import { day } from '../ui/when';
  import MaterialsPart from './MaterialsPart.svelte';
  import { beginText } from './keptText';

  /** Passages or designed signatures: a line each, written on the desk. */
  let { kind }: { kind: 'PASSAGE' | 'SIGNATURE' } = $props();

  const word = $derived(kind === 'PASSAGE' ? 'passage' : 'signature');
  const stages = { DRAFT: 'not ready yet', READY: '', CHANGED: 'changed since it was ready' };
  let lines = $state<Schemas['TemplateLine'][] | null>(null);
  let used = $state<Record<string, Schemas['Used']>>({});
  let signs = $state<Schemas['ChosenSignatures']>({ mine: null, team: null });
  let failed = $state('');
  let adding = $state(false);
  let opener = $state<HTMLButtonElement>();
  let name = $state('');
  let about = $state<About>('CONTACT');
  let wrong = $state<Record<string, string>>({});
  const editor = $derived(isEditor());

  async function read() {
    const of = kind;
    try {
      const found = await allLines(of);
      if (of === 'SIGNATURE') signs = await ask('get', '/api/templates/signatures');
      else {
        const uses = await Promise.all(
          found.map((line) => ask('get', '/api/templates/{id}/using', { params: { id: line.id } })),
        );
        used = Object.fromEntries(found.map((line, at) => [line.id, uses[at]]));
      }
      lines = found;
      failed = '';
    } catch (failure) {
      failed = sentence(failure);
    }
  }

  async function add(event: SubmitEvent) {
    event.preventDefault();
    try {
      const id = await beginText(kind, name, kind === 'PASSAGE' ? about : 'PERSON');
      go(`/materials/${word}s/${id}`);
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) wrong = { name: sentence(failure) };
    }
  }

  async function choose(template: string | null, team: boolean) {
    try {
      await ask('put', '/api/templates/signatures', { body: { template, team } });
      await read();
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  $effect(() => {
    void read();
  });
  $effect(() => onChange((change) => change.what === 'template' && void read()));
</script>

<MaterialsPart
  says={kind === 'PASSAGE'
    ? 'A passage is written once and used in many templates. Marking it ready changes it in all of them; messages already sent stay as they were.'
    : 'A designed signature appears where a template has a signature block. Anyone without one signs with the lines of their profile.'}
  {failed}
>
  {#snippet add()}
    <Button bind:element={opener} aria-expanded={adding} onclick={() => (adding = !adding)}>New {word}</Button
    >
  {/snippet}
  {#if lines}
    <PlainTable
      label={kind === 'PASSAGE' ? 'Passages' : 'Signatures'}
      heads={['Name', 'For', 'Owner', kind === 'PASSAGE' ? 'Used in' : 'Signs', 'Changed']}
    >
      {#each lines as line (line.id)}
        <tr>
          <td>
            <a class="name" href="/materials/{word}s/{line.id}">{line.name}</a>
            {#if stages[line.stage]}<small>{stages[line.stage]}</small>{/if}
          </td>
          <td>{aboutLabels[line.about]}</td>
          <td>{line.mine ? 'mine' : line.owner}</td>
          <td>
            {#if kind === 'PASSAGE'}
              <UsedIn uses={used[line.id]} />
            {:else}
              <label
                ><input
                  type="checkbox"
                  checked={signs.mine === line.id}
                  disabled={line.stage === 'DRAFT'}
                  onchange={(event) => void choose(event.currentTarget.checked ? line.id : null, false)}
                /> my messages</label
              >
              <label
                ><input
                  type="checkbox"
                  checked={signs.team === line.id}
                  disabled={!editor || line.stage === 'DRAFT'}
                  onchange={(event) => void choose(event.currentTarget.checked ? line.id : null, true)}
                /> everyone who has chosen none</label
              >
            {/if}
          </td>
          <td>{day(line.changedAt)}</td>
        </tr>
      {:else}
        <tr><td colspan="5" class="none">No {word} yet.</td></tr>
      {/each}
    </PlainTable>
  {/if}
</MaterialsPart>
{#if adding}
  <Slip title="New {word}" anchor={opener} onclose={() => (adding = false)}>
    <form onsubmit={add}>
      <Field label="Name for colleagues" bind:value={name} error={wrong.name} />
      {#if kind === 'PASSAGE'}
        <Choose label="Its fields come from" bind:value={about} options={aboutOptions} />
      {/if}
      <Button main type="submit">Create</Button>
    </form>
  </Slip>
{/if}

<style>
  .none {
    color: var(--ink-soft);
  }

  a {
    color: var(--ink);
  }

  .name {
    font-weight: 600;
  }

  small {
    margin-left: 6px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  label {
    display: inline-flex;
    gap: 5px;
    align-items: center;
    margin-right: 14px;
  }
</style>
