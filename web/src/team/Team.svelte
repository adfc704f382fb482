<script lang="ts">
  import { roleWords } from '../app/roles';
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { me } from '../app/session.svelte';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import Field from '../ui/Field.svelte';
  import Page from '../ui/Page.svelte';
  import Slip from '../ui/Slip.svelte';
  import { notify } from '../ui/notices.svelte';
  import Teams from './Teams.svelte';

  type Colleague = Schemas['Colleague'];
  const roles = [
    ['AGENT', 'rep: writes'],
    ['ASSISTANT', 'assistant: prepares for others'],
    ['KEEPER', 'editor: keeps shared templates and styles'],
    ['ADMINISTRATOR', 'administrator: keeps people, fields and accounts'],
  ] as const;
  const administrator = me().role === 'ADMINISTRATOR';

  let team = $state<Colleague[]>([]);
  let adding = $state(false);
  let opener = $state<HTMLButtonElement>();
  const nobody = { firstName: '', lastName: '', email: '', jobTitle: '', role: 'AGENT', password: '' };
  let added = $state({ ...nobody });
  let wrong = $state<Record<string, string>>({});

  async function read() {
    team = await ask('get', '/api/team');
  }

  async function add(event: SubmitEvent) {
    event.preventDefault();
    try {
      await ask('post', '/api/team', { body: added as Schemas['NewColleague'] });
      notify(`${added.firstName} can sign in now.`);
      adding = false;
      added = { ...nobody };
      wrong = {};
      await read();
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) notify(sentence(failure), { stop: true });
    }
  }

  async function change(colleague: Colleague, role: string, active: boolean) {
    try {
      await ask('put', '/api/team/{id}', {
        params: { id: colleague.id },
        body: { role: role as Colleague['role'], active },
      });
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
    await read();
  }

  void read();
</script>

<Page title="Team" crumb={administrator ? '' : 'managed by your administrator'}>
  {#snippet actions()}
    {#if administrator}
      <Button main bind:element={opener} onclick={() => (adding = !adding)}>Add a colleague</Button>
    {/if}
  {/snippet}
  <ul>
    {#each team as colleague (colleague.id)}
      <li class:off={!colleague.active}>
        <span class="name">{colleague.firstName} {colleague.lastName}</span>
        <span class="soft">{colleague.email}</span>
        <span class="soft">{colleague.jobTitle}</span>
        {#if administrator}
          <select
            aria-label="Role of {colleague.firstName}"
            value={colleague.role}
            onchange={(event) => void change(colleague, event.currentTarget.value, colleague.active)}
          >
            {#each roles as [code, label] (code)}<option value={code}>{label}</option>{/each}
          </select>
          <Button quiet onclick={() => void change(colleague, colleague.role, !colleague.active)}>
            {colleague.active ? 'End access' : 'Give access again'}
          </Button>
        {:else}
          <span class="soft">{roleWords[colleague.role]}</span>
          <span></span>
        {/if}
      </li>
    {/each}
  </ul>
  <Teams colleagues={team} may={administrator} />
</Page>
{#if adding}
  <Slip title="Add a colleague" anchor={opener} placement="bottom-end" onclose={() => (adding = false)}>
    <form onsubmit={add}>
      <Field label="First name" required bind:value={added.firstName} error={wrong.firstName} />
      <Field label="Surname" required bind:value={added.lastName} error={wrong.lastName} />
      <Field label="E-mail" required bind:value={added.email} error={wrong.email} />
      <Field label="Job title" bind:value={added.jobTitle} error={wrong.jobTitle} />
      <Choose label="Role" bind:value={added.role} options={roles} error={wrong.role} />
      <Field
        label="First password"
        type="password"
        required
        autocomplete="new-password"
        bind:value={added.password}
        error={wrong.password}
        remark="At least 12 characters; they can change it."
      />
      <Button main type="submit">Add</Button>
    </form>
  </Slip>
{/if}

<style>
  li {
    display: grid;
    grid-template-columns: 1.2fr 1.6fr 1.4fr 1.4fr 110px;
    gap: 16px;
    align-items: center;
    min-height: 42px;
    padding: 0 20px;
    border-bottom: 1px solid var(--rule-soft);
  }

  .name {
    font-weight: 600;
  }

  .soft {
    overflow: hidden;
    color: var(--ink-soft);
    text-overflow: ellipsis;
  }

  .off .name {
    text-decoration: line-through;
  }

  select {
    padding: 4px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: inherit;
  }

  @media (width <= 700px) {
    li {
      grid-template-columns: 1fr 1fr;
      padding: 8px 14px;
    }
  }
</style>
