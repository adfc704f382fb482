import { ask, Problem, sentence, type Schemas } from '../api/client';
import { isSound } from '../desk/body/body';
import type { FoundField } from '../desk/finding';
import { PreviewLoop } from '../desk/previewLoop.svelte';
import { UndoHistory } from '../desk/undoHistory';
import type { Hand, Writing } from '../desk/writing';
import { dropDraft, keepDraft } from '../desk/keptDrafts';
import { newMessageId, type KeptMessage } from './keptMessage';

type Draft = Schemas['Draft'];
type Mode = NonNullable<Draft['mode']>;
export type MessageToSend = Schemas['MessageToSend'];
export type KeepingMessage = 'kept' | 'keeping' | 'unkept' | 'elsewhere';

const KEEP_AFTER = 600;
const TRY_AGAIN_AFTER = 3000;
/** So long, in milliseconds, what was looked at before choosing is what the message begins with. */
const LOOKED_FOR = 10_000;
const NOTHING_CHANGED: Hand = { values: [], changes: [], newer: [] };

/** To whom a message goes and from whom, and what it belongs to. */
export type Envelope = Pick<
  MessageToSend,
  'template' | 'kind' | 'person' | 'deal' | 'address' | 'sender' | 'after' | 'wishes'
>;

/**
 * A message to one person while it is written. Every change goes to the browser's own store at once and to the server at
 * every pause; what it says is merged, proofread and compared with its template by the server.
 */
export class MessageState implements Writing {
  draft = $state<Draft | null>(null);
  readonly mayChange = true;
  /** What is wrong with a message is said beside it. */
  readonly wrong = {};
  generation = $state(0);
  hand = $state.raw<Hand>(NOTHING_CHANGED);
  stops = $state.raw<Schemas['Stop'][]>([]);
  keeping = $state<KeepingMessage>('kept');
  /** Whether its template says something else by now. */
  templateChanged = $state(false);
  envelope = $state<Envelope>() as Envelope;
  id = newMessageId();
  draftId = newMessageId();
  private version = 0;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private keepRun: Promise<void> = Promise.resolve();
  private changedAt = 0;
  private closed = false;
  /** Whether it is sent, put aside or thrown away: nothing of it is kept here any more. */
  private gone = false;
  private settling = false;
  /** Fields that are no words to change: the day of an event, what stands in HTML. */
  private readonly staysAField = new Set<string>();
  private steps = noSteps();
  /** What a template would say, as it was asked for last, and when. */
  private looked: { wish: string; at: number; answer: Promise<Schemas['BegunMessage']> } | null = null;
  /** What it said when it was begun here; null where it was gone on with. */
  private begunWords: string | null = null;

  readonly preview: PreviewLoop = new PreviewLoop(
    () =>
      this.draft
        ? {
            draft: { ...this.draft },
            template: '',
            person: {
              kind: this.envelope.kind as 'contact' | 'lead',
              id: this.envelope.person,
              deal: this.envelope.deal ?? null,
            },
          }
        : null,
    async ({ draft }) => {
      const read = await ask('post', '/api/messages/proof', { body: { ...this.asItIs(), words: draft } });
      return this.said(read);
    },
  );

  private said({ hand, stops, templateChanged, proof }: Schemas['WrittenMessage']): Schemas['ShownProof'] {
    this.hand = hand;
    this.stops = stops;
    this.templateChanged = templateChanged;
    return proof;
  }

  readonly people = new MessagePeople(
    () => this.envelope,
    () => this.draft?.about,
    () => this.settle(),
  );

  /**
   * @param key under which it is kept in this browser
   */
  constructor(
    private readonly key: string,
    envelope: Envelope,
  ) {
    this.envelope = envelope;
  }

  /** What its template says to the person, by now. */
  private merged(mode: Mode | null = null): Promise<Schemas['BegunMessage']> {
    return this.wouldSay(this.envelope.template, mode);
  }

  /** What a template would say to the person; nothing is begun. */
  async look(template: string): Promise<Schemas['ShownProof']> {
    const body = this.wish(template, null);
    const answer = ask('post', '/api/messages/begin', { body });
    this.looked = { wish: JSON.stringify(body), at: performance.now(), answer };
    return (await answer).read.proof;
  }

