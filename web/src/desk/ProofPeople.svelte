<script lang="ts">
  import { ask, type Schemas } from '../api/client';
  import Mark from '../ui/Mark.svelte';
  import Slip from '../ui/Slip.svelte';
  import type { About } from '../library/about';

  /** Chooses whom to prove a draft with. */
  let {
    about,
    anchor,
    onchoose,
    onclose,
  }: {
    about: About;
    anchor: HTMLElement | undefined;
    onchoose: (person: Schemas['ProofPerson']) => void;
    onclose: () => void;
  } = $props();

  let typed = $state('');
  let found = $state<Schemas['ProofPerson'][]>([]);
  let run = 0;

  $effect(() => {
    const mine = ++run;
    void ask('get', '/api/desk/people', { query: { about, search: typed } }).then((people) => {
      if (mine === run) found = people;
    });
  });
</script>

<Slip title="Preview as" {anchor} {onclose}>
  <input
    data-first
    type="search"
    aria-label="A few letters of the name"
    placeholder="a few letters of the name"
    bind:value={typed}
    onkeydown={(event) => {
      if (event.key === 'Enter' && found[0]) onchoose(found[0]);
    }}
  />
  <ul>
    {#each found as person (`${person.id} ${person.dealId}`)}
      <li>
        <button onclick={() => onchoose(person)}>
          <Mark source={person.kind} /><bdi>{person.name}</bdi> <small>{person.remark}</small>
        </button>
      </li>
    {:else}
      <li class="none">Nobody with this name</li>
    {/each}
  </ul>
</Slip>

<style>
  input {
    width: 100%;
    padding: 5px 8px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: inherit;
  }

  ul {
    max-height: 300px;
    margin-top: 6px;
    overflow: auto;
  }

  button {
    width: 100%;
    padding: 4px 0;
    border: 0;
    border-top: 1px solid var(--rule-soft);
    background: none;
    color: var(--ink);
    font: inherit;
    text-align: left;
    cursor: pointer;
  }

  button:hover,
  button:focus-visible {
    background: var(--chosen);
  }

  small,
  .none {
    color: var(--ink-soft);
  }
</style>
