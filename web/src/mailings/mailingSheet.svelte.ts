import { ask, fieldsOf, lines, Problem, sentence, type Schemas } from '../api/client';
import { notify } from '../ui/notices.svelte';
import { byTrouble, goes } from './mailingWords';

type Plan = Schemas['MailingPlan'];

/** Between the last change and its keeping, in milliseconds. */
const PAUSE = 500;

/** A mailing on its page: what stands on it, kept as one goes, and what the server says of it. */
export class MailingSheet {
  mailing = $state.raw<Schemas['ShownMailing'] | null>(null);
  ready = $state.raw<Schemas['MailingReady'] | null>(null);
  rows = $state.raw<Schemas['ShownPreview'][]>([]);
  /** What is to be said of the mailing as a whole. */
  whole = $state.raw<string[]>([]);
  /** A colleague’s look at it, and what is said in it before it is sent. */
  seen = $state.raw<Schemas['ShownLook'] | null>(null);
  remarks = $state.raw<Schemas['Comment'][]>([]);
  people = $state.raw<Schemas['ShownMailingPerson'][]>([]);
  /** Whether previews are still being read. */
  reading = $state(false);
  /** What is wrong with a part, by part. */
  wrong = $state.raw<Record<string, string>>({});
  failed = $state('');
  saving = $state(false);

  private timer: ReturnType<typeof setTimeout> | undefined;
  private dirty = false;
  private keeping: Promise<void> | null = null;
  private read: AbortController | null = null;
  private asked = 0;

  constructor(readonly id: string) {
    void this.load();
  }

  readonly plan = $derived(this.mailing?.plan ?? null);
  readonly open = $derived(
    !!this.mailing?.mayChange && (this.mailing.state === 'WRITING' || this.mailing.state === 'PAUSED'),
  );
  readonly sorted = $derived(byTrouble(this.rows));
  readonly going = $derived(this.rows.filter(goes).length);
  readonly held = $derived(this.rows.length - this.going);

  /** Whether whoever is signed in is to look at it now. */
  readonly looking = $derived(!!this.seen?.mine && !this.seen.answeredAt);
  /** The remarks of the colleague who sent it back, and their name. */
  readonly sentBack = $derived({
    by: this.seen?.asked ?? '',
    comments: this.seen?.answeredAt && !this.seen.approved ? this.seen.comments : [],
  });

  /** Reads all of it afresh, but for what has not been kept yet. */
  async load(): Promise<void> {
    try {
      const now = await ask('get', '/api/mailings/{id}', { params: { id: this.id } });
      if (this.dirty) return;
      this.mailing = now;
      this.failed = '';
      if (now.state !== 'WRITING') {
        this.people = await ask('get', '/api/mailings/{id}/people', { params: { id: this.id } });
      }
      if (now.state === 'WRITING' || now.state === 'PAUSED') await this.look();
    } catch (failure) {
      this.failed = sentence(failure);
    }
  }

  /** Told that something of it has changed. */
  changed(): void {
    if (!this.dirty && !this.keeping) void this.load();
  }

  /** Asks who gets it and what keeps it, then what each would get. */
  async look(): Promise<void> {
    const mine = ++this.asked;
    try {
      const ready = await ask('get', '/api/mailings/{id}/ready', { params: { id: this.id } });
      if (mine !== this.asked) return;
      this.ready = ready;
      void this.readSeen(mine);
      await this.preview(mine);
    } catch (failure) {
      if (mine === this.asked) this.failed = sentence(failure);
    }
  }

  private async readSeen(mine: number) {
    try {
      const seen = await ask('get', '/api/mailings/{id}/look', { params: { id: this.id } });
      if (mine !== this.asked) return;
      this.seen = seen;
      this.wrong = { ...this.wrong, look: '' };
    } catch (failure) {
      if (mine === this.asked) this.wrong = { ...this.wrong, look: sentence(failure) };
    }
  }

