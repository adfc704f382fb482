import { ask, lines, type Schemas } from '../api/client';
import type { About } from '../library/about';

export type Profile = Schemas['FieldProfile'];

/** What a field really holds, asked afresh each time, since somebody may just have mended it. */
export function readProfile(about: About, path: string): Promise<Profile> {
  return ask('get', '/api/desk/profile', { query: { about, path } });
}

/** The same of everybody, where they are very many; `told` hears how far it is, in per cent. */
export async function readExactProfile(
  about: About,
  path: string,
  told: (percent: number) => void,
  signal: AbortSignal,
): Promise<Profile | null> {
  let profile: Profile | null = null;
  for await (const one of lines('/api/desk/profile/exact', { about, path }, signal)) {
    const line = one as Schemas['ProfileLine'];
    told(Math.round((100 * line.read) / line.of));
    profile = line.profile ?? profile;
  }
  return profile;
}

/** A number as it is read. */
export const figure = (number: number): string => number.toLocaleString('en');

/** For how many of all, in words; an estimate says how far it may be off. */
export function outOf(number: number, of: number, error: number): string {
  return error
    ? `about ${figure(number)} of ${figure(of)} (± ${figure(error)})`
    : `${figure(number)} of ${figure(of)}`;
}

/** How many have a field, in words; empty for what can't be counted. Of very many it is said in per cent. */
export function counted(filled: Schemas['Filled'] | null, path: string): string {
  const have = filled?.byPath[path];
  if (!filled || have === undefined) return '';
  return filled.sampled
    ? `about ${Math.round((100 * have) / filled.of)} %`
    : `${figure(have)} of ${figure(filled.of)}`;
}
