/** What a key does on the view that is open. */
export interface Shortcut {
  /** As `KeyboardEvent.key`, with `Ctrl+`, `Alt+` or `Shift+` before it. */
  key: string;
  label: string;
  run: () => void;
  /** Also inside text fields. */
  always?: boolean;
}

const KEPT = 'famulus.single-keys';

export const keys = $state({
  shown: false,
  singleKeys: localStorage.getItem(KEPT) !== 'off',
  list: [] as readonly Shortcut[],
});

export function turnSingleKeys(on: boolean): void {
  keys.singleKeys = on;
  localStorage.setItem(KEPT, on ? 'on' : 'off');
}

/** All there are. What is told of them is a copy: a view that closes would read of a state what it was before. */
let all: Shortcut[] = [];

/** Adds shortcuts while a view is open: `$effect(() => shortcuts([…]))`. */
export function shortcuts(list: Shortcut[]): () => void {
  all = [...all, ...list];
  keys.list = all;
  return () => {
    all = all.filter((one) => !list.includes(one));
    keys.list = all;
  };
}

function named(event: KeyboardEvent): string {
  const shift = event.shiftKey && event.key.length > 1 ? 'Shift+' : '';
  return `${event.ctrlKey || event.metaKey ? 'Ctrl+' : ''}${event.altKey ? 'Alt+' : ''}${shift}${event.key}`;
}

function isTyping(event: KeyboardEvent): boolean {
  // Of an editor with a root of its own, the target is only what that root hangs on.
  const at = event.composedPath()[0] as HTMLElement;
  return at.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(at.tagName);
}

/** Runs the shortcut a key stands for, if there is one here. The one added last wins. */
export function onKey(event: KeyboardEvent): void {
  if (event.defaultPrevented || event.isComposing) return;
  const key = named(event);
  const single = key.length === 1;
  if (single && (isTyping(event) || !keys.singleKeys)) return;
  const found = all.findLast((one) => one.key === key && (one.always || !isTyping(event)));
  if (found) {
    event.preventDefault();
    found.run();
  }
}
