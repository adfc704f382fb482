/**
 * The body of a letter or designed message as a draft holds it, and changes of it. Bodies are values: a change gives
 * another one. What they mean, and whether they are right, is the server's to say (docs/body.schema.json).
 */

import type {
  Band as KeptBand,
  Body as KeptBody,
  Column as KeptColumn,
  KnownBlock,
  PageChoice,
  Paragraph,
} from './generated/body';

export type { Align, Look, PageChoice, Paragraph, Run } from './generated/body';

/** The kinds of blocks that docs/body.schema.json knows. */
export type KnownKind = KnownBlock['kind'];
export type ParagraphKind = NonNullable<Paragraph['kind']>;

/** A block of any kind, of a newer Famulus too; {@link ofKind} tells what one of a known kind holds. */
export type Block = Pick<KnownBlock, 'id' | 'look' | 'shownWhen' | 'hiddenOnSmall'> & {
  kind: string;
  [property: string]: unknown;
};
export type Column = Omit<KeptColumn, 'blocks'> & { blocks?: Block[] };
export type Band = Omit<KeptBand, 'columns'> & { columns: Column[] };
export type Body = Omit<KeptBody, 'version' | 'bands'> & { version: number; bands: Band[] };

/** The block with what its kind holds; null where it is of another kind. */
export function ofKind<K extends KnownKind>(block: Block, kind: K): Extract<KnownBlock, { kind: K }> | null {
  return block.kind === kind ? (block as unknown as Extract<KnownBlock, { kind: K }>) : null;
}

/** Where a block stands, or could: in a column, or as a band of its own. */
export type Place = { band: string; column: number; at: number } | { bandAt: number };

/** At most so many columns stand beside each other. */
export const MOST_COLUMNS = 4;

/** Reads a draft's design; one that is empty has no bands. */
export function readBody(design: string | null | undefined): Body {
  return design ? (JSON.parse(design) as Body) : { version: 1, bands: [] };
}

/** Bodies by how they are written, so that what did not change in one is the same thing again; the last few of them. */
export class Bodies {
  private readonly known = new Map<string, Body>();

  read(design: string | null | undefined): Body {
    const written = design ?? '';
    const body = this.known.get(written) ?? readBody(written);
    this.know(written, body);
    return body;
  }

  /** Writes a body down. */
  write(body: Body): string {
    const written = JSON.stringify(body);
    this.know(written, body);
    return written;
  }

  private know(written: string, body: Body): void {
    this.known.delete(written);
    this.known.set(written, body);
    if (this.known.size > 4) this.known.delete(this.known.keys().next().value!);
  }
}

/** The blocks of a body by their names. */
export function blocksById(body: Body): Map<string, Block> {
  return new Map(blocksOf(body).map((block) => [block.id, block]));
}

/** Whether a text is a body: it can be read, and each of its parts has a name of its own. */
export function isSound(design: string): boolean {
  try {
    const body = readBody(design);
    const ids = [...body.bands, ...blocksOf(body)].map((one) => one.id);
    return new Set(ids).size === ids.length;
  } catch {
    return false;
  }
}

/** A body with another choice for its page, in the order in which it is kept. */
export function withPage({ version, bands }: Body, page: PageChoice): Body {
  return Object.keys(page).length ? { version, page, bands } : { version, bands };
}

/** Every block in reading order. */
export function blocksOf(body: Body): Block[] {
  return body.bands.flatMap((band) => band.columns.flatMap((column) => column.blocks ?? []));
}

export function blockOf(body: Body, id: string): Block | undefined {
  return blocksOf(body).find((block) => block.id === id);
}

export function bandOf(body: Body, id: string): Band | undefined {
  return body.bands.find((band) => band.id === id);
}

/** Where a block stands; nothing when it is not there. */
export function placeOf(
  body: Body,
  id: string,
): { band: string; column: number; at: number; bandAt: number } | undefined {
  for (const [bandAt, band] of body.bands.entries()) {
    for (const [column, { blocks }] of band.columns.entries()) {
      const at = (blocks ?? []).findIndex((block) => block.id === id);
      if (at >= 0) return { band: band.id, column, at, bandAt };
    }
  }
  return undefined;
}

/** An identifier that no block or band has had. */
export function newId(): string {
  const random = crypto.getRandomValues(new Uint32Array(2));
  return `b${[...random].map((one) => one.toString(36)).join('')}`;
}

function withBand(body: Body, id: string, change: (band: Band) => Band): Body {
  return { ...body, bands: body.bands.map((band) => (band.id === id ? change(band) : band)) };
}

