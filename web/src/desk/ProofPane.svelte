<script lang="ts">
  import type { Schemas } from '../api/client';
  import { me } from '../app/session.svelte';
  import { shortcuts } from '../app/keys.svelte';
  import Button from '../ui/Button.svelte';
  import MessageFrame, { type Way } from '../ui/MessageFrame.svelte';
  import { stopAt, STOPS, type Stop } from '../ui/previewWidth';
  import ViewSwitch from '../ui/ViewSwitch.svelte';
  import MergedPieces from './MergedPieces.svelte';
  import PreviewWho from './PreviewWho.svelte';
  import StressBar from './StressBar.svelte';
  import Why from './Why.svelte';
  import { Beside } from './beside.svelte';
  import type { ProofFor } from './proofOf';
  import { onChange } from '../app/changes';
  import type { Composing } from './body/composing.svelte';
  import type { DeskState } from './deskState.svelte';

  /** The message as the proof person would read it. */
  let {
    desk,
    composing,
    variants,
    ongoto,
    onword,
  }: {
    desk: DeskState;
    composing: Composing;
    /** The languages that the template is written in. */
    variants: Schemas['ShownVariant'][];
    /** Goes to a place of the draft. */
    ongoto: (part: Schemas['ShownNote']['part'], start: number) => void;
    /** Goes to a word of a block, the how manieth of its kind there. */
    onword: (block: string, word: string, nth: number) => void;
  } = $props();

  const WAYS: readonly Way[] = ['wide', 'tablet', 'phone', 'plain', 'no pictures', 'dark'];
  const proof = $derived(desk.preview.proof);
  const languages = $derived(variants.flatMap((one) => (one.id ? [{ id: one.id, name: one.name }] : [])));
  /** The template that is shown: this one, or the same in another language. */
  let read = $derived(desk.id);
  const beside = new Beside();
  const other = $derived(read !== desk.id && languages.some((one) => one.id === read) ? read : null);
  const shown = $derived((other && beside.proof) || proof);
  const person = $derived(
    proof &&
      JSON.stringify({ kind: proof.person.kind, id: proof.person.id, deal: proof.person.deal || null }),
  );

  $effect(() => {
    if (!person) return;
    const whom = JSON.parse(person) as ProofFor;
    const template = other;
    void beside.show(template, whom);
    return onChange((change) => {
      if (template && change.what === 'template' && change.id === template) void beside.show(template, whom);
    });
  });

  /** Where it is to be had on paper; HTML that was brought in is not. */
  const paper = $derived.by(() => {
    if (!proof || !desk.id || !['LETTER', 'DESIGNED'].includes(desk.draft?.mode ?? '') || !proof.person.id)
      return '';
    const { kind, id, deal } = proof.person;
    const whom = new URLSearchParams({ kind, person: id, ...(deal ? { deal } : {}) });
    return `/api/templates/${other ?? desk.id}/paper?${whom}`;
  });

  /** Goes on to the next language, at last back to this one. */
  function nextLanguage() {
    const at = languages.findIndex((one) => one.id === (other ?? desk.id));
    read = languages[(at + 1) % languages.length]?.id ?? desk.id;
  }
  let width = $state<number>(STOPS.wide);
  let looked = $state<'plain' | 'no pictures' | 'dark' | null>(null);
  /** What is chosen of the ways; between the stops none is. */
  const way = $derived<Way | ''>(looked ?? stopAt(width) ?? '');

  function look(chosen: Way) {
    looked = chosen in STOPS ? null : (chosen as typeof looked);
    if (chosen in STOPS) width = STOPS[chosen as Stop];
  }
  let whole = $state(false);
  let frame = $state<MessageFrame>();

  // The block that is written in is kept in view here too.
  $effect(() => {
    if (composing.writing) frame?.show(composing.writing);
  });

  type Part = Schemas['ShownNote']['part'];
  type Piece = Schemas['ShownPiece'];
  type Pointed = { piece: Piece; part: Part; anchor: HTMLElement; pinned: boolean };
  let pointed = $state<Pointed | null>(null);

  function point(at: Pointed) {
    if (!pointed?.pinned) pointed = at;
  }

  function leave() {
    if (!pointed?.pinned) pointed = null;
  }

  $effect(() =>
    shortcuts([
      {
        key: 'p',
        label: 'Preview over the whole page, and back',
        run: () => (whole = !whole && !!proof?.rendering),
      },
      {
        key: 'm',
        label: 'Preview on a wide screen, a tablet, a phone, as plain text …',
        run: () => look(WAYS[(WAYS.indexOf(way as Way) + 1) % WAYS.length]),
      },
      { key: 'l', label: 'The same in another language, and back', run: nextLanguage },
    ]),
  );

  $effect(() => {
    // What is pointed at goes when the proof is another one.
    void proof;
    pointed = null;
  });
</script>

