import { create } from 'zustand';

export type Theme = 'light' | 'dusk';
const KEY = 'regulon-theme';

/** Light or dusk: the person's choice, and until then what the device asks for. */
export const useTheme = create<{ readonly theme: Theme; readonly toggle: () => void }>((set, get) => ({
  theme: firstTheme(),
  toggle: () => {
    const theme = get().theme === 'light' ? 'dusk' : 'light';
    localStorage.setItem(KEY, theme);
    showTheme(theme);
    set({ theme });
  },
}));

export function firstTheme(): Theme {
  const kept = localStorage.getItem(KEY);
  if (kept === 'light' || kept === 'dusk') return kept;
  return matchMedia('(prefers-color-scheme: dark)').matches ? 'dusk' : 'light';
}

export function showTheme(theme: Theme): void {
  document.documentElement.dataset.theme = theme;
  document
    .querySelector('meta[name="theme-color"]')
    ?.setAttribute('content', theme === 'light' ? '#f6f1e3' : '#121719');
}
