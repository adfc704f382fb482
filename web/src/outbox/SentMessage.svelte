<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import MailReading from './MailReading.svelte';

  /** A message exactly as it was sent. */
  let { id }: { id: string } = $props();
  let message = $state<Schemas['SentMessage'] | null>(null);
  let failed = $state('');

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
  {#if message.lastAnswer}<p class="answer">The mail server said: {message.lastAnswer}</p>{/if}
  {#if message.maybeRepeated}
    <p class="answer">It may have arrived twice: the mail server’s first answer was lost.</p>
  {/if}
{/if}

<style>
  .answer {
    margin-top: 6px;
    color: var(--query);
  }
</style>
