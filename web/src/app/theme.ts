/** Daylight, lamplight, or whichever the system asks for. */
export type Theme = 'system' | 'daylight' | 'lamplight';

const KEPT = 'famulus.theme';

export function chosenTheme(): Theme {
  const kept = localStorage.getItem(KEPT);
  return kept === 'daylight' || kept === 'lamplight' ? kept : 'system';
}

/** Puts the theme on the page; follows the system as long as none is chosen. */
export function showTheme(): void {
  const dark = matchMedia('(prefers-color-scheme: dark)');
  const show = () => {
    const chosen = chosenTheme();
    const theme = chosen === 'system' ? (dark.matches ? 'lamplight' : 'daylight') : chosen;
    document.documentElement.dataset.theme = theme;
  };
  dark.addEventListener('change', show);
  show();
}

export function chooseTheme(theme: Theme): void {
  localStorage.setItem(KEPT, theme);
  document.documentElement.dataset.theme =
    theme === 'system'
      ? matchMedia('(prefers-color-scheme: dark)').matches
        ? 'lamplight'
        : 'daylight'
      : theme;
}
