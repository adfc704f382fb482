<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import Slip from '../ui/Slip.svelte';
  import SmallInput from '../ui/SmallInput.svelte';
  import { tomorrow } from './tomorrow';

  /** Has all that is still to leave of a mailing leave at another time. */
  let { mailing, name, onmoved }: { mailing: string; name: string; onmoved: () => Promise<unknown> } =
    $props();

  const first = tomorrow();
  let anchor = $state.raw<HTMLElement | null>(null);
  let date = $state(first.date);
  let time = $state(first.time);
  let wrong = $state('');

  async function move(hour: Schemas['Hour'] | null) {
    try {
      await ask('put', '/api/mailings/{id}/hour', { params: { id: mailing }, body: { hour } });
      anchor = null;
      await onmoved();
    } catch (failure) {
      wrong = sentence(failure);
    }
  }
</script>

<InlineButton
  soft
  aria-label="Move what is left of {name}"
  onclick={(event) => {
    wrong = '';
    anchor = event.currentTarget as HTMLElement;
  }}>move…</InlineButton
>
{#if anchor}
  <Slip title="When the rest of it leaves" {anchor} onclose={() => (anchor = null)}>
    <p><Button quiet onclick={() => void move(null)}>Now, all together</Button></p>
    <form
      onsubmit={(event) => {
        event.preventDefault();
        void move({ date, time, zone: first.zone });
      }}
    >
      <label>From <SmallInput type="date" bind:value={date} required /></label>
      <label>at <SmallInput type="time" bind:value={time} required /></label>
      <Button main type="submit">Choose this hour</Button>
    </form>
    <p class="soft">Spread as before. Whoever had an hour of their own leaves with the others.</p>
    {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
  </Slip>
{/if}

<style>
  form {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 8px;
    align-items: center;
    padding: 8px 0;
    border-top: 1px solid var(--rule);
  }

  .soft {
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .wrong {
    color: var(--stop);
  }
</style>
