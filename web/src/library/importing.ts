import type { Schemas } from '../api/client';

/** What something in a file is called. */
export const whats: Record<Schemas['Thing']['what'], string> = {
  TEMPLATE: 'template',
  PASSAGE: 'passage',
  SIGNATURE: 'signature',
  STYLE: 'style',
  PICTURE: 'picture',
  FILE: 'file',
  FEED: 'feed',
};

/** How it stands to what is here. */
export const states: Record<Schemas['Thing']['state'], string> = {
  NEW: 'new',
  SAME: 'here already',
  OTHER: 'says something else here',
  LEFT: 'left out',
};

/** 1 template, 2 templates. */
export const count = (number: number, what: string): string => `${number} ${what}${number === 1 ? '' : 's'}`;

/** How much of a file is new and how much is here, as a sentence. */
export function inShort(things: readonly { state: Schemas['Thing']['state'] }[]): string {
  const parts = (['NEW', 'OTHER', 'SAME', 'LEFT'] as const).flatMap((state) => {
    const many = things.filter((one) => one.state === state).length;
    return many ? [`${many} ${many === 1 ? states[state] : several[state]}`] : [];
  });
  if (!parts.length) return 'There is nothing in this file.';
  return things.every((one) => one.state === 'SAME')
    ? 'Everything in this file is here already.'
    : `In this file: ${parts.join(', ')}.`;
}

/** The same of several. */
const several: typeof states = { ...states, OTHER: 'say something else here' };

/** What an import came to, as a sentence. */
export function added({ added, replaced, skipped, left }: Schemas['LibraryDone']): string {
  const parts = [
    `${count(added, 'template')} added`,
    replaced ? `${replaced} replaced` : '',
    skipped ? `${skipped} kept as ${skipped === 1 ? 'it is' : 'they are'}` : '',
    left ? `${left} left out` : '',
  ].filter(Boolean);
  return `${parts.join(', ')}.`;
}
