import type { Node } from 'prosemirror-model';
import { Plugin, type PluginKey } from 'prosemirror-state';
import { Decoration, DecorationSet } from 'prosemirror-view';
import type { Schemas } from '../api/client';
import type { Hand } from './writing';
import { choicesOf, positionOf, sourceOf, takenMarks, type Chip, type PlacedMark } from './draftText';

/** Draws what it was told last, at first what it is given, moved along with the text. */
export function drawn(key: PluginKey<DecorationSet>, first: Decoration[]): Plugin<DecorationSet> {
  return new Plugin<DecorationSet>({
    key,
    state: {
      init: (_, { doc }) => DecorationSet.create(doc, first),
      apply: (tr, before) => (tr.getMeta(key) as DecorationSet) ?? before.map(tr.mapping, tr.doc),
    },
    props: { decorations: (state) => key.getState(state) },
  });
}

/** Whether a document is drawn with just these already; drawing it again would move the cursor of whoever is moving it. */
export function alreadyDrawn(there: DecorationSet | undefined, wanted: Decoration[]): boolean {
  const said = (one: Decoration) => `${one.from} ${one.to} ${(one.spec as { says: string }).says}`;
  const drawnNow = (there?.find() ?? []).map(said).sort();
  return (
    drawnNow.length === wanted.length &&
    wanted
      .map(said)
      .sort()
      .every((one, at) => one === drawnNow[at])
  );
}

/** The places that notes are about; a note about a place that is gone is left out. */
export function noteDecorations(doc: Node, notes: Schemas['ShownNote'][]): Decoration[] {
  const length = sourceOf(doc).length;
  return (
    notes
      .filter((note) => note.end > note.start && note.end <= length)
      // A check of a whole text is about none of its words.
      .filter((note) => note.level === 'STOP' || note.end - note.start < length)
      .map((note) => {
        const from = positionOf(doc, note.start);
        const to = Math.max(positionOf(doc, note.end), from + 1);
        const says = `noted ${note.level.toLowerCase()}`;
        return Decoration.inline(from, to, { class: says }, { says });
      })
  );
}

/** Of a message: the words that are values, those changed by hand, and where words were taken out. */
export function handDecorations(doc: Node, hand: Pick<Hand, 'values' | 'changes'>): Decoration[] {
  const length = sourceOf(doc).length;
  const stretch = (one: { start: number; end: number }, says: string) =>
    Decoration.inline(positionOf(doc, one.start), positionOf(doc, one.end), { class: says }, { says });
  const fits = (one: { start: number; end: number }) => one.end <= length;
  return [
    ...hand.values
      .filter(fits)
      .map((one) => stretch(one, `value ${one.source}${one.fallback ? ' fallback' : ''}`)),
    ...hand.changes
      .filter(fits)
      .map((one) => (one.end > one.start ? stretch(one, 'mine') : takenOut(doc, one.start, one.was))),
  ];
}

function takenOut(doc: Node, at: number, was: string): Decoration {
  const mark = () => {
    const dom = document.createElement('span');
    dom.className = 'gone';
    dom.title = `Taken out: ${was.trim()}`;
    return dom;
  };
  return Decoration.widget(positionOf(doc, at), mark, { says: `gone ${was}`, side: -1 });
}

/** Each choice as a bracketed passage, and which of its branches the proof person gets, as the server found. */
export function choiceDecorations(doc: Node, found: Chip[]): Decoration[] {
  const taken = takenMarks(doc, found);
  return choicesOf(doc).flatMap((marks) => [...bracket(doc, marks), ...branches(marks, taken)]);
}

function branches(marks: PlacedMark[], taken: Set<number>): Decoration[] {
  return marks.slice(0, -1).flatMap((mark, at) => {
    const gets = taken.has(mark.position);
    const says = gets ? 'branch' : 'branch passed';
    const words = Decoration.inline(mark.position + 1, marks[at + 1].position, { class: says }, { says });
    return gets
      ? [Decoration.node(mark.position, mark.position + 1, { class: 'taken' }, { says: 'taken' }), words]
      : [words];
  });
}

/** A line beside the paragraphs of a choice that is longer than one. */
function bracket(doc: Node, marks: PlacedMark[]): Decoration[] {
  const from = doc.resolve(marks[0].position).index(0);
  const to = doc.resolve(marks.at(-1)!.position).index(0);
  const lines: Decoration[] = [];
  doc.forEach((paragraph, at, index) => {
    if (from < to && index >= from && index <= to) {
      lines.push(Decoration.node(at, at + paragraph.nodeSize, { class: 'within' }, { says: 'within' }));
    }
  });
  return lines;
}
