<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { me } from '../app/session.svelte';
  import Button from '../ui/Button.svelte';
  import Slip from '../ui/Slip.svelte';
  import { notify } from '../ui/notices.svelte';
  import type { DeskState } from './deskState.svelte';

  /** Sends the draft to colleagues as it would leave, merged for the proof person. */
  let { desk, anchor, onclose }: { desk: DeskState; anchor: HTMLElement | undefined; onclose: () => void } =
    $props();

  let colleagues = $state<Schemas['Colleague'][]>([]);
  let to = $state<string[]>([me().id]);
  let wrong = $state('');
  let sending = $state(false);
  const person = $derived(desk.proof?.person);

  ask('get', '/api/team')
    .then((all) => (colleagues = all.filter((one) => one.active && one.id !== me().id)))
    .catch((failure) => (wrong = sentence(failure)));

  async function send(event: SubmitEvent) {
    event.preventDefault();
    if (!person) return;
    sending = true;
    wrong = '';
    try {
      const version = await desk.flush();
      const { sent } = await ask('post', '/api/templates/{id}/tests', {
        params: { id: desk.id },
        body: { version, kind: person.kind, person: person.id, deal: person.deal || null, to },
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
    </ul>
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

  .wrong {
    margin-bottom: 8px;
    color: var(--stop);
  }
</style>