function withBlocks(body: Body, bandId: string, column: number, change: (blocks: Block[]) => Block[]): Body {
  return withBand(body, bandId, (band) => ({
    ...band,
    columns: band.columns.map((one, at) =>
      at === column ? { ...one, blocks: change(one.blocks ?? []) } : one,
    ),
  }));
}

/** The body with some properties of a block or band changed; one set to `undefined` is gone. */
export function changed(body: Body, id: string, part: Partial<Block> | Partial<Band>): Body {
  if (bandOf(body, id)) return withBand(body, id, (band) => ({ ...band, ...(part as Partial<Band>) }));
  const place = placeOf(body, id);
  if (!place) return body;
  return withBlocks(body, place.band, place.column, (blocks) =>
    blocks.map((block) => (block.id === id ? ({ ...block, ...part } as Block) : block)),
  );
}

/** A band with one column. */
export function bandWith(blocks: Block[]): Band {
  return { id: newId(), columns: [{ blocks }] };
}

export function inserted(body: Body, block: Block, place: Place): Body {
  if ('bandAt' in place) return bandInserted(body, bandWith([block]), place.bandAt);
  return withBlocks(body, place.band, place.column, (blocks) => blocks.toSpliced(place.at, 0, block));
}

export function bandInserted(body: Body, band: Band, at: number): Body {
  return { ...body, bands: body.bands.toSpliced(at, 0, band) };
}

/** The body without a block or band. A band that is left with no block at all goes too. */
export function removed(body: Body, id: string): Body {
  if (bandOf(body, id)) return { ...body, bands: body.bands.filter((band) => band.id !== id) };
  const place = placeOf(body, id);
  return place ? withoutEmpty(taken(body, id), place.band) : body;
}

function taken(body: Body, id: string): Body {
  const place = placeOf(body, id)!;
  return withBlocks(body, place.band, place.column, (blocks) => blocks.filter((one) => one.id !== id));
}

function withoutEmpty(body: Body, bandId: string): Body {
  const band = bandOf(body, bandId);
  const empty = band?.columns.every((column) => !column.blocks?.length);
  return empty ? { ...body, bands: body.bands.filter((one) => one.id !== bandId) } : body;
}

/** Moves a block to a place, which is counted with the block still where it was. */
export function moved(body: Body, id: string, to: Place): Body {
  const from = placeOf(body, id);
  const block = blockOf(body, id);
  if (!from || !block) return body;
  const after = taken(body, id);
  if ('bandAt' in to) return withoutEmpty(inserted(after, block, to), from.band);
  const before = to.band === from.band && to.column === from.column && from.at < to.at;
  return withoutEmpty(inserted(after, block, before ? { ...to, at: to.at - 1 } : to), from.band);
}

/** Moves a block one step up (-1) or down (1): past its neighbour, or into the next band. */
export function stepped(body: Body, id: string, way: 1 | -1): Body {
  const from = placeOf(body, id);
  if (!from) return body;
  const { blocks = [] } = body.bands[from.bandAt].columns[from.column];
  const at = from.at + way;
  if (at >= 0 && at < blocks.length) return moved(body, id, { ...pick(from), at: way > 0 ? at + 1 : at });
  const next = body.bands[from.bandAt + way];
  const alone = body.bands[from.bandAt].columns.length === 1 && blocks.length === 1;
  if (next && alone) return bandStepped(body, from.band, way);
  if (!next) {
    return alone ? body : moved(body, id, { bandAt: from.bandAt + (way > 0 ? 1 : 0) });
  }
  const column = Math.min(from.column, next.columns.length - 1);
  return moved(body, id, {
    band: next.id,
    column,
    at: way > 0 ? 0 : (next.columns[column].blocks ?? []).length,
  });
}

function pick({ band, column, at }: { band: string; column: number; at: number }) {
  return { band, column, at };
}

/** Moves a band one step up (-1) or down (1). */
export function bandStepped(body: Body, id: string, way: 1 | -1): Body {
  const at = body.bands.findIndex((band) => band.id === id);
  const to = at + way;
  if (at < 0 || to < 0 || to >= body.bands.length) return body;
  const band = body.bands[at];
  return { ...body, bands: body.bands.toSpliced(at, 1).toSpliced(to, 0, band) };
}

/** The same block or band again, with identifiers of its own. */
export function copyOf<T extends Block | Band>(one: T): T {
  const copy = structuredClone(one);
  copy.id = newId();
  for (const column of (copy as Partial<Band>).columns ?? []) {
    column.blocks = column.blocks?.map((block) => copyOf(block));
  }
  return copy;
}

