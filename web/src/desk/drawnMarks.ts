import type { Node } from 'prosemirror-model';
import { type Plugin, PluginKey } from 'prosemirror-state';
import { type Decoration, DecorationSet, type EditorView } from 'prosemirror-view';
import type { Schemas } from '../api/client';
import { alreadyDrawn, choiceDecorations, drawn, handDecorations, noteDecorations } from './draftDecorations';
import type { Chip } from './draftText';
import type { Hand } from './writing';

type Values = Pick<Hand, 'values' | 'changes'>;

/** What is drawn over the words of a text: its choices, what is to be looked at, and what was changed by hand. */
export class DrawnMarks {
  private readonly choices = new PluginKey<DecorationSet>('choices');
  private readonly notes = new PluginKey<DecorationSet>('notes');
  private readonly hand = new PluginKey<DecorationSet>('hand');

  /** Draws them together with a text that is made: to draw them afterwards takes as long again. */
  plugins(doc: Node, chips: Chip[], notes: Schemas['ShownNote'][], hand: Values | undefined): Plugin[] {
    return [
      drawn(this.choices, choiceDecorations(doc, chips)),
      drawn(this.notes, noteDecorations(doc, notes)),
      drawn(this.hand, hand ? handDecorations(doc, hand) : []),
    ];
  }

  showChoices(view: EditorView, chips: Chip[]): void {
    show(view, this.choices, choiceDecorations(view.state.doc, chips));
  }

  showNotes(view: EditorView, notes: Schemas['ShownNote'][]): void {
    show(view, this.notes, noteDecorations(view.state.doc, notes));
  }

  showHand(view: EditorView, hand: Values): void {
    show(view, this.hand, handDecorations(view.state.doc, hand));
  }
}

function show(view: EditorView, key: PluginKey<DecorationSet>, set: Decoration[]): void {
  const { doc, tr } = view.state;
  if (alreadyDrawn(key.getState(view.state), set)) return;
  view.dispatch(tr.setMeta(key, DecorationSet.create(doc, set)).setMeta('addToHistory', false));
}
