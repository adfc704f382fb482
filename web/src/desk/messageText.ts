import { Node, Schema } from 'prosemirror-model';
import { Plugin, TextSelection } from 'prosemirror-state';
import type { Schemas } from '../api/client';

export type Piece = Schemas['ShownPiece'];
export type Run = Schemas['TypedRun'];

/** Words that come from no field. */
export function wordsOnly(text: string): Piece {
  return {
    text,
    origin: 'WRITTEN',
    source: '',
    label: '',
    path: '',
    stored: '',
    written: '',
    format: '',
    fallback: 0,
    type: 'TEXT',
    place: null,
    start: 0,
    end: 0,
  };
}

/**
 * One message, merged and open for change: text that remembers which value it came from for as long as it is left as
 * it was, words written for this message only, and gaps still to be filled.
 */
export const messageSchema = new Schema({
  nodes: {
    doc: { content: 'paragraph+' },
    paragraph: { content: 'inline*', toDOM: () => ['p', 0], parseDOM: [{ tag: 'p' }] },
    text: { group: 'inline' },
    gap: {
      inline: true,
      group: 'inline',
      atom: true,
      attrs: { piece: {} },
      toDOM: (node) => {
        const piece = node.attrs.piece as Piece;
        const dom = document.createElement('button');
        dom.type = 'button';
        dom.className = piece.origin === 'ASKED' ? 'gap blank' : 'gap';
        dom.append(
          piece.origin === 'BROKEN' ? piece.text : piece.origin === 'ASKED' ? piece.label : `${piece.label}?`,
        );
        return dom;
      },
      leafText: () => '',
    },
  },
  marks: {
    /** A value, by the place of its piece in the message. */
    value: {
      attrs: { at: {}, piece: {} },
      inclusive: false,
      toDOM: (mark) => {
        const piece = mark.attrs.piece as Piece;
        return [
          'span',
          { class: `value ${piece.origin.toLowerCase()} ${piece.source}`, title: piece.label },
          0,
        ];
      },
    },
    /** Written for this message only. */
    mine: { inclusive: true, toDOM: () => ['span', { class: 'mine' }, 0] },
  },
});

function isOpen(piece: Piece): boolean {
  return piece.origin === 'GAP' || piece.origin === 'BROKEN' || piece.origin === 'ASKED';
}

/** A piece as it stands in one line; a place still to be filled is a thing of its own. */
export function inlineOf(piece: Piece, at: number): Node {
  return isOpen(piece)
    ? messageSchema.node('gap', { piece })
    : messageSchema.text(piece.text.replace(/\n/g, ' '), [messageSchema.mark('value', { at, piece })]);
}

/** The places where a template blanks for something, open or answered, with how much of the document each takes. */
export function blanksOf(doc: Node, hint: string): { at: number; size: number; piece: Piece }[] {
  const blanks: { at: number; size: number; piece: Piece }[] = [];
  doc.descendants((node, at) => {
    const piece = node.type.name === 'gap' ? (node.attrs.piece as Piece) : valueOf(node)?.piece;
    const asked = piece?.origin === 'ASKED' || piece?.origin === 'ANSWERED';
    if (piece && asked && piece.stored === hint) blanks.push({ at, size: node.nodeSize, piece });
  });
  return blanks;
}

/** Builds the document of one text from its merged pieces. */
export function messageOf(pieces: Piece[]): Node {
  const paragraphs: Node[][] = [[]];
  pieces.forEach((piece, at) => {
    if (isOpen(piece)) {
      paragraphs.at(-1)!.push(messageSchema.node('gap', { piece }));
      return;
    }
    const marks = piece.written && piece.text ? [messageSchema.mark('value', { at, piece })] : [];
    piece.text.split('\n').forEach((line, i) => {
      if (i > 0) paragraphs.push([]);
      if (line) paragraphs.at(-1)!.push(messageSchema.text(line, marks));
    });
  });
  return messageSchema.node(
    'doc',
    null,
    paragraphs.map((inline) => messageSchema.node('paragraph', null, inline)),
  );
}

