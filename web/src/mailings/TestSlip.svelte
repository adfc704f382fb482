<script lang="ts">
  import { untrack } from 'svelte';
  import { ask, fieldsOf, sentence } from '../api/client';
  import { me } from '../app/session.svelte';
  import TestReaders from '../desk/TestReaders.svelte';
  import Button from '../ui/Button.svelte';
  import Checks from '../ui/Checks.svelte';
  import { notify } from '../ui/notices.svelte';
  import Slip from '../ui/Slip.svelte';
  import type { MailingSheet } from './mailingSheet.svelte';

  /** Sends a mailing as it is to colleagues, merged for some of its people: those who show most of what it can do are proposed. */
  let { sheet, anchor, onclose }: { sheet: MailingSheet; anchor: HTMLElement; onclose: () => void } =
    $props();

  const MOST = 5;
  let to = $state<string[]>([me().id]);
  let list = $state(false);
  let wrong = $state('');
  let sending = $state(false);
  /** One for each language and each set of fallbacks: together they show what it can do. */
  const proposed = untrack(() => sheet.sorted)
    .filter((row) => !row.notes.some((note) => note.stops))
    .filter((row, i, all) => {
      const like = (other: typeof row) =>
        other.language === row.language &&
        other.fallbacks.join() === row.fallbacks.join() &&
        other.own === row.own;
      return all.findIndex(like) === i;
    })
    .slice(0, MOST);
  let keys = $state<string[]>(proposed.slice(0, 3).map((row) => row.key));

  async function send(event: SubmitEvent) {
    event.preventDefault();
    sending = true;
    wrong = '';
    try {
      await sheet.keep();
      const { sent } = await ask('post', '/api/mailings/{id}/tests', {
        params: { id: sheet.id },
        body: { keys, to, list },
      });
      await sheet.load();
      notify(sent === 1 ? 'The test is on its way.' : `${sent} tests are on their way.`);
      onclose();
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
    sending = false;
  }
</script>

<Slip title="Send a test" {anchor} placement="top-start" {onclose}>
  <form onsubmit={send}>
    <p>Exactly as it would leave, merged for:</p>
    <Checks>
      {#each proposed as row (row.key)}
        <li>
          <label
            ><input
              type="checkbox"
              bind:group={keys}
              value={row.key}
              disabled={keys.length >= MOST && !keys.includes(row.key)}
            />
            <bdi>{row.name}</bdi>
            <small
              >{row.fallbacks.length
                ? `fallback for ${row.fallbacks.join(', ')}`
                : row.own
                  ? 'words of their own'
                  : ''}</small
            ></label
          >
        </li>
      {/each}
    </Checks>
    <p>to:</p>
    <TestReaders bind:to bind:list onwrong={(said) => (wrong = said)} />
    {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
    <Button main type="submit" disabled={sending || !keys.length}
      >{sending ? 'Sending …' : 'Send the test'}</Button
    >
  </form>
</Slip>

<style>
  .wrong {
    color: var(--stop);
  }
</style>
