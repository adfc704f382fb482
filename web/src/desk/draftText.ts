import { Fragment, type Mark, Node, Schema, Slice } from 'prosemirror-model';
import type { Schemas } from '../api/client';
import { marks } from '../ui/marks';

/** A field as it stands in a draft. */
export type Chip = Schemas['Chip'];

/**
 * A draft in the editor: paragraphs of text with fields as single things in it. Outside the fields the text is the
 * written form as it is; the document's text, fields written out, is the draft's source. Plain texts have neither marks
 * nor kinds of paragraphs.
 */
export const draftSchema = new Schema({
  nodes: {
    doc: { content: 'paragraph+' },
    paragraph: {
      content: 'inline*',
      attrs: { kind: { default: 'paragraph' }, align: { default: 'start' }, level: { default: 0 } },
      toDOM: ({ attrs }) => [
        'p',
        {
          class: `${attrs.kind as string} to-${attrs.align as string} level-${attrs.level as number}`,
          'data-kind': attrs.kind as string,
          'data-level': String(attrs.level),
        },
        0,
      ],
      parseDOM: [{ tag: 'p' }, { tag: 'div' }],
    },
    text: { group: 'inline' },
    break: {
      inline: true,
      group: 'inline',
      selectable: false,
      toDOM: () => ['br'],
      leafText: () => '\n',
    },
    field: {
      inline: true,
      group: 'inline',
      atom: true,
      selectable: true,
      attrs: { chip: {} },
      toDOM: (node) => chipDom(node.attrs.chip as Chip),
      leafText: (node) => (node.attrs.chip as Chip).written,
    },
  },
  marks: {
    link: {
      attrs: { address: {} },
      inclusive: false,
      toDOM: ({ attrs }) => ['a', { title: attrs.address as string }, 0],
    },
    bold: { toDOM: () => ['strong', 0] },
    italic: { toDOM: () => ['em', 0] },
    underline: { toDOM: () => ['u', 0] },
    strike: { toDOM: () => ['s', 0] },
    colour: {
      attrs: { value: {} },
      toDOM: ({ attrs }) => ['span', { style: `color: ${attrs.value as string}` }, 0],
    },
    size: {
      attrs: { value: {} },
      toDOM: ({ attrs }) => ['span', { style: `font-size: ${attrs.value as number}px` }, 0],
    },
  },
});

function chipDom(chip: Chip): HTMLElement {
  const dom = document.createElement('span');
  dom.dataset.written = chip.written;
  if (isMark(chip)) {
    dom.className = `tag ${chip.role.toLowerCase()}${chip.known ? '' : ' unknown'}`;
    const word = document.createElement('i');
    word.append(chip.role === 'OTHERWISE' && chip.label ? 'otherwise when' : chip.role.toLowerCase());
    dom.append(word);
    if (chip.label) dom.append(` ${chip.label}`);
    return dom;
  }
  const source = chip.known ? chip.source : 'stop';
  dom.className = `chip ${chip.role.toLowerCase()} ${chip.known ? chip.source : 'unknown'}`;
  dom.dataset.mark = chip.known
    ? chip.role === 'WRITE_IN'
      ? 'You write in:'
      : (marks[chip.source] ?? '▫')
    : '?';
  dom.style.setProperty('--colour', `var(--${source})`);
  dom.style.setProperty('--tint', `var(--${source}-tint)`);
  dom.title = chip.written;
  dom.append(chip.label);
  if (chip.fallback) {
    const fallback = document.createElement('em');
    fallback.append(chip.fallback);
    dom.append(fallback);
  }
  return dom;
}

/** Whether a chip is one of the marks of a choice. */
export function isMark(chip: Chip): boolean {
  return chip.role === 'WHEN' || chip.role === 'OTHERWISE' || chip.role === 'END';
}

/** A mark of a choice, with where it stands in the document. */
export interface PlacedMark {
  position: number;
  chip: Chip;
}

/** The choices of a document that are ended, each by its marks; one within another comes before it. */
export function choicesOf(doc: Node): PlacedMark[][] {
  const open: PlacedMark[][] = [];
  const choices: PlacedMark[][] = [];
  doc.descendants((node, position) => {
    if (node.type.name !== 'field' || !isMark(node.attrs.chip as Chip)) return;
    const mark = { position, chip: node.attrs.chip as Chip };
    if (mark.chip.role === 'WHEN') open.push([mark]);
    else open.at(-1)?.push(mark);
    if (mark.chip.role === 'END' && open.length) choices.push(open.pop()!);
  });
  return choices;
}

/** The choice that has a mark at a position. */
export function choiceAt(doc: Node, position: number): PlacedMark[] | undefined {
  return choicesOf(doc).find((marks) => marks.some((mark) => mark.position === position));
}

/** Where the marks stand whose branch the proof person gets, by what the server found in the same text. */
export function takenMarks(doc: Node, chips: Chip[]): Set<number> {
  const found = chips.filter(isMark);
  const placed: number[] = [];
  doc.descendants((node, position) => {
    if (node.type.name === 'field' && isMark(node.attrs.chip as Chip)) placed.push(position);
  });
  return placed.length === found.length
    ? new Set(placed.filter((_, at) => found[at].taken))
    : new Set<number>();
}