/** Puts a copy below a block or band; says which it is. */
export function duplicated(body: Body, id: string): { body: Body; id: string } {
  const band = bandOf(body, id);
  if (band) {
    const copy = copyOf(band);
    return { body: bandInserted(body, copy, body.bands.indexOf(band) + 1), id: copy.id };
  }
  const block = blockOf(body, id);
  const place = placeOf(body, id);
  if (!block || !place) return { body, id };
  const copy = copyOf(block);
  return { body: inserted(body, copy, { ...pick(place), at: place.at + 1 }), id: copy.id };
}

/** A band with another number of columns; the blocks of columns that go stand in the last one that stays. */
export function withColumns(body: Body, id: string, count: number): Body {
  return withBand(body, id, (band) => {
    const stay = band.columns.slice(0, count);
    const gone = band.columns.slice(count).flatMap((column) => column.blocks ?? []);
    const last = stay.length - 1;
    const columns = stay.map((column, at) =>
      at === last && gone.length ? { ...column, blocks: [...(column.blocks ?? []), ...gone] } : column,
    );
    while (columns.length < count) columns.push({ blocks: [] });
    return { ...band, columns };
  });
}

/** A band whose column takes another share of the width. */
export function withShare(body: Body, id: string, column: number, part: Partial<Column>): Body {
  return withBand(body, id, (band) => ({
    ...band,
    columns: band.columns.map((one, at) => (at === column ? { ...one, ...part } : one)),
  }));
}

/** The shares of a band's columns, when the border before one of them moves so that what is left of it has this part of both. */
export function sharesWith(band: Band, column: number, part: number): number[] {
  const total = band.columns.reduce((sum, one) => sum + (one.share ?? 1), 0);
  const shares = band.columns.map((one) => Math.max(1, Math.round(((one.share ?? 1) / total) * 100)));
  const both = shares[column - 1] + shares[column];
  const left = Math.round(both * Math.min(Math.max(part, 0.1), 0.9));
  return shares.with(column - 1, left).with(column, both - left);
}

/** A band whose columns take these shares of the width. */
export function withShares(body: Body, id: string, shares: number[]): Body {
  return withBand(body, id, (band) => ({
    ...band,
    columns: band.columns.map((one, at) => ({ ...one, share: shares[at] })),
  }));
}

/** The string of a block that a key such as `label` or `fact2/link` stands for; nothing when there is none. */
export function stringAt(block: Block, key: string): string {
  const place = holder(block, key);
  const value = place && (place[0] as Record<string | number, unknown>)[place[1]];
  return typeof value === 'string' ? value : '';
}

/** Whether two texts say the same in the same form, however that is written down. */
export function sameText(one: Paragraph[], other: Paragraph[]): boolean {
  const bare = (text: Paragraph[]) =>
    text.map((paragraph) => ({
      kind: paragraph.kind ?? 'paragraph',
      align: paragraph.align ?? 'start',
      runs: (paragraph.runs ?? [])
        .filter((run) => run.text)
        .map((run) =>
          Object.entries(run)
            .filter(([, value]) => value)
            .sort(),
        ),
    }));
  return JSON.stringify(bare(one)) === JSON.stringify(bare(other));
}

/** The properties of a block that change when a string of it does. */
export function withString(block: Block, key: string, words: string): Partial<Block> {
  const copy = structuredClone(block);
  const place = holder(copy, key);
  if (!place) return {};
  (place[0] as Record<string | number, unknown>)[place[1]] = words;
  return copy;
}

/** Which property of a kind of block the server means by a key. */
const named: Record<string, Record<string, string>> = {
  label: { button: 'label', event: 'title', 'record card': 'title', 'item table': 'empty' },
  link: { button: 'link', picture: 'link', 'video still': 'address' },
  description: { picture: 'description', 'video still': 'description' },
  day: { event: 'day' },
  place: { event: 'place' },
  source: { 'own HTML': 'source' },
};

function holder(
  block: Block,
  key: string,
): [Record<string, unknown> | unknown[], string | number] | undefined {
  const [part, more] = key.split('/');
  const fact = /^fact(\d+)$/.exec(part);
  if (fact) {
    const at = Number(fact[1]);
    if (block.kind === 'record card') return block.facts ? [block.facts as unknown[], at] : undefined;
    const link = (block.links as Record<string, unknown>[] | undefined)?.[at];
    return link && [link, more === 'link' ? 'address' : 'label'];
  }
  if (block.kind === 'pairing')
    return block.picture ? [block.picture as Record<string, unknown>, part] : undefined;
  const name = named[part]?.[block.kind];
  return name ? [block, name] : undefined;
}
