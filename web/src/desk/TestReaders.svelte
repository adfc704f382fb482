<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { isEditor, me } from '../app/session.svelte';
  import Button from '../ui/Button.svelte';
  import Checks from '../ui/Checks.svelte';
  import Field from '../ui/Field.svelte';
  import InlineButton from '../ui/InlineButton.svelte';

  /** Who gets a test: oneself, colleagues, and the check inboxes, which an editor can change here. */
  let {
    to = $bindable(),
    list = $bindable(),
    onwrong,
  }: {
    /** Colleagues, by their ids. */
    to: string[];
    /** Whether the check inboxes get it too. */
    list: boolean;
    /** What went wrong, as a sentence; empty once nothing is. */
    onwrong: (said: string) => void;
  } = $props();

  let colleagues = $state.raw<Schemas['Colleague'][]>([]);
  let inboxes = $state.raw<string[]>([]);
  /** The check inboxes while they are changed, one a line. */
  let typed = $state<string | null>(null);
  const editor = isEditor();

  Promise.all([ask('get', '/api/team'), ask('get', '/api/check-inboxes')])
    .then(([all, { addresses }]) => {
      colleagues = all.filter((one) => one.active && one.id !== me().id);
      inboxes = addresses;
    })
    .catch((failure) => onwrong(sentence(failure)));

  async function keep() {
    try {
      inboxes = (await ask('put', '/api/check-inboxes', { body: { addresses: typed!.split('\n') } }))
        .addresses;
      typed = null;
      onwrong('');
      if (!inboxes.length) list = false;
    } catch (failure) {
      onwrong(Object.values(fieldsOf(failure))[0] ?? sentence(failure));
    }
  }
</script>

<Checks>
  <li><label><input type="checkbox" bind:group={to} value={me().id} /> me</label></li>
  {#each colleagues as one (one.id)}
    <li>
      <label><input type="checkbox" bind:group={to} value={one.id} /> {one.firstName} {one.lastName}</label>
    </li>
  {/each}
  <li class="list">
    <label title={inboxes.join(', ')}
      ><input type="checkbox" bind:checked={list} disabled={!inboxes.length} /> the check inboxes
      <small
        >{inboxes.length === 1
          ? 'one inbox'
          : inboxes.length
            ? `${inboxes.length} inboxes`
            : 'none yet'}</small
      ></label
    >
    {#if editor && typed === null}<InlineButton onclick={() => (typed = inboxes.join('\n'))}
        >edit</InlineButton
      >{/if}
  </li>
</Checks>
{#if typed !== null}
  <Field
    label="Check inboxes, one a line"
    lines={4}
    bind:value={() => typed ?? '', (next) => (typed = next)}
  />
  <p class="ways">
    <Button onclick={() => void keep()}>Save the list</Button>
    <Button quiet onclick={() => (typed = null)}>Cancel</Button>
  </p>
{/if}

<style>
  .list {
    display: flex;
    gap: 8px;
    align-items: center;
    justify-content: space-between;
  }

  .ways {
    display: flex;
    gap: 8px;
    margin: 6px 0 10px;
  }
</style>
