import type { QuickAct, QuickContext, Warning } from '@yellow-cell/core';
import { useSyncExternalStore } from 'react';

/** The yard on screen, as the quick line may speak of it; told by the yard, heard by the line above it. */
export interface QuickYard {
  context: QuickContext;
  /** What entries would bring about for those who live in the box, said before they are kept. */
  warningsFor: (acts: readonly QuickAct[]) => readonly Warning[];
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
