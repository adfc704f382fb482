/** A sign for each source of values, so that colour is never all there is. */
export const marks: Record<string, string> = {
  contact: '●',
  lead: '◐',
  deal: '◆',
  organisation: '■',
  user: '✎',
  house: '⌂',
  date: '▫',
  history: '▫',
  document: '▫',
  ask: '⬚',
  choice: '⟦',
};
