<script lang="ts">
  import { ask, fieldsOf, sentence } from '../api/client';
  import { me } from '../app/session.svelte';
  import Button from '../ui/Button.svelte';
  import Slip from '../ui/Slip.svelte';
  import { notify } from '../ui/notices.svelte';
  import TestReaders from './TestReaders.svelte';
  import type { DeskState } from './deskState.svelte';

  /** Sends the draft to colleagues as it would leave, merged for the proof person. */
  let { desk, anchor, onclose }: { desk: DeskState; anchor: HTMLElement | undefined; onclose: () => void } =
    $props();

  let to = $state<string[]>([me().id]);
  let list = $state(false);
  let wrong = $state('');
  let sending = $state(false);
  const person = $derived(desk.preview.proof?.person);

  async function send(event: SubmitEvent) {
    event.preventDefault();
    if (!person) return;
    sending = true;
    wrong = '';
    try {
      const version = await desk.flush();
      const { sent } = await ask('post', '/api/templates/{id}/tests', {
        params: { id: desk.id },
        body: { version, kind: person.kind, person: person.id, deal: person.deal || null, to, list },
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
    <TestReaders bind:to bind:list onwrong={(said) => (wrong = said)} />
    {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
    <Button main type="submit" disabled={sending}>{sending ? 'Sending …' : 'Send the test'}</Button>
  </form>
</Slip>

<style>
  .wrong {
    margin-bottom: 8px;
    color: var(--stop);
  }
</style>
