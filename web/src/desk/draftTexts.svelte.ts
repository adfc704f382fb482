import type { Schemas } from '../api/client';
import { blocksById, stringAt, type Block, type Paragraph } from './body/body';
import type { Composing } from './body/composing.svelte';
import { lengthsOf } from './body/richText';
import { Slots } from './body/slots';
import type SourceEditor from './body/SourceEditor.svelte';
import type DraftField from './DraftField.svelte';
import type { Chip } from './draftText';
import { sameChips } from './openChip';
import type { Writing } from './writing';

type Part = Schemas['ShownNote']['part'];
type Note = Schemas['ShownNote'];

/** The formatted text of a block; none of a block without one. */
export function textOf(block: Block | undefined): Paragraph[] {
  return (block?.text as Paragraph[] | undefined) ?? [];
}

/**
 * The texts of a draft that stand on the sheet: subject, preview text, and the body as one text or as the strings of its
 * blocks. They are told what the server read in them, and whoever names a place of the words is led to it.
 */
export class DraftTexts {
  /** By part, or by the field of a block. */
  private readonly all: Record<string, DraftField | SourceEditor | undefined> = {};
  /** What each text was last told of the fields in it. */
  private readonly told = new WeakMap<object, { block: Block; chips: Chip[] }>();
  /** Where the strings of the blocks stand in the text that was read; a message has been read before it is drawn. */
  slots = $state.raw() as Slots;
  /** The draft on screen. */
  section: HTMLElement | undefined;

  constructor(
    private readonly desk: Writing,
    private readonly composing: Composing,
  ) {
    this.slots = this.slotsOf(desk.draft?.design ?? null, desk.preview.proof);
  }

  /** A text that has moved is made anew before the old one goes, which then is not the one that is known. */
  put(key: string, one: DraftField | SourceEditor | undefined): void {
    if (one) this.all[key] = one;
    else delete this.all[key];
  }

  /** The text that a chip stands in. */
  chipped(key: string): DraftField | undefined {
    return this.all[key] as DraftField | undefined;
  }

  /** The HTML of a block. */
  source(key: string): SourceEditor | undefined {
    return this.all[key] as SourceEditor | undefined;
  }

  private slotsOf(design: Schemas['Draft']['design'], proof: Schemas['ShownProof'] | null): Slots {
    if (!proof?.rendering) return new Slots([], () => []);
    const blocks = blocksById(this.composing.bodies.read(design));
    return new Slots(proof.rendering.slots, (id) => lengthsOf(textOf(blocks.get(id))));
  }

