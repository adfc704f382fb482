import { EditorState, TextSelection } from 'prosemirror-state';
import { describe, expect, it } from 'vitest';
import {
  gapsOf,
  isChanged,
  keepsValuesHonest,
  messageOf,
  messageSchema,
  positionOf,
  runsOf,
  type Piece,
} from './messageText';

function piece(text: string, origin: Piece['origin'] = 'WRITTEN', written = ''): Piece {
  return {
    text,
    origin,
    written,
    source: written ? 'contact' : '',
    label: 'First name',
    path: written ? 'person.first_name' : '',
    stored: text,
    format: '',
    fallback: 0,
    type: 'TEXT',
    place: null,
    start: 0,
    end: 0,
  };
}

const pieces = [
  piece('Dear '),
  piece('Ines', 'RECORD', '{person.first_name}'),
  piece(',\nKind regards\n'),
  piece('Signe\nAgent', 'RECORD', '{sender.signature}'),
];

describe('a message open for change', () => {
  it('leaves stretches as they were merged', () => {
    const runs = runsOf(messageOf(pieces));
    expect(runs.map((run) => run.text).join('')).toBe('Dear Ines,\nKind regards\nSigne\nAgent');
    expect(runs.find((run) => run.written === '{sender.signature}')?.text).toBe('Signe\nAgent');
    expect(isChanged(messageOf(pieces))).toBe(false);
  });

  it('finds every character of its text in the document', () => {
    const doc = messageOf([...pieces.slice(0, 2), piece('', 'GAP', '{person.title}'), ...pieces.slice(2)]);
    const text = runsOf(doc)
      .map((run) => run.text)
      .join('');
    for (let i = 0; i < text.length; i++) {
      if (text[i] === '\n') continue;
      const at = positionOf(doc, i);
      expect(doc.textBetween(at, at + 1)).toBe(text[i]);
    }
    expect(positionOf(doc, text.length)).toBe(doc.content.size - 1);
  });

  it('keeps gaps as gaps', () => {
    const doc = messageOf([piece('Dear '), piece('', 'GAP', '{person.title}'), piece(' Okafor')]);
    expect(gapsOf(doc)).toHaveLength(1);
    expect(runsOf(doc).filter((run) => run.gap)).toEqual([
      { text: '', written: '{person.title}', gap: true },
    ]);
  });

  it('no longer calls a value its own once a letter of it is changed', () => {
    const state = EditorState.create({ doc: messageOf(pieces), plugins: [keepsValuesHonest] });
    const inside = state.tr
      .setSelection(TextSelection.create(state.doc, 8))
      .replaceWith(8, 8, messageSchema.text('x'));
    const after = state.apply(inside);
    const runs = runsOf(after.doc);
    expect(runs.some((run) => run.written === '{person.first_name}')).toBe(false);
    expect(runs.find((run) => run.written === '{sender.signature}')?.text).toBe('Signe\nAgent');
    expect(isChanged(after.doc)).toBe(true);
  });
});
