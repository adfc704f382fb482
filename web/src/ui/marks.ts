/** A sign for each source of values, so that colour is never all there is. */
export const marks: Record<string, string> = {
  contact: '●',
  lead: '◐',
  deal: '◆',
  organisation: '■',
  user: '▲',
  our: '⌂',
  date: '▫',
  history: '▫',
  document: '▫',
  blank: '⬚',
  choice: '⟦',
};
