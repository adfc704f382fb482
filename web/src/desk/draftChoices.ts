import { TextSelection, type EditorState, type Transaction } from 'prosemirror-state';
import { draftSchema, type Chip, type PlacedMark } from './draftText';

/** Changes of the choices in a text, as transactions; nothing where there is nothing to change. */

/** Another branch before the mark at a position, with the cursor in it. */
export function withBranch(state: EditorState, before: number, chip: Chip): Transaction {
  const tr = state.tr.insert(before, draftSchema.node('field', { chip }));
  return tr.setSelection(TextSelection.create(tr.doc, before + 1)).scrollIntoView();
}

/** A choice taken out, with its words or without. */
export function withoutChoice(
  state: EditorState,
  marks: PlacedMark[],
  keepWords: boolean,
): Transaction | null {
  if (!marks.length) return null;
  if (!keepWords) return state.tr.delete(marks[0].position, marks.at(-1)!.position + 1);
  const tr = state.tr;
  for (const mark of [...marks].reverse()) tr.delete(mark.position, mark.position + 1);
  return tr;
}

/** One branch taken out, with its words; the first and the end stay. */
export function withoutBranch(state: EditorState, marks: PlacedMark[], position: number): Transaction | null {
  const at = marks.findIndex((mark) => mark.position === position);
  return at < 1 || at === marks.length - 1 ? null : state.tr.delete(position, marks[at + 1].position);
}
