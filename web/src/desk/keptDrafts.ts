/** Drafts kept in the browser, so that a reload or a lost line loses nothing, not even half a sentence. */

const PREFIX = 'famulus.draft.';

/** Under which name the message being written to a record is kept. */
export function draftKey(kind: string, id: string): string {
  return `${PREFIX}message.${kind}.${id}`;
}

/** Under which name a template's unsent changes are kept. */
export function templateKey(id: string): string {
  return `${PREFIX}template.${id}`;
}

export function hasDraft(key: string): boolean {
  return localStorage.getItem(key) !== null;
}

/** Keeps a draft; returns false when the browser has no room for it. */
export function keepDraft(key: string, draft: unknown): boolean {
  try {
    localStorage.setItem(key, JSON.stringify(draft));
    return true;
  } catch {
    return false;
  }
}

/**
 * Reads a draft. One that can't be read, or that is not what is expected, counts as none.
 *
 * @param sound whether it has the shape that is kept now
 */
export function readDraft<T>(key: string, sound: (kept: unknown) => kept is T): T | null {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(key) ?? 'null');
    return sound(kept) ? kept : null;
  } catch {
    return null;
  }
}

export function dropDraft(key: string): void {
  localStorage.removeItem(key);
}