  /** What was looked at is begun with as it was seen, or is about to be; a while later it is asked for anew. */
  private async wouldSay(template: string | null, mode: Mode | null): Promise<Schemas['BegunMessage']> {
    const body = this.wish(template, mode);
    const { looked } = this;
    this.looked = null;
    if (looked?.wish === JSON.stringify(body) && performance.now() - looked.at < LOOKED_FOR) {
      const seen = await looked.answer.catch(() => null);
      if (seen) return seen;
    }
    return await ask('post', '/api/messages/begin', { body });
  }

  private wish(template: string | null, mode: Mode | null) {
    const { kind, person, deal, sender, wishes } = $state.snapshot(this.envelope);
    return { template, kind, id: person, deal, sender, mode, wishes };
  }

  /**
   * Begins with what its template says to the person.
   *
   * @param mode how a message without a template is written; null for a letter
   * @param subject that of a conversation; null for the template's
   */
  async begin(mode: Mode | null = null, subject: string | null = null): Promise<void> {
    await this.beginWith(await this.merged(mode), subject, () => true);
  }

  /** Begins anew by its envelope as it is now, unless somebody has written in it; says whether it did. */
  async beginUntouched(subject: string | null = null): Promise<boolean> {
    if (!this.untouched()) return false;
    return await this.beginWith(await this.merged(this.draft!.mode), subject, () => this.untouched());
  }

  private async beginWith(
    { words, read, senderId, wishes }: Schemas['BegunMessage'],
    subject: string | null,
    may: () => boolean,
  ): Promise<boolean> {
    await this.keepRun;
    // Asked last: what is typed while an answer is awaited is not to be lost.
    if (!may()) return false;
    const before = { id: this.draftId, version: this.version };
    this.envelope.sender = senderId;
    // Where nothing was settled before, its template's wishes are the envelope.
    this.envelope.wishes ??= wishes ?? null;
    this.draftId = newMessageId();
    this.version = 0;
    // Its words were read where they were merged; those of a conversation have another subject.
    this.take({ ...words, subject: subject ?? words.subject }, subject === null ? read : null);
    this.begunWords = this.words();
    // What it was merged from is another text now: the draft that was kept of the one before goes.
    await this.remove(before).catch(() => undefined);
    return true;
  }

  /** Goes on with what was kept. */
  goOn(kept: KeptMessage): void {
    const { message } = kept;
    const { template, kind, person, deal, address, sender, after, wishes } = message;
    this.id = message.id;
    this.draftId = kept.draft;
    this.version = kept.version;
    this.begunWords = null;
    this.envelope = { template, kind, person, deal, address, sender, after, wishes };
    this.take(message.words!);
    this.keepHere(kept.unsent);
    if (kept.unsent) {
      this.keeping = 'keeping';
      this.keepSoon();
    }
  }

  /** What is to be looked at, and stops nothing. */
  checks(): Schemas['ShownNote'][] {
    return (this.preview.proof?.notes ?? []).filter((note) => note.level === 'QUERY' && !note.waved);
  }

  private words(): string {
    return JSON.stringify($state.snapshot(this.draft));
  }

  /** Whether it says just what it was begun with, as far as is known: then it can be begun anew without asking. */
  untouched(): boolean {
    return this.begunWords === this.words();
  }

  /** @param read what is known of these words; null where the server is to be asked */
  private take(words: Draft, read: Schemas['WrittenMessage'] | null = null): void {
    this.draft = { ...words };
    this.generation++;
    this.steps = noSteps();
    this.steps.goOn({ ...this.draft });
    if (read) this.preview.take({ ...this.draft }, this.said(read));
    else this.preview.ask();
    // Once the message stands there: fields are wanted when one is put in.
    whenQuiet(() => void this.people.read());
  }

  close(): void {
    this.closed = true;
    this.preview.close();
    clearTimeout(this.timer);
    if (this.keeping === 'keeping') void this.keepOnce();
  }

