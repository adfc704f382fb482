<script lang="ts">
  import type { DeskState } from './deskState.svelte';
  import ProofPeople from './ProofPeople.svelte';

  /** As whom the message is read: the one before, the next, or whomever one chooses. */
  let { desk }: { desk: DeskState } = $props();

  let choosing = $state(false);
  let opener = $state<HTMLButtonElement>();
  const proof = $derived(desk.preview.proof);
</script>

<div class="who">
  <span class="as">As</span>
  <button
    class="step"
    aria-label="Previous person"
    title="Previous person (Shift+F9)"
    onclick={() => void desk.people.step(false)}>‹</button
  >
  <button
    class="person"
    bind:this={opener}
    aria-expanded={choosing}
    title="Choose whom to preview as"
    onclick={() => (choosing = !choosing)}><bdi>{proof?.person.name ?? '…'}</bdi></button
  >
  <button
    class="step"
    aria-label="Next person"
    title="Next person (F9)"
    onclick={() => void desk.people.step(true)}>›</button
  >
  <span class="as">will read it</span>
  <span class="of"
    >{desk.people.total ? `of ${desk.people.total}` : proof ? 'made up, until you have contacts' : ''}</span
  >
</div>
{#if choosing && desk.draft}
  <ProofPeople
    about={desk.draft.about}
    anchor={opener}
    onclose={() => (choosing = false)}
    onchoose={(person) => {
      choosing = false;
      void desk.people.take(person);
    }}
  />
{/if}

<style>
  .who {
    display: flex;
    align-items: baseline;
    gap: 4px;
  }

  .step,
  .person {
    min-width: 24px;
    min-height: 26px;
    padding: 0 4px;
    border: 0;
    background: none;
    color: var(--ink);
    font: 500 19px/1.2 var(--serif);
    cursor: pointer;
  }

  .person {
    font-size: 17px;
    text-align: left;
    overflow-wrap: anywhere;
  }

  .person:hover {
    text-decoration: underline dotted;
  }

  .as {
    color: var(--ink-soft);
    font-size: 13px;
    white-space: nowrap;
  }

  .of {
    margin-left: auto;
    color: var(--ink-soft);
    font-size: 12.5px;
    white-space: nowrap;
  }
</style>
