import type { Schemas } from '../api/client';

type Used = Schemas['Used'];

/** Nothing uses it. */
export const nowhere: Used = { seen: [], others: 0 };

/** How many templates use something, those of colleagues that one doesn’t see too. */
export const count = ({ seen, others }: Used): number => seen.length + others;

/** The first of them by name, and how many more there are. */
export function named({ seen, others }: Used): string {
  const first = seen.slice(0, 3).map((one) => `“${one.name}”`);
  const more = seen.length - first.length + others;
  const unseen = others && seen.length <= 3 ? ' that you don’t see' : '';
  if (!more) return first.join(', ');
  const rest = `${more} ${first.length ? 'more' : more === 1 ? 'template' : 'templates'}${unseen}`;
  return first.length ? `${first.join(', ')} and ${rest}` : rest;
}
