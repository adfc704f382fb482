import { ask, fieldsOf, Problem, sentence, type Schemas } from '../api/client';
import { dropDraft, keepDraft, readDraft, templateKey } from './keptDrafts';
import { isSound } from './body/body';
import { draftOf } from './draftOf';
import { notify } from '../ui/notices.svelte';
import { PreviewLoop } from './previewLoop.svelte';
import { PreviewPeople } from './previewPeople.svelte';
import { UndoHistory } from './undoHistory';
import type { Writing } from './writing';

type Draft = Schemas['Draft'];
/** What is kept in the browser; `base` is what the server had when the draft went on from it. */
type Kept = { version: number; draft: Draft; base?: Draft };

/** Whether what is kept has this shape; what an older version kept otherwise is left to what the server has. */
function isKept(kept: unknown): kept is Kept {
  const { version, draft } = (kept ?? {}) as Partial<Kept>;
  const texts = [draft?.name, draft?.subject, draft?.previewText, draft?.body, draft?.about];
  return (
    typeof version === 'number' &&
    texts.every((text) => typeof text === 'string') &&
    (!draft?.design || isSound(draft.design))
  );
}

/** How the draft stands with the server. */
export type Keeping =
  | { is: 'kept'; at: Date }
  | { is: 'keeping' }
  | { is: 'unkept'; why: string }
  | { is: 'wrong'; why: string; fields: Record<string, string> }
  | { is: 'conflict'; why: string; merged: Schemas['MergedDraft']; mine: Draft };

const KEEP_AFTER = 600;
const TRY_AGAIN_AFTER = 3000;

function listed(all: string[]): string {
  return all.length < 2 ? all.join('') : `${all.slice(0, -1).join(', ')} and ${all.at(-1)}`;
}

/** At most so many characters of steps are kept over a reload. */
const MOST_STEPS = 1_500_000;

/**
 * A template on the desk. Every change goes to the browser's own store at once, to the server a moment later, and to
 * the proof as soon as the one before has come back; the draft itself never waits for any of them.
 */
export class DeskState implements Writing {
  readonly hand = null;
  template = $state<Schemas['Template'] | null>(null);
  draft = $state<Draft | null>(null);
  mayChange = $state(false);
  failed = $state('');
  keeping = $state<Keeping>({ is: 'kept', at: new Date() });
  /** Changes when the texts were replaced from outside, so that the editors begin anew. */
  generation = $state(0);
  readonly preview = new PreviewLoop(() =>
    this.draft && this.people.person
      ? { draft: { ...this.draft }, template: this.id, person: this.people.person }
      : null,
  );
  readonly people: PreviewPeople = new PreviewPeople(() => this.draft, this.preview);
  version = $state(0);
  archived = $state(false);
  lastTest = $state<Schemas['LastTest'] | null>(null);
  /** What is known of its files, which need not lie where one sees them in Materials. */
  attached = $state.raw<Schemas['KeptFile'][]>([]);
  /** Whether others can use it, and whether they use what it says now. */
  readonly stage = $derived.by(() => {
    const ready = this.template?.readyVersion ?? null;
    return ready === null ? 'draft' : ready === this.version ? 'ready' : 'changed';
  });
  /** What the server has, as far as this browser knows. */
  private base: Draft | null = null;
  private keepTimer: ReturnType<typeof setTimeout> | undefined;
  private keepRun: Promise<void> = Promise.resolve();
  private closed = false;
  private readonly stepsKey: string;
  private steps: UndoHistory;

  constructor(readonly id: string) {
    this.stepsKey = `famulus.steps.${id}`;
    this.steps = new UndoHistory(
      id && sessionStorage.getItem(this.stepsKey),
      ({ design }) => typeof design !== 'string' || isSound(design),
    );
  }

