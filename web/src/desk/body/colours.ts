/** The ink that can be read on a background a writer chose, whatever the theme of the desk; nothing without one. */
export function inkOn(background: string | undefined): string | undefined {
  if (!background) return undefined;
  const [red, green, blue] = [1, 3, 5].map((at) => parseInt(background.slice(at, at + 2), 16));
  return red * 0.299 + green * 0.587 + blue * 0.114 > 140 ? '#1d2530' : '#fff';
}
