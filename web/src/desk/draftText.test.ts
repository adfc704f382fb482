import { describe, expect, it } from 'vitest';
import {
  choiceAt,
  choicesOf,
  documentOf,
  pasted,
  pastedLines,
  positionOf,
  sourceOf,
  takenMarks,
  unchippedFields,
  type Chip,
} from './draftText';

function chip(source: string, written: string): Chip {
  const start = source.indexOf(written);
  return {
    start,
    end: start + written.length,
    role: 'FIELD',
    written,
    label: 'First name',
    source: 'contact',
    fallback: 'there',
    known: true,
    type: 'TEXT',
    terms: [],
    formats: [],
    choice: -1,
    taken: false,
  };
}

const choice = '{when a.b is 1}x {when a.c is 2}y{end}{otherwise}z{end}';
const choiceMarks: Chip[] = [...choice.matchAll(/\{[^}]*\}/g)].map((found) => ({
  ...chip(choice, found[0]),
  start: found.index,
  end: found.index + found[0].length,
  role: found[0].startsWith('{when') ? 'WHEN' : found[0] === '{end}' ? 'END' : 'OTHERWISE',
  taken: found[0] === '{otherwise}',
}));

describe('choices in a draft', () => {
  const doc = documentOf(choice, choiceMarks);

  it('are found by their marks, the inner one first', () => {
    const choices = choicesOf(doc);
    expect(choices.map((marks) => marks.map((mark) => mark.chip.role))).toEqual([
      ['WHEN', 'END'],
      ['WHEN', 'OTHERWISE', 'END'],
    ]);
    expect(choiceAt(doc, choices[1][1].position)).toHaveLength(3);
    expect(choiceAt(doc, 3)).toBeUndefined();
  });

  it('leave out what is not ended or not begun', () => {
    expect(choicesOf(documentOf(choice, choiceMarks.slice(0, 4)))).toHaveLength(1);
    expect(choicesOf(documentOf(choice, choiceMarks.slice(3)))).toHaveLength(0);
  });

  it('show the branch the person gets, while the text is what the server read', () => {
    const taken = takenMarks(doc, choiceMarks);
    expect([...taken]).toEqual([choicesOf(doc)[1][1].position]);
    expect(takenMarks(doc, choiceMarks.slice(1)).size).toBe(0);
  });
});

const field = '{person.first_name else "there"}';
const source = `Dear ${field},\n\nsee you in May.\n${field}`;
const chips = [
  chip(source, field),
  { ...chip(source, field), start: source.lastIndexOf(field), end: source.length },
];

describe('a draft in the editor', () => {
  it('reads back as it was written', () => {
    const doc = documentOf(source, chips);
    expect(sourceOf(doc)).toBe(source);
    expect(doc.childCount).toBe(4);
    expect(doc.child(0).childCount).toBe(3);
  });

  it('keeps text with braces that are no fields', () => {
    const odd = 'a \\{plain} brace {never closed\n{}';
    expect(sourceOf(documentOf(odd, []))).toBe(odd);
  });

  it('finds the place of every offset', () => {
    const doc = documentOf(source, chips);
    const offset = source.indexOf('see');
    const position = positionOf(doc, offset);
    expect(doc.textBetween(position, position + 3)).toBe('see');
    expect(doc.nodeAt(positionOf(doc, 5))?.type.name).toBe('field');
    expect(doc.nodeAt(positionOf(doc, 9))?.type.name).toBe('field');
    expect(positionOf(doc, source.length)).toBeLessThanOrEqual(doc.content.size);
  });

  it('finds fields that stand as characters, and leaves those that are chips', () => {
    expect(unchippedFields(documentOf(source, []), chips)).toHaveLength(2);
    expect(unchippedFields(documentOf(source, [chips[0]]), chips)).toHaveLength(1);
    expect(unchippedFields(documentOf(source, chips), chips)).toHaveLength(0);
  });

  it('takes pasted text without what cannot be sent', () => {
    expect(pastedLines('a\u0000b\r\nc\u0007', false)).toEqual(['ab', 'c']);
    expect(pastedLines('two\n lines', true)).toEqual(['two lines']);
    expect(pasted('a\nb', false).content.childCount).toBe(2);
  });
});