/** What the sender leaves, stretch by stretch; a value that runs over several lines is one stretch. */
export function runsOf(doc: Node): Run[] {
  const runs: (Run & { at: number })[] = [];
  const add = (text: string, at: number, piece: Piece | null, gap = false) => {
    const before = runs.at(-1);
    if (before && !gap && !before.gap && before.at === at) before.text += text;
    else runs.push({ text, written: piece?.written ?? '', gap, at });
  };
  doc.forEach((paragraph, _, index) => {
    if (index > 0) {
      const next = valueOf(paragraph.firstChild);
      const before = runs.at(-1);
      if (next && before && before.at === next.at) before.text += '\n';
      else add('\n', -1, null);
    }
    paragraph.forEach((node) => {
      const value = valueOf(node);
      if (node.type.name === 'gap') add('', -2, node.attrs.piece as Piece, true);
      else add(node.text ?? '', value?.at ?? (isMine(node) ? -3 : -1), value?.piece ?? null);
    });
  });
  return runs.map(({ text, written, gap }) => ({ text, written, gap }));
}

function valueOf(node: Node | null): { at: number; piece: Piece } | null {
  const mark = node?.marks.find((one) => one.type.name === 'value');
  return mark ? (mark.attrs as { at: number; piece: Piece }) : null;
}

function isMine(node: Node): boolean {
  return node.marks.some((mark) => mark.type.name === 'mine');
}

/** Where a place of the text that the runs make lies in the document; a place still to be filled has no length there. */
export function positionOf(doc: Node, offset: number): number {
  let left = offset;
  let found = Math.max(1, doc.content.size - 1);
  let done = false;
  doc.forEach((paragraph, start, index) => {
    if (done) return;
    if (index > 0) left -= 1;
    const length = paragraph.textContent.length;
    if (left > length) {
      left -= length;
      return;
    }
    let at = start + 1;
    paragraph.forEach((node) => {
      if (done) return;
      if (node.isText && left < node.text!.length) {
        found = at + left;
        done = true;
        return;
      }
      left -= node.text?.length ?? 0;
      at += node.nodeSize;
    });
    if (!done) found = at;
    done = true;
  });
  return found;
}

/** Whether anything in the message was written for it alone. */
export function isChanged(doc: Node): boolean {
  let changed = false;
  doc.descendants((node) => {
    changed ||= isMine(node);
  });
  return changed;
}

/** Gaps still open, with where they stand. */
export function gapsOf(doc: Node): { at: number; piece: Piece }[] {
  const gaps: { at: number; piece: Piece }[] = [];
  doc.descendants((node, at) => {
    if (node.type.name === 'gap') gaps.push({ at, piece: node.attrs.piece as Piece });
  });
  return gaps;
}

/** Values that are no longer what was merged become plain words; what is typed is marked as written for this message. */
export const keepsValuesHonest = new Plugin({
  props: {
    handleTextInput: (view, from, to, text) => {
      const tr = view.state.tr.replaceWith(from, to, messageSchema.text(text, [messageSchema.mark('mine')]));
      // Behind what was typed: a selection that was typed over would stay one, and the next letter replace the first.
      view.dispatch(tr.setSelection(TextSelection.create(tr.doc, from + text.length)).scrollIntoView());
      return true;
    },
  },
  appendTransaction: (transactions, _, state) => {
    if (!transactions.some((one) => one.docChanged)) return null;
    const stretches = new Map<number, { text: string; piece: Piece; places: [number, number][] }>();
    state.doc.descendants((node, position) => {
      const value = node.isText ? valueOf(node) : null;
      if (!value) return;
      const stretch = stretches.get(value.at) ?? { text: '', piece: value.piece, places: [] };
      const end = stretch.places.at(-1)?.[1];
      // Right behind the last part, or first in the next paragraph; anything else means words were put between.
      if (end !== undefined && position !== end) stretch.text += position === end + 2 ? '\n' : '\uFFFC';
      stretch.text += node.text;
      stretch.places.push([position, position + node.nodeSize]);
      stretches.set(value.at, stretch);
    });
    const tr = state.tr;
    for (const { text, piece, places } of stretches.values()) {
      if (text === piece.text) continue;
      places.forEach(([from, to]) => {
        tr.removeMark(from, to, messageSchema.marks.value);
        tr.addMark(from, to, messageSchema.mark('mine'));
      });
    }
    return tr.steps.length ? tr : null;
  },
});
