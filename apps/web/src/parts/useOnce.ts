import { useRef } from 'react';
import { useStable } from './useStable.ts';

/** An act that does nothing while it is still under way: a double tap is one. */
export function useOnce(act: () => Promise<unknown>): () => void {
  const underWay = useRef(false);
  return useStable(() => {
    if (underWay.current) return;
    underWay.current = true;
    void act().finally(() => {
      underWay.current = false;
    });
  });
}
