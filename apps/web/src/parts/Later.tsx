import { type ReactNode, useDeferredValue } from 'react';

/**
 * What may come a moment after what was asked for: drawn once that stands on the screen, and gives way to what a person
 * does. `until` stands in its place.
 */
export function Later({ children, until = null }: { children: ReactNode; until?: ReactNode }) {
  return useDeferredValue(true, false) ? children : until;
}
