<script lang="ts">
  import type { EditorView } from '@codemirror/view';
  import { untrack } from 'svelte';
  import type { FoundField } from '../finding';

  /** HTML as it is written, with its fields marked; the editor comes when the first one is opened. */
  let {
    label,
    source,
    fields,
    editable,
    onchange,
    onback,
  }: {
    label: string;
    source: string;
    fields: FoundField[];
    editable: boolean;
    onchange: (source: string) => void;
    /** Takes the desk's last change back, or does it again. */
    onback: (way: 1 | -1) => void;
  } = $props();

  let place = $state<HTMLElement>();
  let view: EditorView | undefined;
  let failed = $state('');
  let current = untrack(() => source);

  $effect(() => {
    const parent = place;
    if (!parent) return;
    let gone = false;
    import('./sourceEditor')
      .then(({ sourceEditor }) => {
        if (gone) return;
        view = untrack(() =>
          sourceEditor({
            parent,
            source,
            label,
            editable,
            fields: () => fields,
            onchange: (next) => {
              current = next;
              onchange(next);
            },
          }),
        );
      })
      .catch(() => (failed = 'The editor could not be loaded. Reload the page.'));
    return () => {
      gone = true;
      view?.destroy();
      view = undefined;
    };
  });

  // What came from elsewhere, such as a step taken back, takes the place of what is shown.
  $effect(() => {
    const next = source;
    if (!view || next === current) return;
    current = next;
    view.dispatch({ changes: { from: 0, to: view.state.doc.length, insert: next } });
  });

  /** Nothing is drawn for fields but their colour. */
  export function chipUp(): void {}

  export function focus(): void {
    view?.focus();
  }

  export function goTo(at: number): void {
    if (!view) return;
    const to = Math.min(at, view.state.doc.length);
    view.dispatch({ selection: { anchor: to }, scrollIntoView: true });
    view.focus();
  }

  export function goToWord(word: string, nth: number): boolean {
    const text = view?.state.doc.toString() ?? '';
    let at = text.indexOf(word);
    for (let more = nth; more > 0 && at >= 0; more--) at = text.indexOf(word, at + 1);
    if (at < 0) return false;
    goTo(at);
    return true;
  }

  export function topOf(at: number): number {
    if (!view) return place?.getBoundingClientRect().top ?? 0;
    const within = Math.min(at, view.state.doc.length);
    return view.documentTop + view.lineBlockAt(within).top;
  }

  export function replaceSource(start: number, end: number, words: string): void {
    view?.dispatch({ changes: { from: start, to: end, insert: words } });
  }
</script>

<div
  class="source"
  bind:this={place}
  onkeydowncapture={(event) => {
    const key = event.key.toLowerCase();
    if (!(event.ctrlKey || event.metaKey) || (key !== 'z' && key !== 'y')) return;
    event.preventDefault();
    event.stopPropagation();
    onback(key === 'y' || event.shiftKey ? 1 : -1);
  }}
></div>
{#if failed}<p role="alert">{failed}</p>{/if}

<style>
  .source {
    min-height: 60px;
    overflow: auto;
    border: 1px solid var(--rule);
    background: var(--paper);
  }

  .source:focus-within {
    border-color: var(--ink);
  }
</style>
