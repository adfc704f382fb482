/** Letters that every mail program has, or has something like. */
export const FONTS = [
  ['sans', 'plain'],
  ['humanist', 'wide'],
  ['serif', 'with serifs'],
  ['typewriter', 'typewriter'],
] as const;

/** How each of them looks in a sample. */
export const FAMILIES: Record<string, string> = {
  sans: 'Arial, Helvetica, sans-serif',
  humanist: 'Verdana, Geneva, sans-serif',
  serif: "Georgia, 'Times New Roman', serif",
  typewriter: "'Courier New', Courier, monospace",
};
