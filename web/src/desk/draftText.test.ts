import { describe, expect, it } from 'vitest';
import {
  documentOf,
  pasted,
  pastedLines,
  positionOf,
  sourceOf,
  unchippedFields,
  type Chip,
} from './draftText';

function chip(source: string, written: string): Chip {
  const start = source.indexOf(written);
  return {
    start,
    end: start + written.length,
    written,
    label: 'First name',
    source: 'contact',
    fallback: 'there',
    known: true,
    type: 'TEXT',
    terms: [],
    formats: [],
  };
}

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
