import { Slice } from 'prosemirror-model';
import { TextSelection } from 'prosemirror-state';
import type { EditorView } from 'prosemirror-view';
import { notify } from '../ui/notices.svelte';
import type { Paragraph } from './body/body';
import { readPasted } from './body/paste';
import { offerRows } from './body/pastedRows';
import { setMark } from './body/richCommands';
import { richDocument } from './body/richText';
import { chipsMet, pasted, type Chip } from './draftText';

/** What a text of a draft takes in. */
export interface Taking {
  /** Whether it is formatted. */
  rich: boolean;
  oneLine: boolean;
  editable: boolean;
  /** Fields that were met in any text of the draft, by their written form. */
  met: ReadonlyMap<string, Chip>;
}

function pasteRich(editor: EditorView, html: string, met: Taking['met']): boolean {
  const { paragraphs, dropped } = readPasted(html);
  if (!paragraphs.length && !dropped.length) return false;
  const flat = paragraphs.map((one) => one.runs.map((run) => run.text).join('')).join('\n');
  const doc = richDocument(paragraphs, chipsMet(flat, met));
  if (paragraphs.length) {
    // Headings and items stay what they are; ordinary words join those around them.
    const open = (one: Paragraph) => (one.kind === undefined ? 1 : 0);
    const slice = new Slice(doc.content, open(paragraphs[0]), open(paragraphs.at(-1)!));
    const { from, to } = editor.state.selection;
    editor.dispatch(editor.state.tr.replaceRange(from, to, slice).scrollIntoView());
  }
  if (dropped.length) notify(`Left out of what was pasted: ${dropped.join(', ')}.`);
  return true;
}

/** Takes in what was pasted, or dropped from elsewhere; says whether there was anything. */
export function takeIn(editor: EditorView, data: DataTransfer, { rich, oneLine, met }: Taking): boolean {
  const text = data.getData('text/plain');
  const html = rich ? data.getData('text/html') : '';
  if (html && (offerRows(editor.dom, html) || pasteRich(editor, html, met))) return true;
  if (!text) return false;
  if (rich && !editor.state.selection.empty && /^(https?:\/\/|mailto:|tel:)\S+$/i.test(text.trim())) {
    return setMark('link', { address: text.trim() })(editor.state, editor.dispatch);
  }
  editor.dispatch(editor.state.tr.replaceSelection(pasted(text, oneLine)).scrollIntoView());
  return true;
}

/** What comes from elsewhere comes in as if it were pasted where it is dropped. */
export function dropIn(editor: EditorView, event: DragEvent, moved: boolean, taking: Taking): boolean {
  if (moved || !event.dataTransfer) return false;
  const at = editor.posAtCoords({ left: event.clientX, top: event.clientY });
  if (!taking.editable || !at) return false;
  event.preventDefault();
  const place = TextSelection.near(editor.state.doc.resolve(at.pos));
  editor.dispatch(editor.state.tr.setSelection(place));
  if (event.dataTransfer.files.length) {
    notify(
      taking.rich
        ? 'A picture goes into a block of its own: press Alt+A, and drop it there.'
        : 'Only words can stand here.',
      { stop: true },
    );
    return true;
  }
  takeIn(editor, event.dataTransfer, taking);
  editor.focus();
  return true;
}
