import type { Schemas } from '../api/client';

type Kind = NonNullable<Schemas['Draft']['kind']>;

/** What a text on the desk is called in a sentence. */
export const kindWords: Record<Kind, string> = {
  TEMPLATE: 'template',
  MAILING: 'mailing',
  PASSAGE: 'passage',
  SIGNATURE: 'signature',
  HEADER: 'header',
  FOOTER: 'footer',
};

/** Whether a text belongs to a house style, and stands around messages. */
export function wraps(kind: Kind): boolean {
  return kind === 'HEADER' || kind === 'FOOTER';
}

/** Where texts of a kind are listed. */
export function placeOf(kind: Kind): string {
  if (kind === 'TEMPLATE') return '/templates';
  if (kind === 'MAILING') return '/mailings';
  return wraps(kind) ? '/materials/styles' : `/materials/${kindWords[kind]}s`;
}
