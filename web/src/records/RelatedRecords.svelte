<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { recordAddress } from '../app/router';
  import Mark from '../ui/Mark.svelte';
  import Slip from '../ui/Slip.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import RecordFinder from './RecordFinder.svelte';
  import { notify } from '../ui/notices.svelte';

  let { page, onchanged }: { page: Schemas['RecordPage']; onchanged: () => void } = $props();
  let adding = $state(false);
  let opener = $state<HTMLButtonElement>();
  let contact = $state('');
  let role = $state('');
  let main = $state(false);
  let wrong = $state<Record<string, string>>({});
  let roles = $state<string[]>([]);

  $effect(() => {
    if (!adding) return;
    ask('get', '/api/records/deal/roles')
      .then((offered) => (roles = offered))
      .catch(() => (roles = []));
  });

  async function add(event: SubmitEvent) {
    event.preventDefault();
    if (!contact) return void (wrong = { contact: 'Choose one from the list.' });
    try {
      await ask('put', '/api/records/deal/{id}/contacts/{contact}', {
        params: { id: page.id, contact },
        body: { role, main },
      });
      adding = false;
      onchanged();
    } catch (failure) {
      wrong = fieldsOf(failure);
    }
  }

  async function remove(id: string, name: string, remark: string) {
    const path = { params: { id: page.id, contact: id } };
    try {
      await ask('delete', '/api/records/deal/{id}/contacts/{contact}', path);
      onchanged();
      notify(`${name} is no longer on this deal.`, {
        undo: async () => {
          const wasMain = remark.includes('main contact');
          const before = remark.replace(/,? ?main contact/, '') || 'contact';
          await ask('put', '/api/records/deal/{id}/contacts/{contact}', {
            ...path,
            body: { role: before, main: wasMain },
          });
          onchanged();
        },
      });
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }
</script>

{#each page.related as group (group.title)}
  {#if group.lines.length || page.kind === 'deal'}
    <section>
      <h2>
        {group.title}
        {#if page.kind === 'deal'}
          <InlineButton bind:element={opener} onclick={() => (adding = !adding)}>add</InlineButton>
        {/if}
      </h2>
      <ul>
        {#each group.lines as line (line.id)}
          <li>
            <Mark source={line.kind} />
            <a href={recordAddress(line.kind, line.id)}><bdi>{line.name}</bdi></a>
            <span class="remark">{line.remark}</span>
            {#if page.kind === 'deal'}
              <InlineButton
                sign
                soft
                aria-label="Remove {line.name} from this deal"
                onclick={() => void remove(line.id, line.name, line.remark)}>×</InlineButton
              >
            {/if}
          </li>
        {/each}
        {#if group.more}<li class="remark">and {group.more.toLocaleString('en')} more</li>{/if}
      </ul>
    </section>
  {/if}
{/each}
{#if adding}
  <Slip title="Add a contact" anchor={opener} placement="left-start" onclose={() => (adding = false)}>
    <form onsubmit={add}>
      <RecordFinder label="Who" kind="contact" error={wrong.contact} onchoose={(id) => (contact = id)} />
      <Field label="Role on this deal" bind:value={role} error={wrong.role} suggestions={roles} />
      <p><label><input type="checkbox" bind:checked={main} /> is the main contact</label></p>
      <Button main type="submit">Add</Button>
    </form>
  </Slip>
{/if}

<style>
  section {
    margin-bottom: 16px;
  }

  h2 {
    margin-bottom: 4px;
    font: 500 15.5px/1.2 var(--serif);
  }

  li {
    display: flex;
    gap: 6px;
    padding: 5px 0;
    border-top: 1px solid var(--rule-soft);
    font-size: 13.5px;
  }

  a {
    min-width: 0;
    color: var(--ink);
    text-decoration: none;
  }

  a:hover {
    text-decoration: underline;
  }

  .remark {
    margin-left: auto;
    color: var(--ink-soft);
    text-align: right;
  }

  p {
    margin-bottom: 10px;
  }
</style>
