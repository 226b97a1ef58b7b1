import type { Entrance, Mark } from '@yellow-cell/contract';
import { middleOf } from '../geometry/block.ts';
import type { Limits } from './limits.ts';
import type { PlacedOpening } from './solids.ts';

/** How likely bees, or a queen back from mating, take one entrance for another (handbook 2, finding home). */
export type DriftRisk = 'lowest' | 'low' | 'medium' | 'high';
export interface Drift {
  between: readonly [string, string];
  risk: DriftRisk;
  /** Between their centres where they are on one side, in mm. */
  apart_mm: number | undefined;
  marksDiffer: boolean;
}

const STEPS: readonly DriftRisk[] = ['lowest', 'low', 'medium', 'high'];
const AROUND = ['front', 'left', 'back', 'right'] as const;

export function driftOf(
  a: PlacedOpening & { opening: Entrance },
  b: PlacedOpening & { opening: Entrance },
  { driftNear }: Limits,
): Drift {
  const apart_mm = a.opening.side === b.opening.side ? centresApart(a, b) : undefined;
  const step = stepOf(a.opening, b.opening, apart_mm, driftNear);
  const marksDiffer = differClearly(a.opening.mark, b.opening.mark);
  return {
    between: [a.id, b.id],
    risk: STEPS[Math.max(0, step - (marksDiffer ? 1 : 0))] ?? 'lowest',
    apart_mm,
    marksDiffer,
  };
}

/** Marks differ for a bee where both their shape and their colour do. */
export const differClearly = (a: Mark | null, b: Mark | null): boolean =>
  a !== null && b !== null && a.shape !== b.shape && a.colour !== b.colour;

function stepOf(a: Entrance, b: Entrance, apart_mm: number | undefined, driftNear: number): number {
  if (apart_mm !== undefined) return apart_mm < driftNear ? 3 : 2;
  const quarter = Math.abs(AROUND.indexOf(a.side) - AROUND.indexOf(b.side));
  return quarter === 2 ? 0 : 1;
}

function centresApart(a: PlacedOpening, b: PlacedOpening): number {
  const ends = a.opening.side === 'front' || a.opening.side === 'back';
  const along = ends ? middleOf(a.x) - middleOf(b.x) : middleOf(a.y) - middleOf(b.y);
  return Math.hypot(along, middleOf(a.z) - middleOf(b.z));
}

/** In the order in which they are proposed: the first are the least alike. */
export const MARK_SHAPES: readonly Mark['shape'][] = [
  'disc',
  'bars',
  'ring',
  'rays',
  'frame',
  'cross',
  'chevrons',
  'twin',
  'halves',
  'rings',
];
export const MARK_COLOURS: readonly Mark['colour'][] = ['yellow', 'blue', 'white', 'black'];

/** The first mark of our own drawing that differs in shape and colour from all of these, or else in shape. */
export function markUnlike(others: readonly (Mark | null)[]): Mark {
  const taken = others.filter((mark) => mark !== null);
  const all = MARK_SHAPES.flatMap((shape, turn) =>
    MARK_COLOURS.map(
      (_, index): Mark => ({ shape, colour: MARK_COLOURS[(turn + index) % MARK_COLOURS.length] ?? 'yellow' }),
    ),
  );
  const clear = all.find((mark) => taken.every((other) => differClearly(mark, other)));
  const fresh = all.find((mark) =>
    taken.every(({ shape, colour }) => shape !== mark.shape || colour !== mark.colour),
  );
  return clear ?? fresh ?? { shape: 'disc', colour: 'yellow' };
}
