/** Light, dark, or whichever the system asks for. */
export type Theme = 'system' | 'light' | 'dark';

const KEPT = 'famulus.theme';

export function chosenTheme(): Theme {
  const kept = localStorage.getItem(KEPT);
  return kept === 'light' || kept === 'dark' ? kept : 'system';
}

/** Puts the theme on the page; follows the system as long as none is chosen. */
export function showTheme(): void {
  const dark = matchMedia('(prefers-color-scheme: dark)');
  const show = () => {
    const chosen = chosenTheme();
    const theme = chosen === 'system' ? (dark.matches ? 'dark' : 'light') : chosen;
    document.documentElement.dataset.theme = theme;
  };
  dark.addEventListener('change', show);
  show();
}

export function chooseTheme(theme: Theme): void {
  localStorage.setItem(KEPT, theme);
  document.documentElement.dataset.theme =
    theme === 'system' ? (matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light') : theme;
}
