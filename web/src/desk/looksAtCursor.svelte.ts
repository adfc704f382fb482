import { type EditorState, NodeSelection } from 'prosemirror-state';
import type { EditorView } from 'prosemirror-view';
import { looksOf, type Looks } from './body/richCommands';

/** What can be done with the words that are marked in a formatted text, and where that is offered. */
export class LooksAtCursor {
  open = $state.raw<{ looks: Looks; rect: DOMRect } | null>(null);
  /** Whether an address is asked for. */
  linking = $state(false);

  close(): void {
    this.open = null;
    this.linking = false;
  }

  /** Offers it for what is marked; nothing where nothing is. */
  read(view: EditorView): void {
    const { empty } = view.state.selection;
    if ((empty && !this.linking) || view.state.selection instanceof NodeSelection) this.open = null;
    else this.open = shown(view.state, view);
  }

  /** Offers it at the cursor, for those who have no mouse. */
  ask(view: EditorView, linking: boolean): void {
    this.linking = linking;
    this.open = shown(view.state, view);
  }
}

function shown(state: EditorState, view: EditorView): { looks: Looks; rect: DOMRect } {
  const { left, right, top, bottom } = view.coordsAtPos(state.selection.from);
  return { looks: looksOf(state), rect: new DOMRect(left, top, right - left, bottom - top) };
}
