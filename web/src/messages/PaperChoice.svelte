<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import type { MessageState } from './messageState.svelte';

  /** Puts this message, or another template for the same person, on paper, to be attached to it. */
  let { message, onmade }: { message: MessageState; onmade: (file: Schemas['KeptFile']) => void } = $props();

  type Size = 'A4' | 'LETTER';
  /** More are found by more letters. */
  const MOST = 5;

  let size = $state<Size | ''>('');
  let search = $state('');
  let found = $state.raw<Schemas['TemplateLine'][]>([]);
  let making = $state('');
  let wrong = $state('');
  let run = 0;

  const onPaper = (mode: string | null | undefined) => mode === 'LETTER' || mode === 'DESIGNED';
  const itself = $derived(onPaper(message.draft?.mode));

  $effect(() => {
    const mine = ++run;
    const { about } = message.draft!;
    const { kind, person, deal } = message.envelope;
    ask('get', '/api/templates/fitting', { query: { about, search, kind, person, deal } })
      .then((lines) => {
        if (mine === run) found = lines.filter((one) => onPaper(one.mode)).slice(0, MOST);
      })
      .catch((failure) => (wrong = sentence(failure)));
  });

  async function make(template: string | null, called: string) {
    if (making) return;
    making = called;
    wrong = '';
    try {
      onmade(
        await ask('post', '/api/messages/paper', {
          body: { message: message.asItIs(), template, size: size || null },
        }),
      );
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
    making = '';
  }
</script>

<fieldset>
  <legend>
    On paper, as PDF:
    <SmallSelect
      word
      aria-label="Size of the paper"
      value={size}
      onchange={(event) => (size = event.currentTarget.value as typeof size)}
    >
      <option value="">their country’s paper</option>
      <option value="A4">A4</option>
      <option value="LETTER">Letter</option>
    </SmallSelect>
  </legend>
  {#if itself}<Button quiet onclick={() => void make(null, 'this message')}>this message</Button>{/if}
  <Field label={itself ? 'or another template for them' : 'A template for them'} bind:value={search} />
  <ul>
    {#each found as line (line.id)}
      <li><Button quiet onclick={() => void make(line.id, line.name)}>{line.name}</Button></li>
    {/each}
  </ul>
  {#if making}<p role="status">Putting {making} on paper …</p>{/if}
  {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
</fieldset>

<style>
  fieldset {
    margin: 8px 0 0;
    padding: 8px 0 0;
    border: 0;
    border-top: 1px solid var(--rule);
  }

  legend {
    float: left;
    width: 100%;
    padding: 0;
    color: var(--ink-soft);
    font-size: 13px;
  }

  ul {
    margin: 0;
    padding: 0;
    list-style: none;
  }

  p {
    margin-top: 6px;
    color: var(--ink-soft);
    font-size: 13px;
  }

  .wrong {
    color: var(--stop);
  }
</style>
