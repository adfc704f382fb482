<script lang="ts">
  import { tick, untrack } from 'svelte';
  import type { Schemas } from '../api/client';
  import { shortcuts } from '../app/keys.svelte';
  import DraftFiles from './DraftFiles.svelte';
  import { bodyKeys } from './body/bodyKeys';
  import PlainText from './PlainText.svelte';
  import TemplateEnvelope from './TemplateEnvelope.svelte';
  import DraftField from './DraftField.svelte';
  import {
    blockOf,
    blocksById,
    stringAt,
    sameText,
    withString,
    type Block,
    type Paragraph,
  } from './body/body';
  import BodySlips from './body/BodySlips.svelte';
  import type { Composing } from './body/composing.svelte';
  import Housed from './body/Housed.svelte';
  import Drawer from './body/Drawer.svelte';
  import { stringLabel } from './body/kinds';
  import { lengthsOf } from './body/richText';
  import Sheet from './body/Sheet.svelte';
  import SourceEditor from './body/SourceEditor.svelte';
  import SourceSheet from './SourceSheet.svelte';
  import { richField, Slots } from './body/slots';
  import type { Chip } from './draftText';
  import FieldSlips from './FieldSlips.svelte';
  import { sameChips, type OpenChip } from './openChip';
  import type { Hand, Writing } from './writing';

  /** The draft: subject, preview text, and the body as one text or as blocks, with the slips of what stands in them. */
  type Part = Schemas['ShownNote']['part'];
  type Note = Schemas['ShownNote'];
  let {
    desk,
    composing,
    notes,
    labels = { subject: 'Subject', text: 'Text' },
    onmoved,
    onchip,
    onhand,
    attached,
    documents,
  }: {
    desk: Writing;
    composing: Composing;
    notes: Note[];
    /** How the texts are called that every message has. */
    labels?: { subject: string; text: string };
    /** Lines may stand elsewhere now. */
    onmoved: () => void;
    /** Opens a field in another way than by its slip; says whether it did. */
    onchip?: (chip: Chip, anchor: HTMLElement) => boolean;
    /** Opens what was changed by hand in a text, of a message. */
    onhand?: (change: Hand['changes'][number], anchor: HTMLElement) => void;
    /** What is known of the files of a message. */
    attached?: Schemas['KeptFile'][];
    /** Files of the deal that a message is about. */
    documents?: Schemas['KeptFile'][];
  } = $props();

  /** The texts: subject, preview text, and the body, or each string of its blocks. */
  const texts: Record<string, DraftField | SourceEditor | undefined> = {};
  /** What each text was last told of the fields in it. */
  const proved = new WeakMap<object, { block: Block; chips: Chip[] }>();
  /** Where the strings of the blocks stand in the text that was read; a message has been read before it is drawn. */
  let slots = $state.raw(untrack(() => slotsOf(desk.draft?.design ?? null, desk.preview.proof)));
  let chip = $state<OpenChip | null>(null);
  let drawn = $state(false);
  /** Where the page's slip stands; null while it is closed. */
  let paged = $state<HTMLElement | null>(null);
  let dropped = $state<{ id: string; file: File } | null>(null);
  let section = $state<HTMLElement>();
  let filesLine = $state<DraftFiles>();
  /** The block the cursor was in last. */
  let last: string | undefined;

  /** Whether it is a message of its own; a passage or signature has neither subject nor files. */
  const whole = $derived(!desk.draft?.kind || desk.draft.kind === 'TEMPLATE');
  const designed = $derived(!!desk.draft?.mode && desk.draft.mode !== 'PLAIN');
  const bodyNotes = $derived(notes.filter((note) => note.part === 'BODY'));
  /** Whether it is a message to one person, in which fields become words. */
  const message = $derived(desk.hand !== null);
  const NO_HAND: Pick<Hand, 'values' | 'changes'> = { values: [], changes: [] };
  const hands = $derived.by(() => {
    const byKey = new Map<string, Pick<Hand, 'values' | 'changes'>>();
    const of = (key: string) => byKey.get(key) ?? byKey.set(key, { values: [], changes: [] }).get(key)!;
    desk.hand?.values.forEach((one) => of(one.key).values.push(one));
    desk.hand?.changes.forEach((one) => of(one.key).changes.push(one));
    return byKey;
  });
  const sentences = $derived(new Map(Object.entries(desk.preview.proof?.rendering?.conditions ?? {})));

  /** A text that has moved is made anew before the old one goes, which then is not the one that is known. */
  function put(key: string, one: DraftField | SourceEditor | undefined) {
    if (one) texts[key] = one;
    else delete texts[key];
  }

  /** The text that a chip stands in. */
  function chipped(key: string): DraftField | undefined {
    return texts[key] as DraftField | undefined;
  }

  function textOf(block: Block | undefined): Paragraph[] {
    return (block?.text as Paragraph[] | undefined) ?? [];
  }

  function slotsOf(design: Schemas['Draft']['design'], proof: Schemas['ShownProof'] | null): Slots {
    if (!proof?.rendering) return new Slots([], () => []);
    const blocks = blocksById(composing.bodies.read(design));
    return new Slots(proof.rendering.slots, (id) => lengthsOf(textOf(blocks.get(id))));
  }

  /** Takes in what the server read: where everything stands, and which fields there are. */
  export function read(draft: Schemas['Draft'], proof: Schemas['ShownProof']): void {
    texts.SUBJECT?.chipUp(draft.subject, proof.subject.chips);
    texts.PREVIEW_TEXT?.chipUp(draft.previewText, proof.previewText.chips);
    if (draft.plainText) texts.PLAIN_TEXT?.chipUp(draft.plainText.words, proof.plainText?.chips ?? []);
    if (!proof.rendering) {
      texts.BODY?.chipUp(draft.body, proof.body.chips);
      return;
    }
    const blocks = blocksById(composing.bodies.read(draft.design));
    slots = slotsOf(draft.design, proof);
    for (const [field, text] of Object.entries(texts)) {
      if (!text || !/[/#]/.test(field)) continue;
      const [id, key] = split(field);
      const block = blocks.get(id);
      const chips = slots.within(proof.body.chips, field);
      const before = proved.get(text);
      if (!block || (before?.block === block && sameChips(before.chips, chips))) continue;
      const words = key === undefined ? JSON.stringify(textOf(block)) : stringAt(block, key);
      if (text.chipUp(words, chips)) proved.set(text, { block, chips });
      else proved.delete(text);
    }
  }

  /** Attaches files from this computer. */
  export function attach(files: File[]): void {
    void filesLine?.attach(files);
  }

  /** The block of a field, and its string; none for its formatted text. */
  function split(field: string): [string, string | undefined] {
    const at = field.search(/[/#]/);
    return [field.slice(0, at), field[at] === '#' ? undefined : field.slice(at + 1)];
  }

  /** The text that a place of a part lies in, and where in it. */
  function spot(part: Part, at: number): { key: string; at: number } {
    if (part !== 'BODY' || !designed) return { key: part, at };
    const { field, at: within } = slots.spot(at);
    return { key: field, at: within };
  }

  function partOf(id: string): HTMLElement | null | undefined {
    return section?.querySelector<HTMLElement>(`[data-part="${CSS.escape(id)}"]`);
  }

  /** Goes to a place of the words, or to a block. */
  export function goTo(part: Part, at: number, block?: string | null): void {
    if (part === 'AROUND') return around()?.scrollIntoView({ block: 'center' });
    const { key, at: within } = spot(part, at);
    if (block && !key.startsWith(block)) partOf(block)?.querySelector<HTMLElement>('[data-handle]')?.focus();
    else texts[key]?.goTo(within);
  }

  /** What the style says around plain words is read below them, and changed elsewhere. */
  function around(): Element | undefined {
    return [...(section?.querySelectorAll('.around') ?? [])].at(-1);
  }

  /** Where a note stands, from the top of the window. */
  export function topOf(note: Note): number {
    if (note.part === 'AROUND') return around()?.getBoundingClientRect().top ?? 0;
    const { key, at } = spot(note.part, note.start);
    if (note.block && !key.startsWith(note.block)) {
      return partOf(note.block)?.getBoundingClientRect().top ?? 0;
    }
    return texts[key]?.topOf(at) ?? 0;
  }

  /** Puts other words in the place of a stretch, and the cursor there. */
  export function replace(part: Part, start: number, end: number, words: string): void {
    const { key, at } = spot(part, start);
    texts[key]?.replaceSource(at, at + end - start, words);
    texts[key]?.focus();
  }

  /** Puts other words in the place of a stretch of one text, by its key. */
  export function replaceIn(key: string, start: number, end: number, words: string): void {
    texts[key]?.replaceSource(start, end, words);
    texts[key]?.focus();
  }

  /** Goes to a word of a block, the how manieth of its kind there; to the block's first text when it is not written there. */
  export function goToWord(block: string, word: string, nth: number): void {
    const fields = Object.keys(texts).filter((field) => field.startsWith(block));
    const holder = word ? fields.find((field) => texts[field]?.goToWord(word, nth)) : undefined;
    if (holder) return;
    if (fields.length) texts[fields[0]]?.goTo(0);
    else partOf(block)?.querySelector<HTMLElement>('[data-handle]')?.focus();
  }

  export function focusSubject(): void {
    texts.SUBJECT?.focus();
  }

  /** Goes to the end of the words. */
  export function focusText(): void {
    const first = texts.BODY ?? Object.entries(texts).find(([key]) => /#/.test(key))?.[1];
    first?.focus();
    if (first && 'toEnd' in first) first.toEnd();
  }

  /** Until every block stands there; the first ones are written in before. */
  export async function allDrawn(): Promise<void> {
    const all = () => section?.querySelectorAll('[data-block]').length ?? 0;
    while (section?.isConnected && all() < composing.numbers.size)
      await new Promise((done) => requestAnimationFrame(done));
  }

  /** The first field that is to be filled in still, with where it stands. */
  export function firstField(): { chip: Chip; anchor: HTMLElement } | null {
    for (const dom of section?.querySelectorAll<HTMLElement>('[data-written]') ?? []) {
      const chip = desk.preview.met.get(dom.dataset.written!);
      if (chip) return { chip, anchor: dom };
    }
    return null;
  }

  function goBack(way: 1 | -1) {
    if (desk.goBack(way)) void tick().then(onmoved);
  }

  /** The block or band that has the focus. */
  function current(): string | undefined {
    return (document.activeElement as HTMLElement | null)?.closest<HTMLElement>('[data-part]')?.dataset.part;
  }

  function draw() {
    if (!designed || !composing.editable || desk.draft?.mode === 'SOURCE') return;
    last = current() ?? last;
    drawn = !drawn;
  }

  $effect(() =>
    shortcuts([
      { key: 'Ctrl+z', label: 'Undo', run: () => goBack(-1) },
      { key: 'Ctrl+y', label: 'Redo', run: () => goBack(1) },
      ...bodyKeys(composing, current, (id) => partOf(id)?.querySelector<HTMLElement>('[data-handle]'), draw),
    ]),
  );

  function changeString(block: string, key: string, words: string) {
    const there = blockOf(composing.body, block);
    if (!there || stringAt(there, key) === words) return;
    composing.change(block, withString(there, key, words));
    onmoved();
  }

  function changeText(block: string, paragraphs: string) {
    const text = JSON.parse(paragraphs) as Paragraph[];
    const there = blockOf(composing.body, block);
    // Drawing a text is no change of it, even where it is written down in another way than the editor would.
    if (!there || sameText(textOf(there), text)) return;
    composing.change(block, { text });
    onmoved();
  }
</script>

{#snippet field(
  key: string,
  label: string,
  source: string,
  chips: Chip[],
  about: Note[],
  how: { oneLine?: boolean; rich?: boolean; placeholder: string },
  onchange: (next: string) => void,
)}
  <DraftField
    bind:this={() => chipped(key), (one: DraftField | undefined) => put(key, one)}
    {label}
    {source}
    {chips}
    fields={desk.people.fields}
    about={desk.draft!.about}
    filled={desk.people.filled}
    special={!message}
    hand={hands.get(key) ?? NO_HAND}
    {onhand}
    notes={about}
    met={desk.preview.met}
    {...how}
    editable={desk.mayChange}
    {onchange}
    onchip={(one, at, anchor) => {
      if (!onchip?.(one, anchor)) chip = { chip: one, key, at, anchor };
    }}
    onback={goBack}
  />
{/snippet}

{#snippet source(block: Block)}
  {@const name = `${block.id}/source`}
  <SourceEditor
    bind:this={
      () => texts[name] as SourceEditor | undefined, (one: SourceEditor | undefined) => put(name, one)
    }
    label={desk.draft!.mode === 'SOURCE'
      ? 'Source'
      : `Block ${composing.numbers.get(block.id)}, ${stringLabel(block.kind, 'source')}`}
    source={String(block.source ?? '')}
    fields={desk.people.fields}
    editable={desk.mayChange}
    onchange={(next) => changeString(block.id, 'source', next)}
    onback={goBack}
  />
{/snippet}

{#snippet words(block: Block, label: string, placeholder: string)}
  {@const name = richField(block.id)}
  {@render field(
    name,
    label,
    JSON.stringify(textOf(block)),
    untrack(() => slots.within(desk.preview.proof!.body.chips, name)),
    slots.within(bodyNotes, name),
    { rich: true, placeholder },
    (next) => changeText(block.id, next),
  )}
{/snippet}

{#snippet part(which: Part, label: string, oneLine: boolean, placeholder: string)}
  {@const key = which === 'SUBJECT' ? 'subject' : which === 'PREVIEW_TEXT' ? 'previewText' : 'body'}
  {@render field(
    which,
    label,
    desk.draft![key],
    untrack(() => desk.preview.proof![key].chips),
    notes.filter((note) => note.part === which),
    { oneLine, placeholder },
    (next) => {
      if (next === desk.draft?.[key]) return;
      desk.change({ [key]: next });
      onmoved();
    },
  )}
{/snippet}

<section
  class="draft"
  class:message
  aria-label={message ? 'Message' : 'Draft'}
  bind:this={section}
  onfocusin={() => (last = current() ?? last)}
>
  {#key desk.generation}
    {#if whole}
      <div class="line">
        <span aria-hidden="true">Subject</span>
        {@render part('SUBJECT', labels.subject, true, 'what it is about, in a line')}
      </div>
      {#if !message || designed}
        <div class="line">
          <span aria-hidden="true">Preview text</span>
          {@render part('PREVIEW_TEXT', 'Preview text', true, 'the grey text after the subject')}
        </div>
      {/if}
    {/if}
    <div class="sheet" class:blocks={designed} class:banded={designed && composing.banded}>
      {#if desk.draft!.mode === 'SOURCE'}
        <SourceSheet {composing} {message}>
          {#snippet html(block)}{@render source(block)}{/snippet}
          {#snippet note(block)}{@render words(
              block,
              'Your note',
              'Write a few words of your own.',
            )}{/snippet}
        </SourceSheet>
      {:else if designed}
        {#if composing.banded && whole}
          <Housed
            draft={desk.draft!}
            onpage={composing.editable ? (anchor) => (paged = paged ? null : anchor) : undefined}
          />
        {/if}
        <Sheet
          {composing}
          {sentences}
          inside={desk.preview.proof?.rendering?.inside ?? {}}
          {source}
          onpicture={(block, anchor, file) => {
            dropped = file ? { id: block.id, file } : null;
            if (composing.editable) composing.open(block.id, anchor);
          }}
        >
          {#snippet text(block, key, placeholder)}
            {@const name = `${block.id}/${key}`}
            {@render field(
              name,
              `Block ${composing.numbers.get(block.id)}, ${stringLabel(block.kind, key)}`,
              stringAt(block, key),
              untrack(() => slots.within(desk.preview.proof!.body.chips, name)),
              slots.within(bodyNotes, name),
              { oneLine: true, placeholder },
              (next) => changeString(block.id, key, next),
            )}
          {/snippet}
          {#snippet rich(block, placeholder)}
            {@render words(
              block,
              `Block ${composing.numbers.get(block.id)}, ${stringLabel(block.kind, '')}`,
              placeholder,
            )}
          {/snippet}
        </Sheet>
        {#if composing.banded && whole}<Housed draft={desk.draft!} foot />{/if}
      {:else}
        {#if desk.preview.proof?.above}<p class="around">{desk.preview.proof.above}</p>{/if}
        {@render part('BODY', labels.text, false, 'Write the message. Type { to put in a field.')}
        {#if desk.preview.proof?.below}<p class="around">{desk.preview.proof.below}</p>{/if}
      {/if}
    </div>
  {/key}
  {#if whole && designed}
    <div class="line along">
      <span>Plain text</span>
      <PlainText {desk}>
        {#snippet words(text)}
          {@render field(
            'PLAIN_TEXT',
            'Plain text, kept by hand',
            text.words,
            untrack(() => desk.preview.proof?.plainText?.chips ?? []),
            notes.filter((note) => note.part === 'PLAIN_TEXT'),
            { placeholder: 'What mail programs without HTML show' },
            (next) => {
              if (next === desk.draft?.plainText?.words) return;
              desk.change({ plainText: { ...text, words: next } });
              onmoved();
            },
          )}
        {/snippet}
      </PlainText>
    </div>
  {/if}
  {#if whole}
    <div class="line along">
      <span>Files</span>
      <DraftFiles bind:this={filesLine} {desk} {attached} {documents} />
    </div>
    {#if !message}
      <div class="line along">
        <span>Envelope</span>
        <TemplateEnvelope {desk} />
      </div>
    {/if}
  {/if}
  {#if designed && desk.mayChange && desk.draft?.mode !== 'SOURCE'}
    <Drawer {composing} bind:open={drawn} after={() => last} />
  {/if}
</section>
<BodySlips {desk} {composing} bind:paged bind:dropped />
<FieldSlips {desk} bind:chip fieldOf={chipped} />

<style>
  .draft {
    display: flex;
    flex-direction: column;
    min-width: 0;
    padding: 14px 20px 0;
  }

  .line {
    display: grid;
    grid-template-columns: 84px minmax(0, 1fr);
    align-items: baseline;
    padding: 4px 0;
    border-bottom: 1px solid var(--rule-soft);
  }

  .line > span {
    color: var(--ink-soft);
    font-size: 13px;
  }

  /* What the style says around plain words: read here, changed in Materials. */
  .around {
    padding: 6px 0;
    color: var(--ink-soft);
    font-size: 13px;
    white-space: pre-line;
  }

  .sheet {
    flex: 1;
    min-height: 420px;
    margin: 14px 0 6px;
    padding: 14px 22px 30px;
    border: 1px solid var(--rule);
    background: var(--sheet);
    font-size: 15px;
  }

  .along {
    border: 0;
  }

  .along:last-of-type {
    margin-bottom: 24px;
  }

  .blocks {
    padding: 8px 0 20px 4px;
  }

  .message {
    padding: 0;
  }

  .message .sheet {
    min-height: 120px;
    margin: 8px 0 4px;
    padding-bottom: 16px;
  }

  .message .line:first-child {
    font-weight: 600;
  }

  .message .along {
    margin-bottom: 4px;
  }

  .banded {
    flex: none;
    min-height: 0;
    padding-bottom: 0;
  }
</style>
