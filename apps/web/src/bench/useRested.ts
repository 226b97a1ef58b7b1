import { useEffect, useRef, useState } from 'react';

/** While something is dragged, what stands beside the drawing follows once it rests; all else shows at once. */
const REST_MS = 160;
/** Changes that follow each other faster than this are a drag. */
const DRAG_MS = 200;

/** The latest value, but held back while `moving` changes again and again. */
export function useRested<T>(value: T, moving: unknown): T {
  const [, again] = useState(0);
  const held = useRef(value);
  const last = useRef({ moving, at: 0 });
  const now = performance.now();
  const dragging = last.current.moving !== moving && now - last.current.at < DRAG_MS;
  if (last.current.moving !== moving) last.current = { moving, at: now };
  if (!dragging) held.current = value;
  useEffect(() => {
    if (!dragging) return undefined;
    const timer = setTimeout(() => again((count) => count + 1), REST_MS);
    return () => clearTimeout(timer);
  });
  return held.current;
}
