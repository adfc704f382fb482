<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { isEditor, me } from '../app/session.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import Slip from '../ui/Slip.svelte';
  import { notify } from '../ui/notices.svelte';
  import type { DeskState } from './deskState.svelte';

  /** Sends the draft to colleagues as it would leave, merged for the proof person. */
  let { desk, anchor, onclose }: { desk: DeskState; anchor: HTMLElement | undefined; onclose: () => void } =
    $props();

  let colleagues = $state<Schemas['Colleague'][]>([]);
  let to = $state<string[]>([me().id]);
  /** The check inboxes. */
  let list = $state<string[]>([]);
  let toList = $state(false);
  /** The check inboxes while they are changed, one a line. */
  let typed = $state<string | null>(null);
  const editor = isEditor();
  let wrong = $state('');
  let sending = $state(false);
  const person = $derived(desk.preview.proof?.person);

  ask('get', '/api/team')
    .then((all) => (colleagues = all.filter((one) => one.active && one.id !== me().id)))
    .catch((failure) => (wrong = sentence(failure)));

  ask('get', '/api/check-inboxes')
    .then(({ addresses }) => (list = addresses))
    .catch((failure) => (wrong = sentence(failure)));

  async function keepList() {
    try {
      list = (await ask('put', '/api/check-inboxes', { body: { addresses: typed!.split('\n') } })).addresses;
      typed = null;
      wrong = '';
      if (!list.length) toList = false;
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
  }

  async function send(event: SubmitEvent) {
    event.preventDefault();
    if (!person) return;
    sending = true;
    wrong = '';
    try {
      const version = await desk.flush();
      const { sent } = await ask('post', '/api/templates/{id}/tests', {
        params: { id: desk.id },
        body: { version, kind: person.kind, person: person.id, deal: person.deal || null, to, list: toList },
      });
      await desk.reread();
      notify(`The test is on its way to ${sent === 1 ? 'one inbox' : `${sent} inboxes`}.`);
      onclose();
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
    sending = false;
  }
</script>

<Slip title="Send a test" {anchor} placement="bottom-end" {onclose}>
  <form onsubmit={send}>
    <p>As it would leave, merged for <bdi>{person?.name}</bdi>, to:</p>
    <ul>
      <li><label><input type="checkbox" bind:group={to} value={me().id} /> me</label></li>
      {#each colleagues as one (one.id)}
        <li>
          <label
            ><input type="checkbox" bind:group={to} value={one.id} /> {one.firstName} {one.lastName}</label
          >
        </li>
      {/each}
      <li class="list">
        <label title={list.join(', ')}
          ><input type="checkbox" bind:checked={toList} disabled={!list.length} /> the check inboxes
          <small>{list.length === 1 ? 'one inbox' : list.length ? `${list.length} inboxes` : 'empty'}</small
          ></label
        >
        {#if editor && typed === null}<InlineButton onclick={() => (typed = list.join('\n'))}
            >edit</InlineButton
          >{/if}
      </li>
    </ul>
    {#if typed !== null}
      <Field
        label="Check inboxes, one a line"
        lines={4}
        bind:value={() => typed ?? '', (next) => (typed = next)}
      />
      <p class="ways">
        <Button onclick={() => void keepList()}>Save the list</Button>
        <Button quiet onclick={() => (typed = null)}>Cancel</Button>
      </p>
    {/if}
    {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
    <Button main type="submit" disabled={sending}>{sending ? 'Sending …' : 'Send the test'}</Button>
  </form>
</Slip>

<style>
  ul {
    max-height: 260px;
    margin: 6px 0 10px;
    padding: 0;
    overflow: auto;
    list-style: none;
  }

  label {
    display: flex;
    gap: 7px;
    align-items: center;
    min-height: 26px;
  }

  .list {
    display: flex;
    gap: 8px;
    align-items: center;
    justify-content: space-between;
  }

  small {
    color: var(--ink-soft);
  }

  .ways {
    display: flex;
    gap: 8px;
    margin: 6px 0 10px;
  }

  .wrong {
    margin-bottom: 8px;
    color: var(--stop);
  }
</style>
