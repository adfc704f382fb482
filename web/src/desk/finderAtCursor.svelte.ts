import { type EditorState, TextSelection } from 'prosemirror-state';
import type { EditorView } from 'prosemirror-view';
import { draftSchema, type Chip } from './draftText';
import { blankChip, chipOf, choiceChips, findFields, type FoundField } from './finding';

/** What a key did to the finder; null where it is none of the finder’s. */
export type FinderKey = 'moved' | 'chosen' | 'left' | null;

/** The field finder in a text: opened by a brace, narrowed by what is typed after it, closed by a choice or by leaving it. */
export class FinderAtCursor {
  /** What is looked for, the words it stands in, and where they are on screen; null while it is closed. */
  open = $state.raw<{ query: string; from: number; to: number; rect: DOMRect } | null>(null);
  /** Which of the found fields Enter would put in. */
  at = $state(0);
  readonly found: FoundField[] = $derived.by(() =>
    this.open ? findFields(this.fields(), this.open.query, this.special()) : [],
  );
  private asked = false;

  /**
   * @param fields all there are
   * @param special whether choices and blanks can be put in, besides fields
   */
  constructor(
    private readonly fields: () => FoundField[],
    private readonly special: () => boolean,
  ) {}

  /** A brace was typed, or a field opened to its written form. */
  ask(): void {
    this.asked = true;
  }

  close(): void {
    this.asked = false;
    this.open = null;
  }

  /** Reads the opening brace before the cursor and what was typed after it, while the finder is asked for. */
  read(state: EditorState, view: EditorView): void {
    const { $from: cursor, empty } = state.selection;
    const before = cursor.parent.textBetween(0, cursor.parentOffset, '', '\uFFFC');
    const brace = before.lastIndexOf('{');
    const query = before.slice(brace + 1);
    if (!this.asked || !empty || brace < 0 || /[}\uFFFC]/.test(query)) {
      this.close();
      return;
    }
    const from = cursor.start() + brace;
    if (this.open?.query !== query) this.at = 0;
    const { left, right, top, bottom } = view.coordsAtPos(from);
    this.open = { query, from, to: cursor.pos, rect: new DOMRect(left, top, right - left, bottom - top) };
  }

  /** Moves through what was found; what is chosen is put in by whoever asked. */
  key(event: KeyboardEvent): FinderKey {
    const many = Math.max(this.found.length, 1);
    if (event.key === 'ArrowDown') this.at = (this.at + 1) % many;
    else if (event.key === 'ArrowUp') this.at = (this.at + many - 1) % many;
    else if ((event.key === 'Enter' || event.key === 'Tab') && this.found[this.at]) return 'chosen';
    else return event.key === 'Escape' ? 'left' : null;
    return 'moved';
  }

  /**
   * Puts a field in the place of what was typed; in a choice one goes on with the words of its first branch.
   *
   * @returns its first chip and where that stands; null where nothing was asked for
   */
  putIn(view: EditorView, field: FoundField): { chip: Chip; at: number } | null {
    if (!this.open) return null;
    const { from, to } = this.open;
    this.close();
    const chips =
      field.special === 'when'
        ? choiceChips(this.fields())
        : [field.special === 'write in' ? blankChip() : chipOf(field)];
    const tr = view.state.tr.replaceWith(
      from,
      to,
      chips.map((chip) => draftSchema.node('field', { chip })),
    );
    view.dispatch(tr.setSelection(TextSelection.create(tr.doc, from + 1)).scrollIntoView());
    view.focus();
    return { chip: chips[0], at: from };
  }
}
