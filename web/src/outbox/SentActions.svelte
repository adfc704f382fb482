<script lang="ts">
  import type { Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import AgainSlip from './AgainSlip.svelte';
  import WebLinksSlip from './WebLinksSlip.svelte';

  /** What can be done with a message afterwards. */
  let { message, onfollow }: { message: Schemas['SentMessage']; onfollow?: (subject: string) => void } =
    $props();

  type Open = 'again' | 'web';
  let open = $state<{ what: Open; anchor: HTMLElement } | null>(null);
  const goes = $derived(message.state !== 'REFUSED' && message.state !== 'CANCELLED');
  const left = $derived(message.state === 'SENT' || message.state === 'NOT_SURE');
  const close = () => (open = null);

  function toggle(what: Open, event: MouseEvent) {
    open = open?.what === what ? null : { what, anchor: event.currentTarget as HTMLElement };
  }
</script>

<p class="ways">
  {#if onfollow && goes}
    <Button quiet onclick={() => onfollow(message.read.subject)}>Write the next one</Button>
  {/if}
  {#if message.knownWords}
    <Button quiet onclick={(event: MouseEvent) => toggle('again', event)}>Send again to…</Button>
    <a href="/templates/from-message?message={message.id}">As a template…</a>
  {/if}
  {#if left}
    <Button quiet onclick={(event: MouseEvent) => toggle('web', event)}>Show on the web…</Button>
  {/if}
</p>
{#if open?.what === 'again'}
  <AgainSlip id={message.id} anchor={open.anchor} onclose={close} />
{:else if open?.what === 'web'}
  <WebLinksSlip id={message.id} anchor={open.anchor} onclose={close} />
{/if}

<style>
  .ways {
    margin-left: -6px;
  }

  a {
    padding: 4px 6px;
    color: var(--ink);
  }
</style>
