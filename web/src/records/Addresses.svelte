<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import { notify } from '../ui/notices.svelte';
  import Slip from '../ui/Slip.svelte';

  /** A person's e-mail addresses; the first is written to first. */
  let { page, onchanged }: { page: Schemas['RecordPage']; onchanged: (page: Schemas['RecordPage']) => void } =
    $props();

  type Address = { id: string | null; address: string; label: string };
  let editing = $state<number | null>(null);
  let typed = $state('');
  let wrong = $state('');
  /** The address that is about to be put on the do-not-email list. */
  let stopping = $state<{ address: string; anchor: HTMLElement } | null>(null);
  let reason = $state('');

  async function keep(addresses: Address[]) {
    try {
      onchanged(
        await ask('put', '/api/records/{kind}/{id}/addresses', {
          params: { kind: page.kind, id: page.id },
          body: addresses as Schemas['PersonAddress'][],
        }),
      );
      editing = null;
      wrong = '';
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
  }

  function keepTyped() {
    const next: Address[] = [...page.addresses];
    if (editing === page.addresses.length) {
      if (!typed.trim()) return void (editing = null);
      next.push({ id: null, address: typed, label: '' });
    } else if (typed.trim()) {
      next[editing!] = { ...next[editing!], address: typed };
    } else {
      next.splice(editing!, 1);
    }
    void keep(next);
  }

  function open(at: number) {
    editing = at;
    typed = page.addresses[at]?.address ?? '';
    wrong = '';
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'Enter') keepTyped();
    if (event.key === 'Escape') editing = null;
  }

  async function stop(event: SubmitEvent) {
    event.preventDefault();
    const { address } = stopping!;
    try {
      await ask('post', '/api/do-not-email', { body: { entry: address, reason } });
      stopping = null;
      reason = '';
      wrong = '';
      onchanged(await ask('get', '/api/records/{kind}/{id}', { params: { kind: page.kind, id: page.id } }));
      notify(`Nobody writes to ${address} any more.`);
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
  }

  const focus = (element: HTMLElement) => element.focus();
</script>

{#snippet input()}
  <input
    aria-label="E-mail address"
    aria-invalid={wrong ? true : undefined}
    bind:value={typed}
    {onkeydown}
    {@attach focus}
  />
  <InlineButton onclick={keepTyped}>save</InlineButton>
  {#if wrong}<p role="alert">{wrong}</p>{/if}
{/snippet}

<section>
  <h2>E-mail</h2>
  <ul>
    {#each page.addresses as address, i (address.id)}
      <li>
        {#if editing === i}
          {@render input()}
        {:else}
          <button class="value" onclick={() => open(i)}>{address.address}</button>
          <small>{address.label}</small>
          {#if i > 0}
            <InlineButton
              onclick={() => void keep([address, ...page.addresses.filter((one) => one !== address)])}
              >make first</InlineButton
            >
          {/if}
          {#if page.doNotEmail[address.address]}
            <p>{page.doNotEmail[address.address]}</p>
          {:else}
            <InlineButton
              soft
              aria-label="Never e-mail {address.address}"
              onclick={(event) => (stopping = { address: address.address, anchor: event.currentTarget })}
              >never e-mail</InlineButton
            >
          {/if}
        {/if}
      </li>
    {/each}
  </ul>
  {#if editing === page.addresses.length}
    {@render input()}
  {:else}
    <InlineButton onclick={() => open(page.addresses.length)}>
      {page.addresses.length ? 'add another' : 'add an address'}
    </InlineButton>
  {/if}
</section>
{#if stopping}
  <Slip
    title="Never e-mail {stopping.address}"
    anchor={stopping.anchor}
    placement="left-start"
    onclose={() => (stopping = null)}
  >
    <form onsubmit={stop}>
      <p class="soft">Nobody here writes to this address any more, whatever it is about.</p>
      <Field label="Reason" bind:value={reason} error={wrong} placeholder="asked us to stop" />
      <Button main type="submit">Put on the do-not-email list</Button>
    </form>
  </Slip>
{/if}

<style>
  section {
    margin-bottom: 16px;
    font-size: 13.5px;
  }

  h2 {
    margin-bottom: 4px;
    font: 500 15.5px/1.2 var(--serif);
  }

  input {
    width: 70%;
    padding: 3px 6px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: inherit;
  }

  .value {
    min-height: 24px;
    padding: 2px 0;
    border: 0;
    background: none;
    color: var(--ink);
    font: inherit;
    text-align: left;
    overflow-wrap: anywhere;
    cursor: pointer;
  }

  .value:hover {
    background: var(--chosen);
  }

  small {
    color: var(--ink-soft);
  }

  .soft {
    margin-bottom: 8px;
    color: var(--ink-soft);
  }

  p:not(.soft) {
    color: var(--stop);
    font-size: 12.5px;
  }
</style>
