import type { BuildPart, Machining } from '@yellow-cell/contract';
import polygonClipping from 'polygon-clipping';
import { type Block, commonBlock, lengthOf, type Span } from '../geometry/block.ts';
import type { Piece, PieceCut } from './piece.ts';

type Flat = Pick<
  BuildPart,
  'length_mm' | 'width_mm' | 'thickness_mm' | 'grain' | 'rings' | 'machining' | 'bends'
>;
type Ring = [number, number][];
type Axis = 'x' | 'y' | 'z';

/** Axes that a piece's length and width run along when it is laid flat; what lies down has its length along its grain. */
function axesOf({ thin, grain }: Piece): readonly [Axis, Axis] {
  if (thin === 'x') return ['y', 'z'];
  if (thin === 'y') return ['x', 'z'];
  return grain === 'y' ? ['y', 'x'] : ['x', 'y'];
}

/** A piece as it lies on the bench, seen from its inner face: outline, what is cut from either face, and what goes through. */
export function layFlat(piece: Piece): Flat {
  const [along, across] = axesOf(piece);
  const [length, width, thickness] = [
    lengthOf(piece[along]),
    lengthOf(piece[across]),
    lengthOf(piece[piece.thin]),
  ];
  const grain = piece.grain === along ? 'length' : piece.grain === across ? 'width' : 'none';
  if (piece.flat) {
    const xs = piece.flat.rings.flat().map(([x]) => x);
    const ys = piece.flat.rings.flat().map(([, y]) => y);
    return {
      length_mm: Math.max(...xs),
      width_mm: Math.max(...ys),
      thickness_mm: thickness,
      grain: 'none',
      rings: piece.flat.rings,
      machining: [],
      bends: piece.flat.bends,
    };
  }
  const machining = piece.cuts
    .flatMap((cut) => machiningOf(piece, cut) ?? [])
    .sort((a, b) => a.kind.localeCompare(b.kind) || a.x_mm - b.x_mm || a.y_mm - b.y_mm);
  return {
    length_mm: length,
    width_mm: width,
    thickness_mm: thickness,
    grain,
    rings: ringsOf(length, width, machining),
    machining,
    bends: [],
  };
}

/** Seen from within, a piece whose length then runs against its axis is mirrored. */
function mirrored(piece: Piece): boolean {
  const endWall = piece.thin === 'y';
  const lyingTurned = piece.thin === 'z' && axesOf(piece)[0] === 'y';
  return endWall || lyingTurned ? piece.innerUp : !piece.innerUp;
}

function machiningOf(piece: Piece, cut: PieceCut): Machining | undefined {
  const gone = commonBlock(piece, cut);
  if (!gone) return undefined;
  const [along, across] = axesOf(piece);
  const local = (axis: Axis, flip: boolean): Span => {
    const [from, to] = piece[axis];
    const [a, b] = gone[axis];
    return flip ? [to - b, to - a] : [a - from, b - from];
  };
  const [x, y] = [local(along, mirrored(piece)), local(across, false)];
  const through = piece[piece.thin];
  const taken = gone[piece.thin];
  const depth = lengthOf(taken);
  const goesThrough = Math.abs(depth - lengthOf(through)) < 1e-9;
  const touchesUpper = Math.abs(taken[1] - through[1]) < 1e-9;
  return {
    kind: cut.kind,
    x_mm: x[0],
    y_mm: y[0],
    width_mm: lengthOf(x),
    height_mm: lengthOf(y),
    depth_mm: goesThrough ? null : depth,
    face: goesThrough || touchesUpper === piece.innerUp ? 'inner' : 'outer',
    round: cut.round ?? false,
  };
}

const rect = (x: number, y: number, width: number, height: number): Ring => [
  [x, y],
  [x + width, y],
  [x + width, y + height],
  [x, y + height],
];

/** The outline as sawn: the blank less all that goes through it but round holes, which are drilled. */
function ringsOf(length: number, width: number, machining: readonly Machining[]): Ring[] {
  const blank = rect(0, 0, length, width);
  const through = machining.filter(({ depth_mm, round }) => depth_mm === null && !round);
  if (through.length === 0) return [blank];
  const left = polygonClipping.difference(
    [blank],
    ...through.map(({ x_mm, y_mm, width_mm, height_mm }) => [rect(x_mm, y_mm, width_mm, height_mm)]),
  );
  // A part stays one part: where a cut would fell it in two, each piece keeps its rings.
  return left.flat().map((ring) => ring.slice(0, -1) as Ring);
}

/** Volume of one part, net of all that is cut away, in mm³. */
export function volumeOf({ rings, thickness_mm, machining }: Flat): number {
  const [outer = [], ...holes] = rings;
  const area = Math.abs(areaOf(outer)) - holes.reduce((sum, ring) => sum + Math.abs(areaOf(ring)), 0);
  const drilled = machining
    .filter(({ round, depth_mm }) => round && depth_mm === null)
    .reduce((sum, { width_mm }) => sum + (Math.PI / 4) * width_mm ** 2, 0);
  return (area - drilled) * thickness_mm - recessVolume(machining);
}

/** Recesses that cross are counted once: they are cut from each other first. */
function recessVolume(machining: readonly Machining[]): number {
  let volume = 0;
  const done: Block[] = [];
  for (const { x_mm, y_mm, width_mm, height_mm, depth_mm, face } of machining) {
    if (depth_mm === null) continue;
    const z: Span = face === 'inner' ? [0, depth_mm] : [1e6 - depth_mm, 1e6];
    const block: Block = { x: [x_mm, x_mm + width_mm], y: [y_mm, y_mm + height_mm], z };
    const twice = done.reduce((sum, other) => {
      const both = commonBlock(block, other);
      return sum + (both ? lengthOf(both.x) * lengthOf(both.y) * lengthOf(both.z) : 0);
    }, 0);
    volume += width_mm * height_mm * depth_mm - twice;
    done.push(block);
  }
  return volume;
}

/** By the shoelace rule, in mm². */
export function areaOf(ring: readonly (readonly [number, number])[]): number {
  let sum = 0;
  ring.forEach(([x, y], index) => {
    const [nextX, nextY] = ring[(index + 1) % ring.length] ?? [0, 0];
    sum += x * nextY - nextX * y;
  });
  return sum / 2;
}
