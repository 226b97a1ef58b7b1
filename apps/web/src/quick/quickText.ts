import { useSyncExternalStore } from 'react';
import { keepSoon, readKept } from '../app/kept.ts';

/** What is typed in the quick line: it survives another place, and a reload, until it is kept or cleared. */
const KEY = 'yc-quick-line';
let text = readKept<string>(KEY) ?? '';
const listeners = new Set<() => void>();

export function setQuickText(next: string): void {
  text = next;
  keepSoon(KEY, next === '' ? undefined : next);
  for (const listener of listeners) listener();
}
export const quickText = (): string => text;
export const useQuickText = (): string =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => text,
  );
