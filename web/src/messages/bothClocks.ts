import type { Schemas } from '../api/client';

/**
 * An hour on both clocks, the day said once where it is the same: "Monday 4 May, 08:00 in Toronto, 13:00 in London". On one
 * clock alone where they say the same.
 */
export function bothClocks(
  hour: Pick<Schemas['ShownHour'], 'ours' | 'theirs'>,
  places: { ours: string; theirs: string },
): string {
  if (hour.ours === hour.theirs) return hour.theirs;
  return `${hour.theirs} in ${places.theirs}, ${onSameDay(hour.ours, hour.theirs)} in ${places.ours}`;
}

/** A day and hour without its day, where another one has the same. */
export function onSameDay(said: string, other: string): string {
  const [day, time] = said.split(', ');
  return other.startsWith(`${day}, `) ? time : said;
}
