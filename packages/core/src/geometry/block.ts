import { TOLERANCE } from '../numbers.ts';

/** From and to along one axis, in mm. */
export type Span = readonly [number, number];
/** An axis-aligned block on the design's axes, in mm. */
export interface Block {
  x: Span;
  y: Span;
  z: Span;
}
/** An axis-aligned rectangle in some plane, in mm. */
export interface Rect {
  u: Span;
  v: Span;
}

export const sized = (start: number, size: number): Span => [start, start + size];
export const around = (centre: number, size: number): Span => [centre - size / 2, centre + size / 2];
export const lengthOf = ([from, to]: Span): number => to - from;
export const middleOf = ([from, to]: Span): number => (from + to) / 2;
export const common = (a: Span, b: Span): Span => [Math.max(a[0], b[0]), Math.min(a[1], b[1])];
/** From where the first of spans begins to where the last ends. */
export const hull = (spans: readonly Span[]): Span => [
  Math.min(...spans.map(([from]) => from)),
  Math.max(...spans.map(([, to]) => to)),
];
export const isReal = (span: Span): boolean => lengthOf(span) > TOLERANCE;
export const meets = (a: Span, b: Span): boolean => isReal(common(a, b));

export function commonBlock(a: Block, b: Block): Block | undefined {
  const both = { x: common(a.x, b.x), y: common(a.y, b.y), z: common(a.z, b.z) };
  return isReal(both.x) && isReal(both.y) && isReal(both.z) ? both : undefined;
}

/** What is left of a block when a hole is cut through it: at most six blocks that do not overlap. */
export function cut<B extends Block>(from: B, hole: Block): B[] {
  const gone = commonBlock(from, hole);
  if (!gone) return [from];
  const { x, y, z } = gone;
  const pieces: Block[] = [
    { x: [from.x[0], x[0]], y: from.y, z: from.z },
    { x: [x[1], from.x[1]], y: from.y, z: from.z },
    { x, y: [from.y[0], y[0]], z: from.z },
    { x, y: [y[1], from.y[1]], z: from.z },
    { x, y, z: [from.z[0], z[0]] },
    { x, y, z: [z[1], from.z[1]] },
  ];
  return pieces
    .filter((piece) => isReal(piece.x) && isReal(piece.y) && isReal(piece.z))
    .map((piece) => ({ ...from, ...piece }));
}

export const cutAll = <B extends Block>(from: readonly B[], holes: readonly Block[]): B[] =>
  holes.reduce<B[]>((left, hole) => left.flatMap((block) => cut(block, hole)), [...from]);

/** The largest square that stands free in a rectangle beside others that are filled: its side and the free rectangle around it. */
export function largestFree(within: Rect, filled: readonly Rect[]): { side: number; rect: Rect } | undefined {
  const near = filled.filter(({ u, v }) => meets(u, within.u) && meets(v, within.v));
  const us = edges(
    within.u,
    near.map(({ u }) => u),
  );
  const vs = edges(
    within.v,
    near.map(({ v }) => v),
  );
  let best: { side: number; rect: Rect } | undefined;
  for (let left = 0; left < us.length - 1; left++) {
    for (let right = left + 1; right < us.length; right++) {
      const u: Span = [us[left] ?? 0, us[right] ?? 0];
      const walls = near.filter((rect) => meets(rect.u, u)).map((rect) => rect.v);
      for (const v of freeSpans(within.v, vs, walls)) {
        const side = Math.min(lengthOf(u), lengthOf(v));
        const area = lengthOf(u) * lengthOf(v);
        const bestArea = best ? lengthOf(best.rect.u) * lengthOf(best.rect.v) : 0;
        const better = !best || side > best.side + TOLERANCE;
        const same = best && Math.abs(side - best.side) <= TOLERANCE && area > bestArea;
        if (side > TOLERANCE && (better || same)) best = { side, rect: { u, v } };
      }
    }
  }
  return best;
}

function edges(within: Span, spans: readonly Span[]): number[] {
  const inside = spans.flat().filter((edge) => edge > within[0] && edge < within[1]);
  return [...new Set([within[0], ...inside, within[1]])].sort((a, b) => a - b);
}

/** The stretches of a span that no wall covers, each as long as it can be. */
function freeSpans(within: Span, cuts: readonly number[], walls: readonly Span[]): Span[] {
  const free: Span[] = [];
  let start: number | undefined;
  for (let index = 0; index < cuts.length - 1; index++) {
    const piece: Span = [cuts[index] ?? 0, cuts[index + 1] ?? 0];
    const open = !walls.some((wall) => meets(wall, piece));
    if (open) start ??= piece[0];
    else if (start !== undefined) {
      free.push([start, piece[0]]);
      start = undefined;
    }
  }
  if (start !== undefined) free.push([start, within[1]]);
  return free;
}
