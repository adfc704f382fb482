import type { Node } from 'prosemirror-model';
import { NodeSelection, TextSelection, type EditorState, type Transaction } from 'prosemirror-state';
import { draftSchema, isMark, positionOf, unchippedFields, type Chip } from './draftText';

/** Changes of a draft's text, as transactions; null where there is nothing to change. */

/** Words that changed elsewhere take the place of those that differ; the cursor goes where the change ends. */
export function withWords(state: EditorState, after: Node): Transaction | null {
  const before = state.doc;
  const start = before.content.findDiffStart(after.content);
  if (start === null) return null;
  const { a, b } = before.content.findDiffEnd(after.content)!;
  const overlap = Math.max(0, start - Math.min(a, b));
  const tr = state.tr.replace(start, a + overlap, after.slice(start, b + overlap));
  tr.setMeta('addToHistory', false);
  return tr
    .setSelection(TextSelection.near(tr.doc.resolve(Math.min(b + overlap, tr.doc.content.size)), -1))
    .scrollIntoView();
}

/** Opens the chip before the cursor to its written form. */
export function withOpenChip(state: EditorState): Transaction | null {
  const selected = state.selection instanceof NodeSelection ? state.selection : null;
  const from = selected ? selected.from : state.selection.from - 1;
  const node = from >= 0 ? state.doc.nodeAt(from) : null;
  if ((!selected && !state.selection.empty) || node?.type.name !== 'field') return null;
  // Without its closing brace it stays text until the writer closes it again.
  const written = (node.attrs.chip as Chip).written.slice(0, -1);
  const tr = state.tr.replaceWith(from, from + 1, draftSchema.text(written));
  return tr.setSelection(TextSelection.create(tr.doc, from + written.length)).scrollIntoView();
}

/** Words typed while a mark of a choice is selected go behind it, rather than break the choice. */
export function typedBehindMark({ selection, tr }: EditorState, text: string): Transaction | null {
  if (!(selection instanceof NodeSelection) || !isMark(selection.node.attrs.chip as Chip)) return null;
  const at = selection.to;
  return tr
    .insertText(text, at)
    .setSelection(TextSelection.create(tr.doc, at + text.length))
    .scrollIntoView();
}

/** Turns fields that are plain characters into chips; the one that is being written stays as it is. */
export function withChips(state: EditorState, chips: Chip[]): { tr: Transaction; all: boolean } {
  const { from, to } = state.selection;
  const tr = state.tr;
  let all = true;
  for (const plain of unchippedFields(state.doc, chips).reverse()) {
    if (from > plain.from && from < plain.to && from === to) {
      all = false;
      continue;
    }
    const marks = tr.doc.nodeAt(plain.from)?.marks;
    tr.replaceWith(plain.from, plain.to, draftSchema.node('field', { chip: plain.chip }, undefined, marks));
  }
  return { tr: tr.setMeta('addToHistory', false), all };
}

/** Puts another field in the place of the chip at a position. */
export function withOtherChip({ doc, tr }: EditorState, position: number, chip: Chip): Transaction | null {
  const node = doc.nodeAt(position);
  if (node?.type.name !== 'field') return null;
  return tr.replaceWith(position, position + 1, draftSchema.node('field', { chip }, undefined, node.marks));
}

/** Other characters in the place of a stretch of the source, as when a note's remedy is taken. */
export function withSource({ doc, tr }: EditorState, start: number, end: number, text: string): Transaction {
  const at = positionOf(doc, start);
  const node = doc.nodeAt(at);
  if (start < end && node?.type.name === 'field') {
    const begins = doc.textBetween(0, at, '\n').length;
    const written = (node.attrs.chip as Chip).written;
    const mended = written.slice(0, start - begins) + text + written.slice(end - begins);
    return tr.replaceWith(at, at + 1, mended ? draftSchema.text(mended) : []);
  }
  return tr.insertText(text, at, positionOf(doc, end));
}
