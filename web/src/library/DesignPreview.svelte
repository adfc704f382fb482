<script lang="ts">
  import type { Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import MessageFrame, { type Way } from '../ui/MessageFrame.svelte';
  import ViewSwitch from '../ui/ViewSwitch.svelte';
  import BroughtCodes from './BroughtCodes.svelte';
  import { asItCame, type Brought } from './brought';
  import { LOOKS } from './looks';

  /** A design merged for somebody real, on a wide screen, on a phone or as plain text. */
  let {
    proof,
    name,
    brought = null,
    onput = () => Promise.resolve(),
    way = $bindable(),
  }: {
    proof: Schemas['ShownProof'];
    name: string;
    /** What it was made of, where it was brought in. */
    brought?: Brought | null;
    /** Puts fields in the places of codes of another system. */
    onput?: (fields: Record<string, string>) => Promise<void>;
    way: Way;
  } = $props();
  const removed = $derived(brought?.clean.removed ?? []);
  /** A page that was brought in can be looked at as it came, beside what has become of it. */
  const page = $derived(brought?.written === 'HTML' ? brought.text : '');
  let before = $state(false);
</script>

<p class="who">
  {#if page && before}
    as it came
  {:else}
    <span>as <b><bdi>{proof.person.name}</bdi></b> would read it</span>
  {/if}
  {#if page}<Button quiet aria-pressed={before} onclick={() => (before = !before)}>As it came</Button>{/if}
  <ViewSwitch label="How to look at it" ways={LOOKS} bind:way />
</p>
{#if brought?.clean.codes.length}<BroughtCodes clean={brought.clean} {onput} />{/if}
{#if removed.length}
  <details class="removed" open>
    <summary>{removed.length === 1 ? 'One thing' : `${removed.length} things`} left out</summary>
    <ul>
      {#each removed as one (one)}<li>{one}</li>{/each}
    </ul>
  </details>
{/if}
<p class="subject">
  {proof.subject.pieces.map((piece) => piece.text || (piece.label && `[${piece.label}]`)).join('')}
</p>
{#if page && before}
  <iframe class="sheet came" sandbox="allow-same-origin" srcdoc={asItCame(page)} title="{name}, as it came"
  ></iframe>
{:else if proof.rendering && way !== 'plain'}
  <div class="sheet">
    <MessageFrame html={proof.rendering.html} {way} title={name} />
  </div>
{:else}
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <pre tabindex="0" aria-label="As plain text">{proof.rendering?.text ??
      proof.body.pieces.map((piece) => piece.text || (piece.label && `[${piece.label}]`)).join('')}</pre>
{/if}

<style>
  .who {
    display: flex;
    gap: 6px;
    align-items: baseline;
    color: var(--ink-soft);
    font-size: 13px;
  }

  .who :global(.ways) {
    margin-left: auto;
  }

  .removed {
    max-height: 172px;
    margin-top: 6px;
    padding: 4px 10px;
    overflow: auto;
    background: var(--query-tint);
    font-size: 13px;
  }

  ul {
    margin: 2px 0 4px;
    padding-left: 18px;
    list-style: disc;
  }

  .subject {
    padding: 8px 0;
    font: 500 17px/1.3 var(--serif);
    overflow-wrap: anywhere;
  }

  .came {
    width: 100%;
    height: 640px;
  }

  .sheet,
  pre {
    border: 1px solid var(--rule);
    background: var(--sheet);
  }

  pre {
    margin: 0;
    padding: 18px 22px;
    font: 14px/1.5 var(--letter);
    white-space: pre-wrap;
    overflow-wrap: anywhere;
  }
</style>
