import { EditorState, TextSelection, type Command } from 'prosemirror-state';
import { describe, expect, it } from 'vitest';
import type { Paragraph } from './body';
import { richKeys, setKind } from './richCommands';
import { paragraphsOf, richDocument } from './richText';

/** Words of one list; a number says how far in each item stands. */
function list(...levels: number[]): Paragraph[] {
  return levels.map((level, i) => ({
    kind: 'bullet',
    ...(level ? { level } : {}),
    runs: [{ text: `item ${i}` }],
  }));
}

/** What a command makes of paragraphs, with the cursor at the beginning of one, or from there to the end of another. */
function after(command: Command, paragraphs: Paragraph[], from: number, to?: number): Paragraph[] | null {
  const doc = richDocument(paragraphs, []);
  const start = (index: number) =>
    Array.from({ length: index }, (_, i) => doc.child(i).nodeSize).reduce((sum, size) => sum + size, 1);
  const end = to === undefined ? start(from) : start(to) + doc.child(to).content.size;
  let state = EditorState.create({ doc, selection: TextSelection.create(doc, start(from), end) });
  const done = command(state, (transaction) => (state = state.apply(transaction)));
  return done ? paragraphsOf(state.doc) : null;
}

const levels = (paragraphs: Paragraph[] | null) => paragraphs?.map((one) => one.level ?? 0);

describe('items of lists', () => {
  it('go further in with Tab, at most one further than the item above', () => {
    expect(levels(after(richKeys.Tab, list(0, 0, 0), 1))).toEqual([0, 1, 0]);
    expect(levels(after(richKeys.Tab, list(0, 0, 0), 1, 2))).toEqual([0, 1, 1]);
    expect(after(richKeys.Tab, list(0, 1), 1)).toBeNull();
    expect(after(richKeys.Tab, list(0, 0), 0)).toBeNull();
  });

  it('leave Tab to the page where there is no list', () => {
    expect(after(richKeys.Tab, [{ runs: [{ text: 'x' }] }], 0)).toBeNull();
    expect(after(richKeys['Shift-Tab'], list(0), 0)).toBeNull();
  });

  it('go out again with Shift+Tab and with Backspace before the first word', () => {
    expect(levels(after(richKeys['Shift-Tab'], list(0, 1, 2), 2))).toEqual([0, 1, 1]);
    expect(levels(after(richKeys.Backspace, list(0, 1), 1))).toEqual([0, 0]);
    expect(after(richKeys.Backspace, list(0, 0), 1)![1].kind).toBeUndefined();
  });

  it('stand at the edge when they become something else', () => {
    expect(after(setKind('quote'), list(0, 2), 1)![1]).toEqual({ kind: 'quote', runs: [{ text: 'item 1' }] });
    expect(levels(after(setKind('numbered'), list(0, 2), 1))).toEqual([0, 2]);
  });
});
