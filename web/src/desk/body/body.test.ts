import { describe, expect, it } from 'vitest';
import {
  bandStepped,
  Bodies,
  blocksById,
  blocksOf,
  changed,
  duplicated,
  inserted,
  isSound,
  moved,
  placeOf,
  readBody,
  removed,
  sameText,
  sharesWith,
  stepped,
  stringAt,
  withColumns,
  withShares,
  withString,
  type Block,
  type Body,
} from './body';

const block = (id: string, more: object = {}): Block => ({ id, kind: 'text', ...more });
const body = (...bands: string[][][]): Body => ({
  version: 1,
  bands: bands.map((columns, at) => ({
    id: `band${at}`,
    columns: columns.map((ids) => ({ blocks: ids.map((id) => block(id)) })),
  })),
});
/** Bands by `|`, columns by `/`. */
const shape = (one: Body) =>
  one.bands
    .map((band) =>
      band.columns.map((column) => (column.blocks ?? []).map((held) => held.id).join('')).join('/'),
    )
    .join('|');

describe('sameText', () => {
  it('takes what is written down in another way for the same', () => {
    expect(sameText([{ runs: [{ text: '' }] }], [{ kind: 'paragraph', runs: [] }])).toBe(true);
    expect(sameText([{ runs: [{ text: 'a', bold: false }] }], [{ runs: [{ text: 'a' }] }])).toBe(true);
  });

  it('tells words, marks and kinds apart', () => {
    const plain = [{ runs: [{ text: 'a' }] }];
    expect(sameText(plain, [{ runs: [{ text: 'b' }] }])).toBe(false);
    expect(sameText(plain, [{ runs: [{ text: 'a', bold: true }] }])).toBe(false);
    expect(sameText(plain, [{ kind: 'quote', runs: [{ text: 'a' }] }])).toBe(false);
    expect(sameText(plain, [...plain, { runs: [] }])).toBe(false);
  });
});

describe('a body', () => {
  const some = body([['a', 'b', 'c']], [['d'], ['e', 'f']]);

  it('is empty where nothing has been written', () => {
    expect(readBody('')).toEqual({ version: 1, bands: [] });
    expect(readBody(null).bands).toEqual([]);
  });

  it('finds where a block stands', () => {
    expect(placeOf(some, 'f')).toEqual({ band: 'band1', column: 1, at: 1, bandAt: 1 });
    expect(placeOf(some, 'z')).toBeUndefined();
  });

  it.each([
    ['a', { band: 'band0', column: 0, at: 2 }, 'bac|d/ef'],
    ['a', { band: 'band0', column: 0, at: 3 }, 'bca|d/ef'],
    ['c', { band: 'band0', column: 0, at: 0 }, 'cab|d/ef'],
    ['a', { band: 'band0', column: 0, at: 1 }, 'abc|d/ef'],
    ['a', { band: 'band1', column: 1, at: 1 }, 'bc|d/eaf'],
    ['d', { band: 'band0', column: 0, at: 0 }, 'dabc|/ef'],
    ['a', { bandAt: 2 }, 'bc|d/ef|a'],
    ['z', { bandAt: 0 }, 'abc|d/ef'],
  ])('moves %s to %j', (id, to, after) => {
    expect(shape(moved(some, id, to))).toBe(after);
  });

  it('drops a band that is left with nothing', () => {
    const alone = body([['a']], [['b']]);
    expect(shape(moved(alone, 'a', { band: 'band1', column: 0, at: 1 }))).toBe('ba');
    expect(shape(moved(alone, 'a', { bandAt: 2 }))).toBe('b|a');
    expect(shape(removed(alone, 'a'))).toBe('b');
    expect(shape(removed(some, 'band0'))).toBe('d/ef');
    expect(removed(some, 'gone')).toBe(some);
  });

  it.each([
    ['a', 1, 'bac|d/ef'],
    ['c', -1, 'acb|d/ef'],
    ['c', 1, 'ab|cd/ef'],
    ['d', -1, 'abcd|/ef'],
    ['a', -1, 'a|bc|d/ef'],
    ['f', 1, 'abc|d/e|f'],
  ] as const)('steps %s by %i', (id, way, after) => {
    expect(shape(stepped(some, id, way))).toBe(after);
  });

  it('steps a block that is alone with its band', () => {
    const three = body([['a']], [['b']], [['c']]);
    expect(shape(stepped(three, 'b', 1))).toBe('a|c|b');
    expect(stepped(three, 'a', -1)).toBe(three);
    expect(shape(bandStepped(three, 'band2', -1))).toBe('a|c|b');
    expect(bandStepped(three, 'band0', -1)).toBe(three);
  });

  it('copies with identifiers of its own', () => {
    const one = duplicated(some, 'e');
    expect(blocksOf(one.body)).toHaveLength(7);
    expect(placeOf(one.body, one.id)).toMatchObject({ band: 'band1', column: 1, at: 1 });
    const band = duplicated(some, 'band1').body;
    const ids = blocksOf(band).map((held) => held.id);
    expect(new Set(ids).size).toBe(9);
  });

  it('keeps every block when columns go', () => {
    expect(shape(withColumns(some, 'band1', 1))).toBe('abc|def');
    expect(shape(withColumns(some, 'band0', 3))).toBe('abc//|d/ef');
  });

  it('moves the border of two columns and leaves the others', () => {
    const three = withShares(body([['a'], ['b'], ['c']]), 'band0', [1, 1, 2]).bands[0];
    expect(sharesWith(three, 1, 0.6)).toEqual([30, 20, 50]);
    expect(sharesWith(three, 2, 0)).toEqual([25, 8, 67]);
  });

  it('changes only what is meant and leaves what it was made from', () => {
    const before = JSON.stringify(some);
    expect(blocksOf(changed(some, 'b', { width: 8 }))[1]).toEqual(block('b', { width: 8 }));
    expect(changed(some, 'band0', { shownWhen: 'x' }).bands[0].shownWhen).toBe('x');
    expect(shape(inserted(some, block('n'), { band: 'band1', column: 0, at: 0 }))).toBe('abc|nd/ef');
    expect(JSON.stringify(some)).toBe(before);
  });
});

