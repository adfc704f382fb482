<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { isEditor } from '../app/session.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import PlainTable from '../ui/PlainTable.svelte';
  import Slip from '../ui/Slip.svelte';
  import { count, nowhere } from '../library/usedIn';
  import UsedIn from '../library/UsedIn.svelte';
  import MaterialsPart from './MaterialsPart.svelte';
  import { notify } from '../ui/notices.svelte';

  /** Addresses that are kept once: facts of the house that are links, each with the templates that lead there. */
  type Fact = Schemas['HouseFact'];
  const may = isEditor();

  let links = $state<Fact[] | null>(null);
  let used = $state<Record<string, Schemas['Used']>>({});
  let open = $state<{ name: string; label: string; value: string; anchor: HTMLElement } | null>(null);
  let wrong = $state<Record<string, string>>({});
  let failed = $state('');

  async function take(facts: Fact[]) {
    links = facts.filter((fact) => fact.type === 'LINK');
    const uses = await Promise.all(
      links.map((link) => ask('get', '/api/templates/using-fact', { query: { name: link.name } })),
    );
    used = Object.fromEntries(links.map((link, at) => [link.name, uses[at]]));
  }

  function edit(link: Fact | null, event: MouseEvent) {
    wrong = {};
    open = {
      name: link?.name ?? '',
      label: link?.label ?? '',
      value: link?.value ?? '',
      anchor: event.currentTarget as HTMLElement,
    };
  }

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    if (!open) return;
    const { name, label, value } = open;
    const body = { label, type: 'LINK', value, asOf: '', months: null } as const;
    try {
      await take(
        name
          ? await ask('put', '/api/company/facts/{name}', { params: { name }, body })
          : await ask('post', '/api/company/facts', { body }),
      );
      open = null;
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) notify(sentence(failure), { stop: true });
    }
  }

  async function remove({ name, label, type, value, asOf, months }: Fact) {
    try {
      await take(await ask('delete', '/api/company/facts/{name}', { params: { name } }));
      notify(`“${label}” is removed.`, {
        undo: async () =>
          take(await ask('post', '/api/company/facts', { body: { label, type, value, asOf, months } })),
      });
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  ask('get', '/api/company/facts')
    .then(take)
    .catch((failure) => (failed = sentence(failure)));
</script>

<MaterialsPart
  says="Change an address here once, and every template uses the new one. Sent messages keep the old one."
  {failed}
>
  {#snippet add()}
    {#if may}<Button onclick={(event) => edit(null, event)}>New link</Button>{/if}
  {/snippet}
  {#if links}
    <PlainTable label="Links" heads={['Name', 'Leads to', 'In templates', 'Used in', '']}>
      {#each links as link (link.name)}
        {@const uses = used[link.name] ?? nowhere}
        <tr>
          <td>{link.label}</td>
          <td class="address"><bdi>{link.value}</bdi></td>
          <td class="soft">&#123;{link.path}&#125;</td>
          <td><UsedIn {uses} /></td>
          <td class="ways">
            {#if may}
              <InlineButton onclick={(event) => edit(link, event)}>edit</InlineButton>
              {#if !count(uses)}<InlineButton soft onclick={() => void remove(link)}>remove</InlineButton
                >{/if}
            {/if}
          </td>
        </tr>
      {:else}
        <tr><td colspan="5" class="soft">No link yet. Editors and administrators add them.</td></tr>
      {/each}
    </PlainTable>
  {/if}
</MaterialsPart>
{#if open}
  <Slip
    title={open.name ? open.label : 'New link'}
    anchor={open.anchor}
    placement="bottom-end"
    onclose={() => (open = null)}
  >
    <form onsubmit={keep}>
      {#if !open.name}<Field label="Name" bind:value={open.label} error={wrong.label} />{/if}
      <Field label="Leads to" bind:value={open.value} error={wrong.value} />
      <Button main type="submit">Save</Button>
    </form>
  </Slip>
{/if}

<style>
  .soft {
    color: var(--ink-soft);
  }

  .address {
    overflow-wrap: anywhere;
  }

  .ways {
    white-space: nowrap;
  }
</style>