  change(part: Partial<Draft>, apart = false): void {
    if (!this.draft) return;
    this.steps.add(this.draft, part, performance.timeOrigin + performance.now(), apart);
    this.set(part);
  }

  goBack(way: 1 | -1): boolean {
    if (!this.draft) return false;
    const part = way < 0 ? this.steps.back(this.draft) : this.steps.forth(this.draft);
    if (part) this.set(part as Partial<Draft>);
    return part !== null;
  }

  private set(part: Partial<Draft>): void {
    Object.assign(this.draft!, part);
    this.moved();
    this.preview.ask();
  }

  /** Something of it is other than it was: it is kept. */
  moved(): void {
    this.changedAt++;
    this.keepHere(true);
    if (this.keeping !== 'elsewhere') this.keeping = 'keeping';
    this.keepSoon();
  }

  /** Whether somebody has changed a word of it. */
  changed(): boolean {
    return this.hand.changes.length > 0 || (!this.envelope.template && this.changedAt > 0);
  }

  /**
   * Takes every change back, in one step that can be taken back itself.
   *
   * @param parts which texts; all of them where none is named
   */
  async asTheTemplateSays(...parts: (keyof Draft)[]): Promise<void> {
    const { words } = await this.merged();
    const back = parts.length ? Object.fromEntries(parts.map((part) => [part, words[part]])) : words;
    this.change(back, true);
    this.generation++;
  }

  asItIs(): MessageToSend {
    return {
      id: this.id,
      ...$state.snapshot(this.envelope),
      answers: null,
      words: this.draft ? { ...this.draft } : null,
      draft: this.draftId,
    };
  }

  /**
   * Has fields that have a value by now be words.
   *
   * @param given values for this message alone, by path, and answers to its blanks; what does not fit is thrown
   */
  async settle(
    given: { chosen?: Record<string, string>; answers?: Record<string, string> } = {},
  ): Promise<void> {
    if (!this.draft) return;
    const before = this.changedAt;
    const settled = await ask('post', '/api/messages/settle', {
      body: { message: this.asItIs(), chosen: given.chosen ?? null, answers: given.answers ?? null },
    });
    // What was typed while the answer was on its way is settled with it.
    if (this.changedAt !== before) return await this.settle(given);
    const { subject, previewText, body, design } = settled;
    const part = Object.fromEntries(
      Object.entries({ subject, previewText, body, design }).filter(
        ([name, text]) => text !== this.draft![name as keyof Draft],
      ),
    );
    if (Object.keys(part).length) this.change(part, true);
  }

  /** A field that was put in becomes words as soon as it is known what it says. */
  settleWhatIsKnown(proof: Schemas['ShownProof']): void {
    const known = [proof.subject, proof.previewText, proof.body]
      .flatMap((part) => part.pieces)
      .filter(({ written, text, origin }) => written && text && ['RECORD', 'FALLBACK'].includes(origin))
      .map((piece) => piece.written)
      .filter((written) => !this.staysAField.has(written) && this.has(written));
    if (!known.length || this.settling) return;
    this.settling = true;
    this.settle()
      .then(() => known.filter((written) => this.has(written)).forEach((one) => this.staysAField.add(one)))
      .catch(() => undefined)
      .finally(() => (this.settling = false));
  }

  /** Whether a field stands in the words themselves, not in what a style, passage or signature says. */
  private has(written: string): boolean {
    const { subject, previewText, body, design } = this.draft!;
    return (
      [subject, previewText, body].some((text) => text.includes(written)) ||
      (design ?? '').includes(JSON.stringify(written).slice(1, -1))
    );
  }

  private keepHere(unsent: boolean): void {
    const kept: KeptMessage = {
      draft: this.draftId,
      version: this.version,
      message: this.asItIs(),
      unsent,
    };
    keepDraft(this.key, kept);
  }

