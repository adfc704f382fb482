<script lang="ts">
  import { untrack } from 'svelte';
  import { baseKeymap } from 'prosemirror-commands';
  import { history, redo, undo } from 'prosemirror-history';
  import { keymap } from 'prosemirror-keymap';
  import {
    type Command,
    EditorState,
    NodeSelection,
    Plugin,
    TextSelection,
    type Transaction,
  } from 'prosemirror-state';
  import { EditorView } from 'prosemirror-view';
  import type { Schemas } from '../api/client';
  import {
    chipsMet,
    choiceAt,
    documentOf,
    pastedLines,
    positionOf,
    sourceOf,
    type Chip,
    type PlacedMark,
  } from './draftText';
  import { DrawnMarks } from './drawnMarks';
  import { FinderAtCursor } from './finderAtCursor.svelte';
  import type { FoundField } from './finding';
  import { LooksAtCursor } from './looksAtCursor.svelte';
  import type { About } from '../library/about';
  import { withBranch, withoutBranch, withoutChoice } from './draftChoices';
  import {
    typedBehindMark,
    withChips,
    withOpenChip,
    withOtherChip,
    withSource,
    withWords,
  } from './draftEdits';
  import { dropIn, takeIn, type Taking } from './draftPaste';
  import DraftText from './DraftText.svelte';
  import FieldFinder from './FieldFinder.svelte';
  import type { Paragraph } from './body/body';
  import RichBar from './body/RichBar.svelte';
  import type { Hand } from './writing';
  import { richKeys, typingRules } from './body/richCommands';
  import { paragraphsOf, richDocument } from './body/richText';

  /**
   * One text of a draft: written in place, its fields as chips, the field finder at the cursor. A formatted one holds
   * its paragraphs as JSON.
   */
  let {
    label,
    source,
    chips,
    fields,
    about,
    filled,
    notes = [],
    special = true,
    hand,
    onhand,
    oneLine = false,
    rich = false,
    editable = true,
    placeholder = '',
    met = new Map(),
    onchange,
    onchip,
    onfocus,
    onback,
  }: {
    label: string;
    source: string;
    chips: Chip[];
    fields: FoundField[];
    about: About;
    /** How many people have each field; null until that is known. */
    filled: Schemas['Filled'] | null;
    notes?: Schemas['ShownNote'][];
    /** Whether choices and blanks can be put in, besides fields. */
    special?: boolean;
    /** Of a message, what of it is a value and what was changed by hand. */
    hand?: Pick<Hand, 'values' | 'changes'>;
    onhand?: (change: Hand['changes'][number], anchor: HTMLElement) => void;
    oneLine?: boolean;
    rich?: boolean;
    editable?: boolean;
    placeholder?: string;
    /** Fields that were met in any text of the draft, by their written form. */
    met?: ReadonlyMap<string, Chip>;
    onchange: (source: string) => void;
    onchip: (chip: Chip, at: number, anchor: HTMLElement) => void;
    onfocus?: () => void;
    /** Takes the last change of the draft back (-1), or does it again (1); without it the text looks after its own. */
    onback?: (way: 1 | -1) => void;
  } = $props();

  const id = $props.id();
  const marks = new DrawnMarks();
  let view: EditorView | undefined;
  const finder = new FinderAtCursor(
    () => fields,
    () => special,
  );
  const looks = new LooksAtCursor();
  /** The text as it was given or told last. */
  let current = untrack(() => source);
  /** Whether nothing is written in it, not even half a field. */
  let blank = $state(false);

  function read(text: string, known: Chip[]) {
    return rich ? richDocument(JSON.parse(text || '[]') as Paragraph[], known) : documentOf(text, known);
  }

  function written(state: EditorState): string {
    return rich ? JSON.stringify(paragraphsOf(state.doc)) : sourceOf(state.doc);
  }

  function isBlank({ doc }: EditorState): boolean {
    return sourceOf(doc) === '';
  }

  function tell() {
    if (!view) return;
    const next = written(view.state);
    if (next === current) return;
    current = next;
    onchange(next);
  }

  // Words that changed elsewhere, as when a change is taken back, take the place of those that stand here.
  $effect(() => {
    const given = source;
    if (!view || given === current) return;
    current = given;
    finder.close();
    untrack(() => takeWords(view!, given));
  });

  function takeWords(editor: EditorView, given: string) {
    const flat = sourceOf(read(given, []));
    const tr = withWords(editor.state, read(given, chipsMet(flat, met)));
    if (tr) editor.dispatch(tr);
  }

  function run(command: Command, stay = false) {
    if (!view) return;
    command(view.state, view.dispatch, view);
    if (!stay || !view.hasFocus()) view.focus();
  }

  /** Opens the text slip at the cursor, for those who have no mouse. */
  function openBar(editor: EditorView, link: boolean): boolean {
    looks.ask(editor, link);
    if (!link) requestAnimationFrame(() => bar?.querySelector<HTMLElement>('button')?.focus());
    return true;
  }

  let bar = $state<HTMLElement>();

  const taking = (): Taking => ({ rich, oneLine, editable, met });

  const oneLineOnly = new Plugin({
    props: { handleKeyDown: (_, event) => event.key === 'Enter' && (event.preventDefault(), true) },
  });

  /** Opens the chip before the cursor to its written form. */
  function openChip(editor: EditorView): boolean {
    const tr = withOpenChip(editor.state);
    if (!tr) return false;
    finder.ask();
    editor.dispatch(tr);
    return true;
  }

  function typedOnMark(editor: EditorView, text: string): boolean {
    const tr = typedBehindMark(editor.state, text);
    if (tr) editor.dispatch(tr);
    return tr !== null;
  }

  /**
   * Has the editor look where the cursor is before it acts on a key: of a move it hears a moment later, and a quick hand
   * has pressed the next key by then. The observer is the editor's own and in no type of it.
   */
  function readCursor(editor: EditorView) {
    (editor as unknown as { domObserver: { flush: () => void } }).domObserver.flush();
  }

  function onKey(editor: EditorView, event: KeyboardEvent): boolean {
    if (!event.isComposing) readCursor(editor);
    if (event.key === 'Backspace' && !event.ctrlKey && !event.altKey) return openChip(editor);
    if (!finder.open) return false;
    const done = finder.key(event);
    if (!done) return false;
    if (done === 'chosen') putIn(finder.found[finder.at]);
    if (done === 'left') leaveFinder();
    event.preventDefault();
    event.stopPropagation();
    return true;
  }

  function leaveFinder() {
    finder.close();
    tell();
  }

  function putIn(field: FoundField) {
    const put = view && finder.putIn(view, field);
    if (put && field.special) onchip(put.chip, put.at, view!.nodeDOM(put.at) as HTMLElement);
  }

  const barKeys: Record<string, Command> = {
    'Mod-k': () => openBar(view!, true),
    'Alt-t': () => openBar(view!, false),
  };

  function goBack(way: 1 | -1): Command {
    return (state, dispatch) => {
      if (onback) onback(way);
      else (way < 0 ? undo : redo)(state, dispatch);
      return true;
    };
  }

  function mount(element: HTMLElement) {
    const doc = read(source, chips);
    // Made an editor before it is in the page: within it, a browser styles the page anew for each attribute it is given.
    const place = element.parentElement!;
    element.remove();
    view = new EditorView(
      { mount: element },
      {
        state: EditorState.create({
          doc,
          plugins: [
            ...(oneLine ? [oneLineOnly] : []),
            ...(onback ? [] : [history({ newGroupDelay: 400 })]),
            keymap({ 'Mod-z': goBack(-1), 'Mod-y': goBack(1), 'Mod-Shift-z': goBack(1) }),
            ...(rich ? [typingRules(), keymap(richKeys), keymap(barKeys)] : []),
            keymap(baseKeymap),
            ...marks.plugins(doc, chips, notes, hand),
          ],
        }),
        editable: () => editable,
        attributes: () => ({
          role: 'textbox',
          'aria-label': label,
          'aria-multiline': String(!oneLine),
          'aria-readonly': String(!editable),
          ...(editable ? {} : { tabindex: '0' }),
          'aria-controls': `${id}-finder`,
          ...(finder.found[finder.at] ? { 'aria-activedescendant': `${id}-finder-${finder.at}` } : {}),
          spellcheck: 'true',
        }),
        handleKeyDown: onKey,
        handleTextInput: (editor, from, to, text) => {
          if (text === '{') finder.ask();
          // A keyboard has no control characters; what sends some anyway means the rest.
          const clean = pastedLines(text, true)[0];
          if (clean !== text) editor.dispatch(editor.state.tr.insertText(clean, from, to));
          return clean !== text || typedOnMark(editor, text);
        },
        handleClickOn: (_, __, node, position, event) => {
          if (node.type.name !== 'field') return false;
          onchip(
            node.attrs.chip as Chip,
            position,
            (event.target as HTMLElement).closest('.chip, .tag') as HTMLElement,
          );
          return true;
        },
        handleClick: (editor, position, event) => {
          const change = hand?.changes.find(
            (one) =>
              positionOf(editor.state.doc, one.start) <= position &&
              position <= positionOf(editor.state.doc, one.end),
          );
          const drawn = (event.target as HTMLElement).closest<HTMLElement>('.mine, .gone');
          if (change && drawn) onhand?.(change, drawn);
          return false;
        },
        handlePaste: (editor, event) =>
          !!event.clipboardData && takeIn(editor, event.clipboardData, taking()),
        handleDrop: (editor, event, _, moved) => dropIn(editor, event, moved, taking()),
        handleDOMEvents: {
          focus: () => (onfocus?.(), false),
          blur: () => {
            if (finder.open) leaveFinder();
            requestAnimationFrame(() => {
              if (looks.open && !bar?.contains(document.activeElement)) looks.close();
            });
            return false;
          },
        },
        clipboardTextSerializer: (slice) => slice.content.textBetween(0, slice.content.size, '\n'),
        dispatchTransaction(tr) {
          const before = view!.state.doc;
          view!.updateState(view!.state.apply(tr));
          blank = isBlank(view!.state);
          if (tr.docChanged || tr.selectionSet) finder.read(view!.state, view!);
          if (rich && editable && (tr.selectionSet || tr.docChanged || tr.storedMarksSet)) looks.read(view!);
          // While a field is being chosen the half-written one is nobody else's business.
          if (!before.eq(view!.state.doc) && !finder.open) tell();
        },
      },
    );
    place.append(element);
    blank = isBlank(view.state);
    return () => {
      view?.destroy();
      view = undefined;
    };
  }

  $effect(() => {
    const given = notes;
    if (view) marks.showNotes(view, given);
  });

  $effect(() => {
    if (view && hand) marks.showHand(view, hand);
  });

  // What a screen reader is told changes with them, and the editor asks for it only when it is drawn.
  $effect(() => {
    void label;
    void editable;
    view?.setProps({});
  });

  /**
   * Turns fields that stand as plain characters into chips, if the text is still what the server read.
   *
   * @returns whether that was done, with all of them
   */
  export function chipUp(proved: string, foundChips: Chip[]): boolean {
    if (!view || finder.open || (rich ? current : sourceOf(view.state.doc)) !== proved) return false;
    const { tr, all } = withChips(view.state, foundChips);
    if (tr.docChanged) view.dispatch(tr);
    marks.showChoices(view, foundChips);
    return all;
  }

  /** Puts another field in the place of the chip at a position; returns what it is drawn as. */
  export function replaceChip(position: number, chip: Chip): HTMLElement | null {
    const tr = view && withOtherChip(view.state, position, chip);
    if (!tr) return null;
    view!.dispatch(tr);
    return view!.nodeDOM(position) as HTMLElement | null;
  }

  export function removeChip(position: number): void {
    if (view?.state.doc.nodeAt(position)?.type.name !== 'field') return;
    view.dispatch(view.state.tr.delete(position, position + 1));
    view.focus();
  }

  /** The marks of the choice that a chip at a position belongs to. */
  export function choice(position: number): PlacedMark[] {
    return (view && choiceAt(view.state.doc, position)) ?? [];
  }

  /** Puts another branch before the mark at a position. */
  export function addBranch(before: number, chip: Chip): void {
    if (view) dispatch(withBranch(view.state, before, chip));
  }

  /** Takes a choice out, with its words or without. */
  export function removeChoice(position: number, keepWords: boolean): void {
    if (view) dispatch(withoutChoice(view.state, choice(position), keepWords));
  }

  /** Takes one branch out, with its words. */
  export function removeBranch(position: number): void {
    if (view) dispatch(withoutBranch(view.state, choice(position), position));
  }

  function dispatch(tr: Transaction | null) {
    if (!view || !tr) return;
    view.dispatch(tr);
    view.focus();
  }

  /** Takes the place of a stretch of the source, as when a note's remedy is taken. */
  export function replaceSource(start: number, end: number, text: string): void {
    view?.dispatch(withSource(view.state, start, end, text));
  }

  /** Puts the cursor at an offset of the source. */
  export function goTo(offset: number): void {
    if (!view) return;
    const { doc, tr } = view.state;
    const position = positionOf(doc, offset);
    const chip = doc.nodeAt(position)?.type.name === 'field';
    // Where one can't write, the chip itself is marked; a cursor would not be seen.
    const to =
      chip && !editable ? NodeSelection.create(doc, position) : TextSelection.near(doc.resolve(position));
    if (editable) view.focus();
    else view.dom.focus();
    view.dispatch(tr.setSelection(to).scrollIntoView());
  }

  /** Puts the cursor on a word, the how manieth of its kind; says whether there is one. */
  export function goToWord(word: string, nth: number): boolean {
    if (!view) return false;
    const text = sourceOf(view.state.doc);
    let at = text.indexOf(word);
    for (let i = 0; i < nth && at >= 0; i++) at = text.indexOf(word, at + word.length);
    if (at < 0) return false;
    goTo(at);
    return true;
  }

  /** How far down the page an offset of the source stands, in pixels of the window. */
  export function topOf(offset: number): number {
    if (!view) return 0;
    return view.coordsAtPos(Math.min(positionOf(view.state.doc, offset), view.state.doc.content.size)).top;
  }

  export function focus(): void {
    view?.focus();
  }

  /** Puts the cursor behind the last word. */
  export function toEnd(): void {
    view?.dispatch(view.state.tr.setSelection(TextSelection.atEnd(view.state.doc)).scrollIntoView());
  }
</script>

<DraftText {rich} {oneLine} {placeholder} empty={blank} mount={(element) => untrack(() => mount(element))} />
{#if looks.open}
  <div
    bind:this={bar}
    onfocusout={({ relatedTarget }) => {
      const to = relatedTarget as Node | null;
      if (!bar?.contains(to) && !view?.dom.contains(to)) looks.close();
    }}
  >
    <RichBar
      rect={looks.open.rect}
      looks={looks.open.looks}
      bind:linking={looks.linking}
      {run}
      onleave={() => {
        looks.open = null;
        view?.focus();
      }}
    />
  </div>
{/if}
<FieldFinder
  id="{id}-finder"
  rect={finder.open?.rect}
  found={finder.found}
  at={finder.at}
  {about}
  {filled}
  onchoose={putIn}
/>
