<script lang="ts">
  import { ask, fieldsOf, Problem, sentence, type Schemas } from '../api/client';
  import { me } from '../app/session.svelte';
  import Button from '../ui/Button.svelte';
  import { notify } from '../ui/notices.svelte';
  import OptionLines from './OptionLines.svelte';

  /** The stages of deals, what leads are and where they come from, and what contacts are on deals. */
  type Pipeline = Schemas['Pipeline'];
  type Stage = Schemas['Stage'];
  const may = me().role === 'ADMINISTRATOR';
  const outcomes = [
    ['OPEN', 'open'],
    ['WON', 'won'],
    ['LOST', 'lost'],
  ] as const;

  let kept = $state.raw<Pipeline | null>(null);
  let stages = $state<Stage[]>([]);
  let leadStates = $state<Schemas['Option'][]>([]);
  let leadSources = $state<Schemas['Option'][]>([]);
  let roles = $state<{ label: string }[]>([]);
  let uses = $state.raw<Schemas['Uses']>({ stages: {}, leadStates: {}, leadSources: {} });
  let failed = $state('');
  let wrong = $state('');

  const typed = $derived<Pipeline>({
    stages: $state.snapshot(stages) as Stage[],
    leadStates: $state.snapshot(leadStates),
    leadSources: $state.snapshot(leadSources),
    roles: roles.map((role) => role.label),
  });
  const changed = $derived(kept !== null && JSON.stringify(typed) !== JSON.stringify(kept));

  const newStage = (): Stage => ({ code: '', label: '', outcome: 'OPEN', retired: false });

  function take(pipeline: Pipeline) {
    kept = pipeline;
    stages = pipeline.stages.map((one) => ({ ...one }));
    leadStates = pipeline.leadStates.map((one) => ({ ...one }));
    leadSources = pipeline.leadSources.map((one) => ({ ...one }));
    roles = pipeline.roles.map((label) => ({ label }));
    wrong = '';
  }

  async function read() {
    try {
      take(await ask('get', '/api/company/pipeline'));
      uses = await ask('get', '/api/company/pipeline/uses');
      failed = '';
    } catch (failure) {
      failed = sentence(failure);
    }
  }

  async function keep() {
    if (!kept) return;
    try {
      take(await ask('put', '/api/company/pipeline', { body: { before: kept, after: typed } }));
      uses = await ask('get', '/api/company/pipeline/uses');
      notify('Saved.');
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
      if (failure instanceof Problem && failure.code === 'changed-meanwhile') {
        notify(wrong, { stop: true });
        await read();
      }
    }
  }

  void read();
</script>

<p class="soft">
  The lists that records choose from. A new name counts for the records that have it, and for conditions. A
  retired one stays with its records and is offered to no other.
  {#if !may}An administrator changes them.{/if}
</p>
{#if failed}
  <p role="alert">{failed} <Button quiet onclick={() => void read()}>Try again</Button></p>
{:else if kept}
  <div class="lists">
    <OptionLines
      title="Stages of deals"
      about="In order; a new deal begins in the first open one."
      word="stage"
      editable={may}
      bind:lines={stages}
      fresh={newStage}
      uses={uses.stages}
      kind="deal"
      place="/deals"
    >
      {#snippet more(stage, i)}
        <select aria-label="Stage {i + 1} is" disabled={!may} bind:value={stage.outcome}>
          {#each outcomes as [code, label] (code)}<option value={code}>{label}</option>{/each}
        </select>
      {/snippet}
    </OptionLines>
    <OptionLines
      title="States of leads"
      about="A new lead begins in the first one."
      word="state"
      editable={may}
      bind:lines={leadStates}
      fresh={() => ({ code: '', label: '', retired: false })}
      uses={uses.leadStates}
      kind="lead"
      place="/people/leads"
    />
    <OptionLines
      title="Sources of leads"
      about="Where leads come from."
      word="source"
      editable={may}
      bind:lines={leadSources}
      fresh={() => ({ code: '', label: '', retired: false })}
      uses={uses.leadSources}
      kind="lead"
      place="/people/leads"
    />
    <OptionLines
      title="Roles on deals"
      about="What a contact does for a deal; any other word can be typed there."
      word="role"
      editable={may}
      bind:lines={roles}
      fresh={() => ({ label: '' })}
    />
  </div>
  {#if may}
    {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
    <p class="ways">
      <Button main disabled={!changed} onclick={() => void keep()}>Save</Button>
      <Button quiet disabled={!changed} onclick={() => take(kept!)}>Cancel</Button>
    </p>
  {/if}
{/if}

<style>
  .soft {
    margin-bottom: 14px;
    color: var(--ink-soft);
  }

  .lists {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 22px 34px;
    max-width: 1000px;
  }

  select {
    padding: 4px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: var(--base) / 1.3 var(--sans);
  }

  .wrong {
    margin-top: 14px;
    color: var(--stop);
  }

  .ways {
    display: flex;
    gap: 8px;
    margin-top: 16px;
  }

  @media (width <= 700px) {
    .lists {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