  /** Takes in what the server read: where everything stands, and which fields there are. */
  read(draft: Schemas['Draft'], proof: Schemas['ShownProof']): void {
    const { all } = this;
    all.SUBJECT?.chipUp(draft.subject, proof.subject.chips);
    all.PREVIEW_TEXT?.chipUp(draft.previewText, proof.previewText.chips);
    if (draft.plainText) all.PLAIN_TEXT?.chipUp(draft.plainText.words, proof.plainText?.chips ?? []);
    if (!proof.rendering) {
      all.BODY?.chipUp(draft.body, proof.body.chips);
      return;
    }
    const blocks = blocksById(this.composing.bodies.read(draft.design));
    this.slots = this.slotsOf(draft.design, proof);
    for (const [field, text] of Object.entries(all)) {
      if (!text || !/[/#]/.test(field)) continue;
      const [id, key] = split(field);
      const block = blocks.get(id);
      const chips = this.slots.within(proof.body.chips, field);
      const before = this.told.get(text);
      if (!block || (before?.block === block && sameChips(before.chips, chips))) continue;
      const words = key === undefined ? JSON.stringify(textOf(block)) : stringAt(block, key);
      if (text.chipUp(words, chips)) this.told.set(text, { block, chips });
      else this.told.delete(text);
    }
  }

  /** The text that a place of a part lies in, and where in it. */
  private spot(part: Part, at: number): { key: string; at: number } {
    const mode = this.desk.draft?.mode ?? 'PLAIN';
    if (part !== 'BODY' || mode === 'PLAIN') return { key: part, at };
    const { field, at: within } = this.slots.spot(at);
    return { key: field, at: within };
  }

  /** A block or band on the sheet. */
  partOf(id: string): HTMLElement | null | undefined {
    return this.section?.querySelector<HTMLElement>(`[data-part="${CSS.escape(id)}"]`);
  }

  /** What a block is moved and opened by. */
  handleOf(id: string): HTMLElement | null | undefined {
    return this.partOf(id)?.querySelector<HTMLElement>('[data-handle]');
  }

  /** What the style says around plain words is read below them, and changed elsewhere. */
  private around(): Element | undefined {
    return [...(this.section?.querySelectorAll('.around') ?? [])].at(-1);
  }

  /** Goes to a place of the words, or to a block. */
  goTo(part: Part, at: number, block?: string | null): void {
    if (part === 'AROUND') return this.around()?.scrollIntoView({ block: 'center' });
    const { key, at: within } = this.spot(part, at);
    if (block && !key.startsWith(block)) this.handleOf(block)?.focus();
    else this.all[key]?.goTo(within);
  }

  /** Where a note stands, from the top of the window. */
  topOf(note: Note): number {
    if (note.part === 'AROUND') return this.around()?.getBoundingClientRect().top ?? 0;
    const { key, at } = this.spot(note.part, note.start);
    if (note.block && !key.startsWith(note.block)) {
      return this.partOf(note.block)?.getBoundingClientRect().top ?? 0;
    }
    return this.all[key]?.topOf(at) ?? 0;
  }

  /** Puts other words in the place of a stretch, and the cursor there. */
  replace(part: Part, start: number, end: number, words: string): void {
    const { key, at } = this.spot(part, start);
    this.replaceIn(key, at, at + end - start, words);
  }

  /** The same in one text, by its key. */
  replaceIn(key: string, start: number, end: number, words: string): void {
    this.all[key]?.replaceSource(start, end, words);
    this.all[key]?.focus();
  }

  /** Goes to a word of a block, the how manieth of its kind there; to the block's first text when it is not written there. */
  goToWord(block: string, word: string, nth: number): void {
    const fields = Object.keys(this.all).filter((field) => field.startsWith(block));
    const holder = word ? fields.find((field) => this.all[field]?.goToWord(word, nth)) : undefined;
    if (holder) return;
    if (fields.length) this.all[fields[0]]?.goTo(0);
    else this.handleOf(block)?.focus();
  }

  focusSubject(): void {
    this.all.SUBJECT?.focus();
  }

  /** Goes to the end of the words. */
  focusText(): void {
    const first = this.all.BODY ?? Object.entries(this.all).find(([key]) => /#/.test(key))?.[1];
    first?.focus();
    if (first && 'toEnd' in first) first.toEnd();
  }

  /** Until every block stands there; the first ones are written in before. */
  async allDrawn(): Promise<void> {
    const drawn = () => this.section?.querySelectorAll('[data-block]').length ?? 0;
    while (this.section?.isConnected && drawn() < this.composing.numbers.size)
      await new Promise((done) => requestAnimationFrame(done));
  }

  /** The first field that is to be filled in still, with where it stands. */
  firstField(): { chip: Chip; anchor: HTMLElement } | null {
    for (const dom of this.section?.querySelectorAll<HTMLElement>('[data-written]') ?? []) {
      const chip = this.desk.preview.met.get(dom.dataset.written!);
      if (chip) return { chip, anchor: dom };
    }
    return null;
  }
}

/** The block of a field, and its string; none for its formatted text. */
function split(field: string): [string, string | undefined] {
  const at = field.search(/[/#]/);
  return [field.slice(0, at), field[at] === '#' ? undefined : field.slice(at + 1)];
}
