import type { Schemas } from '../api/client';
import type { Folder } from './folders';

type Line = Schemas['TemplateLine'];

/** A folder with those of its templates that have been read; without a folder those that lie where one sees none. */
export interface Section {
  folder: Folder | null;
  lines: Line[];
}

/**
 * The list by folders, in their order. Folders without a template are shown too, but not while something is looked for, nor
 * below what has been read so far.
 *
 * @param how.goesOn whether there are more lines than have been read
 * @param how.found whether the lines are those that were looked for
 * @param how.within the folder that is shown with those in it; empty for all
 */
export function sections(
  folders: Folder[],
  lines: Line[],
  how: { goesOn: boolean; found: boolean; within: string },
): Section[] {
  const inFolder = new Map<string, Line[]>();
  for (const line of lines) {
    const folder = line.folder ?? '';
    inFolder.set(folder, [...(inFolder.get(folder) ?? []), line]);
  }
  const last = folders.findIndex((one) => one.id === (lines.at(-1)?.folder ?? ''));
  const inside = new Set([how.within]);
  folders.forEach((one) => one.parent && inside.has(one.parent) && inside.add(one.id));
  const elsewhere = inFolder.get('') ?? [];
  const shown = folders
    .filter((one, at) => inFolder.has(one.id) || !(how.found || (how.goesOn && at > last)))
    .filter((one) => !how.within || inside.has(one.id))
    .map((folder) => ({ folder, lines: inFolder.get(folder.id) ?? [] }));
  return elsewhere.length ? [{ folder: null, lines: elsewhere }, ...shown] : shown;
}
