<script lang="ts">
  import InlineButton from '../ui/InlineButton.svelte';
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';

  /** A person's e-mail addresses; the first is written to first. */
  let { page, onchanged }: { page: Schemas['RecordPage']; onchanged: (page: Schemas['RecordPage']) => void } =
    $props();

  type Address = { id: string | null; address: string; label: string };
  let editing = $state<number | null>(null);
  let typed = $state('');
  let wrong = $state('');

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

  p {
    color: var(--stop);
    font-size: 12.5px;
  }
</style>
