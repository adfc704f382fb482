<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import Slip from '../ui/Slip.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import { notify } from '../ui/notices.svelte';
  import { day } from '../ui/when';

  /** The links that show a message on the web: made, copied and closed. */
  let { id, anchor, onclose }: { id: string; anchor: HTMLElement; onclose: () => void } = $props();

  let copies = $state<Schemas['WebCopy'][]>([]);
  let days = $state(14);
  let wrong = $state('');
  let busy = $state(false);

  $effect(() => {
    ask('get', '/api/messages/{id}/web-copies', { params: { id } })
      .then((found) => (copies = found))
      .catch((failure) => (wrong = sentence(failure)));
  });

  async function make(openFor: number | null) {
    busy = true;
    try {
      const made = await ask('post', '/api/messages/{id}/web-copies', {
        params: { id },
        body: { days: openFor },
      });
      copies = [made, ...copies];
      wrong = '';
    } catch (failure) {
      wrong = sentence(failure);
    } finally {
      busy = false;
    }
  }

  async function close(copy: Schemas['WebCopy']) {
    try {
      await ask('delete', '/api/web-copies/{id}', { params: { id: copy.id } });
      copies = copies.filter((one) => one.id !== copy.id);
    } catch (failure) {
      wrong = sentence(failure);
    }
  }

  async function copyAddress(copy: Schemas['WebCopy']) {
    try {
      await navigator.clipboard.writeText(copy.address);
      notify('The link is copied.');
    } catch {
      wrong = 'This browser doesn’t let us copy. Select the link and copy it yourself.';
    }
  }
</script>

<Slip title="Show on the web" {anchor} wide {onclose}>
  {#if copies.length}
    <ul aria-label="Links to this message">
      {#each copies as copy (copy.id)}
        <li>
          <a href={copy.address} target="_blank" rel="noreferrer">{copy.address}</a>
          <p class="soft">
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
  <section>
    <h3>As it was sent</h3>
    <p class="soft">Whoever has the link reads it with all its values, and nothing of that is counted.</p>
    <p class="make">
      Open for
      <SmallSelect
        aria-label="Open for"
        value={days}
        onchange={(event) => (days = Number(event.currentTarget.value))}
      >
        {#each [7, 14, 30, 90] as one (one)}<option value={one}>{one} days</option>{/each}
      </SmallSelect>
      <Button disabled={busy} onclick={() => void make(days)}>Make a link</Button>
    </p>
  </section>
  <section>
    <h3>For anybody</h3>
    <p class="soft">
      Values of the person, their organisation and deal are replaced by the defaults of the fields. Words that
      were typed stay: read the page before you pass it on.
    </p>
    <p class="make">
      <Button disabled={busy} onclick={() => void make(null)}>Make a link for anybody</Button>
    </p>
  </section>
  {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
</Slip>

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

  h3 {
    font: 500 14px/1.3 var(--serif);
  }

  section {
    margin-top: 8px;
  }

  .soft {
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .make {
    margin-top: 5px;
  }

  .wrong {
    margin-top: 8px;
    color: var(--stop);
  }
</style>
