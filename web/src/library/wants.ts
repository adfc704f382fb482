import type { Schemas } from '../api/client';

/** What is shown of the library. All of it stands in the address, but for what is everything. */
export interface Wants {
  search: string;
  folder: string;
  /** Which of them, such as one's own. */
  which: 'all' | 'mine' | 'favourite' | 'unused' | 'archived' | 'deleted';
  ready: '' | 'true' | 'false' | 'stopped';
  about: '' | Schemas['TemplateLine']['about'];
  mode: '' | Schemas['TemplateLine']['mode'];
  purpose: string;
  tag: string;
  /** One that they are written in besides another. */
  language: string;
  order: 'NAME' | 'USED' | 'CHANGED' | 'LAST_USED';
}

export const everything: Wants = {
  search: '',
  folder: '',
  which: 'all',
  ready: '',
  about: '',
  mode: '',
  purpose: '',
  tag: '',
  language: '',
  order: 'NAME',
};

/** What the choices of the sentence are called. */
export const words = {
  which: {
    all: 'all templates',
    mine: 'my templates',
    favourite: 'my favourites',
    unused: 'what nobody has used',
    archived: 'the archive',
    deleted: 'the bin',
  },
  ready: { '': 'ready or not', true: 'ready', false: 'not ready', stopped: 'with must-fix notes' },
  about: { '': 'anything', CONTACT: 'a contact', LEAD: 'a lead', DEAL: 'a deal', PERSON: 'anyone' },
  mode: { '': 'in any way', PLAIN: 'plain', LETTER: 'as a letter', DESIGNED: 'designed', SOURCE: 'as HTML' },
  order: { NAME: 'name', LAST_USED: 'what I used last', USED: 'most used', CHANGED: 'last changed' },
} as const;

/** What anything may stand for. */
const FREE = new Set<keyof Wants>(['search', 'folder', 'purpose', 'tag', 'language']);

/** How each is called in the address. */
const names: Record<keyof Wants, string> = {
  search: 'find',
  folder: 'folder',
  which: 'which',
  ready: 'ready',
  about: 'for',
  mode: 'written',
  purpose: 'purpose',
  tag: 'tag',
  language: 'in',
  order: 'by',
};

/** Reads them from an address; what is not known there counts as everything. */
export function wantsOf(get: (name: string) => string): Wants {
  const wants = { ...everything };
  for (const key of Object.keys(names) as (keyof Wants)[]) {
    const value = get(names[key]);
    const known = FREE.has(key) || Object.hasOwn(words[key as keyof typeof words], value);
    if (value && known) Object.assign(wants, { [key]: value });
  }
  return wants;
}

/** The name of one in the address, and its value there; empty for everything. */
export function inAddress<K extends keyof Wants>(key: K, value: Wants[K]): [name: string, value: string] {
  return [names[key], value === everything[key] ? '' : value];
}

/** Whether lines are left out for what they are, rather than for what was looked for or where they lie. */
export const narrowed = ({ which, ready, about, mode, purpose, tag, language }: Wants): boolean =>
  which !== 'all' || !!ready || !!about || !!mode || !!purpose || !!tag || !!language;

/** The same as the server is asked for it. */
export function queryOf(wants: Wants, after?: string) {
  const { search, folder, which, ready, about, mode, purpose, tag, language, order } = wants;
  return {
    search,
    folder: folder || undefined,
    mine: which === 'mine',
    favourite: which === 'favourite',
    unused: which === 'unused',
    archived: which === 'archived',
    deleted: which === 'deleted',
    ready: ready === 'true' ? true : ready === 'false' ? false : undefined,
    mustFix: ready === 'stopped',
    about: about || undefined,
    mode: mode || undefined,
    purpose: purpose || undefined,
    tag: tag || undefined,
    language: language || undefined,
    order,
    after,
  };
}
