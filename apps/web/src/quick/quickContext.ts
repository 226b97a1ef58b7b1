import type { QuickContext, Situation } from '@yellow-cell/core';
import { useSyncExternalStore } from 'react';

/** The yard on screen, as the quick line may speak of it; told by the yard, heard by the line above it. */
export interface QuickYard {
  context: QuickContext;
  /** The yard as it stands, in which what speaks against an entry is said before it is kept. */
  situation: Situation;
}
let current: QuickYard | undefined;
const listeners = new Set<() => void>();

export function tellQuickYard(next: QuickYard | undefined): void {
  current = next;
  for (const listener of listeners) listener();
}

export const useQuickYardOnScreen = (): QuickYard | undefined =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => current,
  );