/** The length of an inline node in the source. */
function sourceLength(node: Node): number {
  return node.isText ? node.text!.length : (node.type.spec.leafText?.(node) ?? '').length;
}

/** The draft's source. */
export function sourceOf(doc: Node): string {
  return doc.textBetween(0, doc.content.size, '\n');
}

/** Text as nodes, its line breaks as such. */
function textNodes(text: string, marks: readonly Mark[]): Node[] {
  return text
    .split('\n')
    .flatMap((line, at) => [
      ...(at ? [draftSchema.node('break', null, undefined, marks)] : []),
      ...(line ? [draftSchema.text(line, marks)] : []),
    ]);
}

/** A stretch of source that begins at `from`, with the fields the server found in it. */
export function inlineNodes(
  source: string,
  from: number,
  chips: Chip[],
  marks: readonly Mark[] = [],
): Node[] {
  const nodes: Node[] = [];
  let at = from;
  const end = from + source.length;
  for (const chip of chips) {
    if (chip.start < at || chip.end > end) continue;
    nodes.push(...textNodes(source.slice(at - from, chip.start - from), marks));
    const written = source.slice(chip.start - from, chip.end - from);
    nodes.push(draftSchema.node('field', { chip: { ...chip, written } }, undefined, marks));
    at = chip.end;
  }
  nodes.push(...textNodes(source.slice(at - from), marks));
  return nodes;
}

/** Builds a document from a draft's source and the fields the server found in it. */
export function documentOf(source: string, chips: Chip[]): Node {
  let from = 0;
  const paragraphs = source.split('\n').map((line) => {
    const paragraph = draftSchema.node('paragraph', null, inlineNodes(line, from, chips));
    from += line.length + 1;
    return paragraph;
  });
  return draftSchema.node('doc', null, paragraphs);
}

/** Where an offset of the source stands in the document; inside a field it is the field's beginning. */
export function positionOf(doc: Node, offset: number): number {
  let left = offset;
  let found = -1;
  doc.forEach((paragraph, start) => {
    if (found >= 0) return;
    let position = start + 1;
    paragraph.forEach((node) => {
      if (found >= 0) return;
      const length = sourceLength(node);
      if (left < length || (left === length && node.isText)) found = position + (node.isText ? left : 0);
      else {
        left -= length;
        position += node.nodeSize;
      }
    });
    if (found < 0) {
      if (left === 0) found = position;
      else left -= 1;
    }
  });
  return found < 0 ? doc.content.size - 1 : found;
}

/** Fields the server found that still stand as plain characters in the document, with where they stand. */
export function unchippedFields(doc: Node, chips: Chip[]): { from: number; to: number; chip: Chip }[] {
  return chips
    .map((chip) => ({ from: positionOf(doc, chip.start), chip }))
    .filter(({ from, chip }) => isPlain(doc, from, chip))
    .map(({ from, chip }) => ({ from, to: from + (chip.end - chip.start), chip }));
}

function isPlain(doc: Node, from: number, chip: Chip): boolean {
  const length = chip.end - chip.start;
  const at = doc.resolve(from);
  if (at.parentOffset + length > at.parent.content.size) return false;
  let plain = true;
  doc.nodesBetween(from, from + length, (node) => {
    if (node.type.name === 'field') plain = false;
    return true;
  });
  return plain && doc.textBetween(from, from + length).startsWith('{');
}

/** The lines of pasted text without control characters; on one line, line breaks become spaces. */
export function pastedLines(text: string, oneLine: boolean): string[] {
  const clean = [...text.replace(/\r\n?/g, '\n')]
    .filter((one) => one === '\n' || one === '\t' || (one >= ' ' && one !== '\u007f'))
    .join('');
  return oneLine ? [clean.replace(/\s*\n\s*/g, ' ')] : clean.split('\n');
}

/** Pasted text as paragraphs of a draft. */
export function pasted(text: string, oneLine: boolean): Slice {
  const paragraphs = pastedLines(text, oneLine).map((line) =>
    draftSchema.node('paragraph', null, line ? [draftSchema.text(line)] : []),
  );
  return new Slice(Fragment.from(paragraphs), 1, 1);
}

/** The fields of a source as far as they were met before, when the server has not read it yet. */
export function chipsMet(source: string, met: ReadonlyMap<string, Chip>): Chip[] {
  const chips: Chip[] = [];
  for (let at = source.indexOf('{'); at >= 0; at = source.indexOf('{', at + 1)) {
    const written = [...met.keys()]
      .filter((one) => source.startsWith(one, at))
      .reduce((longest, one) => (one.length > longest.length ? one : longest), '');
    if (!written) continue;
    chips.push({ ...met.get(written)!, start: at, end: at + written.length });
    at += written.length - 1;
  }
  return chips;
}
