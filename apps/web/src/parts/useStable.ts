import { useCallback, useRef } from 'react';

/** The same function from one drawing to the next, which does what the last one was given to do: for what must not be drawn anew. */
export function useStable<A extends unknown[]>(act: (...given: A) => void): (...given: A) => void {
  const latest = useRef(act);
  latest.current = act;
  return useCallback((...given: A) => latest.current(...given), []);
}
