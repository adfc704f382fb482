<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import type { Turns } from '../ui/turns';
  import RecordFinder from './RecordFinder.svelte';
  import FieldInput from './FieldInput.svelte';

  /** One field: pressing its value opens it, Enter keeps it, Esc leaves it as it was. */
  let {
    page,
    fact,
    used,
    turns,
    onchanged,
  }: {
    page: Schemas['RecordPage'];
    fact: Schemas['Fact'];
    used: boolean;
    turns: Turns;
    onchanged: (page: Schemas['RecordPage']) => void;
  } = $props();

  let editing = $state(false);
  let typed = $state('');
  let wrong = $state('');
  let opener = $state<HTMLButtonElement>();
  const organisation = $derived(fact.type === 'RELATION' && fact.choices.length === 0);

  $effect(() => {
    // An address can lead to a field: its line is gone to, and opened.
    if (location.hash === `#fact-${fact.name}` && opener) {
      opener.scrollIntoView({ block: 'center' });
      opener.focus();
      history.replaceState(history.state, '', location.pathname);
    }
  });

  function open() {
    typed = fact.stored;
    wrong = '';
    editing = true;
  }

  async function keep(value: string) {
    if (value === fact.stored) return close();
    try {
      await turns.take(async () =>
        onchanged(
          await ask('patch', '/api/records/{kind}/{id}', {
            params: { kind: page.kind, id: page.id },
            body: { version: page.version, values: { [fact.name]: value } },
          }),
        ),
      );
      close();
    } catch (failure) {
      wrong = fieldsOf(failure)[fact.name] ?? sentence(failure);
    }
  }

  /** The focus comes back to the line, unless a quick hand has gone on to another one meanwhile. */
  function close() {
    editing = false;
    requestAnimationFrame(() => {
      if (document.activeElement === document.body) opener?.focus();
    });
  }

  function onkeydown(event: KeyboardEvent) {
    const several = fact.type === 'LONG_TEXT' || fact.type === 'CHOICES';
    if (event.key === 'Enter' && (!several || event.ctrlKey)) {
      event.preventDefault();
      void keep(typed);
    } else if (event.key === 'Escape') {
      event.stopPropagation();
      close();
    }
  }
</script>

<dt id="fact-{fact.name}">{fact.label}</dt>
<dd>
  {#if editing && organisation}
    <RecordFinder
      label={fact.label}
      kind="organisation"
      name={fact.shown}
      error={wrong}
      onchoose={(id) => void keep(id)}
    />
  {:else if editing}
    <!-- svelte-ignore a11y_no_static_element_interactions -->
    <div class="edit" {onkeydown}>
      <FieldInput
        label={fact.label}
        type={fact.type}
        choices={fact.choices}
        required={fact.required}
        most={fact.most}
        bind:value={typed}
        invalid={wrong !== ''}
      />
      <button class="keep" onclick={() => void keep(typed)}>save</button>
      <button class="keep soft" onclick={close}>cancel</button>
      {#if wrong}<p role="alert">{wrong}</p>{/if}
    </div>
  {:else}
    <button
      bind:this={opener}
      class="value"
      class:used
      aria-labelledby="fact-{fact.name} value-{fact.name}"
      onclick={open}
    >
      <span id="value-{fact.name}">
        {#if fact.shown}<bdi>{fact.shown}</bdi>{:else}<span class="missing">missing</span>
          <span class="fill">add value</span>{/if}
      </span>
    </button>
    {#if used}<span class="mark">used</span>{/if}
  {/if}
</dd>

<style>
  dd {
    min-width: 0;
  }

  .value {
    min-height: 24px;
    max-width: 100%;
    padding: 2px 4px;
    border: 0;
    border-radius: var(--corner);
    background: none;
    color: var(--ink);
    font: inherit;
    text-align: left;
    white-space: pre-line;
    overflow-wrap: anywhere;
    cursor: text;
  }

  .value:hover {
    background: var(--chosen);
  }

  .used {
    font-weight: 600;
  }

  .mark {
    margin-left: 4px;
    color: var(--contact);
    font: italic 12.5px var(--serif);
  }

  .missing {
    color: var(--ink-soft);
    font-style: italic;
  }

  .used .missing {
    border-bottom: 1px dashed var(--stop);
    color: var(--stop);
    font-style: normal;
  }

  .fill {
    margin-left: 4px;
    color: var(--ink);
    opacity: 0;
  }

  .value:hover .fill,
  .value:focus-visible .fill,
  .used .fill {
    opacity: 1;
  }

  .keep {
    min-height: 24px;
    padding: 2px 4px;
    border: 0;
    background: none;
    color: var(--ink);
    font: inherit;
    cursor: pointer;
    text-decoration: underline 1px;
    text-underline-offset: 3px;
  }

  .soft {
    color: var(--ink-soft);
  }

  p {
    color: var(--stop);
    font-size: 12.5px;
  }
</style>
