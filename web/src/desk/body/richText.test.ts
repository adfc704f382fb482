import { describe, expect, it } from 'vitest';
import { chipsMet, sourceOf, type Chip } from '../draftText';
import type { Paragraph } from './body';
import { readPasted } from './paste';
import { lengthsOf, paragraphsOf, richDocument } from './richText';
import { richField, Slots } from './slots';

const chip = (written: string, start = 0): Chip =>
  ({
    written,
    start,
    end: start + written.length,
    role: 'FIELD',
    label: 'x',
    known: true,
    source: 'date',
  }) as Chip;

const TEXT: Paragraph[] = [
  { kind: 'heading-1', runs: [{ text: 'Hello ' }, { text: '{a}', bold: true }, { text: '!' }] },
  { runs: [] },
  {
    kind: 'bullet',
    align: 'centre',
    level: 2,
    runs: [
      { text: 'one\ntwo', italic: true, colour: '#112233', size: 20 },
      { text: 'link', link: 'https://x.example' },
    ],
  },
];

describe('formatted text', () => {
  it('comes back as it was', () => {
    expect(paragraphsOf(richDocument(TEXT, []))).toEqual(TEXT);
    expect(paragraphsOf(richDocument(TEXT, [chip('{a}', 6)]))).toEqual(TEXT);
    expect(paragraphsOf(richDocument([], []))).toEqual([{ runs: [] }]);
  });

  it('has the same characters at the same places as the server counts', () => {
    expect(sourceOf(richDocument(TEXT, [chip('{a}', 6)]))).toBe('Hello {a}!\n\none\ntwolink');
    expect(lengthsOf(TEXT)).toEqual([10, 0, 11]);
  });

  it('takes a field that reaches over runs whole, as it begins', () => {
    const parted: Paragraph[] = [{ runs: [{ text: 'x {a', bold: true }, { text: 'b} y' }] }];
    const after = paragraphsOf(richDocument(parted, [chip('{ab}', 2)]));
    expect(after).toEqual([{ runs: [{ text: 'x {ab}', bold: true }, { text: ' y' }] }]);
  });

  it('finds the fields it met before, the longest first', () => {
    const met = new Map([
      ['{a}', chip('{a}')],
      ['{a} b}', chip('{a} b}')],
    ]);
    expect(chipsMet('x {a} b} {a} {c}', met).map(({ start, end }) => [start, end])).toEqual([
      [2, 8],
      [9, 12],
    ]);
  });
});

describe('where strings stand', () => {
  // b1: two paragraphs, the first of two runs, the second run linked; b2: a label.
  const slots = new Slots(
    [
      { key: 'b1/0.0', start: 0, end: 3 },
      { key: 'b1/0.1', start: 3, end: 5 },
      { key: 'b1/0.1/link', start: 6, end: 9 },
      { key: 'b1/1.0', start: 10, end: 14 },
      { key: 'b2/label', start: 15, end: 20 },
    ],
    () => [5, 4],
  );

  it.each([
    [0, richField('b1'), 0],
    [4, richField('b1'), 4],
    [7, richField('b1'), 3],
    [11, richField('b1'), 7],
    [15, 'b2/label', 0],
    [19, 'b2/label', 4],
  ])('finds %i', (at, field, within) => {
    expect(slots.spot(at)).toEqual({ field, at: within });
  });

  it('finds a place at the edge of an empty string in both', () => {
    const beside = new Slots(
      [
        { key: 'b1/label', start: 0, end: 0 },
        { key: 'b2/label', start: 0, end: 4 },
        { key: 'b3/label', start: 5, end: 5 },
      ],
      () => [],
    );
    const all = [{ start: 0, end: 0 }];
    expect(beside.within(all, 'b1/label')).toEqual(all);
    expect(beside.within(all, 'b2/label')).toEqual(all);
    expect(beside.within(all, 'b3/label')).toEqual([]);
    expect(beside.spot(0).field).toBe('b2/label');
    expect(beside.spot(5)).toEqual({ field: 'b3/label', at: 0 });
    expect(beside.spot(99).field).toBe('b3/label');
    expect(new Slots([], () => []).spot(3)).toEqual({ field: '', at: 0 });
  });

  it('gives the same answer for the same list', () => {
    const all = [{ start: 1, end: 2 }];
    expect(slots.within(all, richField('b1'))).toBe(slots.within(all, richField('b1')));
    expect(slots.within([], 'b2/label')).toBe(slots.within([], richField('b1')));
  });

  it('counts what belongs to a field from where that begins', () => {
    const all = [
      { start: 1, end: 2 },
      { start: 10, end: 12 },
      { start: 16, end: 18 },
    ];
    expect(slots.within(all, richField('b1'))).toEqual([
      { start: 1, end: 2 },
      { start: 6, end: 8 },
    ]);
    expect(slots.within(all, 'b2/label')).toEqual([{ start: 1, end: 3 }]);
  });
});

