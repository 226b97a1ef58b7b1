import type { Closure, DesignContent } from '@yellow-cell/contract';
import { deriveBox } from '../box/model.ts';
import { type Block, hull, lengthOf, middleOf, type Span } from '../geometry/block.ts';
import type { Piece } from './piece.ts';

/** A difference under this is a shaving, in mm. */
const SHAVING_MM = 0.05;

/**
 * Measures that the parts make together, against what the design wants (requirement 2): chains of parts along each
 * axis, measured on the pieces as cut, and the strips of the front rim with the entrance between them.
 */
export function closuresOf(design: DesignContent, pieces: readonly Piece[]): Closure[] {
  const { stack } = deriveBox(design);
  if (design.folding) return [];
  const found: Closure[] = [];
  const add = (key: string, what: string, made_mm: number, wanted_mm: number) => {
    const holds = Math.abs(made_mm - wanted_mm) <= SHAVING_MM;
    const figure = (mm: number) => `${Number(mm.toFixed(2))} mm`;
    found.push({
      key,
      made_mm,
      wanted_mm,
      holds,
      sentence: holds
        ? `${what} comes to ${figure(made_mm)}, as drawn.`
        : `${what} comes to ${figure(made_mm)}, and ${figure(wanted_mm)} is wanted: ${figure(Math.abs(made_mm - wanted_mm))} too ${made_mm > wanted_mm ? 'much' : 'little'}.`,
    });
  };
  for (const { body, inside, outside, z } of stack.bodies) {
    const own = pieces.filter((piece) => piece.of === body.id);
    const name = body.name ? `${body.name}: ` : '';
    const middle = middleOf(z);
    const across = chain(own, 'x', { y: middleOf(inside.y), z: middle });
    const along = chain(own, 'y', { x: middleOf(inside.x), z: middle });
    add(`${body.id}.across`, `${name}the room between the sides`, gapIn(across), lengthOf(inside.x));
    add(
      `${body.id}.along`,
      `${name}the room between the ends`,
      gapIn(along),
      lengthOf(inside.y) - 2 * (body.cheeks?.inset.mm ?? 0),
    );
    add(
      `${body.id}.outside`,
      `${name}sides and ends outside`,
      lengthOf(hull(own.map(({ x }) => x))),
      lengthOf(outside.x) + doorsOn(own, 'x'),
    );
  }
  const first = stack.bodies[0];
  const strips = pieces.filter(({ name }) => name === 'Rim strip, front');
  if (first && strips.length > 0) {
    const slots = slotsBetween(strips, first.inside.x);
    const total = strips.reduce((sum, { x }) => sum + lengthOf(x), 0) + slots;
    add('rim.front', 'strips and entrance of the front rim', total, lengthOf(first.inside.x));
  }
  const floor = pieces.filter(
    ({ of, z }) => of === 'floor' && z[1] <= 1e-9 && z[0] > -design.floor.thickness.mm - 1e-9,
  );
  if (floor.length > 0 && first)
    add('floor', 'the floor, across', lengthOf(hull(floor.map(({ x }) => x))), lengthOf(first.outside.x));
  return found;
}

/** Insulated doors stand outside the walls: they are no part of the body's own width. */
const doorsOn = (own: readonly Piece[], axis: 'x' | 'y'): number =>
  own
    .filter(({ name, thin }) => name.startsWith('Insulated door') && thin === axis)
    .reduce((sum, piece) => sum + lengthOf(piece[axis]), 0);

/** Pieces that a line along an axis runs through, in order. */
function chain(
  pieces: readonly Piece[],
  axis: 'x' | 'y',
  at: Partial<Record<'x' | 'y' | 'z', number>>,
): Span[] {
  const hit = (block: Block): boolean =>
    (['x', 'y', 'z'] as const).every((each) => {
      const place = at[each];
      return place === undefined || (place > block[each][0] && place < block[each][1]);
    });
  return pieces
    .filter((piece) => piece.material !== 'mesh' && hit(piece))
    .map((piece) => piece[axis])
    .sort((a, b) => a[0] - b[0]);
}

/** The widest room that is left between neighbours of a chain. */
function gapIn(spans: readonly Span[]): number {
  const gaps = spans.slice(1).map((span, index) => span[0] - (spans[index]?.[1] ?? 0));
  return Math.max(0, ...gaps);
}

/** What the strips leave open between them, up to the last; the rest of the width is what does not close. */
function slotsBetween(strips: readonly Piece[], inside: Span): number {
  const sorted = strips.map(({ x }) => x).sort((a, b) => a[0] - b[0]);
  const between = sorted.slice(1).reduce((sum, x, index) => sum + (x[0] - (sorted[index]?.[1] ?? 0)), 0);
  return between + Math.max(0, (sorted[0]?.[0] ?? inside[0]) - inside[0]);
}
