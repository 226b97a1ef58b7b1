import type { KeyboardCoordinateGetter } from '@dnd-kit/core';

/** Arrow keys carry a frame from place to place: to the nearest one in that direction. */
export const slotSteps: KeyboardCoordinateGetter = (event, { context, currentCoordinates }) => {
  const way = { ArrowDown: [0, 1], ArrowUp: [0, -1], ArrowLeft: [-1, 0], ArrowRight: [1, 0] }[event.code];
  if (!way) return undefined;
  event.preventDefault();
  const [dx = 0, dy = 0] = way;
  let best: { far: number; x: number; y: number } | undefined;
  for (const { rect } of context.droppableContainers.getEnabled()) {
    const box = rect.current;
    if (!box) continue;
    const [x, y] = [box.left, box.top];
    const along = (x - currentCoordinates.x) * dx + (y - currentCoordinates.y) * dy;
    const aside = Math.abs((x - currentCoordinates.x) * dy) + Math.abs((y - currentCoordinates.y) * dx);
    if (along < NEAREST) continue;
    const far = along + 2 * aside;
    if (!best || far < best.far) best = { far, x, y };
  }
  return best ? { x: best.x, y: best.y } : currentCoordinates;
};
/** Nearer than this it is the place that the frame hangs over already, in pixels. */
const NEAREST = 8;
