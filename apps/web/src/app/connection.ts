import { useSyncExternalStore } from 'react';

/** Whether the server answers, as the last request told; the browser's own idea says nothing of a server in the shed. */
let since: number | undefined;
const listeners = new Set<() => void>();

export function heard(answered: boolean): void {
  const next = answered ? undefined : (since ?? Date.now());
  if (next === since) return;
  since = next;
  for (const listener of listeners) listener();
}

/** Since when nobody answers, in milliseconds since 1970; undefined while the server does. */
export const useSilentSince = (): number | undefined =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => since,
  );
