import type { Drawing } from '@yellow-cell/core';
import { type RefObject, useMemo } from 'react';
import { lying, type Placing, upright } from '../drawing/place.ts';
import { useSize } from '../parts/useSize.ts';

export interface Margin {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** A view that fills its place: its size, and the drawing as large as it fits between the margins. */
export function useView(
  drawing: Drawing,
  margin: Margin,
  lies = false,
): {
  ref: RefObject<HTMLDivElement | null>;
  size: { width: number; height: number };
  placing: Placing;
  scale: number;
} {
  const [ref, size] = useSize<HTMLDivElement>({ width: 480, height: 380 });
  const across = drawing.x[1] - drawing.x[0];
  const up = drawing.y[1] - drawing.y[0];
  const [wide, tall] = lies ? [up, across] : [across, up];
  const room = {
    width: size.width - margin.left - margin.right,
    height: size.height - margin.top - margin.bottom,
  };
  const scale = Math.max(0.05, Math.min(room.width / wide, room.height / tall));
  const left = margin.left + (room.width - wide * scale) / 2;
  const top = margin.top + Math.max(0, (room.height - tall * scale) / 2);
  const [x, y] = [drawing.x[0], drawing.y[0]];
  const [x2, y2] = [drawing.x[1], drawing.y[1]];
  // The same object for as long as the box keeps its outline, so that what only hangs on it is not drawn anew.
  const placing = useMemo(
    () => (lies ? lying : upright)(scale, left, top, { x: [x, x2], y: [y, y2] }),
    [lies, scale, left, top, x, x2, y, y2],
  );
  return { ref, size, scale, placing };
}
