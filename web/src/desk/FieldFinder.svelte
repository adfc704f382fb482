<script lang="ts">
  import { computePosition, flip, offset, shift } from '@floating-ui/dom';
  import type { Schemas } from '../api/client';
  import type { About } from '../library/about';
  import Mark from '../ui/Mark.svelte';
  import FieldSummary from './FieldSummary.svelte';
  import type { FoundField } from './finding';
  import { counted } from './profiles';

  /**
   * The list at the cursor: each field that fits, with what the proof person has and how many people have one; below it
   * what the one that is pointed at really holds. The keys stay in the editor.
   */
  let {
    id,
    rect,
    found,
    at,
    about,
    filled,
    onchoose,
  }: {
    id: string;
    rect: DOMRect | undefined;
    found: FoundField[];
    at: number;
    about: About;
    filled: Schemas['Filled'] | null;
    onchoose: (field: FoundField) => void;
  } = $props();

  let card = $state<HTMLElement>();
  const pointed = $derived(found[at]);

  $effect(() => {
    void found;
    if (!rect || !card) return;
    const shown = card;
    void computePosition({ getBoundingClientRect: () => rect }, shown, {
      strategy: 'fixed',
      placement: 'bottom-start',
      middleware: [offset(4), flip({ padding: 8 }), shift({ padding: 8 })],
    }).then(({ x, y }) => {
      shown.style.left = `${x}px`;
      shown.style.top = `${y}px`;
    });
  });

  $effect(() => {
    card?.querySelector(`#${CSS.escape(`${id}-${at}`)}`)?.scrollIntoView({ block: 'nearest' });
  });
</script>

<div class="finder" hidden={!rect} bind:this={card}>
  <ul {id} role="listbox" aria-label="Fields">
    {#if rect}
      {#each found as field, i (field.path)}
        <li
          id="{id}-{i}"
          role="option"
          aria-selected={i === at}
          onpointerdown={(event) => {
            event.preventDefault();
            onchoose(field);
          }}
        >
          <Mark source={field.source} />
          <span class="label">{field.label} <small>{field.whose}</small></span>
          <span class="value" class:none={!field.value}>{field.value || 'nothing here'}</span>
          <span class="count">{counted(filled, field.path)}</span>
        </li>
      {:else}
        <li role="option" aria-selected="false" aria-disabled="true">No field with this name</li>
      {/each}
    {/if}
  </ul>
  {#if rect && pointed && !pointed.special}
    <FieldSummary {about} path={pointed.path} />
  {/if}
</div>

<style>
  .finder {
    position: fixed;
    top: 0;
    left: 0;
    z-index: 25;
    width: 440px;
    max-width: calc(100vw - 16px);
    border: 1px solid var(--ink);
    border-radius: var(--corner);
    background: var(--sheet);
    box-shadow: var(--shadow);
    font-size: 13.5px;
  }

  ul {
    max-height: 232px;
    overflow: auto;
  }

  li {
    display: flex;
    gap: 4px;
    align-items: baseline;
    padding: 4px 10px;
    border-top: 1px solid var(--rule-soft);
    cursor: pointer;
  }

  li:first-child {
    border-top: 0;
  }

  li[aria-selected='true'] {
    background: var(--chosen);
    box-shadow: inset 3px 0 0 var(--ink);
  }

  small {
    color: var(--ink-soft);
  }

  .label {
    white-space: nowrap;
  }

  .value {
    min-width: 0;
    margin-left: auto;
    padding-left: 14px;
    overflow: hidden;
    color: var(--ink-soft);
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .none {
    font-style: italic;
  }

  .count {
    flex: none;
    width: 72px;
    color: var(--ink-soft);
    font-size: 12px;
    text-align: right;
  }
</style>
