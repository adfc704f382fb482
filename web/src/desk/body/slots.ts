import type { Schemas } from '../../api/client';

type Slot = Schemas['ShownSlot'];

/**
 * Where the strings of a body stand in the words that the server read as one text. The runs of a formatted text are one
 * field here, its paragraphs parted by line breaks.
 */
interface Stretch {
  /** Such as `b3/label`, or `b3#text` for all the runs of a formatted text. */
  field: string;
  /** In the words of the whole body. */
  start: number;
  end: number;
  /** Where it begins in its field. */
  within: number;
}

/** The field that the formatted text of a block is. */
export function richField(block: string): string {
  return `${block}#text`;
}

/** What no field has; one list for all, so that nothing is drawn again for it. */
const NOTHING: never[] = [];
const RUN = /^(.*)\/(\d+)\.(\d+)$/;

/** Where the strings of blocks stand; made from an answer of the server. */
export class Slots {
  private readonly stretches: Stretch[] = [];
  /** Lists of a proof that were divided among the fields already. */
  private readonly divided = new WeakMap<readonly object[], Map<string, object[]>>();
  /** Where a link of a run stands is shown at the run. */
  private readonly links: { slot: Slot; run: Stretch | undefined }[] = [];

  constructor(slots: Slot[], paragraphLengths: (block: string) => number[]) {
    const runs = new Map<string, Stretch>();
    for (const slot of slots) {
      const run = RUN.exec(slot.key);
      if (slot.key.endsWith('/link') && RUN.test(slot.key.slice(0, -5))) {
        this.links.push({ slot, run: runs.get(slot.key.slice(0, -5)) });
      } else if (run) {
        const [, block, paragraph, at] = run;
        const before = runs.get(`${block}/${paragraph}.${Number(at) - 1}`);
        const lengths = paragraphLengths(block);
        const within = before
          ? before.within + before.end - before.start
          : lengths.slice(0, Number(paragraph)).reduce((sum, length) => sum + length + 1, 0);
        const stretch = { field: richField(block), start: slot.start, end: slot.end, within };
        runs.set(slot.key, stretch);
        this.stretches.push(stretch);
      } else {
        this.stretches.push({ field: slot.key, start: slot.start, end: slot.end, within: 0 });
      }
    }
    this.stretches.sort((a, b) => a.start - b.start);
  }

  /** The field in which a place of the words lies, and where in it. */
  spot(at: number): { field: string; at: number } {
    const link = this.links.find(({ slot }) => slot.start <= at && at < slot.end);
    if (link?.run) return { field: link.run.field, at: link.run.within };
    const before = this.lastFrom(at);
    let holding = before;
    while (holding >= 0 && this.stretches[holding].start === at && this.stretches[holding].end === at)
      holding--;
    const inside = holding >= 0 && at < this.stretches[holding].end;
    const stretch = this.stretches[inside ? holding : before] as Stretch | undefined;
    return { field: stretch?.field ?? '', at: stretch ? stretch.within + at - stretch.start : 0 };
  }

  /**
   * What of a proof belongs to one field, counted from where that begins. Asked again for the same list, it gives the same
   * answer, which is not to be changed.
   */
  within<T extends { start: number; end: number }>(all: readonly T[], field: string): T[] {
    let divided = this.divided.get(all);
    if (!divided) this.divided.set(all, (divided = this.divide(all)));
    return (divided.get(field) ?? NOTHING) as T[];
  }

  private divide<T extends { start: number; end: number }>(all: readonly T[]): Map<string, T[]> {
    const fields = new Map<string, T[]>();
    for (const one of all) {
      for (const [field, stretch] of this.holding(one.start)) {
        const by = stretch.within - stretch.start;
        const moved = { ...one, start: one.start + by, end: one.end + by };
        const there = fields.get(field);
        if (there) there.push(moved);
        else fields.set(field, [moved]);
      }
    }
    return fields;
  }

  /** The stretches that a place lies in, the first of each field; several where some are empty. */
  private holding(at: number): Map<string, Stretch> {
    const found = new Map<string, Stretch>();
    for (let i = this.lastFrom(at); i >= 0; i--) {
      const stretch = this.stretches[i];
      if (at >= Math.max(stretch.end, stretch.start + 1)) break;
      found.set(stretch.field, stretch);
    }
    return found;
  }

  /** The last stretch that begins at a place or before it; -1 when there is none. */
  private lastFrom(at: number): number {
    let low = 0;
    let high = this.stretches.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.stretches[middle].start <= at) low = middle + 1;
      else high = middle;
    }
    return low - 1;
  }
}
