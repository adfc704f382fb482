import { EditorState, NodeSelection, TextSelection } from 'prosemirror-state';
import { describe, expect, it } from 'vitest';
import { typedBehindMark, withChips, withOpenChip, withOtherChip, withSource, withWords } from './draftEdits';
import { documentOf, sourceOf, type Chip } from './draftText';

function chip(written: string, start: number, role: Chip['role'] = 'FIELD'): Chip {
  return {
    written,
    start,
    end: start + written.length,
    role,
    label: written,
    known: true,
    source: 'contact',
  } as Chip;
}

/** `Dear {a},` with its field as a chip; the cursor behind that. */
function dear(): EditorState {
  const state = EditorState.create({ doc: documentOf('Dear {a},', [chip('{a}', 5)]) });
  return state.apply(state.tr.setSelection(TextSelection.create(state.doc, 7)));
}

describe('changes of a draft', () => {
  it('puts words from elsewhere in the place of those that differ', () => {
    const state = dear();
    const after = documentOf('Dear {a}, good day', [chip('{a}', 5)]);
    const tr = withWords(state, after)!;
    expect(sourceOf(tr.doc)).toBe('Dear {a}, good day');
    expect(tr.selection.from).toBe(tr.doc.content.size - 1);
    expect(tr.getMeta('addToHistory')).toBe(false);
    expect(withWords(state, state.doc)).toBeNull();
  });

  it.each([
    ['aaa', 'aa'],
    ['aa', 'aaa'],
    ['', 'one\ntwo'],
    ['one\ntwo', ''],
    ['one\ntwo', 'one\none\ntwo'],
  ])('turns “%s” into “%s”', (before, after) => {
    const state = EditorState.create({ doc: documentOf(before, []) });
    expect(sourceOf(withWords(state, documentOf(after, []))!.doc)).toBe(after);
  });

  it('opens the chip before the cursor to its written form, without its last brace', () => {
    const tr = withOpenChip(dear())!;
    expect(sourceOf(tr.doc)).toBe('Dear {a,');
    expect(tr.selection.from).toBe(8);
    expect(tr.doc.nodeAt(6)!.isText).toBe(true);
  });

  it('opens nothing where no chip is, nor while words are chosen', () => {
    const state = dear();
    const at = (from: number, to = from) =>
      withOpenChip(state.apply(state.tr.setSelection(TextSelection.create(state.doc, from, to))));
    expect(at(3)).toBeNull();
    expect(at(1)).toBeNull();
    expect(at(6, 7)).toBeNull();
  });

  it('lets words typed over a mark of a choice go behind it', () => {
    const source = '{when x is filled}a{end}';
    const chips = [chip('{when x is filled}', 0, 'WHEN'), chip('{end}', 19, 'END')];
    const state = EditorState.create({ doc: documentOf(source, chips) });
    const chosen = state.apply(state.tr.setSelection(NodeSelection.create(state.doc, 1)));
    const tr = typedBehindMark(chosen, 'b')!;
    expect(sourceOf(tr.doc)).toBe('{when x is filled}ba{end}');
    expect(tr.selection.from).toBe(3);
    expect(typedBehindMark(dear(), 'b')).toBeNull();
  });

  it('turns plain fields into chips, but for the one that is being written', () => {
    const state = EditorState.create({ doc: documentOf('{a} and {b}', []) });
    const chips = [chip('{a}', 0), chip('{b}', 8)];
    const inFirst = state.apply(state.tr.setSelection(TextSelection.create(state.doc, 2)));
    const { tr, all } = withChips(inFirst, chips);
    expect(all).toBe(false);
    expect(sourceOf(tr.doc)).toBe('{a} and {b}');
    const kinds: string[] = [];
    tr.doc.firstChild!.forEach((node) => kinds.push(node.type.name));
    expect(kinds).toEqual(['text', 'field']);
    const elsewhere = state.apply(state.tr.setSelection(TextSelection.create(state.doc, 6)));
    expect(withChips(elsewhere, chips).all).toBe(true);
  });

  it('puts another field in the place of a chip, and of nothing else', () => {
    const tr = withOtherChip(dear(), 6, chip('{b else "you"}', 5))!;
    expect(sourceOf(tr.doc)).toBe('Dear {b else "you"},');
    expect(withOtherChip(dear(), 2, chip('{b}', 0))).toBeNull();
  });

  it('mends a stretch of the source, within a chip too', () => {
    expect(sourceOf(withSource(dear(), 0, 4, 'Hello').doc)).toBe('Hello {a},');
    expect(sourceOf(withSource(dear(), 6, 7, 'b').doc)).toBe('Dear {b},');
    expect(sourceOf(withSource(dear(), 5, 8, '').doc)).toBe('Dear ,');
    expect(sourceOf(withSource(dear(), 9, 9, ' hello').doc)).toBe('Dear {a}, hello');
  });
});
