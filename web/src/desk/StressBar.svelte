<script lang="ts">
  import InlineButton from '../ui/InlineButton.svelte';
  import type { DeskState } from './deskState.svelte';
  import { figure } from './profiles';

  /** Hard cases: the few people that together show all the draft can do, each with why they were chosen. */
  let { desk }: { desk: DeskState } = $props();

  const stress = $derived(desk.people.stress);
  const many = $derived(stress.choice?.proofs.length ?? 0);
  let listed = $state(false);

  function bound(): string {
    const choice = stress.choice!;
    return choice.leastPossible === many
      ? 'no fewer would do'
      : `at least ${choice.leastPossible} are needed`;
  }
</script>

<div class="stress" role="status">
  {#if stress.running && !stress.current}
    <span>Trying the draft with everybody: {figure(stress.read)} of {figure(stress.of)} …</span>
    <InlineButton onclick={() => stress.stop()}>Stop</InlineButton>
  {:else if stress.failed}
    <span class="wrong">{stress.failed}</span>
    <InlineButton onclick={() => void desk.people.stepStress(1)}>Try again</InlineButton>
  {:else if stress.current}
    <span class="head">
      <b>Hard case {stress.at + 1} of {many}</b>
      <InlineButton
        aria-label="Previous hard case"
        title="Shift+F2"
        onclick={() => void desk.people.stepStress(-1)}>‹</InlineButton
      >
      <InlineButton aria-label="Next hard case" title="F2" onclick={() => void desk.people.stepStress(1)}
        >›</InlineButton
      >
      <InlineButton soft aria-expanded={listed} onclick={() => (listed = !listed)}
        >{listed ? 'less' : 'all of them'}</InlineButton
      >
      {#if stress.running}
        <small
          >from {figure(stress.choice!.read)} people so far; trying everybody: {figure(stress.read)} of {figure(
            stress.of,
          )}</small
        >
      {/if}
    </span>
    <ul class="why">
      {#each stress.current.why as reason (reason)}<li>{reason}</li>{/each}
    </ul>
    {#if listed}
      <p class="soft">
        {many} of {stress.choice!.read} people show all {stress.choice!.things} things this draft does; {bound()}.
      </p>
      <ol>
        {#each stress.choice!.proofs as proof, i (proof.id + (proof.dealId ?? ''))}
          <li>
            <InlineButton
              aria-current={i === stress.at ? 'true' : undefined}
              onclick={() => {
                stress.at = i;
                void desk.people.take(proof, true);
              }}><bdi>{proof.name || 'no name'}</bdi></InlineButton
            >
            <small>{proof.why.join('; ')}</small>
          </li>
        {/each}
      </ol>
    {/if}
  {:else}
    <InlineButton
      title="The fewest people who together show every variation (F2)"
      onclick={() => void desk.people.stepStress(1)}>Hard cases</InlineButton
    >
  {/if}
</div>

<style>
  .stress {
    margin: 2px 0 0 2px;
    font-size: 12.5px;
  }

  .head {
    display: flex;
    gap: 4px;
    align-items: baseline;
  }

  b {
    margin-right: 4px;
    font-weight: 600;
  }

  .why li {
    display: inline;
    color: var(--ink-soft);
  }

  .why li:not(:last-child)::after {
    content: ' · ';
  }

  ol {
    max-height: 200px;
    margin: 4px 0;
    overflow: auto;
    border-top: 1px solid var(--rule);
  }

  ol li {
    padding: 1px 0;
    border-bottom: 1px solid var(--rule-soft);
  }

  ol :global([aria-current]) {
    font-weight: 600;
  }

  small,
  .soft {
    color: var(--ink-soft);
    font-size: var(--small);
  }

  .wrong {
    color: var(--stop);
  }
</style>
