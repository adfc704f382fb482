import type { Decoration } from 'prosemirror-view';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { choiceDecorations, noteDecorations } from './draftDecorations';
import { documentOf, type Chip } from './draftText';
import { branchChip, otherwiseChip } from './finding';

const source = '{when a.b is 1}one\nmore{otherwise}two{end}';

function mark(written: string, role: Chip['role'], taken = false): Chip {
  const start = source.indexOf(written);
  return { ...otherwiseChip(), start, end: start + written.length, written, role, taken };
}

function marks(taken: 'WHEN' | 'OTHERWISE'): Chip[] {
  return [
    mark('{when a.b is 1}', 'WHEN', taken === 'WHEN'),
    mark('{otherwise}', 'OTHERWISE', taken === 'OTHERWISE'),
    mark('{end}', 'END'),
  ];
}

function classes(set: Decoration[]): string[] {
  return set.map((one) => (one as unknown as { type: { attrs: { class: string } } }).type.attrs.class);
}

describe('choices drawn in a draft', () => {
  it('mark the branch the person gets, and bracket what is longer than a line', () => {
    const doc = documentOf(source, marks('OTHERWISE'));
    expect(classes(choiceDecorations(doc, marks('OTHERWISE')))).toEqual([
      'within',
      'within',
      'branch passed',
      'taken',
      'branch',
    ]);
    expect(classes(choiceDecorations(doc, marks('WHEN')))).toContain('taken');
  });

  it('mark no branch while the text is not what the server read', () => {
    const doc = documentOf(source, marks('WHEN'));
    expect(classes(choiceDecorations(doc, [branchChip(true, 'a.b is 1', 'B is 1')]))).not.toContain('taken');
  });

  it('are not drawn for a choice that is never ended', () => {
    expect(choiceDecorations(documentOf(source, marks('WHEN').slice(0, 2)), [])).toEqual([]);
  });
});

describe('notes drawn in a draft', () => {
  const note = { code: 'gap', level: 'STOP', start: 15, end: 18 } as Schemas['ShownNote'];

  it('stand under the words they are about', () => {
    const doc = documentOf(source, []);
    const [drawn] = noteDecorations(doc, [note]);
    expect(doc.textBetween(drawn.from, drawn.to)).toBe('one');
  });

  it('go when their place is gone', () => {
    expect(noteDecorations(documentOf('short', []), [note])).toEqual([]);
  });
});
