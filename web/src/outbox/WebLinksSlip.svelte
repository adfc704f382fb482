<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import Slip from '../ui/Slip.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import WebLinks from './WebLinks.svelte';

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
</script>

<Slip title="Show on the web" {anchor} wide {onclose}>
  <WebLinks bind:copies label="Links to this message" onwrong={(said) => (wrong = said)} />
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
