<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import { gathered, onChange } from '../app/changes';
  import MailingsUnderWay from '../mailings/MailingsUnderWay.svelte';
  import Drafts from '../messages/Drafts.svelte';
  import OutboxLine from '../outbox/OutboxLine.svelte';
  import Button from '../ui/Button.svelte';
  import Page from '../ui/Page.svelte';
  import { serverNow } from '../ui/when';
  import FirstHour from './FirstHour.svelte';

  /** The first screen: what makes an empty company work, and the messages that wait for somebody. */
  let lines = $state<Schemas['OutboxLine'][] | null>(null);
  let firstHour = $state<Schemas['FirstHour'] | null>(null);
  let failed = $state('');
  const day = serverNow().toLocaleDateString('en-GB', { weekday: 'long', day: 'numeric', month: 'long' });

  const held = $derived(lines?.filter((one) => one.state === 'HELD') ?? []);
  const waiting = $derived(lines?.filter((one) => one.state !== 'HELD') ?? []);

  async function read() {
    try {
      const [open, steps] = await Promise.all([
        ask('get', '/api/outbox/open'),
        ask('get', '/api/today/first-hour'),
      ]);
      lines = open;
      firstHour = steps;
      failed = '';
    } catch (failure) {
      failed = sentence(failure);
    }
  }

  const changed = gathered(read);
  /** What the messages that wait and the first steps depend on. */
  const told = new Set(['hello', 'outbox', 'record', 'template']);
  $effect(() => onChange((change) => told.has(change.what) && changed()));
  void read();
</script>

<Page title={day}>
  {#snippet foot()}
    <span aria-live="polite"
      >{lines
        ? lines.length
          ? `${lines.length} in the outbox to look after`
          : 'no message waits'
        : ''}</span
    >
    <span class="keys">digits open the places · ? keys</span>
  {/snippet}
  {#if failed}
    <p class="said" role="alert">{failed} <Button quiet onclick={() => void read()}>Try again</Button></p>
  {:else if lines && firstHour}
    {#if firstHour.steps.length}
      <FirstHour hour={firstHour} onchanged={(hour) => (firstHour = hour)} onread={read} />
    {/if}
    <div class="drafts"><Drafts title="Drafts to finish" /></div>
    <MailingsUnderWay />
    {#if held.length}
      <section aria-labelledby="held">
        <h2 id="held">Held <small>something changed before they were to leave</small></h2>
        <ul>
          {#each held as line (line.id)}<OutboxLine {line} onacted={read} />{/each}
        </ul>
      </section>
    {/if}
    <section aria-labelledby="waiting">
      <h2 id="waiting">In the outbox</h2>
      {#if waiting.length}
        <ul>
          {#each waiting as line (line.id)}<OutboxLine {line} onacted={read} />{/each}
        </ul>
      {:else}
        <p class="said">
          No message waits. Messages that wait to leave, were rejected, or may not have gone are listed here.
        </p>
      {/if}
    </section>
  {/if}
</Page>

<style>
  section {
    padding-top: 6px;
  }

  .drafts {
    padding: 0 20px;
  }

  h2 {
    padding: 10px 20px 6px;
    border-bottom: 1px solid var(--rule-soft);
    font: 500 var(--large) / 1.3 var(--serif);
  }

  small {
    color: var(--ink-soft);
    font: 13px var(--sans);
  }

  ul {
    list-style: none;
  }

  .said {
    padding: 14px 20px;
    color: var(--ink-soft);
  }

  .keys {
    margin-left: auto;
  }
</style>