describe('what is pasted', () => {
  const text = (html: string) => readPasted(html).paragraphs;

  it('keeps meaning and drops the rest', () => {
    expect(
      text(
        '<style>p{color:red}</style><h2 style="color:red">Terms</h2><p>Pay <b>soon</b>, <em>please</em>' +
          ' <u>now</u><br>or <s>never</s> <a href="https://x.example">here</a> <a href="javascript:x">there</a></p>',
      ),
    ).toEqual([
      { kind: 'heading-2', runs: [{ text: 'Terms' }] },
      {
        runs: [
          { text: 'Pay ' },
          { text: 'soon', bold: true },
          { text: ', ' },
          { text: 'please', italic: true },
          { text: ' ' },
          { text: 'now', underline: true },
          { text: '\n' },
          { text: 'or ' },
          { text: 'never', strike: true },
          { text: ' ' },
          { text: 'here', link: 'https://x.example' },
          { text: ' ' },
          { text: 'there' },
        ],
      },
    ]);
  });

  it('reads lists, also those a word processor writes as paragraphs', () => {
    expect(
      text('<ul><li><p>One</p></li><li>Two<ol><li>Deep</li></ol></li></ul>').map((one) => one.kind),
    ).toEqual(['bullet', 'bullet', 'numbered']);
    expect(
      text('<ul><li>One<ol><li>Deep<ul><li>Deeper</li></ol></li></ul><ul><ul><li>Within</li></ul></ul>').map(
        (one) => one.level ?? 0,
      ),
    ).toEqual([0, 1, 2, 1]);
    expect(text('<p style="mso-list:l1 level3 lfo1">Item</p>')[0].level).toBe(2);
    const item = (mark: string) =>
      `<p style="mso-list:l0 level1 lfo1"><span style="mso-list:Ignore">${mark}</span>Item</p>`;
    expect(text(item('·') + item('1.'))).toEqual([
      { kind: 'bullet', runs: [{ text: 'Item' }] },
      { kind: 'numbered', runs: [{ text: 'Item' }] },
    ]);
  });

  it('says what could not be kept', () => {
    const pasted = readPasted(
      '<table><tr><td>a</td><td>b</td></tr><tr><td>c</td></tr></table><img><img><input><iframe></iframe>',
    );
    expect(pasted.paragraphs.map((one) => one.runs.map((run) => run.text).join(''))).toEqual(['a · b', 'c']);
    expect(pasted.dropped).toEqual([
      '2 pictures',
      'the frame of a table',
      'something embedded',
      'a form control',
    ]);
  });

  it('is not bold where the page only says it is within something bold', () => {
    expect(text('<b style="font-weight:normal"><p>Plain</p></b>')).toEqual([{ runs: [{ text: 'Plain' }] }]);
  });

  it('keeps its own fields, and takes no control characters', () => {
    expect(text('<p data-kind="quote">a\u0007b <span data-written="{x}">X</span></p>')).toEqual([
      { kind: 'quote', runs: [{ text: 'ab ' }, { text: '{x}' }] },
    ]);
  });

  it('reads a hundred thousand words', () => {
    expect(text(`<p>${'word '.repeat(100_000)}</p>`)[0].runs[0].text.length).toBe(499_999);
  });
});
