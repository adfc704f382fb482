<script lang="ts">
  import type { Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import Slip from '../ui/Slip.svelte';
  import type { MessageState } from './messageState.svelte';

  /** What can be done with a message that is written: sent, put aside, thrown away, taken back, looked at. */
  let {
    message,
    proof,
    sending,
    looking = $bindable(),
    asking = $bindable(),
    onsend,
    onaside,
    ondiscard,
    onfailed,
  }: {
    message: MessageState;
    proof: Schemas['ShownProof'];
    sending: boolean;
    /** Whether it is looked at as it will be read, rather than written. */
    looking: boolean;
    /** Whether it is asked to send although something is to be checked. */
    asking: boolean;
    onsend: () => void;
    onaside: () => void;
    ondiscard: () => void;
    /** Something did not work, in a sentence; empty when it did. */
    onfailed: (why: string) => void;
  } = $props();

  let sendButton = $state<HTMLButtonElement>();
  const sendWords = $derived(message.envelope.wishes?.hour ? 'Send at that hour' : 'Send now');
  /** The mailing it is one of: nobody sends it by itself. */
  const mailing = $derived(message.envelope.wishes?.mailing ?? null);
  const checks = $derived(message.checks());

  function choose(mine: boolean) {
    void message.choose(mine).then(onfailed);
  }
</script>

<div class="go">
  {#if mailing}
    <Button main bind:element={sendButton} onclick={onaside}>Save and close</Button>
    <span>It leaves with <a href="/mailings/{mailing}">its mailing</a>.</span>
  {:else}
    <Button main bind:element={sendButton} disabled={sending} onclick={onsend}>
      {sending ? 'Sending …' : sendWords}
    </Button>
    <Button quiet onclick={onaside}>Save and close</Button>
    <Button quiet onclick={ondiscard}>Discard</Button>
  {/if}
  {#if message.envelope.template && message.changed()}
    <Button
      quiet
      onclick={() => void message.asTheTemplateSays().catch((failure: Error) => onfailed(failure.message))}
      >All as the template says</Button
    >
  {/if}
  {#if proof.rendering}
    <Button quiet aria-pressed={looking} onclick={() => (looking = !looking)}
      >{looking ? 'Back to writing' : `As ${proof.person.name} will read it`}</Button
    >
  {/if}
  <span class="keeping" role="status">
    {#if message.keeping === 'kept'}saved{:else if message.keeping === 'keeping'}saving …{:else if message.keeping === 'unkept'}not
      saved yet; it is safe in this browser{/if}
  </span>
</div>
{#if message.keeping === 'elsewhere'}
  <p class="wrong" role="alert">
    This draft was changed in another window.
    <Button quiet onclick={() => choose(true)}>Keep mine</Button>
    <Button quiet onclick={() => choose(false)}>Take the other one</Button>
  </p>
{/if}
{#if asking && checks.length}
  <Slip title="Send this message?" anchor={sendButton} placement="top-start" onclose={() => (asking = false)}>
    <p>{checks.length === 1 ? 'One thing is' : `${checks.length} things are`} to check:</p>
    <ul class="checks">
      {#each checks as note, i (i)}<li>{note.title}</li>{/each}
    </ul>
    <p class="ways">
      <Button
        main
        data-first
        onclick={() => {
          asking = false;
          onsend();
        }}>{sendWords}</Button
      >
      <Button onclick={() => (asking = false)}>Not yet</Button>
    </p>
  </Slip>
{/if}

<style>
  .go {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 10px;
    align-items: center;
    margin-top: 10px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .checks {
    margin: 4px 0 10px;
    padding-left: 18px;
    list-style: disc;
  }

  .ways {
    display: flex;
    gap: 8px;
  }

  .wrong {
    margin-top: 8px;
    color: var(--stop);
  }
</style>
