import { useSyncExternalStore } from 'react';

/** The look belongs to the device: the same person wants dark in the shed and high contrast in the sun. */
export type Theme = 'light' | 'dark' | 'yard';
export const themes: readonly (readonly [Theme, string])[] = [
  ['light', 'Light'],
  ['dark', 'Dark'],
  ['yard', 'High contrast for the yard'],
];

const listeners = new Set<() => void>();

export function setTheme(theme: Theme): void {
  document.documentElement.dataset.theme = theme;
  try {
    localStorage.setItem('yc-theme', theme);
  } catch {
    // kept for this visit only
  }
  for (const listener of listeners) listener();
}

export function useTheme(): Theme {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => document.documentElement.dataset.theme as Theme,
  );
}
