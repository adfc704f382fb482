import type { Schemas } from '../api/client';

/** What a template can be about, in words. */
export const aboutLabels = {
  CONTACT: 'a contact',
  LEAD: 'a lead',
  DEAL: 'a deal',
  PERSON: 'anyone',
} as const;

export type About = keyof typeof aboutLabels;

export const aboutOptions = Object.entries(aboutLabels) as [About, string][];

/** What a template is written as. */
export const modeLabels: Record<NonNullable<Schemas['Draft']['mode']>, string> = {
  LETTER: 'letter',
  DESIGNED: 'designed',
  PLAIN: 'plain',
  SOURCE: 'HTML',
};