  async open(): Promise<void> {
    try {
      this.take(await ask('get', '/api/templates/{id}', { params: { id: this.id } }));
      const unsent = readDraft(templateKey(this.id), isKept);
      if (unsent && this.mayChange) {
        this.draft = unsent.draft;
        this.version = unsent.version;
        this.base = unsent.base ?? this.base;
        this.keeping = { is: 'keeping' };
        this.keepSoon();
      }
      this.steps.goOn({ ...this.draft });
      await this.people.first();
    } catch (failure) {
      this.failed = sentence(failure);
    }
  }

  close(): void {
    this.keepSteps();
    this.closed = true;
    this.preview.close();
    this.people.close();
    clearTimeout(this.keepTimer);
  }

  private take({ template, mayChange, archived, lastTest, attached }: Schemas['OpenTemplate']): void {
    this.template = template;
    this.attached = attached;
    this.lastTest = lastTest ?? null;
    this.mayChange = mayChange;
    this.archived = archived;
    this.version = template.version;
    this.draft = draftOf(template);
    this.base = { ...this.draft };
    this.keeping = { is: 'kept', at: new Date(template.changedAt) };
  }

  /** The draft has changed in some of its parts; `apart` when that is taken back on its own. */
  change(part: Partial<Draft>, apart = false): void {
    if (!this.draft || !this.mayChange) return;
    this.steps.add(this.draft, part, performance.timeOrigin + performance.now(), apart);
    this.set(part);
  }

  /** Takes the last change back (-1), or does it again (1); says whether there was one. */
  goBack(way: 1 | -1): boolean {
    if (!this.draft || !this.mayChange) return false;
    const part = way < 0 ? this.steps.back(this.draft) : this.steps.forth(this.draft);
    if (part) this.set(part as Partial<Draft>);
    return part !== null;
  }

  /** Steps are kept for this tab only: what another one did is not this one's to take back. */
  keepSteps(): void {
    if (!this.id || !this.draft) return;
    try {
      sessionStorage.setItem(this.stepsKey, this.steps.toKeep(MOST_STEPS, { ...this.draft }));
    } catch {
      sessionStorage.removeItem(this.stepsKey);
    }
  }

  private set(part: Partial<Draft>): void {
    if (!this.draft) return;
    const aboutChanged = part.about !== undefined && part.about !== this.draft.about;
    Object.assign(this.draft, part);
    this.keepHere();
    if (this.keeping.is !== 'conflict') this.keeping = { is: 'keeping' };
    this.keepSoon();
    if (aboutChanged) void this.people.first();
    else this.preview.ask();
  }

  private keepHere(): void {
    const kept = { version: this.version, draft: this.draft!, base: this.base ?? undefined } satisfies Kept;
    keepDraft(templateKey(this.id), kept);
  }

  private keepSoon(after = KEEP_AFTER): void {
    clearTimeout(this.keepTimer);
    this.keepTimer = setTimeout(() => {
      this.keepSteps();
      void this.keep();
    }, after);
  }

  /** Keeps what has not been kept, one time after another: two at once would each take the other for a colleague. */
  private keep(): Promise<void> {
    const next = () => this.keepOnce();
    this.keepRun = this.keepRun.then(next, next);
    return this.keepRun;
  }

  /** Whether the draft says something else than it did. */
  private movedOn(from: Draft): boolean {
    const now = this.draft;
    return !!now && (Object.keys(from) as (keyof Draft)[]).some((part) => from[part] !== now[part]);
  }

  private async keepOnce(): Promise<void> {
    if (!this.draft || this.closed || ['kept', 'conflict'].includes(this.keeping.is)) return;
    const draft = { ...this.draft };
    try {
      const kept = await ask('put', '/api/templates/{id}', {
        params: { id: this.id },
        body: { version: this.version, draft },
      });
      this.version = kept.template.version;
      this.template = kept.template;
      this.base = draft;
      if (!this.movedOn(draft)) {
        dropDraft(templateKey(this.id));
        this.keeping = { is: 'kept', at: new Date(kept.template.changedAt) };
      } else {
        this.keepHere();
        this.keepSoon();
      }
    } catch (failure) {
      await this.notKept(failure);
    }
  }

