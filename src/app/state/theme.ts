const darkQuery = window.matchMedia('(prefers-color-scheme: dark)');

/** Sets a theme on the document. */
export function showTheme(theme: unknown): void {
  const dark = theme === 'dark' || (theme !== 'light' && darkQuery.matches);
  document.documentElement.dataset.theme = dark ? 'dark' : 'light';
}

/** Calls when the machine's own theme changes. */
export const onMachineTheme = (changed: () => void) => darkQuery.addEventListener('change', changed);

/** Where preferences are kept. */
export const PREFERENCES = 'fervent-kettle-preferences';

/** The theme that was chosen, before the program that reads preferences with care is here. */
export function earlyTheme(): unknown {
  try {
    return (JSON.parse(localStorage.getItem(PREFERENCES) ?? '{}') as { theme?: unknown } | null)?.theme;
  } catch {
    return 'system';
  }
}
