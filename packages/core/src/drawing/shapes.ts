import type { Mark, Side } from '@yellow-cell/contract';

/**
 * A box as plain 2-D shapes, once for screen, SVG, DXF and PDF alike. Coordinates in mm: from above x across the
 * frames and y to the back; on a side and in a section x to the right as seen and y up. Whoever shows them may turn
 * the sheet.
 */
export type RectRole =
  | 'wall'
  | 'ledge'
  | 'glass'
  | 'cheek'
  | 'compartment'
  | 'void'
  | 'divider'
  | 'sieve'
  | 'follower'
  | 'frame'
  | 'lug'
  | 'bar'
  | 'cell'
  | 'cage'
  | 'feeder'
  | 'feed'
  | 'entrance'
  | 'vent'
  | 'floor'
  | 'rim'
  | 'sheet'
  | 'roof'
  | 'hole'
  | 'open';
export interface RectShape {
  role: RectRole;
  /** Id of the part, or of the space. */
  id: string;
  x: number;
  y: number;
  width: number;
  height: number;
  round?: boolean;
  mark?: Mark | null;
}
/** A measured distance along x or y between two points, drawn on a line `row` steps outside the body. */
export interface DimensionShape {
  role: 'dimension';
  id: string;
  axis: 'x' | 'y';
  from: number;
  to: number;
  row: number;
}
export type View = 'above' | Side | 'across' | 'along';
export interface Drawing {
  view: View;
  /** Bounds of what is drawn: [least, greatest] of each axis. */
  x: readonly [number, number];
  y: readonly [number, number];
  rects: readonly RectShape[];
  dimensions: readonly DimensionShape[];
}

export function rect(
  role: RectRole,
  id: string,
  x: readonly [number, number],
  y: readonly [number, number],
): RectShape {
  return { role, id, x: x[0], y: y[0], width: x[1] - x[0], height: y[1] - y[0] };
}