describe('the strings of a block', () => {
  it.each([
    [{ kind: 'button', label: 'Read', link: 'x' }, 'label', 'Read'],
    [{ kind: 'button', label: 'Read', link: 'x' }, 'link', 'x'],
    [{ kind: 'video still', address: 'x' }, 'link', 'x'],
    [{ kind: 'pairing', picture: { description: 'Hives' } }, 'description', 'Hives'],
    [{ kind: 'record card', facts: ['One', 'Two'] }, 'fact1', 'Two'],
    [{ kind: 'social links', links: [{ label: 'Web', address: 'y' }] }, 'fact0/link', 'y'],
    [{ kind: 'event', title: 'Placement' }, 'label', 'Placement'],
    [{ kind: 'divider' }, 'label', ''],
    [{ kind: 'record card', facts: [] }, 'fact4', ''],
  ])('of %j: %s', (given, key, words) => {
    const held = block('b', given);
    expect(stringAt(held, key)).toBe(words);
    if (!words) return;
    const after = { ...held, ...withString(held, key, 'New') };
    expect(stringAt(after, key)).toBe('New');
    expect({ ...after, ...withString(after, key, words) }).toEqual(held);
  });
});

describe('bodies by how they are written', () => {
  const some = body([['a', 'b', 'c']], [['d'], ['e', 'f']]);

  it('are the same thing again, and so is what did not change in them', () => {
    const bodies = new Bodies();
    const written = JSON.stringify(some);
    const body = bodies.read(written);
    expect(bodies.read(written)).toBe(body);
    const block = blocksOf(body)[0];
    const next = changed(body, block.id, { hiddenOnSmall: true });
    const again = bodies.read(bodies.write(next));
    expect(again).toBe(next);
    expect(blocksOf(again).slice(1)).toEqual(blocksOf(body).slice(1));
    expect(blocksOf(again)[1]).toBe(blocksOf(body)[1]);
    expect(blocksById(again).get(block.id)).not.toBe(block);
  });

  it('are forgotten when many others were read since', () => {
    const bodies = new Bodies();
    const first = bodies.read('{"version":1,"bands":[]}');
    for (let i = 0; i < 5; i++)
      bodies.read(JSON.stringify({ version: 1, bands: [], page: { width: 400 + i } }));
    expect(bodies.read('{"version":1,"bands":[]}')).not.toBe(first);
    expect(bodies.read('{"version":1,"bands":[]}')).toEqual(first);
  });
});

describe('a text that is to be a body', () => {
  it.each([
    ['{"version":1,"bands":[]}', true],
    ['', true],
    ['{"version":1,"bands":[', false],
    ['{"version":1,"bands":[{"id":"a","columns":[{"blocks":[{"id":"a","kind":"text"}]}]}]}', false],
    ['{"version":1,"bands":[{"id":"a","columns":[{"blocks":[{"id":"b","kind":"text"}]}]}]}', true],
    ['{"version":1,"bands":[{"id":"a","columns":[{}]},{"id":"a","columns":[{}]}]}', false],
    ['null', false],
  ])('%s is sound: %s', (written, sound) => {
    expect(isSound(written)).toBe(sound);
  });
});
