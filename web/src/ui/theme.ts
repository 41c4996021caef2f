const KEY = 'wache-theme';

export type Theme = 'light' | 'dark';

const system = (): Theme => (window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light');

export const currentTheme = (): Theme =>
  (document.documentElement.dataset.theme as Theme | undefined) ?? system();

/** Sets what was chosen, else what the system says. */
export function startTheme() {
  document.documentElement.dataset.theme = localStorage.getItem(KEY) ?? system();
}

/** Chooses the other theme and remembers it. */
export function switchTheme(): Theme {
  const next = currentTheme() === 'dark' ? 'light' : 'dark';
  document.documentElement.dataset.theme = next;
  localStorage.setItem(KEY, next);
  return next;
}
