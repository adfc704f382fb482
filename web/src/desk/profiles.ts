import { ask, type Schemas } from '../api/client';
import type { About } from '../library/about';

export type Profile = Schemas['FieldProfile'];

/** What a field really holds, asked afresh each time, since somebody may just have mended it. */
export function readProfile(about: About, path: string): Promise<Profile> {
  return ask('get', '/api/desk/profile', { query: { about, path } });
}

/** How many have a field, in words; empty for what can't be counted. */
export function counted(filled: Schemas['Filled'] | null, path: string): string {
  const have = filled?.byPath[path];
  return filled && have !== undefined ? `${have} of ${filled.of}` : '';
}
