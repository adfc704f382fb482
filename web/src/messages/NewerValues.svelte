<script lang="ts">
  import Button from '../ui/Button.svelte';
  import type { MessageState } from './messageState.svelte';

  /** Values of a draft that its records have others for by now; each is taken over, or left, by itself. */
  let {
    message,
    onnewer,
  }: {
    message: MessageState;
    /** One of them is to be used. */
    onnewer: (one: MessageState['hand']['newer'][number]) => void;
  } = $props();
</script>

<section aria-label="Changed since">
  <p>
    {message.hand.newer.length === 1 ? 'One value has' : `${message.hand.newer.length} values have`} changed since
    this draft was begun:
  </p>
  <ul>
    {#each message.hand.newer as one (`${one.key} ${one.start}`)}
      <li>
        <b>{one.label}</b>: “{one.was}” {one.is ? `is “${one.is}” now.` : 'has no value any more.'}
        {#if one.is}
          <Button quiet onclick={() => onnewer(one)}>Use the new one</Button>
        {/if}
      </li>
    {/each}
  </ul>
</section>

<style>
  section {
    margin-bottom: 10px;
    padding-left: 12px;
    border-left: 2px solid var(--query);
    font-size: 13px;
  }

  ul {
    margin: 4px 0 0;
    padding: 0;
    list-style: none;
  }
</style>
