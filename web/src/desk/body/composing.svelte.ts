import { tick } from 'svelte';
import { ask, sentence } from '../../api/client';
import { notify } from '../../ui/notices.svelte';
import type { Writing } from '../writing';
import {
  bandOf,
  Bodies,
  bandStepped,
  bandWith,
  blockOf,
  blocksOf,
  changed,
  copyOf,
  duplicated,
  inserted,
  moved,
  placeOf,
  readBody,
  removed,
  stepped,
  type Band,
  type Block,
  type Body,
  type KnownKind,
  type Place,
} from './body';
import { kindLabel, newBlock } from './kinds';

/** What is being dragged: a block or band that is there, or a kind from the drawer. */
export type Dragged = { what: 'block' | 'band'; id: string } | { what: 'kind'; kind: KnownKind };

const COPIED = 'famulus-blocks:';

/** The blocks of a draft while they are put together: what is chosen, what is open, and every change by hand. */
export class Composing {
  /** Blocks and bands that are chosen by their handles. */
  chosen = $state<string[]>([]);
  /** The block or band whose slip is open. */
  slip = $state<{ id: string; anchor: HTMLElement } | null>(null);
  /** The place for which a block is being chosen. */
  adding = $state<{ place: Place; anchor: HTMLElement } | null>(null);
  dragged = $state<Dragged | null>(null);
  /** The block that is pointed at, in the draft or in the proof. */
  pointed = $state<string | null>(null);
  /** The block that has the cursor. */
  writing = $state<string | null>(null);
  readonly bodies = new Bodies();
  readonly body: Body = $derived.by(() => this.bodies.read(this.desk.draft?.design));
  readonly numbers = $derived.by(
    () => new Map(blocksOf(this.body).map((block, at) => [block.id, at + 1] as const)),
  );
  private readonly names = $derived.by(
    () =>
      new Map([
        ...this.body.bands.map((band, at) => [band.id, `Row ${at + 1}`] as const),
        ...blocksOf(this.body).map((block, at) => [block.id, `${kindLabel(block.kind)} ${at + 1}`] as const),
      ]),
  );
  readonly editable = $derived.by(() => this.desk.mayChange);
  readonly banded = $derived.by(() => this.desk.draft?.mode === 'DESIGNED');

  constructor(readonly desk: Writing) {}

  /** Opens the slip of a block or band, below it. */
  open(id: string, within: HTMLElement): void {
    this.slip = { id, anchor: within.closest<HTMLElement>('[data-part]') ?? within };
  }

  /** The draft with another body; one step takes it back. */
  put(body: Body, apart = true): void {
    if (body !== this.body) this.desk.change({ design: this.bodies.write(body) }, apart);
  }

  change(id: string, part: Partial<Block> | Partial<Band>, apart = false): void {
    this.put(changed(this.body, id, part), apart);
  }

  add(kind: KnownKind, place: Place): void {
    this.insert(newBlock(kind), place);
  }

  private insert(block: Block, place: Place): void {
    this.put(inserted(this.body, block, place));
    focusInto(block.id);
  }

  move(id: string, to: Place): void {
    this.put(moved(this.body, id, to));
    focusHandle(id);
  }

  step(id: string, way: 1 | -1): void {
    this.put(bandOf(this.body, id) ? bandStepped(this.body, id, way) : stepped(this.body, id, way));
    focusHandle(id);
  }

  duplicate(id: string): void {
    const copy = duplicated(this.body, id);
    this.put(copy.body);
    focusHandle(copy.id);
  }

  /** Takes blocks and bands out; a bar at the foot can bring them back. */
  remove(ids: string[]): void {
    const before = this.desk.draft?.design;
    const there = ids.filter((id) => blockOf(this.body, id) ?? bandOf(this.body, id));
    if (!there.length) return;
    const next = this.neighbour(there);
    const what = there.length === 1 ? this.called(there[0]) : `${there.length} blocks`;
    this.slip = null;
    this.chosen = [];
    this.put(there.reduce(removed, this.body));
    if (next) focusHandle(next);
    notify(`${what} deleted.`, {
      undo: async () => this.desk.change({ design: before }, true),
    });
  }