{#snippet pieces(list: Piece[], part: Part)}<MergedPieces
    pieces={list}
    bare={!!other}
    onpoint={(piece, anchor) => point({ piece, part, anchor, pinned: false })}
    onleave={leave}
    onpin={(piece, anchor) => (pointed = { piece, part, anchor, pinned: true })}
  />{/snippet}

<section class="proof" class:whole aria-label="Preview">
  <PreviewWho {desk} />
  <StressBar {desk} />
  {#if proof && shown}
    <p class="about">
      <bdi>{proof.person.company}</bdi>
      {#if proof.person.deals.length > 1 && (desk.draft?.about === 'CONTACT' || desk.draft?.about === 'DEAL')}
        · <label
          >deal <select
            value={proof.person.deal}
            onchange={(event) => void desk.people.takeDeal(event.currentTarget.value)}
          >
            {#each proof.person.deals as deal (deal.id)}<option value={deal.id}>{deal.name}</option>{/each}
          </select></label
        >
      {/if}
    </p>
    {#if languages.length > 1}
      <p class="languages">
        <ViewSwitch
          label="Which language is shown"
          ways={languages.map((one) => one.id)}
          names={Object.fromEntries(
            languages.map((one) => [one.id, one.id === desk.id ? `${one.name}, this one` : one.name]),
          )}
          bind:way={read}
        />
      </p>
    {/if}
    {#if beside.failed}<p class="failed" role="alert">{beside.failed}</p>{/if}
    {#if !desk.draft?.kind || desk.draft.kind === 'TEMPLATE'}
      <div class="inbox" aria-label="As the inbox shows it">
        <b>{me().firstName} {me().lastName}</b>
        <span class="subject">{@render pieces(shown.subject.pieces, 'SUBJECT')}</span>
        <span class="first">
          {#if shown.rendering && shown.previewText.pieces.length}
            {@render pieces(shown.previewText.pieces, 'PREVIEW_TEXT')}
          {:else}
            {(shown.rendering?.text ?? shown.body.pieces.map((piece) => piece.text).join(''))
              .replace(/\s+/g, ' ')
              .slice(0, 90)}
          {/if}
        </span>
      </div>
    {/if}
    {#if shown.previewText.pieces.length && !shown.rendering}
      <p class="preview">
        Preview text: {@render pieces(shown.previewText.pieces, 'PREVIEW_TEXT')}
        <span>A plain message shows its first words instead.</span>
      </p>
    {/if}
    {#if shown.rendering}
      <p class="ways">
        <ViewSwitch label="How to look at it" ways={WAYS} bind:way={() => way as Way, look} />
        {#if paper}<a href={paper} target="_blank" rel="noopener" title="As it would be printed">PDF</a>{/if}
        <Button quiet title="The whole page (p)" onclick={() => (whole = !whole)}
          >{whole ? 'back to the draft' : 'whole page'}</Button
        >
      </p>
      {#if way === 'plain'}
        <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
        <pre class="mail" tabindex="0" aria-label="As plain text" lang={proof.person.language}>{shown
            .rendering.text}</pre>
      {:else}
        <div class="sheet">
          <MessageFrame
            bind:this={frame}
            html={shown.rendering.html}
            way={looked ?? 'wide'}
            {width}
            onwidth={(wider) => (width = wider)}
            title={other ? 'The message in another language' : 'The message'}
            pointed={composing.pointed}
            onpoint={(block) => (composing.pointed = block)}
            onopen={(block, word, nth) => {
              whole = false;
              onword(block, word, nth);
            }}
          />
        </div>
      {/if}
      {#if shown.rendering.attached.length}
        <p class="preview">attached: {shown.rendering.attached.join(', ')}</p>
      {/if}
    {:else}
      <div class="mail" lang={proof.person.language}>
        {#if shown.above}<p class="around">{shown.above}</p>{/if}
        <div class="words">{@render pieces(shown.body.pieces, 'BODY')}</div>
        {#if shown.below}<p class="around">{shown.below}</p>{/if}
      </div>
    {/if}
  {/if}
  {#if desk.preview.failed}
    <p class="failed" role="alert">
      {desk.preview.failed}
      <Button quiet onclick={() => desk.preview.ask()}>Try again</Button>
    </p>
  {/if}
</section>
{#if pointed}
  {@const at = pointed}
  {#key at}
    <Why
      piece={at.piece}
      anchor={at.anchor}
      pinned={at.pinned}
      onplace={() => {
        const { part, piece } = at;
        pointed = null;
        ongoto(part, piece.start);
      }}
      onclose={() => (pointed = null)}
    />
  {/key}
{/if}

<style>
  .proof {
    min-height: 0;
    padding: 12px 18px;
    overflow: auto;
    background: var(--shade);
  }

  .whole {
    position: absolute;
    z-index: 2;
    inset: 0;
  }

  .ways {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    padding-bottom: 6px;
  }

  .ways a {
    margin-left: auto;
    padding: 0 8px;
    color: var(--ink);
    font-size: 13.5px;
    text-underline-offset: 3px;
  }

  .sheet {
    border: 1px solid var(--rule);
  }

  pre.mail {
    margin: 0;
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

  .languages {
    padding-top: 4px;
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
    overflow-wrap: anywhere;
  }

  .words,
  .around,
  pre.mail {
    white-space: pre-wrap;
  }

  .around {
    color: var(--ink-soft);
  }

  .around:first-child,
  .words:not(:last-child) {
    margin-bottom: 1.5em;
  }

  .failed {
    margin-top: 10px;
    color: var(--stop);
  }
</style>
