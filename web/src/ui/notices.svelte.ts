/** A line at the foot of the page for ten seconds: what was done, with a way back where there is one. */
export interface Notice {
  id: number;
  text: string;
  stop: boolean;
  undo?: () => Promise<void> | void;
  /** What the way back is called. */
  action: string;
}

const SHOWN_FOR = 10_000;
let next = 1;

export const notices = $state({ list: [] as Notice[] });

interface Options {
  undo?: Notice['undo'];
  stop?: boolean;
  action?: string;
  /** In milliseconds. */
  shownFor?: number;
}

/** Shows a notice; returns its number, by which it can be taken away. */
export function notify(text: string, options: Options = {}): number {
  const { undo, stop = false, action = 'Undo', shownFor = SHOWN_FOR } = options;
  const notice: Notice = { id: next++, text, stop, undo, action };
  notices.list = [...notices.list.slice(-2), notice];
  setTimeout(() => dismiss(notice.id), shownFor);
  return notice.id;
}

export function dismiss(id: number): void {
  notices.list = notices.list.filter((one) => one.id !== id);
}
