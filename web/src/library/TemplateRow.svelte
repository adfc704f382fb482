<script lang="ts">
  import { draggable } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
  import type { Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';

  /** A template as a line of the list; whoever may change it can drag it into another folder. */
  let {
    line,
    deep,
    chosen,
    looked,
    gone = false,
    renaming = false,
    onlook,
    onchoose,
    onfavour,
    onmore,
    onrename,
    ontag,
  }: {
    line: Schemas['TemplateLine'];
    deep: number;
    chosen: boolean;
    /** Whether its preview is beside the list. */
    looked: boolean;
    /** Whether it lies in the bin, where it can only be brought back. */
    gone?: boolean;
    /** Whether its name is typed anew in its place. */
    renaming?: boolean;
    onlook: () => void;
    onchoose: () => void;
    onfavour: () => void;
    onmore: (anchor: HTMLElement) => void;
    /** Another name for it; null to leave it. */
    onrename: (name: string | null) => void;
    /** Shows what has a tag. */
    ontag: (tag: string) => void;
  } = $props();

  function typed(event: KeyboardEvent) {
    const input = event.currentTarget as HTMLInputElement;
    event.stopPropagation();
    if (event.key === 'Enter') onrename(input.value);
    else if (event.key === 'Escape') onrename(null);
    else return;
    event.preventDefault();
  }

  /** Begins with the whole name, so that one can type over it. */
  function whole(input: HTMLInputElement) {
    input.focus();
    input.select();
  }

  const stages = { DRAFT: 'not ready', READY: '', CHANGED: 'changed since it was ready' };

  function dragged(row: HTMLElement) {
    return draggable({
      element: row,
      canDrag: () => line.mayChange && !gone,
      getInitialData: () => ({ template: line.id }),
    });
  }
</script>

<tr class:chosen class:looked {@attach dragged} onclick={onlook} onfocusin={onlook}>
  <td class="marks">
    {#if line.mayChange && !gone}<input
        type="checkbox"
        aria-label="Choose {line.name}"
        checked={chosen}
        onchange={onchoose}
      />{/if}
    <button
      type="button"
      class="star"
      aria-label="Favourite {line.name}"
      aria-pressed={line.favourite}
      onclick={onfavour}>{line.favourite ? '★' : '☆'}</button
    >
  </td>
  <td class="name" style:--deep={deep}>
    {#if renaming}
      <input
        type="text"
        aria-label="Name of {line.name}"
        value={line.name}
        maxlength="120"
        onkeydown={typed}
        onblur={(event) => onrename(event.currentTarget.value)}
        {@attach whole}
      />
    {:else if gone}
      <button
        type="button"
        class="gone"
        data-id={line.id}
        onclick={(event) => onmore(event.currentTarget as HTMLElement)}>{line.name}</button
      >
    {:else}
      <a href="/templates/{line.id}" data-id={line.id} draggable="false">{line.name}</a>
    {/if}
    {#if stages[line.stage] || line.languages.length}<small
        >{[stages[line.stage], line.languages.length ? `also in ${line.languages.join(' and ')}` : '']
          .filter(Boolean)
          .join(' · ')}</small
      >{/if}
    {#each line.tags as tag (tag)}<button
        type="button"
        class="tag"
        aria-label="Tagged {tag}: show all of these"
        onclick={(event) => {
          event.stopPropagation();
          ontag(tag);
        }}>{tag}</button
      >{/each}
    <span class="subject"
      >{#if line.hit.length}{#each line.hit as part, i (i)}{#if part.hit}<mark>{part.text}</mark
            >{:else}{part.text}{/if}{/each}{:else}{#each line.subject as part, i (i)}{#if part.field}<span
              class="field">{part.text}</span
            >{:else}{part.text}{/if}{/each}{/if}</span
    >
  </td>
  <td class="figures">{line.used ? `used ${line.used}` : 'not used'}</td>
  <td class="figures">
    <Button
      quiet
      aria-label="More for {line.name}"
      onclick={(event: MouseEvent) => onmore(event.currentTarget as HTMLElement)}>more</Button
    >
  </td>
</tr>

<style>
  td {
    padding: 6px 9px;
    border-bottom: 1px solid var(--rule-soft);
    color: var(--ink-soft);
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .marks {
    padding: 0 0 0 18px;
    text-align: right;
  }

  .name input {
    width: min(320px, 100%);
    padding: 2px 6px;
    border: 1px solid var(--ink);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: 600 14px/1.3 var(--sans);
  }

  .tag {
    margin-left: 6px;
    padding: 0 5px;
    border: 1px solid var(--rule);
    border-radius: var(--corner);
    background: none;
    color: var(--ink-soft);
    font: 12.5px/1.4 var(--sans);
    cursor: pointer;
  }

  .marks input {
    margin: 0 8px 0 0;
    vertical-align: middle;
    accent-color: var(--ink);
  }

  .star {
    min-width: 24px;
    min-height: 24px;
    padding: 0;
    border: 0;
    background: none;
    color: var(--ink-soft);
    font-size: 14px;
    vertical-align: middle;
    cursor: pointer;
  }

  .star[aria-pressed='true'] {
    color: var(--ink);
  }

  tr:hover,
  .chosen {
    background: var(--chosen);
  }

  .looked {
    background: var(--sheet);
    box-shadow: inset 0 0 0 1px var(--ink);
  }

  .figures {
    font-size: 13px;
    text-align: right;
  }

  .name {
    padding-left: calc(2px + var(--deep) * 18px);
  }

  .name a {
    color: var(--ink);
    font-weight: 600;
    text-decoration: none;
  }

  .gone {
    padding: 0;
    border: 0;
    background: none;
    color: var(--ink);
    font: 600 14px/1.3 var(--sans);
    cursor: pointer;
  }

  .name a:hover {
    text-decoration: underline;
  }

  small {
    margin-left: 6px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .subject {
    margin-left: 8px;
    font-size: 13.5px;
  }

  .field {
    padding: 0 2px;
    border-bottom: 1px solid var(--rule);
  }

  mark {
    border-bottom: 2px solid var(--ink);
    background: none;
    color: var(--ink);
    font-weight: 600;
  }

  @media (width <= 700px) {
    .figures:not(:last-child) {
      padding: 0;
      color: transparent;
    }
  }
</style>
