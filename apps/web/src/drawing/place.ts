import type { Drawing, RectShape } from '@yellow-cell/core';

/** A rectangle on the sheet, in its own units. */
export interface SheetRect {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** From a box's own millimetres to a place on the sheet. Data never turns; the sheet may. */
export interface Placing {
  /** Sheet units for each mm. */
  scale: number;
  rect(shape: Pick<RectShape, 'x' | 'y' | 'width' | 'height'>): SheetRect;
  /** Millimetres that a move on the sheet comes to, along the drawing's own axes. */
  back(move: { dx: number; dy: number }): { x: number; y: number };
}

/** Frames lie across: the front is at the left, x = 0 at the top, so that each frame reads as a strip. */
export function lying(scale: number, left: number, top: number, drawing: Pick<Drawing, 'x' | 'y'>): Placing {
  return {
    scale,
    rect: ({ x, y, width, height }) => ({
      x: left + (y - drawing.y[0]) * scale,
      y: top + (x - drawing.x[0]) * scale,
      width: height * scale,
      height: width * scale,
    }),
    back: ({ dx, dy }) => ({ x: dy / scale, y: dx / scale }),
  };
}

/** Sides and sections stand upright: x to the right, y up. */
export function upright(
  scale: number,
  left: number,
  top: number,
  drawing: Pick<Drawing, 'x' | 'y'>,
): Placing {
  return {
    scale,
    rect: ({ x, y, width, height }) => ({
      x: left + (x - drawing.x[0]) * scale,
      y: top + (drawing.y[1] - y - height) * scale,
      width: width * scale,
      height: height * scale,
    }),
    back: ({ dx, dy }) => ({ x: dx / scale, y: -dy / scale }),
  };
}

/** As the box stands with its front towards the viewer, centred on the origin: to be turned to its bearing. */
export function standing(scale: number, drawing: Drawing): Placing {
  const middle = { x: (drawing.x[0] + drawing.x[1]) / 2, y: (drawing.y[0] + drawing.y[1]) / 2 };
  return {
    scale,
    rect: ({ x, y, width, height }) => ({
      x: (x - middle.x) * scale,
      y: (middle.y - y - height) * scale,
      width: width * scale,
      height: height * scale,
    }),
    back: ({ dx, dy }) => ({ x: dx / scale, y: -dy / scale }),
  };
}

export const centreOf = ({ x, y, width, height }: SheetRect): { x: number; y: number } => ({
  x: x + width / 2,
  y: y + height / 2,
});

export const rectOf = (
  x: readonly [number, number],
  y: readonly [number, number],
): Pick<RectShape, 'x' | 'y' | 'width' | 'height'> => ({
  x: x[0],
  y: y[0],
  width: x[1] - x[0],
  height: y[1] - y[0],
});
