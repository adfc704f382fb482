import { ask, sentence, type Schemas } from '../api/client';
import { notify } from '../ui/notices.svelte';
import type { Folder } from './folders';
import { queryOf, type Wants } from './wants';

type Line = Schemas['TemplateLine'];

/** The library as far as it has been read: its folders, and its lines page by page. */
export class ListState {
  folders = $state.raw<Folder[]>([]);
  lines = $state.raw<Line[] | null>(null);
  total = $state(0);
  uncounted = $state(false);
  goesOn = $state(false);
  failed = $state('');
  private run = 0;
  private reading = false;
  private readFor = '';

  /** @param wants what is shown now */
  constructor(private readonly wants: () => Wants) {}

  /** Reads anew; as many lines as were shown, so that nobody loses their place. */
  async read(): Promise<void> {
    const mine = ++this.run;
    const wants = this.wants();
    const key = JSON.stringify(wants);
    try {
      const wanted = this.lines && key === this.readFor ? this.lines.length : 1;
      const tree = ask('get', '/api/folders');
      let found: Line[] = [];
      let page: Schemas['TemplatePage'];
      do {
        page = await ask('get', '/api/templates', { query: queryOf(wants, found.at(-1)?.id) });
        found = [...found, ...page.lines];
      } while (page.more && found.length < wanted && mine === this.run);
      const folders = await tree;
      if (mine !== this.run) return;
      this.folders = folders;
      this.lines = found;
      this.total = page.total;
      this.uncounted = page.uncounted;
      this.goesOn = page.more;
      this.readFor = key;
      this.failed = '';
    } catch (failure) {
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