  /** Keeps at once what has not been kept; returns the version that is. */
  async flush(): Promise<number> {
    clearTimeout(this.keepTimer);
    for (let is = this.keeping.is; is !== 'kept'; is = this.keeping.is) {
      await this.keep();
      const now = this.keeping;
      if (now.is !== 'kept' && now.is !== 'keeping') throw new Problem('unkept', `Not saved: ${now.why}`);
    }
    return this.version;
  }

  /** What is wrong with parts of the draft, by their names, so that it can be said where they are. */
  get wrong(): Record<string, string> {
    return this.keeping.is === 'wrong' ? this.keeping.fields : {};
  }

  /** Reads again what is said of the template from outside its words. */
  async reread(): Promise<void> {
    const { template, archived, lastTest } = await ask('get', '/api/templates/{id}', {
      params: { id: this.id },
    });
    this.archived = archived;
    this.lastTest = lastTest ?? null;
    if (template.version === this.version) this.template = template;
  }

  private async notKept(failure: unknown): Promise<void> {
    const code = failure instanceof Problem ? failure.code : '';
    if (code === 'changed-meanwhile') {
      await this.merge();
    } else if (code === 'fields') {
      const fields = fieldsOf(failure);
      this.keeping = { is: 'wrong', why: Object.values(fields)[0] ?? sentence(failure), fields };
    } else {
      this.keeping = { is: 'unkept', why: sentence(failure) };
      this.keepSoon(TRY_AGAIN_AFTER);
    }
  }

  /** Somebody else has kept a change: both go together, and only where both changed the same one is asked. */
  private async merge(): Promise<void> {
    if (!this.draft) return;
    const mine = { ...this.draft };
    try {
      const merged = await ask('post', '/api/templates/{id}/merge', {
        params: { id: this.id },
        body: { base: this.base ?? mine, mine },
      });
      // What was written while the answer was on its way goes into it too.
      if (this.movedOn(mine)) return await this.merge();
      if (merged.both.length) {
        const why = `${merged.by} changed ${listed(merged.both)} too.`;
        this.keeping = { is: 'conflict', why, merged, mine };
      } else {
        this.adopt(merged, merged.mineFirst);
        notify(`${merged.by} changed this template too. Both changes are in it.`);
      }
    } catch (failure) {
      this.keeping = { is: 'unkept', why: sentence(failure) };
      this.keepSoon(TRY_AGAIN_AFTER);
    }
  }

  private adopt({ version, theirs }: Schemas['MergedDraft'], draft: Draft): void {
    this.version = version;
    this.base = theirs;
    this.keeping = { is: 'keeping' };
    this.steps.moveOver({ ...this.draft }, draft);
    this.set(draft);
  }

  /** Where both changed the same: these words, or theirs; all else of both stands. */
  async choose(mine: boolean): Promise<void> {
    // One may have gone on writing since it was asked.
    if (this.keeping.is === 'conflict' && this.movedOn(this.keeping.mine)) await this.merge();
    if (this.keeping.is !== 'conflict') return;
    const { merged } = this.keeping;
    this.adopt(merged, mine ? merged.mineFirst : merged.theirsFirst);
  }

  /** Somebody kept a change while nothing waits here: it is shown at once. */
  async follow(): Promise<void> {
    if (this.keeping.is !== 'kept' || this.closed) return;
    const now = await ask('get', '/api/templates/{id}', { params: { id: this.id } }).catch(() => null);
    // What was typed while the answer was on its way is merged when it is kept.
    if (!now || this.keeping.is !== 'kept' || now.template.version <= this.version) return;
    const before = { ...this.draft };
    this.take(now);
    this.steps.moveOver(before, { ...this.draft });
    this.preview.ask();
  }

  /** The line is back: whatever waits goes now. */
  reconnected(): void {
    if (this.keeping.is === 'unkept') this.keepSoon(0);
    this.preview.ask();
  }
}
