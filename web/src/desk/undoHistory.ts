import { hunksOf, swallowing, through, type Hunk, type Reach } from './rebasing';

/**
 * What was changed in a draft, so that it can be taken back and done again without end, and after a reload. A step holds
 * only what differs; what it was done on can be told from it, so a step that no longer fits is found out. Where somebody
 * else changes the draft too, steps are moved over that; only those in the same place are lost.
 */

/** One part of a draft: from `at` on, `out` gave way to `into`. */
export interface Step {
  part: string;
  at: number;
  out: string;
  into: string;
}

interface Entry {
  steps: Step[];
  /** When it was last added to, in milliseconds. */
  when: number;
  /** Whether what is typed next is a change of its own. */
  closed: boolean;
}

type Parts = Record<string, unknown>;

interface KeptSteps {
  done: Entry[];
  undone: Entry[];
  /** What the draft was when they were kept. */
  on?: Parts;
}

/** Typing goes on as one change for so long. */
const TOGETHER = 800;
/** A stretch of typing is not longer than this. */
const LONGEST = 400;

/** What differs between two texts. */
export function difference(before: string, after: string): Omit<Step, 'part'> {
  const most = Math.min(before.length, after.length);
  let at = 0;
  while (at < most && before[at] === after[at]) at++;
  let same = 0;
  while (same < most - at && before[before.length - 1 - same] === after[after.length - 1 - same]) same++;
  return { at, out: before.slice(at, before.length - same), into: after.slice(at, after.length - same) };
}

/** A value of a draft's part as a text; what is no text is kept as JSON. */
function asText(value: unknown): string {
  return typeof value === 'string' ? value : `\u0000${JSON.stringify(value ?? null)}`;
}

function asValue(text: string): unknown {
  return text.startsWith('\u0000') ? (JSON.parse(text.slice(1)) as unknown) : text;
}

/** The changes of one draft. */
export class UndoHistory {
  private done: Entry[];
  private undone: Entry[];
  private keptOn: Parts | null;

  /**
   * Goes on with what was kept, or begins.
   *
   * @param sound whether parts can be a draft's; a step that would make others does not fit
   */
  constructor(
    kept?: string | null,
    private readonly sound: (parts: Parts) => boolean = () => true,
  ) {
    const { done = [], undone = [], on = null } = kept ? (JSON.parse(kept) as KeptSteps) : {};
    this.done = done;
    this.undone = undone;
    this.keptOn = on;
  }

  /** Goes on with the draft as it was opened, which others may have changed since the steps were kept. */
  goOn(opened: Parts): void {
    if (this.keptOn) this.moveOver(this.keptOn, opened);
    this.keptOn = null;
  }

  /** All of it, to be kept with the draft it stands on; the oldest are left out until it is not longer than so many characters. */
  toKeep(most: number, on: Parts): string {
    let from = 0;
    for (;;) {
      const kept = JSON.stringify({
        done: this.done.slice(from),
        undone: this.undone,
        on,
      } satisfies KeptSteps);
      if (kept.length <= most || from >= this.done.length) return kept;
      from += Math.ceil((this.done.length - from) / 2);
    }
  }

  get canUndo(): boolean {
    return this.done.length > 0;
  }

  get canRedo(): boolean {
    return this.undone.length > 0;
  }

  /**
   * Notes a change.
   *
   * @param apart whether it is taken back on its own, rather than with what was typed just before
   */
  add(before: Parts, part: Parts, now: number, apart: boolean): void {
    const steps = Object.keys(part)
      .map((name) => ({ part: name, ...difference(asText(before[name]), asText(part[name])) }))
      .filter((step) => step.out !== step.into);
    if (!steps.length) return;
    this.undone = [];
    const last = this.done.at(-1);
    const joined =
      !apart && last && !last.closed && now - last.when < TOGETHER ? join(last.steps, steps) : null;
    if (joined) {
      last!.steps = joined;
      last!.when = now;
    } else {
      this.done.push({ steps, when: now, closed: apart });
    }
  }

