<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import Slip from '../ui/Slip.svelte';
  import { notify } from '../ui/notices.svelte';

  /** Teams, which folders can be shared with. */
  type Team = Schemas['Team'];
  let { colleagues, may }: { colleagues: Schemas['Colleague'][]; may: boolean } = $props();

  let teams = $state.raw<Team[]>([]);
  let open = $state<{ id: string; name: string; members: string[]; anchor: HTMLElement } | null>(null);
  let wrong = $state<Record<string, string>>({});

  ask('get', '/api/teams')
    .then((read) => (teams = read))
    .catch((failure) => notify(sentence(failure), { stop: true }));

  const called = (id: string) => colleagues.find((one) => one.id === id)?.firstName ?? '…';

  function edit(team: Team | null, event: MouseEvent) {
    wrong = {};
    const { id, name, members } = team ?? { id: '', name: '', members: [] };
    open = { id, name, members: [...members], anchor: event.currentTarget as HTMLElement };
  }

  async function save(event: SubmitEvent) {
    event.preventDefault();
    if (!open) return;
    const { id, name, members } = open;
    try {
      teams = id
        ? await ask('put', '/api/teams/{id}', { params: { id }, body: { name, members } })
        : await ask('post', '/api/teams', { body: { name, members } });
      open = null;
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) notify(sentence(failure), { stop: true });
    }
  }

  async function remove() {
    if (!open) return;
    try {
      teams = await ask('delete', '/api/teams/{id}', { params: { id: open.id } });
      notify(`The ${open.name} team is deleted. What was shared with it no longer is.`);
      open = null;
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }
</script>

<section aria-labelledby="teams">
  <h2 id="teams">Teams</h2>
  <p class="soft">Folders can be shared with a team. Somebody can be in several.</p>
  <ul>
    {#each teams as team (team.id)}
      <li>
        <span class="name">{team.name}</span>
        <span class="soft">{team.members.map(called).join(', ') || 'nobody yet'}</span>
        {#if may}<InlineButton aria-label="Change the {team.name} team" onclick={(event) => edit(team, event)}
            >change</InlineButton
          >{/if}
      </li>
    {:else}
      <li class="soft">No teams yet.</li>
    {/each}
  </ul>
  {#if may}<Button onclick={(event: MouseEvent) => edit(null, event)}>Add a team</Button>{/if}
</section>
{#if open}
  <Slip
    title={open.id ? `The ${open.name} team` : 'Add a team'}
    anchor={open.anchor}
    onclose={() => (open = null)}
  >
    <form onsubmit={save}>
      <Field label="Name" bind:value={open.name} error={wrong.name} remark="As in “the north team”." />
      <fieldset>
        <legend>Who is in it</legend>
        {#each colleagues.filter((one) => one.active || open?.members.includes(one.id)) as colleague (colleague.id)}
          <label
            ><input type="checkbox" bind:group={open.members} value={colleague.id} />
            {colleague.firstName}
            {colleague.lastName}</label
          >
        {/each}
      </fieldset>
      {#if wrong.members}<p role="alert">{wrong.members}</p>{/if}
      <p class="ways">
        <Button main type="submit">Save</Button>
        {#if open.id}<Button quiet onclick={() => void remove()}>Delete team</Button>{/if}
      </p>
    </form>
  </Slip>
{/if}

<style>
  section {
    padding: 18px 20px;
  }

  h2 {
    margin: 0 0 4px;
    font: 500 var(--large) / 1.3 var(--serif);
  }

  ul {
    max-width: 640px;
    margin: 10px 0;
    padding: 0;
    border-top: 1px solid var(--rule);
    list-style: none;
  }

  li {
    display: grid;
    grid-template-columns: 160px minmax(0, 1fr) auto;
    gap: 12px;
    padding: 6px 0;
    border-bottom: 1px solid var(--rule-soft);
  }

  .name {
    font-weight: 600;
  }

  .soft {
    color: var(--ink-soft);
  }

  fieldset {
    margin: 8px 0 12px;
    padding: 0;
    border: 0;
  }

  legend {
    margin-bottom: 4px;
    color: var(--ink-soft);
    font-size: 13px;
  }

  fieldset label {
    display: block;
  }

  .ways {
    display: flex;
    gap: 8px;
  }
</style>