  private keepSoon(after = KEEP_AFTER): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.keep(), after);
  }

  /** Keeps what has not been kept, one time after another. */
  private keep(): Promise<void> {
    const next = () => this.keepOnce();
    this.keepRun = this.keepRun.then(next, next);
    return this.keepRun;
  }

  private async keepOnce(): Promise<void> {
    if (!this.draft || this.gone || this.keeping === 'kept' || this.keeping === 'elsewhere') return;
    const at = this.changedAt;
    try {
      const { version } = await ask('put', '/api/message-drafts/{id}', {
        params: { id: this.draftId },
        body: { version: this.version, message: this.asItIs() },
      });
      this.version = version;
      const done = at === this.changedAt;
      this.keeping = done ? 'kept' : 'keeping';
      if (this.gone) return;
      this.keepHere(!done);
      if (!done && !this.closed) this.keepSoon();
    } catch (failure) {
      const code = failure instanceof Problem ? failure.code : '';
      if (code === 'changed-meanwhile' || code === 'missing' || code === 'sent') this.keeping = 'elsewhere';
      else {
        this.keeping = 'unkept';
        if (!this.closed) this.keepSoon(TRY_AGAIN_AFTER);
      }
    }
  }

  /** Another window has sent it, or has changed it since. */
  isElsewhere(): void {
    this.keeping = 'elsewhere';
  }

  /** Keeps it at once, as far as that can be done. */
  async flush(): Promise<void> {
    clearTimeout(this.timer);
    await this.keep();
  }

  /** Another window has changed the draft: that one is taken, or this one kept in its place. */
  async choose(mine: boolean): Promise<string> {
    try {
      const theirs = await ask('get', '/api/message-drafts/{id}', { params: { id: this.draftId } });
      this.version = theirs.version;
      if (mine) {
        this.keeping = 'keeping';
        await this.flush();
      } else {
        this.keeping = 'kept';
        this.goOn({ draft: theirs.id, version: theirs.version, message: theirs.message, unsent: false });
      }
      return '';
    } catch (failure) {
      if (mine && failure instanceof Problem && ['missing', 'sent'].includes(failure.code)) {
        // It was sent or discarded there: this one goes on as one of its own.
        this.draftId = newMessageId();
        this.id = newMessageId();
        this.version = 0;
        this.keeping = 'keeping';
        await this.flush();
        return '';
      }
      return sentence(failure);
    }
  }

  /** Throws the draft away, here and on the server. */
  async discard(): Promise<void> {
    clearTimeout(this.timer);
    this.closed = true;
    this.gone = true;
    await this.keepRun.catch(() => undefined);
    dropDraft(this.key);
    await this.remove({ id: this.draftId, version: this.version });
  }

  private async remove({ id, version }: { id: string; version: number }): Promise<void> {
    if (version > 0) await ask('delete', '/api/message-drafts/{id}', { params: { id } });
  }

  /** Leaves it to the server, to be gone on with some other time; says whether the server has all of it. */
  async putAside(): Promise<boolean> {
    await this.flush();
    if (this.keeping !== 'kept') return false;
    this.gone = true;
    dropDraft(this.key);
    return true;
  }

  /** Forgets what is kept here: the message is on its way. */
  sent(): void {
    this.closed = true;
    this.gone = true;
    clearTimeout(this.timer);
    this.preview.close();
    dropDraft(this.key);
  }
}

function whenQuiet(run: () => void): void {
  if ('requestIdleCallback' in window) window.requestIdleCallback(run, { timeout: 500 });
  else setTimeout(run);
}

function noSteps(): UndoHistory {
  return new UndoHistory(null, ({ design }) => typeof design !== 'string' || !design || isSound(design));
}

/** The fields that can be put into a message, with what each says to its person. */
class MessagePeople {
  fields = $state.raw<FoundField[]>([]);
  readonly filled = null;

  constructor(
    private readonly to: () => Envelope,
    private readonly about: () => Draft['about'] | undefined,
    private readonly settle: () => Promise<void>,
  ) {}

  async read(): Promise<void> {
    const about = this.about();
    const { kind, person, deal } = this.to();
    if (!about) return;
    this.fields = await ask('get', '/api/desk/fields', {
      query: { about, kind, id: person, deal },
    }).catch(() => this.fields);
  }

  async mended(): Promise<void> {
    await this.read();
    await this.settle();
  }
}
