import { useEffect, useRef, useState } from 'react';

/** While a part is dragged, what stands beside the drawing follows once the hand rests this long; else at once. */
const REST_MS = 160;

/** The latest value, but held back while `dragging` and `moving` changes again and again. */
export function useRested<T>(value: T, moving: unknown, dragging: boolean): T {
  const [, again] = useState(0);
  const held = useRef(value);
  const last = useRef({ moving, at: 0 });
  if (last.current.moving !== moving) last.current = { moving, at: performance.now() };
  const waits = dragging && performance.now() - last.current.at < REST_MS;
  if (!waits) held.current = value;
  useEffect(() => {
    if (!waits) return undefined;
    const timer = setTimeout(() => again((count) => count + 1), REST_MS);
    return () => clearTimeout(timer);
  });
  return held.current;
}
