<script lang="ts">
  import { untrack } from 'svelte';
  import { baseKeymap } from 'prosemirror-commands';
  import { history, redo, undo } from 'prosemirror-history';
  import { keymap } from 'prosemirror-keymap';
  import { Fragment, Node, Slice } from 'prosemirror-model';
  import { EditorState, Plugin, TextSelection } from 'prosemirror-state';
  import { Decoration, DecorationSet, EditorView } from 'prosemirror-view';
  import { pastedLines } from './draftText';
  import {
    blanksOf,
    gapsOf,
    inlineOf,
    isChanged,
    keepsValuesHonest,
    messageOf,
    messageSchema,
    positionOf,
    runsOf,
    type Piece,
    type Run,
  } from './messageText';

  /** One text of a message that is about to be sent, open for change. */
  let {
    label,
    pieces,
    kept = null,
    oneLine = false,
    marked = [],
    onchange,
    ongap,
  }: {
    label: string;
    pieces: Piece[];
    /** The document as it was kept in the browser, instead of the pieces. */
    kept?: unknown;
    oneLine?: boolean;
    /** The places that stop the message, in the text as it is. */
    marked?: { start: number; end: number }[];
    onchange: () => void;
    ongap: (piece: Piece, anchor: HTMLElement) => void;
  } = $props();

  let view: EditorView | undefined;

  const oneLineOnly = new Plugin({
    props: {
      handleKeyDown: (_, event) => event.key === 'Enter' && !event.ctrlKey && (event.preventDefault(), true),
    },
  });

  function start(): Node {
    try {
      if (kept) return Node.fromJSON(messageSchema, kept);
    } catch {
      // Kept by an older version; the pieces are as good a start.
    }
    return messageOf(pieces);
  }

  function paste(text: string): Slice {
    const mine = [messageSchema.mark('mine')];
    const paragraphs = pastedLines(text, oneLine).map((line) =>
      messageSchema.node('paragraph', null, line ? [messageSchema.text(line, mine)] : []),
    );
    return new Slice(Fragment.from(paragraphs), 1, 1);
  }

  function mount(element: HTMLElement) {
    view = new EditorView(
      { mount: element },
      {
        state: EditorState.create({
          doc: start(),
          plugins: [
            ...(oneLine ? [oneLineOnly] : []),
            history(),
            keymap({ 'Mod-z': undo, 'Mod-y': redo, 'Mod-Shift-z': redo }),
            keymap(baseKeymap),
            keepsValuesHonest,
          ],
        }),
        attributes: {
          role: 'textbox',
          'aria-label': label,
          'aria-multiline': String(!oneLine),
          spellcheck: 'true',
        },
        decorations: (state) =>
          DecorationSet.create(
            state.doc,
            marked
              .filter((one) => one.end > one.start)
              .map((one) =>
                Decoration.inline(positionOf(state.doc, one.start), positionOf(state.doc, one.end), {
                  class: 'stopped',
                }),
              ),
          ),
        handleClickOn: (_, __, node, ___, event) => {
          if (node.type.name !== 'gap') return false;
          ongap(node.attrs.piece as Piece, (event.target as HTMLElement).closest('.gap') as HTMLElement);
          return true;
        },
        handlePaste: (editor, event) => {
          const text = event.clipboardData?.getData('text/plain') ?? '';
          if (!text) return false;
          editor.dispatch(editor.state.tr.replaceSelection(paste(text)).scrollIntoView());
          return true;
        },
        dispatchTransaction(tr) {
          view!.updateState(view!.state.apply(tr));
          if (tr.docChanged) onchange();
        },
      },
    );
    return () => view?.destroy();
  }

  // What is marked is drawn anew when the view is, not when the property changes.
  $effect(() => {
    void marked;
    view?.updateState(view.state);
  });

  /** Goes to a place of the text. */
  export function show(start: number, end: number): void {
    if (!view) return;
    view.focus();
    const [from, to] = [positionOf(view.state.doc, start), positionOf(view.state.doc, end)];
    view.dispatch(
      view.state.tr.setSelection(TextSelection.create(view.state.doc, from, to)).scrollIntoView(),
    );
  }

  export function runs(): Run[] {
    return view ? runsOf(view.state.doc) : [];
  }

  export function changed(): boolean {
    return view ? isChanged(view.state.doc) : false;
  }

  export function toKeep(): unknown {
    return view?.state.doc.toJSON();
  }

  export function firstGap(): { piece: Piece; anchor: HTMLElement } | null {
    const gap = view && gapsOf(view.state.doc)[0];
    return gap ? { piece: gap.piece, anchor: view!.nodeDOM(gap.at) as HTMLElement } : null;
  }

  /** Puts what was merged anew into the gaps that are filled now. */
  export function fill(merged: Piece[]): void {
    if (!view) return;
    const tr = view.state.tr;
    for (const { at, piece } of gapsOf(view.state.doc).reverse()) {
      const filled = merged.findIndex((one) => one.written === piece.written && one.text !== '');
      if (piece.written === '' || filled < 0) continue;
      const mark = messageSchema.mark('value', { at: filled, piece: merged[filled] });
      tr.replaceWith(at, at + 1, messageSchema.text(merged[filled].text, [mark]));
    }
    if (tr.docChanged) view.dispatch(tr);
  }

  /** Puts what the sender answered in its places, whether they were open or answered before. */
  export function answer(hint: string, merged: Piece[]): void {
    if (!view) return;
    const tr = view.state.tr;
    for (const { at, size, piece } of blanksOf(view.state.doc, hint).reverse()) {
      const place = merged.findIndex((one) => one.written === piece.written && one.start === piece.start);
      if (place < 0) continue;
      tr.replaceWith(at, at + size, inlineOf(merged[place], place));
    }
    if (tr.docChanged) view.dispatch(tr);
  }

  /** Begins anew from merged pieces. */
  export function begin(merged: Piece[]): void {
    if (!view) return;
    const doc = messageOf(merged);
    view.dispatch(view.state.tr.replaceWith(0, view.state.doc.content.size, doc.content));
  }

  export function focus(): void {
    if (!view) return;
    view.focus();
    view.dispatch(view.state.tr.setSelection(TextSelection.atEnd(view.state.doc)));
  }
