/** Letters that every mail program has, or has something like. */
export const FONTS = [
  ['sans', 'plain (as Arial)'],
  ['humanist', 'wide (as Verdana)'],
  ['serif', 'with serifs (as Georgia)'],
  ['typewriter', 'typewriter'],
] as const;
