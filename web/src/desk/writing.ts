import type { Schemas } from '../api/client';
import type { Chip } from './draftText';
import type { FoundField } from './finding';

type Draft = Schemas['Draft'];

/** What became of the words of a message that was merged from a template. */
export type Hand = Schemas['ShownHand'];

/** A text that is being written: a template on the desk, or a message to one person. The same editor serves both. */
export interface Writing {
  readonly draft: Draft | null;
  readonly mayChange: boolean;
  /** Changes when the texts were replaced from outside, so that the editors begin anew. */
  readonly generation: number;
  readonly preview: {
    readonly proof: Schemas['ShownProof'] | null;
    /** Fields that were met in the texts, by their written form. */
    readonly met: ReadonlyMap<string, Chip>;
  };
  readonly people: {
    readonly fields: FoundField[];
    /** How many people have each field; null where that is not asked. */
    readonly filled: Schemas['Filled'] | null;
    /** A value was filled in on a record. */
    mended(): Promise<void>;
  };
  /** What is wrong with parts of the draft, by their names. */
  readonly wrong: Record<string, string>;
  /** Of a message, which words are values and which were changed by hand; null for a template. */
  readonly hand: Hand | null;
  /** The draft has changed in some of its parts; `apart` when that is taken back on its own. */
  change(part: Partial<Draft>, apart?: boolean): void;
  /** Takes the last change back (-1), or does it again (1); says whether there was one. */
  goBack(way: 1 | -1): boolean;
}