  private neighbour(gone: string[]): string | undefined {
    const all = blocksOf(this.body).map((block) => block.id);
    const at = all.findIndex((id) => gone.includes(id));
    return (
      all.slice(at).find((id) => !gone.includes(id)) ?? all.slice(0, at).findLast((id) => !gone.includes(id))
    );
  }

  /** How a block or band is called. */
  called(id: string): string {
    return this.names.get(id) ?? '';
  }

  /** Chooses one, or one more, or all from the last chosen on. */
  choose(id: string, how: 'only' | 'more' | 'range'): void {
    if (how === 'only') this.chosen = [id];
    else if (how === 'more') {
      this.chosen = this.chosen.includes(id) ? this.chosen.filter((one) => one !== id) : [...this.chosen, id];
    } else {
      const all = blocksOf(this.body).map((block) => block.id);
      const [a, b] = [all.indexOf(this.chosen.at(-1) ?? id), all.indexOf(id)];
      if (a < 0 || b < 0) this.chosen = [id];
      else this.chosen = all.slice(Math.min(a, b), Math.max(a, b) + 1);
    }
  }

  /** Blocks as text for the clipboard; other templates can take them in. */
  copied(ids: string[]): string {
    const blocks = ids.flatMap((id) => {
      const band = bandOf(this.body, id);
      return band ?? blockOf(this.body, id) ?? [];
    });
    return COPIED + JSON.stringify(blocks);
  }

  /** Puts copied blocks below a block; says whether the text held any. */
  paste(text: string, below: string): boolean {
    if (!text.startsWith(COPIED)) return false;
    let parts: (Block | Band)[];
    try {
      parts = (JSON.parse(text.slice(COPIED.length)) as (Block | Band)[]).map((one) => copyOf(one));
    } catch {
      return false;
    }
    let body = this.body;
    const place = placeOf(body, below);
    let bandAt = (place?.bandAt ?? body.bands.findIndex((band) => band.id === below)) + 1;
    let at = (place?.at ?? -1) + 1;
    for (const part of parts) {
      if ('columns' in part) {
        body = { ...body, bands: body.bands.toSpliced(bandAt++, 0, part as Band) };
      } else if (place) {
        body = inserted(body, part as Block, { band: place.band, column: place.column, at: at++ });
      } else {
        body = { ...body, bands: body.bands.toSpliced(bandAt++, 0, bandWith([part as Block])) };
      }
    }
    this.put(body);
    if (parts[0]) focusHandle(parts[0].id);
    return true;
  }

  /** Puts rows and columns that were copied elsewhere below the row of a block; says whether they can stand here. */
  pasteRows(html: string, below: string): boolean {
    if (!this.banded || !this.editable) return false;
    void ask('post', '/api/desk/rows', { body: { html } })
      .then(({ design, lost }) => {
        const bands = readBody(design).bands.map((band) => copyOf(band));
        const at = (placeOf(this.body, below)?.bandAt ?? this.body.bands.length - 1) + 1;
        this.put({ ...this.body, bands: this.body.bands.toSpliced(at, 0, ...bands) });
        if (bands[0]) focusHandle(bands[0].id);
        const many = bands.length === 1 ? 'a row' : `${bands.length} rows`;
        notify(`Pasted as ${many}.${lost.length ? ` Left out: ${lost.join(' ')}` : ''}`);
      })
      .catch((failure) => notify(sentence(failure), { stop: true }));
    return true;
  }

  /** Puts what a passage says in its place, as blocks of this template's own. */
  detach(id: string, design: string): void {
    const place = placeOf(this.body, id);
    if (!place) return;
    const bands = readBody(design).bands.map((band) => copyOf(band));
    const single = !this.banded || (bands.length === 1 && bands[0].columns.length === 1);
    let body = this.body;
    if (single) {
      let at = place.at + 1;
      for (const block of bands.flatMap((band) => band.columns.flatMap((column) => column.blocks ?? []))) {
        body = inserted(body, block, { band: place.band, column: place.column, at: at++ });
      }
    } else {
      body = { ...body, bands: body.bands.toSpliced(place.bandAt + 1, 0, ...bands) };
    }
    this.slip = null;
    this.put(removed(body, id));
  }

