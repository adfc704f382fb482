import {
  autocompletion,
  startCompletion,
  type CompletionContext,
  type CompletionResult,
} from '@codemirror/autocomplete';
import { html } from '@codemirror/lang-html';
import { HighlightStyle, syntaxHighlighting } from '@codemirror/language';
import { EditorState } from '@codemirror/state';
import { Decoration, EditorView, MatchDecorator, ViewPlugin, type DecorationSet } from '@codemirror/view';
import { tags } from '@lezer/highlight';
import { minimalSetup } from 'codemirror';
import type { FoundField } from '../finding';

/** Fields stand out; a brace in a style sheet is none, and looks so by its colour. */
const fields = new MatchDecorator({
  regexp: /\{[^{}\n<>]*\}/g,
  decoration: Decoration.mark({ class: 'cm-field' }),
});

const marked = ViewPlugin.define(
  (view) => ({
    found: fields.createDeco(view) as DecorationSet,
    update(update) {
      this.found = fields.updateDeco(update, this.found);
    },
  }),
  { decorations: (plugin) => plugin.found },
);

const colours = HighlightStyle.define([
  { tag: tags.tagName, color: 'var(--ink)' },
  { tag: tags.attributeName, color: 'var(--contact)' },
  { tag: [tags.attributeValue, tags.string], color: 'var(--good)' },
  { tag: tags.comment, color: 'var(--ink-soft)', fontStyle: 'italic' },
]);

const look = EditorView.theme({
  '&': { color: 'var(--ink)', background: 'transparent', fontSize: '13px' },
  '&.cm-focused': { outline: 'none' },
  '.cm-content': { padding: '6px 0', caretColor: 'var(--ink)', fontFamily: 'ui-monospace, monospace' },
  '.cm-line': { padding: '0 2px' },
  '.cm-cursor': { borderLeftColor: 'var(--ink)' },
  '.cm-field': { borderBottom: '2px solid var(--contact)', background: 'var(--chosen)' },
  '&.cm-focused .cm-selectionBackground, .cm-selectionBackground': { background: 'var(--chosen)' },
  '.cm-tooltip': {
    border: '1px solid var(--rule)',
    borderRadius: 'var(--corner)',
    background: 'var(--sheet)',
    color: 'var(--ink)',
  },
  '.cm-tooltip-autocomplete > ul > li[aria-selected]': {
    background: 'var(--ink)',
    color: 'var(--sheet)',
  },
});

/** The fields that can be put in, by their label, once a brace is typed. */
function finder(found: () => FoundField[]) {
  return function find(context: CompletionContext): CompletionResult | null {
    const typed = context.matchBefore(/\{[\w .]*$/);
    if (!typed) return null;
    return {
      from: typed.from,
      filter: false,
      // Asked again with each letter at once: while an answer is awaited, Enter would be a new line.
      update: (_current, _from, _to, now) => find(now),
      options: found()
        .filter((field) => matches(field, typed.text.slice(1)))
        .slice(0, 40)
        .map((field) => ({
          label: field.label,
          detail: field.path,
          apply: `{${field.path}}`,
        })),
    };
  };
}

function matches(field: FoundField, typed: string): boolean {
  const all = `${field.label} ${field.path}`.toLowerCase();
  return typed
    .toLowerCase()
    .split(/\s+/)
    .every((word) => all.includes(word));
}

/** An editor for HTML within an element. */
export function sourceEditor(options: {
  parent: HTMLElement;
  source: string;
  label: string;
  editable: boolean;
  fields: () => FoundField[];
  onchange: (source: string) => void;
}): EditorView {
  // Within a root of its own the editor's styles are sheets of that root, which a strict policy for styles allows.
  const root = options.parent.shadowRoot ?? options.parent.attachShadow({ mode: 'open' });
  return new EditorView({
    parent: root,
    root,
    state: EditorState.create({
      doc: options.source,
      extensions: [
        minimalSetup,
        html({ autoCloseTags: false }),
        autocompletion({ override: [finder(options.fields)], icons: false, interactionDelay: 0 }),
        syntaxHighlighting(colours),
        marked,
        look,
        EditorView.lineWrapping,
        EditorView.contentAttributes.of({ 'aria-label': options.label }),
        EditorState.readOnly.of(!options.editable),
        EditorView.editable.of(options.editable),
        EditorView.updateListener.of((update) => {
          if (!update.docChanged) return;
          options.onchange(update.state.doc.toString());
          const before = update.state.sliceDoc(
            update.state.selection.main.head - 1,
            update.state.selection.main.head,
          );
          if (before === '{') startCompletion(update.view);
        }),
      ],
    }),
  });
}
