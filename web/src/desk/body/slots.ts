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

const RUN = /^(.*)\/(\d+)\.(\d+)$/;

/** Where the strings of blocks stand; made from an answer of the server. */
export class Slots {
  private readonly stretches: Stretch[] = [];
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
    const stretch =
      this.stretches.findLast((one) => one.start <= at && at < one.end) ??
      this.stretches.findLast((one) => one.start <= at);
    return { field: stretch?.field ?? '', at: stretch ? stretch.within + at - stretch.start : 0 };
  }

  /** What of a proof belongs to one field, counted from where that begins. */
  within<T extends { start: number; end: number }>(all: T[], field: string): T[] {
    const mine = this.stretches.filter((one) => one.field === field);
    return all.flatMap((one) => {
      const stretch = mine.find(
        ({ start, end }) => one.start >= start && one.start < Math.max(end, start + 1),
      );
      if (!stretch) return [];
      const by = stretch.within - stretch.start;
      return [{ ...one, start: one.start + by, end: one.end + by }];
    });
  }
}
