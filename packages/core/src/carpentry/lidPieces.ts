import type { PartMaterial, Sheet } from '@yellow-cell/contract';
import { holeBlock, ROOF_RIM_MM } from '../box/solids.ts';
import { type Block, common, middleOf, type Span } from '../geometry/block.ts';
import { MESH_MM } from './bodyPieces.ts';
import type { Piece, PieceCut } from './piece.ts';
import { grainOf, type Shop, stuffFor } from './shop.ts';

/** Left free between two covers of one box, so that one lifts without the other. */
const BETWEEN_LIDS_MM = 1;

/** What lies on a box: inner covers, excluders and other sheets, and the roof. */
export const lidPieces = (shop: Shop): Piece[] => [...sheetPieces(shop), ...roofPieces(shop)];

const NAMES: Readonly<Record<Sheet['what'], string>> = {
  board: 'Inner cover',
  cloth: 'Cover cloth',
  foil: 'Foil-bubble sheet',
  slats: 'Slatted mat',
  mesh: 'Mesh cover',
  excluder: 'Excluder sheet',
  screen: 'Screen board',
  tray: 'Pull-out tray',
};
const STUFF: Readonly<Record<Sheet['what'], PartMaterial | undefined>> = {
  board: undefined,
  cloth: 'cloth',
  foil: 'foil',
  slats: 'slats',
  mesh: 'mesh',
  excluder: 'excluder',
  screen: undefined,
  tray: 'corrugated',
};

function sheetPieces(shop: Shop): Piece[] {
  const { sheets } = shop.model.stack;
  return sheets.flatMap(({ sheet, block }) => {
    const holes = sheet.holes.map((hole): PieceCut => ({ kind: 'window', ...holeBlock(hole, block) }));
    const material = STUFF[sheet.what] ?? stuffFor(bodyStuff(shop));
    const lids = (sheet.each ? columnsUnder(shop, block) : [block.x]).map(
      (x): Piece => ({
        name: NAMES[sheet.what],
        of: sheet.id,
        material,
        thin: 'z',
        innerUp: false,
        grain: grainOf(material, 'y'),
        x,
        y: block.y,
        z: block.z,
        cuts: holes,
      }),
    );
    return [...lids, ...closerPieces(shop, sheet, block), ...screenPieces(shop, sheet, block)];
  });
}

const bodyStuff = ({ model }: Shop) => model.stack.bodies[0]?.body.material ?? 'pine';

/** One lid over each compartment: parted over the middle of every board that stands below. */
function columnsUnder({ model }: Shop, { x, z }: Block): Span[] {
  const under = model.boards.filter(
    ({ body, board }) =>
      Math.abs(body.z[1] - z[0]) < 30 && board.kind !== 'dummy' && board.kind !== 'follower',
  );
  const middles = under.map((board) => middleOf(board.x)).sort((a, b) => a - b);
  const edges = [x[0], ...middles, x[1]];
  return edges.slice(1).map((to, index): Span => {
    const from = edges[index] ?? 0;
    return [from + (index > 0 ? BETWEEN_LIDS_MM : 0), to - (index < edges.length - 2 ? BETWEEN_LIDS_MM : 0)];
  });
}

function closerPieces({ over }: Shop, sheet: Sheet, block: Block): Piece[] {
  return sheet.holes.flatMap((hole): Piece[] => {
    const at = holeBlock(hole, block);
    if (hole.closedBy === 'plug')
      return [
        { name: 'Hole plug', of: hole.id, material: 'plywood', thin: 'z', innerUp: false, ...at, cuts: [] },
      ];
    if (hole.closedBy !== 'mesh' && hole.closedBy !== 'excluder') return [];
    const wide = (span: Span, most: Span): Span => common([span[0] - over, span[1] + over], most);
    return [
      {
        name: hole.closedBy === 'mesh' ? 'Hole mesh' : 'Hole excluder',
        of: hole.id,
        material: hole.closedBy,
        thin: 'z',
        innerUp: false,
        x: wide(at.x, block.x),
        y: wide(at.y, block.y),
        z: [block.z[1], block.z[1] + MESH_MM],
        cuts: [],
      },
    ];
  });
}

/** A screen board is a frame with mesh: two of them, apart, so that no two queens touch. */
function screenPieces({ model, over }: Shop, { what, id }: Sheet, { y, z }: Block): Piece[] {
  const below = model.stack.bodies.findLast((body) => body.z[1] <= z[0] + 1e-9);
  if (what !== 'screen' || !below) return [];
  const mesh = (height: Span): Piece => ({
    name: 'Screen mesh',
    of: id,
    material: 'mesh',
    thin: 'z',
    innerUp: false,
    x: common([below.inside.x[0] - over, below.inside.x[1] + over], below.outside.x),
    y: common([below.inside.y[0] - over, below.inside.y[1] + over], y),
    z: height,
    cuts: [],
  });
  return [mesh([z[0], z[0] + MESH_MM]), mesh([z[1] - MESH_MM, z[1]])];
}

function roofPieces(shop: Shop): Piece[] {
  const { roof } = shop.design;
  const { head, top } = shop.model.stack;
  const over: Span = [top + roof.room.mm, top + roof.room.mm + roof.thickness.mm];
  const material: PartMaterial =
    roof.kind === 'glazed' ? 'glass' : roof.kind === 'insulated' ? 'foam' : stuffFor(bodyStuff(shop));
  const bodies = shop.model.stack.bodies.filter(
    ({ z }) => Math.abs(z[1] - (shop.model.stack.bodies.at(-1)?.z[1] ?? 0)) < 1e-9,
  );
  const lids = roof.each && bodies.length === 1 ? columnsUnder(shop, { ...head, z: [top, top] }) : [head.x];
  return lids.flatMap((x) => [
    {
      name: roof.kind === 'glazed' ? 'Roof pane' : 'Roof panel',
      of: 'roof',
      material,
      thin: 'z',
      innerUp: false,
      grain: grainOf(material, 'y'),
      x,
      y: head.y,
      z: over,
      cuts: [],
    } satisfies Piece,
    ...roofRim(shop, x),
  ]);
}

function roofRim(shop: Shop, x: Span): Piece[] {
  const room = shop.design.roof.room.mm;
  const { head, top } = shop.model.stack;
  if (room <= 0) return [];
  const z: Span = [top, top + room];
  const material = stuffFor(bodyStuff(shop)) === 'plastic' ? 'plastic' : 'pine';
  const strip = (name: string, thin: 'x' | 'y', up: boolean, sx: Span, sy: Span): Piece => ({
    name,
    of: 'roof',
    material,
    thin,
    innerUp: up,
    grain: grainOf(material, thin === 'x' ? 'y' : 'x'),
    x: sx,
    y: sy,
    z,
    cuts: [],
  });
  const within: Span = [x[0] + ROOF_RIM_MM, x[1] - ROOF_RIM_MM];
  return [
    strip('Roof rim, side', 'x', true, [x[0], within[0]], head.y),
    strip('Roof rim, side', 'x', false, [within[1], x[1]], head.y),
    strip('Roof rim, end', 'y', true, within, [head.y[0], head.y[0] + ROOF_RIM_MM]),
    strip('Roof rim, end', 'y', false, within, [head.y[1] - ROOF_RIM_MM, head.y[1]]),
  ];
}
