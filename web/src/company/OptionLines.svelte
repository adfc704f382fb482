<script lang="ts" generics="T extends { label: string; code?: string; retired?: boolean }">
  import { tick, type Snippet } from 'svelte';
  import Button from '../ui/Button.svelte';
  import InlineButton from '../ui/InlineButton.svelte';

  /** An ordered list of options: renamed in place, moved up and down, removed or, where records have one, retired, added to. */
  let {
    title,
    about,
    word,
    lines = $bindable(),
    editable,
    fresh,
    uses = {},
    kind = '',
    place = '',
    more,
  }: {
    title: string;
    about: string;
    /** How many records have each, by code. */
    uses?: Record<string, number>;
    /** Which records these are. */
    kind?: string;
    /** The list they are found in by the name of an option. */
    place?: string;
    /** What one of them is called. */
    word: string;
    lines: T[];
    editable: boolean;
    fresh: () => T;
    /** What a line has beside its name. */
    more?: Snippet<[T, number]>;
  } = $props();

  let list = $state<HTMLElement>();

  /** Moves a line. The focus stays with it, so that the next press moves it on. */
  async function move(at: number, by: number, event: Event) {
    const to = at + by;
    if (to < 0 || to >= lines.length) return;
    [lines[at], lines[to]] = [lines[to], lines[at]];
    const rows = [...list!.children];
    const pressed = [...rows[at].children].indexOf(event.currentTarget as Element);
    await tick();
    const same = rows[to].children[pressed] as HTMLButtonElement | HTMLInputElement;
    (same.disabled ? rows[to].querySelector('input')! : same).focus();
  }

  const used = (line: T) => (line.code && uses[line.code]) || 0;
  const records = (line: T) => `${used(line).toLocaleString('en')} ${kind}${used(line) === 1 ? '' : 's'}`;

  /** The cursor is in the new line at once, so that no letter of whoever types on is lost. */
  async function add() {
    lines.push(fresh());
    await tick();
    list?.querySelector<HTMLElement>('li:last-of-type input')?.focus();
  }
</script>

<section aria-label={title}>
  <h2>{title}</h2>
  <p>{about}</p>
  <ol bind:this={list}>
    {#each lines as line, i (i)}
      <li>
        <input
          aria-label="{word} {i + 1}"
          class:retired={line.retired}
          maxlength="60"
          disabled={!editable}
          bind:value={line.label}
          onkeydown={(event) => {
            const by = { ArrowUp: -1, ArrowDown: 1 }[event.key];
            if (!by || !event.altKey) return;
            event.preventDefault();
            void move(i, by, event);
          }}
        />
        {@render more?.(line, i)}
        {#if line.retired}<span class="said">retired</span>{/if}
        {#if used(line)}
          <span class="said">
            {#if place}<a href="{place}?find={encodeURIComponent(line.label)}">{records(line)}</a>
            {:else}{records(line)}{/if}
          </span>
        {/if}
        {#if editable}
          <InlineButton
            sign
            soft
            aria-label="Move {line.label} up"
            disabled={i === 0}
            onclick={(event) => void move(i, -1, event)}>↑</InlineButton
          >
          <InlineButton
            sign
            soft
            aria-label="Move {line.label} down"
            disabled={i === lines.length - 1}
            onclick={(event) => void move(i, 1, event)}>↓</InlineButton
          >
          {#if used(line) || line.retired}
            <InlineButton
              soft
              aria-label="{line.retired ? 'Restore' : 'Retire'} {line.label}"
              onclick={() => (line.retired = !line.retired)}
              >{line.retired ? 'restore' : 'retire'}</InlineButton
            >
          {:else}
            <InlineButton
              soft
              aria-label="Remove {line.label}"
              onclick={() => (lines = lines.filter((_, at) => at !== i))}>remove</InlineButton
            >
          {/if}
        {/if}
      </li>
    {/each}
  </ol>
  {#if editable}<Button onclick={add}>Add a {word}</Button>{/if}
</section>

<style>
  h2 {
    font: 500 var(--large) / 1.3 var(--serif);
  }

  p {
    margin: 2px 0 8px;
    color: var(--ink-soft);
    font-size: 13px;
  }

  ol {
    margin-bottom: 10px;
    padding: 0;
    list-style: none;
  }

  li {
    display: flex;
    gap: 8px;
    align-items: center;
    padding: 4px 0;
    border-bottom: 1px solid var(--rule-soft);
  }

  .said {
    color: var(--ink-soft);
    font-size: 12.5px;
    white-space: nowrap;
  }

  .said a {
    color: inherit;
  }

  .retired {
    color: var(--ink-soft);
  }

  input {
    flex: 1;
    min-width: 90px;
    padding: 5px 8px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: var(--base) / 1.3 var(--sans);
  }
</style>
