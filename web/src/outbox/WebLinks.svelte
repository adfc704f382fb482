<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import InlineButton from '../ui/InlineButton.svelte';
  import { notify } from '../ui/notices.svelte';
  import { day } from '../ui/when';

  /** Links that show something on the web: copied and closed. */
  let {
    copies = $bindable(),
    label,
    onwrong,
  }: {
    copies: Schemas['WebCopy'][];
    /** What the list is called. */
    label: string;
    /** What went wrong, as a sentence. */
    onwrong: (said: string) => void;
  } = $props();

  async function close(copy: Schemas['WebCopy']) {
    try {
      await ask('delete', '/api/web-copies/{id}', { params: { id: copy.id } });
      copies = copies.filter((one) => one.id !== copy.id);
    } catch (failure) {
      onwrong(sentence(failure));
    }
  }

  async function copyAddress(copy: Schemas['WebCopy']) {
    try {
      await navigator.clipboard.writeText(copy.address);
      notify('The link is copied.');
    } catch {
      onwrong('This browser doesn’t let us copy. Select the link and copy it yourself.');
    }
  }
</script>

{#if copies.length}
  <ul aria-label={label}>
    {#each copies as copy (copy.id)}
      <li>
        <a href={copy.address} target="_blank" rel="noreferrer">{copy.address}</a>
        <p>
          {copy.forAnybody ? 'For anybody' : 'As it was sent'}, open until {copy.openUntil
            ? day(copy.openUntil)
            : 'it is closed'}, by {copy.madeBy}
          <InlineButton onclick={() => void copyAddress(copy)}>Copy the link</InlineButton>
          {#if copy.mayClose}<InlineButton onclick={() => void close(copy)}>Close it</InlineButton>{/if}
        </p>
      </li>
    {/each}
  </ul>
{/if}

<style>
  ul {
    margin: 0 0 10px;
    padding: 0;
    list-style: none;
  }

  li {
    padding: 5px 0;
    border-bottom: 1px solid var(--rule);
    overflow-wrap: anywhere;
  }

  p {
    color: var(--ink-soft);
    font-size: 12.5px;
  }
</style>
