import { chainCommands, splitBlockAs, toggleMark } from 'prosemirror-commands';
import { InputRule, inputRules } from 'prosemirror-inputrules';
import type { MarkType } from 'prosemirror-model';
import type { Command, EditorState, Plugin, Transaction } from 'prosemirror-state';
import { draftSchema } from '../draftText';
import type { Align, ParagraphKind } from './body';

const { bold, italic, underline, strike } = draftSchema.marks;
const PLAIN: ParagraphKind = 'paragraph';
const DEEPEST = 3;

/** How the words at the cursor, or the first that are chosen, look. */
export interface Looks {
  bold: boolean;
  italic: boolean;
  underline: boolean;
  strike: boolean;
  colour: string;
  size: number;
  link: string;
  kind: ParagraphKind;
  align: Align;
}

/** Reads how the chosen words look. */
export function looksOf(state: EditorState): Looks {
  const { from, to, empty, $from } = state.selection;
  const marks = empty
    ? (state.storedMarks ?? $from.marks())
    : (state.doc.nodeAt(from)?.marks ?? state.doc.resolve(Math.min(from + 1, to)).marks());
  const all = (type: MarkType) =>
    empty ? marks.some((mark) => mark.type === type) : everywhere(state, from, to, type);
  const attribute = (name: string, of: string) =>
    marks.find((mark) => mark.type.name === name)?.attrs[of] as string | number | undefined;
  return {
    bold: all(bold),
    italic: all(italic),
    underline: all(underline),
    strike: all(strike),
    colour: String(attribute('colour', 'value') ?? ''),
    size: Number(attribute('size', 'value') ?? 0),
    link: String(attribute('link', 'address') ?? ''),
    kind: $from.parent.attrs.kind as ParagraphKind,
    align: $from.parent.attrs.align as Align,
  };
}

function everywhere(state: EditorState, from: number, to: number, type: MarkType): boolean {
  let yes = true;
  state.doc.nodesBetween(from, to, (node) => {
    if (node.isInline && !type.isInSet(node.marks)) yes = false;
  });
  return yes;
}

function changeParagraphs(state: EditorState, attrs: object): Transaction {
  const { tr } = state;
  state.doc.nodesBetween(state.selection.from, state.selection.to, (node, at) => {
    if (node.type.name === 'paragraph') tr.setNodeMarkup(at, null, { ...node.attrs, ...attrs });
  });
  return tr;
}

/** Makes the chosen paragraphs headings, list items …; those that are already become ordinary ones. */
export function setKind(kind: ParagraphKind): Command {
  return (state, dispatch) => {
    const wanted = state.selection.$from.parent.attrs.kind === kind ? PLAIN : kind;
    dispatch?.(changeParagraphs(state, isItem(wanted) ? { kind: wanted } : { kind: wanted, level: 0 }));
    return true;
  };
}

function isItem(kind: unknown): boolean {
  return kind === 'bullet' || kind === 'numbered';
}

/** Moves the chosen items of lists one further in or out; an item stands at most one further in than the one above it. */
export function shiftItems(by: 1 | -1): Command {
  return (state, dispatch) => {
    const { tr } = state;
    state.doc.nodesBetween(state.selection.from, state.selection.to, (node, at) => {
      if (!isItem(node.attrs.kind)) return;
      const above = tr.doc.resolve(at).nodeBefore;
      const most = above && isItem(above.attrs.kind) ? Math.min(Number(above.attrs.level) + 1, DEEPEST) : 0;
      const level = Math.max(0, Math.min(Number(node.attrs.level) + by, most));
      if (level !== node.attrs.level) tr.setNodeMarkup(at, null, { ...node.attrs, level });
    });
    if (!tr.docChanged) return false;
    dispatch?.(tr);
    return true;
  };
}

/** Sets the chosen paragraphs to the left, in the middle or to the right. */
export function setAlign(align: Align): Command {
  return (state, dispatch) => {
    dispatch?.(changeParagraphs(state, { align }));
    return true;
  };
}

/** Gives the chosen words a colour, size or link, or takes it away. */
export function setMark(name: 'colour' | 'size' | 'link', attrs: object | null): Command {
  return (state, dispatch) => {
    const type = draftSchema.marks[name];
    let { from, to } = state.selection;
    if (from === to && name === 'link') [from, to] = linkAround(state);
    const tr = state.tr;
    if (from === to) {
      if (!attrs) tr.removeStoredMark(type);
      else tr.addStoredMark(type.create(attrs));
    } else {
      tr.removeMark(from, to, type);
      if (attrs) tr.addMark(from, to, type.create(attrs));
    }
    dispatch?.(tr);
    return true;
  };
}