  /** What keeps it from leaving just now, by code: what is shown may be of before the last change. */
  async stops(): Promise<string[]> {
    await this.keep();
    try {
      const { stops } = await ask('get', '/api/mailings/{id}/ready', { params: { id: this.id } });
      return stops.map((stop) => stop.code);
    } catch {
      return this.ready?.stops.map((stop) => stop.code) ?? [];
    }
  }

  private async preview(mine: number) {
    this.read?.abort();
    const read = new AbortController();
    this.read = read;
    this.reading = true;
    const rows: Schemas['ShownPreview'][] = [];
    let shown = 0;
    try {
      for await (const line of lines('/api/mailings/{id}/previews', undefined, read.signal, {
        id: this.id,
      })) {
        if (mine !== this.asked) return;
        const { row, whole } = line as Schemas['PreviewLine'];
        if (row) rows.push(row);
        else this.whole = whole ?? [];
        // The first ones at once, then as they come, without drawing the list for each of them.
        if (rows.length === 20 || rows.length - shown >= 50) {
          shown = rows.length;
          this.rows = [...rows];
        }
      }
      this.rows = rows;
    } catch (failure) {
      if (!(failure instanceof DOMException)) this.wrong = { ...this.wrong, previews: sentence(failure) };
    } finally {
      if (this.read === read) this.reading = false;
    }
  }

  rename(name: string): void {
    if (this.mailing) this.put({ ...this.mailing, name });
  }

  who(change: Partial<Plan['who']>): void {
    if (this.mailing) this.set({ ...this.mailing.plan, who: { ...this.mailing.plan.who, ...change } });
  }

  what(change: Partial<Plan['what']>): void {
    if (this.mailing) this.set({ ...this.mailing.plan, what: { ...this.mailing.plan.what, ...change } });
  }

  when(change: Partial<Plan['when']>): void {
    if (this.mailing) this.set({ ...this.mailing.plan, when: { ...this.mailing.plan.when, ...change } });
  }

  goal(change: Partial<Plan['goal']>): void {
    if (this.mailing) this.set({ ...this.mailing.plan, goal: { ...this.mailing.plan.goal, ...change } });
  }

  private set(plan: Plan) {
    if (this.mailing) this.put({ ...this.mailing, plan });
  }

  private put(mailing: Schemas['ShownMailing']) {
    if (!this.open) return;
    this.mailing = mailing;
    this.dirty = true;
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.keep(), PAUSE);
  }

  /** Keeps what has been changed; nothing where nothing has. */
  async keep(): Promise<void> {
    clearTimeout(this.timer);
    if (this.keeping) await this.keeping;
    if (!this.dirty || !this.mailing) return;
    this.keeping = this.keepNow();
    await this.keeping;
    this.keeping = null;
  }

  private async keepNow() {
    const { version, name, plan } = this.mailing!;
    this.dirty = false;
    this.saving = true;
    try {
      const kept = await ask('put', '/api/mailings/{id}', {
        params: { id: this.id },
        body: { version, name, plan },
      });
      this.mailing = { ...this.mailing!, version: kept.version };
      this.wrong = {};
      if (!this.dirty) void this.look();
    } catch (failure) {
      if (failure instanceof Problem && failure.code === 'changed-meanwhile') {
        notify(`${failure.message} It is shown as it is now.`, { stop: true });
        await this.load();
      } else {
        const fields = fieldsOf(failure);
        this.wrong = Object.keys(fields).length ? fields : { page: sentence(failure) };
      }
    } finally {
      this.saving = false;
    }
  }

  /** Does something with it, and shows what has become of it; says whether it was done. */
  async act(how: () => Promise<unknown>): Promise<boolean> {
    try {
      await this.keep();
      await how();
      await this.load();
      return true;
    } catch (failure) {
      notify(sentence(failure), { stop: true });
      await this.load();
      return false;
    }
  }

  /** Ends what is still being read. */
  end(): void {
    this.asked++;
    this.read?.abort();
    if (this.dirty) void this.keep();
  }
}
