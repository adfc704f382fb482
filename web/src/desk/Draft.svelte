<script lang="ts">
  import { tick, untrack, type Snippet } from 'svelte';
  import type { Schemas } from '../api/client';
  import { shortcuts } from '../app/keys.svelte';
  import DraftFiles from './DraftFiles.svelte';
  import { bodyKeys } from './body/bodyKeys';
  import PlainText from './PlainText.svelte';
  import TemplateEnvelope from './TemplateEnvelope.svelte';
  import DraftField from './DraftField.svelte';
  import { blockOf, stringAt, sameText, withString, type Block, type Paragraph } from './body/body';
  import BodySlips from './body/BodySlips.svelte';
  import type { Composing } from './body/composing.svelte';
  import Housed from './body/Housed.svelte';
  import Drawer from './body/Drawer.svelte';
  import { stringLabel } from './body/kinds';
  import Sheet from './body/Sheet.svelte';
  import SourceEditor from './body/SourceEditor.svelte';
  import SourceSheet from './SourceSheet.svelte';
  import { richField } from './body/slots';
  import type { Chip } from './draftText';
  import { DraftTexts, textOf } from './draftTexts.svelte';
  import FieldSlips from './FieldSlips.svelte';
  import type { OpenChip } from './openChip';
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
    moreFiles,
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
    /** Where else files of a message can come from. */
    moreFiles?: Snippet<[(file: Schemas['KeptFile']) => void]>;
  } = $props();

  /** What stands on the sheet to be written in, and the way to any place of it. */
  export const texts = untrack(() => new DraftTexts(desk, composing));
  let chip = $state<OpenChip | null>(null);
  let drawn = $state(false);
  /** Where the page's slip stands; null while it is closed. */
  let paged = $state<HTMLElement | null>(null);
  let dropped = $state<{ id: string; file: File } | null>(null);
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

  /** Attaches files from this computer. */
  export function attach(files: File[]): void {
    void filesLine?.attach(files);
  }

  /** To where files are attached. */
  export function focusFiles(): void {
    filesLine?.focus();
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
      ...bodyKeys(composing, current, (id) => texts.handleOf(id), draw),
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
    bind:this={() => texts.chipped(key), (one: DraftField | undefined) => texts.put(key, one)}
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
    bind:this={() => texts.source(name), (one: SourceEditor | undefined) => texts.put(name, one)}
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
    untrack(() => texts.slots.within(desk.preview.proof!.body.chips, name)),
    texts.slots.within(bodyNotes, name),
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
  bind:this={() => texts.section, (one) => (texts.section = one)}
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
              untrack(() => texts.slots.within(desk.preview.proof!.body.chips, name)),
              texts.slots.within(bodyNotes, name),
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
      <DraftFiles bind:this={filesLine} {desk} {attached} {documents} more={moreFiles} />
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
<FieldSlips {desk} bind:chip fieldOf={(key) => texts.chipped(key)} />

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
