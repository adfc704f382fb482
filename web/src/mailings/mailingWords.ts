import type { Schemas } from '../api/client';

type Mailing = Pick<Schemas['MailingLine'], 'state' | 'counts'>;

/** So many of something, with its word. */
export const several = (number: number, one: string, many = `${one}s`) =>
  `${number.toLocaleString('en')} ${number === 1 ? one : many}`;

/** What one of those who are chosen is called. */
export const called = (kind: string, number: number) =>
  kind === 'deal' ? (number === 1 ? 'deal' : 'deals') : number === 1 ? 'person' : 'people';

/** Where a mailing stands, in a few words. */
export function standing({ state, counts }: Mailing): string {
  switch (state) {
    case 'WRITING':
      return 'not sent';
    case 'RUNNING':
      return `under way, ${counts.sent.toLocaleString('en')} of ${expected(counts).toLocaleString('en')}`;
    case 'PAUSED':
      return `paused at ${counts.sent.toLocaleString('en')} of ${expected(counts).toLocaleString('en')}`;
    case 'STOPPED':
      return 'stopped';
    case 'DONE':
      return 'sent';
  }
}

/** How many are to get it, or have. */
export const expected = (counts: Schemas['MailingCounts']) =>
  counts.planned + counts.leaving + counts.waiting + counts.sent + counts.notSure + counts.refused;

/** How many messages have not left, but for those that are held. */
export const toGo = ({ planned, leaving, waiting }: Schemas['MailingCounts']) => planned + leaving + waiting;

/** How many of its messages need somebody’s eye, as words that follow where it stands; nothing if none does. */
export const inTrouble = ({ held, notSure, refused }: Schemas['MailingCounts']) =>
  `${held ? `, ${held} held` : ''}${notSure ? `, ${notSure} not sure` : ''}${refused ? `, ${refused} rejected` : ''}`;

/** What something is said about that a colleague has to say of a mailing: a part, or somebody’s message, and words in it. */
export const place = ({ part, name, quote }: Schemas['Comment']) =>
  `${name ? `To ${name}` : part}${quote ? `, “${quote}”` : ''}`;

/** The same where it stands at its place: who says it, of which words, and what. */
export const remarkBy = (who: string, { quote, words }: Schemas['Comment']) =>
  `${who}${quote ? ` on “${quote}”` : ''}: ${words}`;

/** How somebody’s message stands, in a few words. */
export const stands: Record<Schemas['ShownMailingPerson']['state'], string> = {
  PLANNED: 'planned',
  LEAVING: 'is leaving',
  WAITING: 'tried again',
  SENT: 'sent',
  HELD: 'held',
  NOT_SURE: 'not sure it went',
  REFUSED: 'rejected',
  LEFT_OUT: 'does not get it',
};

/** What somebody gets, those with trouble first: what stops, who is held, what is to be checked, words of their own. */
export function byTrouble(rows: Schemas['ShownPreview'][]): Schemas['ShownPreview'][] {
  return [...rows].sort(
    (one, other) => trouble(other) - trouble(one) || one.name.localeCompare(other.name, 'en'),
  );
}

function trouble(row: Schemas['ShownPreview']): number {
  const stops = row.notes.filter((note) => note.stops).length;
  const checks = row.notes.length - stops;
  return (
    (stops ? 1000 : 0) + (row.held ? 500 : 0) + checks * 10 + row.fallbacks.length * 2 + (row.own ? 1 : 0)
  );
}

/** Whether somebody’s message leaves as it is. */
export const goes = (row: Schemas['ShownPreview']) => !row.held && !row.notes.some((note) => note.stops);

/** A span of minutes as people say it. */
export function span(minutes: number): string {
  if (minutes < 120) return several(minutes, 'minute');
  return minutes < 48 * 60
    ? several(Math.round(minutes / 60), 'hour')
    : several(Math.round(minutes / 1440), 'day');
}
