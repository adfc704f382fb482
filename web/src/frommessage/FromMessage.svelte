<script lang="ts">
  import { searchParams } from 'sv-router';
  import { untrack } from 'svelte';
  import { fieldsOf, sentence } from '../api/client';
  import { go } from '../app/router';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import Page from '../ui/Page.svelte';
  import Slip from '../ui/Slip.svelte';
  import FoundFields from './FoundFields.svelte';
  import PasteMessage from './PasteMessage.svelte';
  import ReadMessage from './ReadMessage.svelte';
  import { FromMessage } from './fromMessage.svelte';

  /** A template of a message that worked: whose values are in it is found, and fields take their places. */
  const from = new FromMessage();
  const message = $derived(String(searchParams.get('message') ?? ''));
  let failed = $state('');
  let naming = $state(false);
  let opener = $state<HTMLButtonElement>();
  let name = $state('');
  let wrong = $state('');
  const yes = $derived(from.taken.filter((field) => field >= 0).length);

  async function look() {
    failed = '';
    try {
      await from.look();
    } catch (failure) {
      failed = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
  }

  $effect(() => {
    if (message)
      untrack(() => {
        from.words.message = message;
        void look();
      });
  });

  function begin() {
    const subject = from.read?.texts.find((text) => text.key === 'SUBJECT');
    name = (subject?.parts ?? [])
      .map((part) => part.text)
      .join('')
      .slice(0, 120);
    naming = true;
  }

  async function make(event: SubmitEvent) {
    event.preventDefault();
    try {
      go(`/templates/${await from.make(name)}`);
    } catch (failure) {
      wrong = fieldsOf(failure).name ?? sentence(failure);
    }
  }
</script>

<Page title="Template from a message" crumb={from.read?.name ? `written to ${from.read.name}` : ''}>
  {#snippet actions()}
    {#if from.read}
      {#if !message}<Button onclick={() => (from.read = null)}>Back to the text</Button>{/if}
      <Button main bind:element={opener} onclick={begin}>Create template…</Button>
    {/if}
  {/snippet}
  {#snippet foot()}
    {#if from.read && from.taken.length}
      <span aria-live="polite">{yes} of {from.taken.length} values become fields</span>
    {/if}
  {/snippet}
  {#if from.read}
    <div class="two">
      <ReadMessage {from} />
      <FoundFields {from} onreread={() => void look()} />
    </div>
  {:else if message}
    <p class="said" role={failed ? 'alert' : undefined}>
      {failed}
      {#if failed}<Button quiet onclick={() => go('/templates/new')}>Begin another template</Button>{/if}
    </p>
  {:else}
    <PasteMessage {from} wrong={failed} onlook={() => void look()} />
  {/if}
</Page>
{#if naming}
  <Slip title="Create the template" anchor={opener} placement="bottom-end" onclose={() => (naming = false)}>
    <form onsubmit={make}>
      <Field label="Name for colleagues" required bind:value={name} error={wrong} />
      <p class="soft">It goes to My templates and isn’t ready yet: read it on the desk first.</p>
      <Button main type="submit">Create template</Button>
    </form>
  </Slip>
{/if}

<style>
  .two {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(300px, 400px);
    height: 100%;
  }

  .said {
    padding: 20px;
  }

  .soft {
    margin-bottom: 10px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  @media (width <= 800px) {
    .two {
      display: block;
      height: auto;
    }
  }
</style>