</script>

<div class="text" class:one={oneLine} {@attach (element) => untrack(() => mount(element))}></div>

<style>
  .text {
    min-height: 1.5em;
    outline: none;
    overflow-wrap: anywhere;
    white-space: pre-wrap;
  }

  .text :global(p) {
    min-height: 1.5em;
    margin: 0;
  }

  .text :global(.value) {
    border-bottom: 1.5px dotted var(--colour, var(--date));
  }

  .text :global(.value.contact) {
    --colour: var(--contact);
  }

  .text :global(.value.lead) {
    --colour: var(--lead);
  }

  .text :global(.value.deal) {
    --colour: var(--deal);
  }

  .text :global(.value.organisation) {
    --colour: var(--organisation);
  }

  .text :global(.value.user) {
    --colour: var(--user);
  }

  .text :global(.value.our) {
    --colour: var(--our);
  }

  .text :global(.value.fallback) {
    background: var(--query-tint);
  }

  .text :global(.mine) {
    background: var(--mine);
  }

  .text :global(.stopped) {
    text-decoration: underline wavy var(--stop) 1px;
    text-underline-offset: 3px;
  }

  .text :global(.gap) {
    padding: 0 4px;
    border: 0;
    background: var(--stop-tint);
    color: var(--stop);
    font: inherit;
    cursor: pointer;
  }

  .text :global(.gap.blank) {
    border: 1px dotted var(--ink);
    border-radius: var(--corner);
    background: none;
    color: var(--ink);
  }

  .text :global(.value.answered) {
    border: 1px dotted var(--edge);
  }
</style>