/** From where to where the link at the cursor reaches. */
function linkAround(state: EditorState): [number, number] {
  const { $from } = state.selection;
  const link = draftSchema.marks.link;
  let from = $from.pos;
  let to = $from.pos;
  $from.parent.forEach((node, offset) => {
    const start = $from.start() + offset;
    const end = start + node.nodeSize;
    if (link.isInSet(node.marks) && start <= $from.pos && end >= $from.pos) {
      from = Math.min(from, start);
      to = Math.max(to, end);
    }
  });
  return [from, to];
}

/** A new paragraph: another item within a list, an ordinary paragraph below a heading. */
const newParagraph: Command = splitBlockAs((node, atEnd) => ({
  type: node.type,
  attrs:
    atEnd && String(node.attrs.kind).startsWith('heading')
      ? { ...node.attrs, kind: PLAIN }
      : { ...node.attrs },
}));

/** An empty item goes further out, at last out of its list; so does one where Backspace is pressed before its first word. */
function leave(atStartOnly: boolean): Command {
  return (state, dispatch) => {
    const { $from, empty } = state.selection;
    const fits = atStartOnly ? empty && $from.parentOffset === 0 : $from.parent.content.size === 0;
    if (!fits || $from.parent.attrs.kind === PLAIN) return false;
    const level = Number($from.parent.attrs.level);
    dispatch?.(changeParagraphs(state, level ? { level: level - 1 } : { kind: PLAIN }));
    return true;
  };
}

const breakLine: Command = (state, dispatch) => {
  dispatch?.(state.tr.replaceSelectionWith(draftSchema.node('break')).scrollIntoView());
  return true;
};

/** The keys of formatted text. */
export const richKeys: Record<string, Command> = {
  'Mod-b': toggleMark(bold),
  'Mod-i': toggleMark(italic),
  'Mod-u': toggleMark(underline),
  'Mod-Shift-x': toggleMark(strike),
  Enter: chainCommands(leave(false), newParagraph),
  'Shift-Enter': breakLine,
  Backspace: leave(true),
  Tab: shiftItems(1),
  'Shift-Tab': shiftItems(-1),
};

/** What a button of the text slip does. */
export const marks = {
  bold: toggleMark(bold),
  italic: toggleMark(italic),
  underline: toggleMark(underline),
  strike: toggleMark(strike),
};

function kindRule(typed: RegExp, kind: ParagraphKind): InputRule {
  return new InputRule(typed, (state, _, start, end) =>
    state.selection.$from.parent.attrs.kind === PLAIN
      ? state.tr.delete(start, end).setNodeMarkup(state.selection.$from.before(), null, {
          ...state.selection.$from.parent.attrs,
          kind,
        })
      : null,
  );
}

/** `**so**` typed out; the last sign is not in the text yet. */
function markRule(typed: RegExp, signs: number, type: MarkType): InputRule {
  return new InputRule(typed, (state, match, start, end) => {
    const from = end - match[0].length + 1 + (match[0].length - match[0].trimStart().length);
    if (from < start) return null;
    const tr = state.tr.delete(end - (signs - 1), end).delete(from, from + signs);
    const to = end - (signs - 1) - signs;
    return to > from ? tr.addMark(from, to, type.create()).removeStoredMark(type) : null;
  });
}

/** What is typed at the beginning of a paragraph, or around words, and makes them look so. */
export function typingRules(): Plugin {
  return inputRules({
    rules: [
      kindRule(/^#\s$/, 'heading-1'),
      kindRule(/^##\s$/, 'heading-2'),
      kindRule(/^###\s$/, 'heading-3'),
      kindRule(/^[-*]\s$/, 'bullet'),
      kindRule(/^1[.)]\s$/, 'numbered'),
      kindRule(/^>\s$/, 'quote'),
      markRule(/(?:^|\s)\*\*[^*\s](?:[^*]*[^*\s])?\*\*$/, 2, bold),
      markRule(/(?:^|\s)_[^_\s](?:[^_]*[^_\s])?_$/, 1, italic),
    ],
  });
}
