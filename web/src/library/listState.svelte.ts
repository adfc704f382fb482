import { ask, sentence, type Schemas } from '../api/client';
import { notify } from '../ui/notices.svelte';
import type { Folder } from './folders';
import { queryOf, type Wants } from './wants';

type Line = Schemas['TemplateLine'];

/** The library as far as it has been read: its folders, and its lines page by page. */
export class ListState {
  folders = $state.raw<Folder[]>([]);
  /** What templates can be told apart by. */
  sorts = $state.raw<Schemas['Sorts']>({ purposes: [], tags: [], languages: [] });
  lines = $state.raw<Line[] | null>(null);
  total = $state(0);
  uncounted = $state(false);
  /** How many templates have not been looked at yet for notes that must be fixed. */
  unread = $state(0);
  goesOn = $state(false);
  failed = $state('');
  private run = 0;
  private reading = false;
  private readFor = '';

  /** @param wants what is shown now */
  constructor(private readonly wants: () => Wants) {}

  /** The folders and what templates can be told apart by, once they are asked for. */
  private around: Promise<[Folder[], Schemas['Sorts']]> | null = null;
  private shownAround: ListState['around'] = null;
  private latest: Promise<void> = Promise.resolve();

  /** Reads anew; as many lines as were shown, so that nobody loses their place. */
  read(): Promise<void> {
    this.around = null;
    return this.find();
  }

  /** Reads the lines that are wanted now; the folders around them are as they were. */
  find(): Promise<void> {
    return (this.latest = this.readNow());
  }

  /** Waits until nothing is read any more: a reading that another one overtakes ends without showing anything. */
  async settled(): Promise<void> {
    let last;
    do {
      last = this.latest;
      await last;
    } while (last !== this.latest);
  }

  private async readNow(): Promise<void> {
    const mine = ++this.run;
    const wants = this.wants();
    const key = JSON.stringify(wants);
    try {
      const wanted = this.lines && key === this.readFor ? this.lines.length : 1;
      this.around ??= Promise.all([ask('get', '/api/folders'), ask('get', '/api/templates/sorts')]);
      const { around } = this;
      // Where both fail, the lines say so.
      around.catch(() => undefined);
      let found: Line[] = [];
      let page: Schemas['TemplatePage'];
      do {
        page = await ask('get', '/api/templates', { query: queryOf(wants, found.at(-1)?.id) });
        found = [...found, ...page.lines];
      } while (page.more && found.length < wanted && mine === this.run);
      const [folders, told] = await around;
      if (mine !== this.run) return;
      // A folder that was saved meanwhile is known already.
      if (around !== this.shownAround) {
        this.folders = folders;
        this.sorts = told;
        this.shownAround = around;
      }
      this.lines = found;
      this.total = page.total;
      this.uncounted = page.uncounted;
      this.unread = page.unread;
      this.goesOn = page.more;
      this.readFor = key;
      this.failed = '';
    } catch (failure) {
      this.around = null;
      if (mine === this.run) this.failed = sentence(failure);
    }
  }

  /** Reads the next page. */
  async readOn(): Promise<void> {
    if (this.reading || !this.goesOn || !this.lines) return;
    this.reading = true;
    const mine = this.run;
    try {
      const page = await ask('get', '/api/templates', {
        query: queryOf(this.wants(), this.lines.at(-1)?.id),
      });
      if (mine === this.run) {
        this.lines = [...this.lines, ...page.lines];
        this.goesOn = page.more;
      }
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    } finally {
      this.reading = false;
    }
  }

  /** Marks a line to be found again, or no longer; shown at once. */
  async favour(line: Line): Promise<void> {
    const favourite = !line.favourite;
    const show = (is: boolean) =>
      (this.lines = this.lines?.map((one) => (one.id === line.id ? { ...one, favourite: is } : one)) ?? null);
    show(favourite);
    try {
      await ask('put', '/api/templates/{id}/favourite', { params: { id: line.id }, body: { favourite } });
    } catch (failure) {
      show(!favourite);
      notify(sentence(failure), { stop: true });
    }
  }
}