  /** Where a block goes that is added while the cursor is in one: below it, or at the end. */
  placeAfter(id: string | undefined): Place {
    const place = id ? placeOf(this.body, id) : undefined;
    if (place) return { band: place.band, column: place.column, at: place.at + 1 };
    if (!this.banded && this.body.bands.length) {
      const band = this.body.bands.at(-1)!;
      return { band: band.id, column: 0, at: band.columns[0].blocks?.length ?? 0 };
    }
    return { bandAt: this.body.bands.length };
  }

  /** What a drop at a place does. */
  drop(dragged: Dragged, to: Place): void {
    if (dragged.what === 'kind') this.add(dragged.kind, to);
    else if (dragged.what === 'block') this.move(dragged.id, to);
    else if ('bandAt' in to) {
      const from = this.body.bands.findIndex((band) => band.id === dragged.id);
      if (from < 0) return;
      const band = this.body.bands[from];
      const bands = this.body.bands
        .toSpliced(from, 1)
        .toSpliced(to.bandAt > from ? to.bandAt - 1 : to.bandAt, 0, band);
      this.put({ ...this.body, bands });
      focusHandle(dragged.id);
    }
  }

  /**
   * How far a landing place is from where what is dragged stands, in blocks or bands: -2 is two up, 0 is where it was;
   * nothing when that says nothing.
   */
  distance(to: Place): number | null {
    const dragged = this.dragged;
    if (!dragged || dragged.what === 'kind') return null;
    const bands = this.body.bands;
    if (dragged.what === 'band') {
      const from = bands.findIndex((band) => band.id === dragged.id);
      const at = 'bandAt' in to ? to.bandAt : bands.findIndex((band) => band.id === to.band);
      return at > from ? at - from - 1 : at - from;
    }
    const before = blocksBefore(this.body, to);
    const from = (this.numbers.get(dragged.id) ?? 1) - 1;
    const there = before > from ? before - from - 1 : before - from;
    const at = placeOf(this.body, dragged.id);
    const sameColumn = at && 'band' in to && to.band === at.band && to.column === at.column;
    return there === 0 && !sameColumn ? null : there;
  }
}

function blocksBefore(body: Body, place: Place): number {
  const count = (band: Band) => band.columns.reduce((sum, column) => sum + (column.blocks?.length ?? 0), 0);
  if ('bandAt' in place) return body.bands.slice(0, place.bandAt).reduce((sum, band) => sum + count(band), 0);
  const at = body.bands.findIndex((band) => band.id === place.band);
  const columns = body.bands[at]?.columns.slice(0, place.column) ?? [];
  return (
    body.bands.slice(0, at).reduce((sum, band) => sum + count(band), 0) +
    columns.reduce((sum, column) => sum + (column.blocks?.length ?? 0), 0) +
    place.at
  );
}

function drawnAs(id: string): HTMLElement | null {
  return document.querySelector(`[data-part="${CSS.escape(id)}"]`);
}

/** Gives the focus to the handle of a block or band once it is drawn. */
function focusHandle(id: string): void {
  void tick().then(() => {
    const handle = drawnAs(id)?.querySelector<HTMLElement>('[data-handle]');
    handle?.focus();
    handle?.scrollIntoView({ block: 'nearest' });
  });
}

/** Gives the focus to the first text of a block once it is drawn, or to its handle; before the next key is heard. */
function focusInto(id: string): void {
  void tick().then(() => {
    const block = drawnAs(id);
    const first =
      block?.querySelector<HTMLElement>('[role=textbox]') ??
      block?.querySelector<HTMLElement>('[data-handle]');
    first?.focus();
    block?.scrollIntoView({ block: 'nearest' });
  });
}
