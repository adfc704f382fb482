import { diffArrays } from 'diff';

/**
 * Where a text was changed by somebody else, and what becomes of places in it. Steps that were noted on a text are moved
 * over such changes, so that they fit the text that has them.
 */

/** A stretch of a text that gave way to another one; lengths in characters. */
export interface Hunk {
  at: number;
  out: number;
  into: number;
}

/** What somebody changed here is not like anything that was here; one hunk then says so. */
const MOST_EDITS = 1500;

/** The stretches that differ between two texts, from left to right; none is nearer to the next than a word. */
export function hunksOf(before: string, after: string): Hunk[] {
  if (before === after) return [];
  const changes = diffArrays(tokens(before), tokens(after), { maxEditLength: MOST_EDITS });
  if (!changes) return [{ at: 0, out: before.length, into: after.length }];
  const hunks: Hunk[] = [];
  let at = 0;
  let open: Hunk | null = null;
  for (const { value, added, removed } of changes) {
    const length = value.reduce((sum, one) => sum + one.length, 0);
    if (!added && !removed) {
      at += length;
      open = null;
      continue;
    }
    if (!open) hunks.push((open = { at, out: 0, into: 0 }));
    if (added) open.into += length;
    else {
      open.out += length;
      at += length;
    }
  }
  return hunks;
}

/** Words, and the parts of a body where it is one. */
function tokens(text: string): string[] {
  return text.match(/[^{},\s]*[{},\s]?/g)!.filter((one) => one !== '');
}

/** A stretch of a text that a step reaches over, and how long it is once the step is taken back or done. */
export interface Reach {
  at: number;
  has: number;
  becomes: number;
}

/**
 * Where a stretch stands in the changed text, and the changes as they are on the text that the step leads to.
 *
 * @returns nothing where the change reaches into the stretch
 */
export function through(hunks: Hunk[], { at, has, becomes }: Reach): { at: number; hunks: Hunk[] } | null {
  let moved = at;
  const beyond: Hunk[] = [];
  for (const hunk of hunks) {
    if (hunk.at + hunk.out <= at) {
      moved += hunk.into - hunk.out;
      beyond.push(hunk);
    } else if (hunk.at >= at + has) beyond.push({ ...hunk, at: hunk.at + becomes - has });
    else return null;
  }
  return { at: moved, hunks: beyond };
}

/** The changes as they are on the text that a step leads to, when the step itself is lost among them. */
export function swallowing(hunks: Hunk[], { at, has, becomes }: Reach): Hunk[] {
  const end = at + has;
  const touching = hunks.filter((hunk) => hunk.at + hunk.out > at && hunk.at < end);
  const from = Math.min(at, ...touching.map((hunk) => hunk.at));
  const to = Math.max(end, ...touching.map((hunk) => hunk.at + hunk.out));
  const grown = touching.reduce((sum, hunk) => sum + hunk.into - hunk.out, 0);
  const before = hunks.filter((hunk) => hunk.at + hunk.out <= at);
  const after = hunks.filter((hunk) => !touching.includes(hunk) && !before.includes(hunk));
  return [
    ...before,
    { at: from, out: to - from - has + becomes, into: to - from + grown },
    ...after.map((hunk) => ({ ...hunk, at: hunk.at + becomes - has })),
  ];
}
