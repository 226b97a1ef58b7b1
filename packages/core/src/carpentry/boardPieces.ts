import type { PartMaterial } from '@yellow-cell/contract';
import { type PlacedBoard, rebatesOf, windowOf } from '../box/solids.ts';
import { around, lengthOf, middleOf, type Span } from '../geometry/block.ts';
import { MESH_MM } from './bodyPieces.ts';
import type { Piece, PieceCut } from './piece.ts';
import { ofBody, type Shop, stuffFor } from './shop.ts';

/** What a board is called by its kind. */
export const boardNames = {
  tight: 'Divider',
  excluder: 'Excluder divider',
  screen: 'Screen divider',
  open: 'Open divider',
  follower: 'Follower',
  dummy: 'Dummy',
} as const;
/** A lug bar is as wide as a plain top bar and as thick as a lug. */
const LUG_BAR_MM = { width: 22, thick: 9.5 } as const;

/** Dividers with their ears and windows, followers and dummies, and what closes the windows. */
export const boardPieces = (shop: Shop): Piece[] =>
  shop.model.boards.flatMap((placed) => [
    boardPiece(shop, placed),
    ...windowPieces(shop, placed),
    ...lugBar(shop, placed),
  ]);

function boardPiece(shop: Shop, placed: PlacedBoard): Piece {
  const { board, body, x, z } = placed;
  const ears = board.ears ? rebatesOf(body) : [];
  const y: Span = [
    Math.min(placed.y[0], ...ears.map((ear) => ear.y[0])),
    Math.max(placed.y[1], ...ears.map((ear) => ear.y[1])),
  ];
  // Where an ear reaches past the board, what lies below the rebate is cut away.
  const notches = ears.flatMap(({ y: ear, z: height }): PieceCut[] => {
    const under: Span = [z[0], height[0]];
    const past: Span = ear[0] < placed.y[0] ? [y[0], placed.y[0]] : [placed.y[1], y[1]];
    return lengthOf(past) > 1e-9 && lengthOf(under) > 1e-9 ? [{ kind: 'notch', x, y: past, z: under }] : [];
  });
  const window: PieceCut[] = board.window ? [{ kind: 'window', ...windowOf(board, placed) }] : [];
  const slotted = board.slot !== null && !board.window;
  const material: PartMaterial = slotted ? sieveOf(board.kind) : stuffFor(body.body.material);
  return {
    name: `${boardNames[board.kind]}${ofBody(shop, body.body.id)}`,
    of: board.id,
    material,
    thin: 'x',
    innerUp: true,
    x,
    y,
    z,
    cuts: [...notches, ...window],
  };
}

const sieveOf = (kind: PlacedBoard['board']['kind']): PartMaterial =>
  kind === 'excluder' ? 'excluder' : 'mesh';

/** Excluder over a window; mesh on both faces where two queens could touch through one (handbook 2). */
function windowPieces({ over }: Shop, placed: PlacedBoard): Piece[] {
  const { board, x, y, z } = placed;
  if (!board.window) return [];
  const window = windowOf(board, placed);
  const wide = (span: Span, most: Span): Span => [
    Math.max(most[0], span[0] - over),
    Math.min(most[1], span[1] + over),
  ];
  const at = (face: Span): Piece => ({
    name: board.kind === 'excluder' ? 'Window excluder' : 'Window mesh',
    of: board.id,
    material: sieveOf(board.kind),
    thin: 'x',
    innerUp: true,
    x: face,
    y: wide(window.y, y),
    z: wide(window.z, z),
    cuts: [],
  });
  const near = at([x[0] - MESH_MM, x[0]]);
  return board.kind === 'excluder' ? [near] : [near, at([x[1], x[1] + MESH_MM])];
}

/** A follower or dummy without ears hangs by a bar of its own. */
function lugBar(shop: Shop, { board, body, x, z }: PlacedBoard): Piece[] {
  if (board.ears || (board.kind !== 'follower' && board.kind !== 'dummy')) return [];
  const { format, rebate } = body.body;
  if (!rebate) return [];
  const top = body.z[1] - rebate.depth.mm + LUG_BAR_MM.thick;
  return [
    {
      name: `Lug bar${ofBody(shop, body.body.id)}`,
      of: board.id,
      material: 'pine',
      thin: 'z',
      innerUp: true,
      grain: 'y',
      x: around(middleOf(x), LUG_BAR_MM.width),
      y: around(middleOf(body.inside.y), format.topBar_mm),
      z: [Math.max(z[0], top - LUG_BAR_MM.thick), top],
      cuts: [],
    },
  ];
}
