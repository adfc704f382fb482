<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import { dayAndTime } from '../ui/when';
  import MailReading from './MailReading.svelte';
  import SentActions from './SentActions.svelte';

  /** A message exactly as it was sent, with what became of it. */
  let {
    id,
    only = false,
    onfollow,
  }: {
    id: string;
    /** Whether it is only read, and nothing is done with it. */
    only?: boolean;
    onfollow?: (subject: string) => void;
  } = $props();
  let message = $state<Schemas['SentMessage'] | null>(null);
  let failed = $state('');

  const became: Record<Schemas['Became']['kind'], string> = {
    OPENED: 'opened',
    CLICKED: 'clicked',
    UNSUBSCRIBED: 'unsubscribed from mailings',
    CAME_BACK: 'resubscribed to mailings',
    CHOSE: 'chose which mailings to get',
  };

  $effect(() => {
    ask('get', '/api/messages/{id}', { params: { id } })
      .then((read) => (message = read))
      .catch((failure) => (failed = sentence(failure)));
  });
</script>

{#if failed}
  <p role="alert">{failed}</p>
{:else if message}
  <MailReading read={message.read} pieces={message.pieces} />
  {#if message.bcc.length}<p class="soft">Hidden copy to {message.bcc.join(', ')}</p>{/if}
  {#if message.lastAnswer && message.state !== 'SENT'}<p class="answer">
      The mail server said: {message.lastAnswer}
    </p>{/if}
  {#if message.maybeRepeated}
    <p class="answer">
      This message may have arrived twice. It was sent again after the mail server’s answer was lost.
    </p>
  {/if}
  {#if message.ignored.length}
    <ul aria-label="Ignored checks">
      {#each message.ignored as one, i (i)}<li>
          Ignored by {one.by}: {one.title} <span class="soft">(“{one.reason}”)</span>
        </li>{/each}
    </ul>
  {/if}
  {#if message.became.length}
    <ul aria-label="What became of it">
      {#each message.became as one, i (i)}
        <li class:machine={one.byMachine}>
          <time datetime={one.at}>{dayAndTime(one.at)}</time>
          {one.byMachine
            ? `${one.kind === 'CLICKED' ? 'a link followed' : 'fetched'} by a machine, not counted`
            : became[one.kind]}
          {#if one.address}<span class="link">{one.address}</span>{/if}
        </li>
      {/each}
    </ul>
  {/if}
  {#if !message.test && !only}<SentActions {message} {onfollow} />{/if}
{/if}

<style>
  .soft {
    color: var(--ink-soft);
  }

  .answer {
    margin-top: 6px;
    color: var(--query);
  }

  ul {
    margin: 6px 0 2px;
    padding: 0;
    list-style: none;
    font-size: 12.5px;
  }

  li.machine,
  time,
  .link {
    color: var(--ink-soft);
  }

  .link {
    overflow-wrap: anywhere;
  }
</style>
