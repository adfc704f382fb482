<script lang="ts">
  import { ask } from '../api/client';

  /** Finds one record by a few letters of the name. */
  let {
    label,
    kind,
    name = '',
    error = '',
    ready = false,
    onchoose,
  }: {
    label: string;
    kind: 'contact' | 'lead' | 'organisation' | 'deal';
    name?: string;
    error?: string;
    /** Whether one writes into it as soon as it is there. */
    ready?: boolean;
    onchoose: (id: string, name: string) => void;
  } = $props();

  const id = $props.id();
  // svelte-ignore state_referenced_locally
  let typed = $state(name);
  let found = $state<{ id: string; name: string; remark: string }[]>([]);
  let open = $state(false);
  let at = $state(0);
  let run = 0;
  /** Whether an answer is awaited, and Enter was pressed for it. */
  let finding = $state(false);
  let entered = false;

  async function find() {
    const mine = ++run;
    open = true;
    finding = true;
    entered = false;
    const window = await ask('get', '/api/records/{kind}', {
      params: { kind },
      query: { search: typed, most: 7 },
    }).catch(() => null);
    if (mine !== run) return;
    finding = false;
    if (!window) return;
    found = window.lines.map((line) => ({ id: line.id, name: line.cells[0], remark: line.cells[1] }));
    at = 0;
    if (entered && found.length) choose(found[0]);
  }

  function choose(one: (typeof found)[number]) {
    typed = one.name;
    open = false;
    onchoose(one.id, one.name);
  }

  function onkeydown(event: KeyboardEvent) {
    if (!open) return;
    if (event.key === 'Enter' && finding) entered = true;
    else if (!found.length) return;
    else if (event.key === 'ArrowDown') at = (at + 1) % found.length;
    else if (event.key === 'ArrowUp') at = (at + found.length - 1) % found.length;
    else if (event.key === 'Enter') choose(found[at]);
    else if (event.key === 'Escape') open = false;
    else return;
    event.preventDefault();
    event.stopPropagation();
  }
</script>

<div class="finder">
  <label for={id}>{label}</label>
  <!-- svelte-ignore a11y_autofocus -->
  <input
    {id}
    autofocus={ready}
    role="combobox"
    aria-expanded={open}
    aria-controls="{id}-found"
    aria-activedescendant={open && found[at] ? `${id}-${at}` : undefined}
    autocomplete="off"
    placeholder="a few letters of the name"
    bind:value={typed}
    oninput={() => {
      if (!typed) onchoose('', '');
      void find();
    }}
    onblur={() => (open = false)}
    {onkeydown}
  />
  <ul id="{id}-found" role="listbox" aria-label={label} hidden={!open}>
    {#each found as one, i (one.id)}
      <li
        id="{id}-{i}"
        role="option"
        aria-selected={i === at}
        onpointerdown={(event) => {
          event.preventDefault();
          choose(one);
        }}
      >
        {one.name} <small>{one.remark}</small>
      </li>
    {:else}
      {#if !finding}
        <li role="option" aria-selected="false" aria-disabled="true">Nothing with this name</li>
      {/if}
    {/each}
  </ul>
  {#if error}<p>{error}</p>{/if}
</div>

<style>
  .finder {
    position: relative;
    margin-bottom: 10px;
  }

  label {
    display: block;
    margin-bottom: 2px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  input {
    width: 100%;
    padding: 6px 9px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: var(--base) / 1.35 var(--sans);
  }

  ul {
    border: 1px solid var(--rule);
    border-top: 0;
    background: var(--sheet);
  }

  li {
    padding: 4px 9px;
    cursor: pointer;
  }

  li[aria-selected='true'] {
    background: var(--chosen);
  }

  small {
    color: var(--ink-soft);
  }

  p {
    margin-top: 3px;
    color: var(--stop);
    font-size: 12.5px;
  }
</style>
