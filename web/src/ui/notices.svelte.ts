/** A line at the foot of the page for ten seconds: what was done, with a way back where there is one. */
export interface Notice {
  id: number;
  text: string;
  stop: boolean;
  undo?: () => Promise<void> | void;
}

const SHOWN_FOR = 10_000;
let next = 1;

export const notices = $state({ list: [] as Notice[] });

export function notify(text: string, options: { undo?: Notice['undo']; stop?: boolean } = {}): void {
  const notice: Notice = { id: next++, text, stop: options.stop ?? false, undo: options.undo };
  notices.list = [...notices.list.slice(-2), notice];
  setTimeout(() => dismiss(notice.id), SHOWN_FOR);
}

export function dismiss(id: number): void {
  notices.list = notices.list.filter((one) => one.id !== id);
}
