import type { BendLine } from '@yellow-cell/contract';
import type { PlacedOpening } from '../box/solids.ts';
import { rebatesOf } from '../box/solids.ts';
import { lengthOf, type Span } from '../geometry/block.ts';
import { openingCuts } from './bodyPieces.ts';
import type { Piece } from './piece.ts';
import type { Shop } from './shop.ts';

/** Corrugated sheet is seldom thicker; a wall drawn thicker carries its lugs on wooden rails outside. */
const MOST_SHEET_MM = 5;
const FLAP_MM = 40;
const RAIL_MM = 40;
type Ring = [number, number][];

export const foldedSheetThickness = (wall_mm: number): number => Math.min(wall_mm, MOST_SHEET_MM);
/** A quarter bend takes its neutral line: a quarter of a circle of half the sheet's thickness. */
export const bendAllowance = (thickness_mm: number): number => (Math.PI / 4) * thickness_mm;

/** A box folded from one sheet: its net with bend lines, flaps, windows and door, and the rails that carry the lugs (handbook 4). */
export function foldedPieces(shop: Shop): Piece[] {
  const placed = shop.model.stack.bodies[0];
  if (!placed) return [];
  const { body, inside, outside, z } = placed;
  const t = foldedSheetThickness(body.wall.mm);
  const net = netOf(shop, t);
  const sheet: Piece = {
    name: 'Folded sheet',
    of: body.id,
    material: body.material,
    thin: 'z',
    innerUp: true,
    ...outside,
    z: [-t, 0],
    cuts: [],
    flat: net,
  };
  const rail = (at: 'front' | 'back'): Piece => ({
    name: 'Lug rail',
    of: body.id,
    material: 'pine',
    thin: 'y',
    innerUp: at === 'front',
    grain: 'x',
    x: inside.x,
    y: at === 'front' ? [outside.y[0], inside.y[0] - t] : [inside.y[1] + t, outside.y[1]],
    z: [z[1] - RAIL_MM, z[1]],
    cuts: rebatesOf(placed).map((block) => ({ ...block, kind: 'rebate' as const })),
  });
  const meshes = shop.model.openings
    .filter(({ opening }) => 'mesh' in opening)
    .map((opening) => windowMesh(opening, shop.over));
  return [sheet, ...(body.wall.mm > t ? [rail('front'), rail('back')] : []), ...meshes];
}

function windowMesh({ id, opening, x, y, z }: PlacedOpening, over: number): Piece {
  const ends = opening.side === 'front' || opening.side === 'back';
  const wide = (span: Span): Span => [span[0] - over, span[1] + over];
  const thinAt = (span: Span): Span => [span[0], span[0] + 1];
  return {
    name: 'Window mesh',
    of: id,
    material: 'mesh',
    thin: ends ? 'y' : 'x',
    innerUp: true,
    x: ends ? wide(x) : thinAt(x),
    y: ends ? thinAt(y) : wide(y),
    z: wide(z),
    cuts: [],
  };
}

/** Rings and bend lines of the net, x across the frames and y along them, the floor in the middle. */
function netOf(shop: Shop, t: number): { rings: Ring[]; bends: BendLine[] } {
  const placed = shop.model.stack.bodies[0];
  if (!placed) return { rings: [], bends: [] };
  const { inside, z, body } = placed;
  const bend = bendAllowance(t);
  const side = z[1];
  // End walls stop under the lugs, which lie on their folded edge and the rails.
  const end = z[1] - (body.rebate?.depth.mm ?? 0);
  const [w, l] = [lengthOf(inside.x), lengthOf(inside.y)];
  const [x0, x1] = [side + bend, side + bend + w];
  const [y0, y1] = [end + bend, end + bend + l];
  const [right, back] = [x1 + bend + side, y1 + bend + end];
  const flap = Math.min(FLAP_MM, side);
  const outer: Ring = [
    [x0 - flap, 0],
    [x1 + flap, 0],
    [x1 + flap, end],
    [x1 + bend, end],
    [x1 + bend, y0],
    [right, y0],
    [right, y1],
    [x1 + bend, y1],
    [x1 + bend, y1 + bend],
    [x1 + flap, y1 + bend],
    [x1 + flap, back],
    [x0 - flap, back],
    [x0 - flap, y1 + bend],
    [x0 - bend, y1 + bend],
    [x0 - bend, y1],
    [0, y1],
    [0, y0],
    [x0 - bend, y0],
    [x0 - bend, end],
    [x0 - flap, end],
  ];
  const line = (ax: number, ay: number, bx: number, by: number): BendLine => ({
    from: [ax, ay],
    to: [bx, by],
  });
  const half = bend / 2;
  const bends = [
    line(x0 - half, y0, x0 - half, y1),
    line(x1 + half, y0, x1 + half, y1),
    line(x0, y0 - half, x1, y0 - half),
    line(x0, y1 + half, x1, y1 + half),
    line(x0, 0, x0, end),
    line(x1, 0, x1, end),
    line(x0, y1 + bend, x0, back),
    line(x1, y1 + bend, x1, back),
  ];
  const holes = openingCuts(shop, placed).map(({ x, y, z: height }, index): Ring => {
    const at = shop.model.openings.filter(({ body: of }) => of.body.id === body.id)[index]?.opening.side;
    if (at === 'front')
      return rect([x0 + x[0] - inside.x[0], x0 + x[1] - inside.x[0]], [end - height[1], end - height[0]]);
    if (at === 'back')
      return rect(
        [x0 + x[0] - inside.x[0], x0 + x[1] - inside.x[0]],
        [y1 + bend + height[0], y1 + bend + height[1]],
      );
    if (at === 'left')
      return rect([side - height[1], side - height[0]], [y0 + y[0] - inside.y[0], y0 + y[1] - inside.y[0]]);
    return rect(
      [x1 + bend + height[0], x1 + bend + height[1]],
      [y0 + y[0] - inside.y[0], y0 + y[1] - inside.y[0]],
    );
  });
  return { rings: [outer, ...holes], bends };
}

const rect = (x: Span, y: Span): Ring => [
  [x[0], y[0]],
  [x[1], y[0]],
  [x[1], y[1]],
  [x[0], y[1]],
];
