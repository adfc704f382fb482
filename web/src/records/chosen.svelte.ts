import { SvelteSet } from 'svelte/reactivity';
import type { Schemas } from '../api/client';

type Choice = Schemas['ListSelection'];

/**
 * Which lines of a list are chosen: some one by one, or all that the list shows but for some. However long the list is, no
 * line has to be read to be chosen.
 */
export class Chosen {
  /** Whether all are chosen but for {@link ids}; else these are. */
  all = $state(false);
  readonly ids = new SvelteSet<string>();
  /** Where choosing went on from, to choose all lines up to another one. */
  private last = -1;

  has(id: string): boolean {
    return this.all !== this.ids.has(id);
  }

  /** How many are chosen, of so many that the list shows. */
  number(total: number): number {
    return this.all ? Math.max(0, total - this.ids.size) : this.ids.size;
  }

  /** Chooses a line, or leaves it out again. */
  toggle(id: string, at: number): void {
    this.put(id, !this.has(id));
    this.last = at;
  }

  /** Does with all lines from the one before to this one as is done with this one. */
  upTo(at: number, lineAt: (at: number) => string | undefined): void {
    const on = !this.has(lineAt(at) ?? '');
    const [from, to] = this.last < 0 ? [at, at] : [Math.min(at, this.last), Math.max(at, this.last)];
    for (let i = from; i <= to; i++) {
      const id = lineAt(i);
      if (id) this.put(id, on);
    }
    this.last = at;
  }

  private put(id: string, on: boolean) {
    if (on !== this.all) this.ids.add(id);
    else this.ids.delete(id);
  }

  chooseAll(): void {
    this.all = true;
    this.ids.clear();
  }

  none(): void {
    this.all = false;
    this.ids.clear();
    this.last = -1;
  }

  /** What is chosen, as the server is told. */
  choice(kind: Choice['kind'], narrowed: Choice['narrowed']): Choice {
    return { kind, all: this.all, ids: [...this.ids], narrowed };
  }
}
