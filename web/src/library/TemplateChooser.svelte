<script lang="ts">
  import { untrack } from 'svelte';
  import { ask, sentence, type Schemas } from '../api/client';
  import type { TypedAhead } from '../app/typedAhead';
  import DesignPreview from './DesignPreview.svelte';
  import { Looking } from './looking.svelte';
  import type { Way } from '../ui/MessageFrame.svelte';

  /** Chooses what to write from: templates that fit this record first, then those used last. */
  let {
    about,
    whom,
    ahead,
    only = false,
    fits = () => true,
    look,
    onchoose,
    onclose,
  }: {
    about: Schemas['TemplateLine']['about'];
    /** Who is written to, and about which deal. */
    whom: { kind: Schemas['MessageToSend']['kind']; person: string; deal?: string | null };
    /** What was typed before this was there. */
    ahead?: TypedAhead;
    /** Whether it has to be a template. */
    only?: boolean;
    /** Which templates can be chosen. */
    fits?: (line: Schemas['TemplateLine']) => boolean;
    /** What a template would say to this very person. */
    look: (template: string) => Promise<Schemas['ShownProof']>;
    /** A template, or none and how the empty message is written. */
    onchoose: (template: string | null, mode: Mode | null) => void;
    onclose: () => void;
  } = $props();

  type Mode = NonNullable<Schemas['Draft']['mode']>;

  /** What a message can begin with that is written from no template. */
  const begins: { mode: Mode; label: string }[] = [
    { mode: 'LETTER', label: 'an empty letter' },
    { mode: 'PLAIN', label: 'an empty plain message' },
    { mode: 'DESIGNED', label: 'an empty designed message' },
  ];

  const empty = $derived(only ? [] : begins);
  const id = $props.id();
  let typed = $state('');
  let lines = $state<Schemas['TemplateLine'][]>([]);
  let failed = $state('');
  let at = $state(0);
  let run = 0;
  /** What the lines were found for. */
  let foundFor = $state<string | null>(null);
  /** Enter was pressed before the lines for what is typed were there. */
  let entered = false;

  $effect(() => {
    const mine = ++run;
    const search = typed;
    // What a choice sets in the envelope is no reason to look again.
    const to = untrack(() => whom);
    ask('get', '/api/templates/fitting', { query: { about, search, ...to } })
      .then((found) => {
        if (mine !== run) return;
        lines = found.filter(fits);
        foundFor = search;
        at = 0;
        if (!entered) return;
        entered = false;
        choose(0);
      })
      .catch((failure) => (failed = sentence(failure)));
  });

  const looking = new Looking();
  let way = $state<Way>('wide');
  const marked = $derived(lines.at(at)?.id ?? '');
  $effect(() => {
    const template = marked;
    looking.at(template ? () => look(template) : null);
  });
  $effect(() => () => looking.end());

  $effect(() => {
    document.getElementById(`${id}-${at}`)?.scrollIntoView({ block: 'nearest' });
  });

  function choose(index: number) {
    // What was not asked for yet would only be in the way of the message.
    looking.end();
    const line = lines[index] as Schemas['TemplateLine'] | undefined;
    if (!line && only) return;
    onchoose(line?.id ?? null, line ? null : (empty[index - lines.length] ?? empty[0]).mode);
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'ArrowDown') at = Math.min(at + 1, lines.length + empty.length - 1);
    else if (event.key === 'ArrowUp') at = Math.max(at - 1, 0);
    else if (event.key === 'Enter' && foundFor !== typed) entered = true;
    else if (event.key === 'Enter') choose(at);
    else if (event.key === 'Escape') onclose();
    else return;
    event.preventDefault();
  }

  /** From here on it hears for itself. */
  const focus = (element: HTMLElement) => {
    element.focus();
    const before = untrack(() => ahead?.take());
    if (!before?.text && !before?.entered) return;
    typed = before.text;
    entered = before.entered;
  };
</script>

<input
  role="combobox"
  aria-label="Choose a template"
  aria-expanded="true"
  aria-controls="{id}-list"
  aria-activedescendant="{id}-{at}"
  autocomplete="off"
  placeholder="Choose a template: type a few letters of its name or text"
  bind:value={typed}
  {onkeydown}
  {@attach focus}
/>
<div class="both" class:alone={!looking.proof}>
  <ul id="{id}-list" role="listbox" aria-label="Templates that fit">
    {#each lines as line, i (line.id)}
      <li
        id="{id}-{i}"
        role="option"
        aria-selected={i === at}
        onpointerdown={(event) => {
          event.preventDefault();
          choose(i);
        }}
      >
        <span
          >{line.favourite ? '★ ' : ''}{line.name}
          <small>{line.purpose ? `· ${line.purpose}` : ''}</small></span
        >
        <small>{line.why}</small>
      </li>
    {/each}
    {#each empty as one, i (one.mode)}
      <li
        id="{id}-{lines.length + i}"
        role="option"
        aria-selected={at === lines.length + i}
        onpointerdown={(event) => {
          event.preventDefault();
          choose(lines.length + i);
        }}
      >
        <span>{typed && !lines.length && i === 0 ? 'No template fits: begin' : 'Begin'} with {one.label}</span
        >
      </li>
    {/each}
    {#if only && typed && foundFor === typed && !lines.length}
      <li class="none">No template fits “{typed}”.</li>
    {/if}
  </ul>
  {#if looking.proof}
    <section aria-label="Preview of {lines.at(at)?.name ?? ''}">
      <DesignPreview proof={looking.proof} name="The message" bind:way />
    </section>
  {/if}
</div>
{#if failed}<p role="alert">{failed}</p>{/if}

<style>
  input {
    width: 100%;
    padding: 7px 12px;
    border: 1px solid var(--ink);
    border-radius: 0;
    background: var(--sheet);
    color: var(--ink);
    font: var(--base) / 1.35 var(--sans);
  }

  .both {
    display: grid;
    grid-template-columns: minmax(240px, 2fr) minmax(0, 3fr);
  }

  .alone {
    grid-template-columns: minmax(0, 1fr);
  }

  section {
    max-height: 380px;
    padding: 10px 14px;
    overflow: auto;
    border: solid var(--rule);
    border-width: 0 1px 1px 0;
    background: var(--shade);
  }

  ul {
    max-height: 380px;
    overflow: auto;
    border: 1px solid var(--rule);
    border-top: 0;
    background: var(--sheet);
  }

  li {
    display: flex;
    justify-content: space-between;
    gap: 12px;
    padding: 6px 12px;
    border-top: 1px solid var(--rule-soft);
    font-size: 13.5px;
    cursor: pointer;
  }

  li[aria-selected='true'] {
    background: var(--chosen);
    box-shadow: inset 3px 0 0 var(--ink);
  }

  small {
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .none {
    color: var(--ink-soft);
    cursor: default;
  }

  p {
    color: var(--stop);
  }

  @media (width <= 700px) {
    .both {
      grid-template-columns: minmax(0, 1fr);
    }

    section {
      display: none;
    }
  }
</style>
