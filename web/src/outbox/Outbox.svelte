<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import { gathered, onChange } from '../app/changes';
  import Button from '../ui/Button.svelte';
  import Page from '../ui/Page.svelte';
  import { notify } from '../ui/notices.svelte';
  import MailingsUnderWay from '../mailings/MailingsUnderWay.svelte';
  import Drafts from '../messages/Drafts.svelte';
  import OutboxLine from './OutboxLine.svelte';

  type Line = Schemas['OutboxLine'];
  let outbox = $state<Schemas['Outbox'] | null>(null);
  let failed = $state('');
  /** What is shown of the messages before those of the first page. */
  let older = $state<Line[]>([]);
  let more = $state(false);
  let ofMailings = $state(0);

  async function read() {
    try {
      const now = await ask('get', '/api/outbox');
      // What was on the first page and is pushed off it stays to be seen where older ones are.
      if (older.length && outbox) older = [...outbox.lines, ...older].filter(notIn(now.lines));
      else more = now.more;
      outbox = now;
      failed = '';
    } catch (failure) {
      failed = sentence(failure);
    }
  }

  const standing = $derived(
    outbox
      ? [
          outbox.waiting ? `${outbox.waiting} waiting` : ofMailings ? '' : 'nothing waits',
          ofMailings ? `${ofMailings.toLocaleString('en')} of mailings waiting` : '',
          outbox.held ? `${outbox.held} held` : '',
          outbox.notSure ? `${outbox.notSure} not sure` : '',
        ]
          .filter(Boolean)
          .join(' · ')
      : '',
  );

  const settled = (line: Line) => line.state === 'SENT' || line.state === 'CANCELLED';
  function notIn(lines: Line[]): (line: Line) => boolean {
    const there = new Set(lines.map((line) => line.id));
    return (line) => settled(line) && !there.has(line.id);
  }

  async function readOlder() {
    const last = [...(outbox?.lines ?? []), ...older].filter(settled).at(-1);
    if (!last) return;
    try {
      const page = await ask('get', '/api/outbox', { query: { before: last.id } });
      older = [...older, ...page.lines];
      more = page.more;
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  const changed = gathered(read);
  $effect(() => onChange((change) => (change.what === 'outbox' || change.what === 'hello') && changed()));
  void read();
</script>

<Page title="Outbox" crumb="waiting, sent and rejected messages">
  {#snippet foot()}
    <span aria-live="polite">{standing}</span>
  {/snippet}
  <div class="drafts"><Drafts /></div>
  <MailingsUnderWay bind:waiting={ofMailings} />
  {#if failed}
    <p class="said" role="alert">{failed} <Button quiet onclick={() => void read()}>Try again</Button></p>
  {:else if outbox?.lines.length === 0}
    <p class="said">Nothing has been sent yet. Open somebody under People and write to them.</p>
  {:else if outbox}
    <ul>
      {#each [...outbox.lines, ...older] as line (line.id)}
        <OutboxLine {line} onacted={read} />
      {/each}
    </ul>
    {#if more}
      <p class="more"><Button quiet onclick={() => void readOlder()}>Show older messages</Button></p>
    {/if}
  {/if}
</Page>

<style>
  .said {
    padding: 24px 20px;
    color: var(--ink-soft);
  }

  .drafts {
    padding: 0 20px;
  }

  .more {
    padding: 10px 20px;
  }
</style>