  /** Somebody else changed the draft: steps go on where they do not meet that. */
  moveOver(before: Parts, after: Parts): void {
    const hunks = new Map<string, Hunk[]>();
    for (const name of new Set([...Object.keys(before), ...Object.keys(after)])) {
      const found = hunksOf(asText(before[name]), asText(after[name]));
      if (found.length) hunks.set(name, found);
    }
    if (!hunks.size) return;
    let over = hunks;
    const done: Entry[] = [];
    for (const entry of this.done.toReversed()) {
      const moved = movedOver(entry.steps.toReversed(), over, 'into', 'out');
      if (moved) done.unshift({ ...entry, closed: true, steps: moved.steps.toReversed() });
      over = moved?.hunks ?? lostIn(entry.steps.toReversed(), over, 'into', 'out');
    }
    this.done = done;
    over = hunks;
    const undone: Entry[] = [];
    for (const entry of this.undone.toReversed()) {
      const moved = movedOver(entry.steps, over, 'out', 'into');
      // What would be done again later stands on this one.
      if (!moved) break;
      undone.unshift({ ...entry, steps: moved.steps });
      over = moved.hunks;
    }
    this.undone = undone;
  }

  /** The parts as they were before the last change; nothing when there is none, or it does not fit any more. */
  back(parts: Parts): Parts | null {
    const entry = this.done.pop();
    if (!entry) return null;
    const changed = applied(parts, entry.steps.toReversed(), 'into', 'out');
    if (changed && this.sound(changed)) this.undone.push({ ...entry, closed: true });
    else {
      this.done = [];
      return null;
    }
    return changed;
  }

  /** The parts as they are once the change taken back last is done again. */
  forth(parts: Parts): Parts | null {
    const entry = this.undone.pop();
    if (!entry) return null;
    const changed = applied(parts, entry.steps, 'out', 'into');
    if (changed && this.sound(changed)) this.done.push({ ...entry, closed: true });
    else {
      this.undone = [];
      return null;
    }
    return changed;
  }
}

function reach(step: Step, has: 'into' | 'out', becomes: 'into' | 'out'): Reach {
  return { at: step.at, has: step[has].length, becomes: step[becomes].length };
}

/** Steps, from the one nearest to what was changed, as they are over changes, and the changes beyond them; nothing where one meets a change. */
function movedOver(
  steps: Step[],
  hunks: Map<string, Hunk[]>,
  has: 'into' | 'out',
  becomes: 'into' | 'out',
): { steps: Step[]; hunks: Map<string, Hunk[]> } | null {
  const beyond = new Map(hunks);
  const moved: Step[] = [];
  for (const step of steps) {
    const found = through(beyond.get(step.part) ?? [], reach(step, has, becomes));
    if (!found) return null;
    beyond.set(step.part, found.hunks);
    moved.push({ ...step, at: found.at });
  }
  return { steps: moved, hunks: beyond };
}

function lostIn(
  steps: Step[],
  hunks: Map<string, Hunk[]>,
  has: 'into' | 'out',
  becomes: 'into' | 'out',
): Map<string, Hunk[]> {
  const beyond = new Map(hunks);
  for (const step of steps) {
    beyond.set(step.part, swallowing(beyond.get(step.part) ?? [], reach(step, has, becomes)));
  }
  return beyond;
}

/** Two changes of neighbouring characters as one. */
function join([before, ...more]: Step[], [after, ...others]: Step[]): Step[] | null {
  if (more.length || others.length || before.part !== after.part) return null;
  if (before.into.length + after.into.length > LONGEST) return null;
  if (after.at === before.at + before.into.length && !after.out) {
    return [{ ...before, into: before.into + after.into }];
  }
  const erased = after.at + after.out.length === before.at + before.into.length && !after.into;
  if (erased && after.at >= before.at) {
    return [{ ...before, into: before.into.slice(0, after.at - before.at) }];
  }
  if (erased && !before.into) return [{ ...before, at: after.at, out: after.out + before.out }];
  return null;
}

function applied(parts: Parts, steps: Step[], is: 'into' | 'out', becomes: 'into' | 'out'): Parts | null {
  const changed: Parts = {};
  for (const step of steps) {
    const text = asText(step.part in changed ? changed[step.part] : parts[step.part]);
    if (text.slice(step.at, step.at + step[is].length) !== step[is]) return null;
    changed[step.part] = asValue(
      text.slice(0, step.at) + step[becomes] + text.slice(step.at + step[is].length),
    );
  }
  return changed;
}
