<script lang="ts">
  import type { Schemas } from '../api/client';
  import { me } from '../app/session.svelte';
  import Button from '../ui/Button.svelte';
  import ProofPeople from './ProofPeople.svelte';
  import type { DeskState } from './deskState.svelte';

  /** The message as the proof person would read it. */
  let { desk }: { desk: DeskState } = $props();

  const proof = $derived(desk.proof);
  let choosing = $state(false);
  let opener = $state<HTMLButtonElement>();
  const origins: Record<string, string> = {
    RECORD: 'from the record',
    FALLBACK: 'fallback',
    CHOSEN: 'chosen for this message',
    GAP: 'missing, and no fallback',
    BROKEN: 'can’t be read',
  };

  function title(piece: Schemas['ShownPiece']): string | undefined {
    if (piece.origin === 'WRITTEN' || piece.origin === 'BLANK') return undefined;
    return `${piece.label || 'Field'}: ${origins[piece.origin]}`;
  }
</script>

{#snippet pieces(list: Schemas['ShownPiece'][])}
  {#each list as piece, i (i)}{#if piece.origin === 'GAP'}<span class="gap" title={title(piece)}
        >{piece.label}?</span
      >{:else if piece.origin === 'BROKEN'}<span class="gap" title={title(piece)}>{piece.text}</span
      >{:else if piece.written && piece.text}<span
        class="value"
        class:fallback={piece.origin === 'FALLBACK'}
        style:--colour="var(--{piece.source || 'date'})"
        title={title(piece)}><bdi>{piece.text}</bdi></span
      >{:else}{piece.text}{/if}{/each}
{/snippet}

<section class="proof" aria-label="Proof">
  <div class="who">
    <button
      class="step"
      aria-label="Previous person"
      title="Previous person (Shift+F9)"
      onclick={() => void desk.step(false)}>‹</button
    >
    <button
      class="person"
      bind:this={opener}
      aria-expanded={choosing}
      title="Choose whom to prove with"
      onclick={() => (choosing = !choosing)}><bdi>{proof?.person.name ?? '…'}</bdi></button
    >
    <button
      class="step"
      aria-label="Next person"
      title="Next person (F9)"
      onclick={() => void desk.step(true)}>›</button
    >
    <span class="of">{desk.total ? `of ${desk.total}` : ''}</span>
  </div>
  {#if proof}
    <p class="about">
      <bdi>{proof.person.company}</bdi>
      {#if proof.person.deals.length > 1 && (desk.draft?.about === 'CONTACT' || desk.draft?.about === 'DEAL')}
        · <label
          >deal <select
            value={proof.person.deal}
            onchange={(event) => void desk.proveWithDeal(event.currentTarget.value)}
          >
            {#each proof.person.deals as deal (deal.id)}<option value={deal.id}>{deal.name}</option>{/each}
          </select></label
        >
      {/if}
    </p>
    <div class="inbox" aria-label="As the inbox shows it">
      <b>{me().firstName} {me().lastName}</b>
      <span class="subject">{@render pieces(proof.subject.pieces)}</span>
      <span class="first">
        {proof.body.pieces
          .map((piece) => piece.text)
          .join('')
          .replace(/\s+/g, ' ')
          .slice(0, 90)}
      </span>
    </div>
    {#if proof.previewText.pieces.length}
      <p class="preview">
        Preview text: {@render pieces(proof.previewText.pieces)}
        <span>A plain message shows its first words instead.</span>
      </p>
    {/if}
    <div class="mail" lang={proof.person.language}>{@render pieces(proof.body.pieces)}</div>
  {/if}
  {#if desk.proofFailed}
    <p class="failed" role="alert">
      {desk.proofFailed}
      <Button quiet onclick={() => desk.prove()}>Try again</Button>
    </p>
  {/if}
</section>
{#if choosing && desk.draft}
  <ProofPeople
    about={desk.draft.about}
    anchor={opener}
    onclose={() => (choosing = false)}
    onchoose={(person) => {
      choosing = false;
      void desk.proveWith(person);
    }}
  />
{/if}

<style>
  .proof {
    min-height: 0;
    padding: 12px 18px;
    overflow: auto;
    background: var(--shade);
  }

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
    color: var(--act);
    font: 500 19px/1.2 var(--serif);
    cursor: pointer;
  }

  .person {
    color: var(--ink);
    font-size: 17px;
    text-align: left;
    overflow-wrap: anywhere;
  }

  .person:hover {
    text-decoration: underline dotted;
  }

  .of {
    margin-left: auto;
    color: var(--ink-soft);
    font-size: 12.5px;
    white-space: nowrap;
  }

  .about {
    min-height: 1.6em;
    padding: 2px 0 0 4px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .about select {
    max-width: 200px;
    border: 0;
    border-bottom: 1px solid var(--edge);
    background: none;
    color: var(--ink);
    font: inherit;
  }

  .about option {
    background: var(--sheet);
  }

  .inbox {
    margin: 8px 0;
    padding: 7px 12px;
    border: 1px solid var(--rule);
    background: var(--sheet);
    font-size: 13px;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .inbox b {
    margin-right: 8px;
    font-weight: 600;
  }

  .first {
    margin-left: 6px;
    color: var(--ink-soft);
  }

  .preview {
    margin: -2px 0 8px;
    padding: 0 12px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .preview span:last-child {
    font-style: italic;
  }

  .mail {
    min-height: 300px;
    padding: 18px 22px;
    border: 1px solid var(--rule);
    background: var(--sheet);
    font: 14px/1.5 var(--letter);
    white-space: pre-wrap;
    overflow-wrap: anywhere;
  }

  .value {
    border-bottom: 1.5px dotted var(--colour);
  }

  .fallback {
    background: var(--query-tint);
  }

  .gap {
    padding: 0 4px;
    background: var(--stop-tint);
    color: var(--stop);
  }

  .failed {
    margin-top: 10px;
    color: var(--stop);
  }
</style>
