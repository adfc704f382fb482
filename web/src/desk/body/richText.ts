import type { Mark, Node } from 'prosemirror-model';
import { draftSchema, inlineNodes, type Chip } from '../draftText';
import type { Align, Paragraph, ParagraphKind, Run } from './body';

const { bold, italic, underline, strike, colour, size, link } = draftSchema.marks;

function marksOf(run: Run): Mark[] {
  return [
    ...(run.bold ? [bold.create()] : []),
    ...(run.italic ? [italic.create()] : []),
    ...(run.underline ? [underline.create()] : []),
    ...(run.strike ? [strike.create()] : []),
    ...(run.colour ? [colour.create({ value: run.colour })] : []),
    ...(run.size ? [size.create({ value: run.size })] : []),
    ...(run.link ? [link.create({ address: run.link })] : []),
  ];
}

function runLook(marks: readonly Mark[]): Omit<Run, 'text'> {
  const look: Omit<Run, 'text'> = {};
  for (const { type, attrs } of marks) {
    if (type === bold) look.bold = true;
    else if (type === italic) look.italic = true;
    else if (type === underline) look.underline = true;
    else if (type === strike) look.strike = true;
    else if (type === colour) look.colour = attrs.value as string;
    else if (type === size) look.size = attrs.value as number;
    else if (type === link) look.link = attrs.address as string;
  }
  return look;
}

/** How long each paragraph is in the merge language. */
export function lengthsOf(paragraphs: Paragraph[]): number[] {
  return paragraphs.map((one) => one.runs.reduce((sum, run) => sum + run.text.length, 0));
}

/** Builds a document from formatted text and the fields found in it, counted over its paragraphs and line breaks. */
export function richDocument(paragraphs: Paragraph[], chips: Chip[]): Node {
  let from = 0;
  const nodes = paragraphs.map(({ kind = 'paragraph', align = 'start', level = 0, runs }) => {
    const content: Node[] = [];
    let at = from;
    let covered = from;
    for (const run of runs) {
      const end = at + run.text.length;
      // A field that reaches into the next run looks as the run in which it begins.
      const mine = chips.filter((chip) => chip.start >= Math.max(at, covered) && chip.start < end);
      const to = Math.max(end, ...mine.map((chip) => chip.end));
      const text = paragraphText(runs);
      const begin = Math.max(at, covered);
      if (begin < to) {
        content.push(...inlineNodes(text.slice(begin - from, to - from), begin, mine, marksOf(run)));
      }
      covered = Math.max(covered, to);
      at = end;
    }
    from += paragraphText(runs).length + 1;
    return draftSchema.node('paragraph', { kind, align, level }, content);
  });
  return draftSchema.node('doc', null, nodes.length ? nodes : [draftSchema.node('paragraph')]);
}

function paragraphText(runs: Run[]): string {
  return runs.map((run) => run.text).join('');
}

/** The formatted text of a document. */
export function paragraphsOf(doc: Node): Paragraph[] {
  const paragraphs: Paragraph[] = [];
  doc.forEach((node) => {
    const runs: Run[] = [];
    node.forEach((inline) => {
      const text = inline.isText ? inline.text! : (inline.type.spec.leafText?.(inline) ?? '');
      const look = runLook(inline.marks);
      const before = runs.at(-1);
      if (before && sameLook(before, look)) before.text += text;
      else runs.push({ text, ...look });
    });
    const kind = node.attrs.kind as ParagraphKind;
    const align = node.attrs.align as Align;
    paragraphs.push({
      ...(kind === 'paragraph' ? {} : { kind }),
      ...(align === 'start' ? {} : { align }),
      ...(node.attrs.level ? { level: node.attrs.level as number } : {}),
      runs,
    });
  });
  return paragraphs;
}

function sameLook(run: Run, look: Omit<Run, 'text'>): boolean {
  const names = ['bold', 'italic', 'underline', 'strike', 'colour', 'size', 'link'] as const;
  return names.every((name) => run[name] === look[name]);
}
