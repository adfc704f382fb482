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

/** Reads a draft; one that can't be read counts as none. */
export function readDraft<T>(key: string): T | null {
  try {
    const kept = localStorage.getItem(key);
    return kept === null ? null : (JSON.parse(kept) as T);
  } catch {
    return null;
  }
}

export function dropDraft(key: string): void {
  localStorage.removeItem(key);
}
