import type { Body, Side } from '@yellow-cell/contract';
import { DOOR_MM, paneOf } from '../box/plainParts.ts';
import { grooveCuts, rebatesOf } from '../box/solids.ts';
import type { PlacedBody } from '../box/stack.ts';
import { type Block, hull, lengthOf, type Span } from '../geometry/block.ts';
import type { Piece, PieceCut } from './piece.ts';
import { grainOf, ofBody, type Shop } from './shop.ts';

/** Panes sit so deep in the boards beside them, with this play in the seat. */
const SEAT_MM = 6;
const RAIL_MM = 25;

/** Boards of every body: sides along the whole length, ends between them, jointed as asked (handbook 4). */
export const bodyPieces = (shop: Shop): Piece[] =>
  shop.model.stack.bodies.flatMap((placed) => [
    ...wallPieces(shop, placed),
    ...panePieces(shop, placed),
    ...cheekPieces(shop, placed),
    ...openingPieces(shop, placed),
  ]);

const isGlazed = ({ glass }: Body, side: Side): boolean => glass.includes(side);
export const openingCuts = ({ model }: Shop, placed: PlacedBody): PieceCut[] =>
  model.openings
    .filter(({ body }) => body.body.id === placed.body.id)
    .map(({ x, y, z, opening }) => ({
      kind: 'state' in opening ? 'hole' : 'window',
      x,
      y,
      z,
      round: 'shape' in opening && opening.shape === 'round',
    }));

/** Each wall in one piece, or as an outer board and its lining. */
function wallPieces(shop: Shop, placed: PlacedBody): Piece[] {
  const { body, inside, outside, z } = placed;
  const lining = body.lining?.thickness.mm ?? 0;
  const named = ofBody(shop, body.id);
  // Seen from above, the faces of the outer boards: the lining stands between them and the room.
  const core: Pick<Block, 'x' | 'y'> = {
    x: [inside.x[0] - lining, inside.x[1] + lining],
    y: [inside.y[0] - lining, inside.y[1] + lining],
  };
  const cuts: PieceCut[] = [
    ...rebatesOf(placed).map((block): PieceCut => ({ ...block, kind: 'rebate' })),
    ...grooveCuts(placed).map((block): PieceCut => ({ ...block, kind: 'groove' })),
    ...openingCuts(shop, placed),
  ];
  const boards = ringPieces(placed, core, outside, z, jointOf(shop, body), `${named}`, body.material, cuts);
  if (!body.lining) return withSeats(boards, placed);
  const within = ringPieces(placed, inside, core, z, 'butt', `${named}`, body.lining.material, cuts).map(
    (piece): Piece => ({ ...piece, name: piece.name.replace(/^(Side|End)/, '$1 lining') }),
  );
  return [...withSeats(boards, placed), ...within];
}

const jointOf = ({ joint }: Shop, { lining, glass, material }: Body) =>
  lining || glass.length > 0 || (material !== 'pine' && material !== 'plywood') ? 'butt' : joint;

/** Four boards around an opening, without those that are panes; a corner between two panes gets a post. */
function ringPieces(
  { body }: PlacedBody,
  room: Pick<Block, 'x' | 'y'>,
  outer: Pick<Block, 'x' | 'y'>,
  z: Span,
  joint: Shop['joint'],
  named: string,
  material: Body['material'],
  cuts: readonly PieceCut[],
): Piece[] {
  const thick = room.x[0] - outer.x[0];
  const into = joint === 'rebate' ? thick / 2 : joint === 'box' ? thick : 0;
  const endX: Span = [
    isGlazed(body, 'left') ? outer.x[0] : room.x[0] - into,
    isGlazed(body, 'right') ? outer.x[1] : room.x[1] + into,
  ];
  const of = body.id;
  const grain = (axis: 'x' | 'y') => grainOf(material, axis);
  const corners = joint === 'butt' ? [] : cornersOf(room, outer, z);
  const sideCuts: PieceCut[] =
    joint === 'rebate'
      ? corners.map((corner): PieceCut => ({ ...corner, kind: 'rebate', x: halfIn(corner.x, room.x, into) }))
      : fingers(corners, thick, 1);
  const endCuts = joint === 'box' ? fingers(corners, thick, 0) : [];
  const side = (at: 'left' | 'right', x: Span): Piece[] =>
    isGlazed(body, at)
      ? []
      : [
          {
            name: `Side${named}`,
            of,
            material,
            thin: 'x',
            innerUp: at === 'left',
            grain: grain('y'),
            x,
            y: outer.y,
            z,
            cuts: [...cuts, ...sideCuts],
          },
        ];
  const end = (at: 'front' | 'back', y: Span): Piece[] =>
    isGlazed(body, at)
      ? []
      : [
          {
            name: `End${named}`,
            of,
            material,
            thin: 'y',
            innerUp: at === 'front',
            grain: grain('x'),
            x: endX,
            y,
            z,
            cuts: [...cuts, ...endCuts],
          },
        ];
  return [
    ...side('left', [outer.x[0], room.x[0]]),
    ...side('right', [room.x[1], outer.x[1]]),
    ...end('front', [outer.y[0], room.y[0]]),
    ...end('back', [room.y[1], outer.y[1]]),
    ...postPieces(body, room, outer, z, named, material),
  ];
}

function cornersOf(room: Pick<Block, 'x' | 'y'>, outer: Pick<Block, 'x' | 'y'>, z: Span): Block[] {
  const [left, right]: [Span, Span] = [
    [outer.x[0], room.x[0]],
    [room.x[1], outer.x[1]],
  ];
  const [front, back]: [Span, Span] = [
    [outer.y[0], room.y[0]],
    [room.y[1], outer.y[1]],
  ];
  return [left, right].flatMap((x) => [front, back].map((y) => ({ x, y, z })));
}

/** The half of a corner that lies to the room: as deep as the end reaches into the side. */
const halfIn = (corner: Span, room: Span, into: number): Span =>
  corner[1] <= room[0] + 1e-9 ? [room[0] - into, room[0]] : [room[1], room[1] + into];

/** An odd number of fingers about as tall as the board is thick; each board loses every other. */
function fingers(corners: readonly Block[], thick: number, first: 0 | 1): PieceCut[] {
  return corners.flatMap(({ x, y, z }) => {
    const count = Math.max(3, 2 * Math.floor(lengthOf(z) / thick / 2) + 1);
    const tall = lengthOf(z) / count;
    return Array.from({ length: count }, (_, index) => index)
      .filter((index) => index % 2 === first)
      .map(
        (index): PieceCut => ({ kind: 'finger', x, y, z: [z[0] + index * tall, z[0] + (index + 1) * tall] }),
      );
  });
}

function postPieces(
  body: Body,
  room: Pick<Block, 'x' | 'y'>,
  outer: Pick<Block, 'x' | 'y'>,
  z: Span,
  named: string,
  material: Body['material'],
): Piece[] {
  const at = (side: Side): boolean => isGlazed(body, side);
  const xs = { left: [outer.x[0], room.x[0]], right: [room.x[1], outer.x[1]] } as const;
  const ys = { front: [outer.y[0], room.y[0]], back: [room.y[1], outer.y[1]] } as const;
  return (['left', 'right'] as const).flatMap((side) =>
    (['front', 'back'] as const).flatMap((end): Piece[] =>
      at(side) && at(end)
        ? [
            {
              name: `Corner post${named}`,
              of: body.id,
              material,
              thin: 'x',
              innerUp: side === 'left',
              grain: grainOf(material, 'z'),
              x: xs[side],
              y: ys[end],
              z,
              cuts: [],
            },
          ]
        : [],
    ),
  );
}

/** Panes reach into what stands beside them: there a seat is cut. */
function withSeats(pieces: readonly Piece[], placed: PlacedBody): Piece[] {
  const seats = (['left', 'right', 'front', 'back'] as const)
    .filter((side) => isGlazed(placed.body, side))
    .map((side): PieceCut => ({ kind: 'seat', ...paneBlock(placed, side, SEAT_MM) }));
  return pieces.map((piece) => ({ ...piece, cuts: [...piece.cuts, ...seats] }));
}

/** The pane of a side, flush with the room, reaching so far into its neighbours. */
function paneBlock({ body, inside, z }: PlacedBody, side: Side, reach: number): Block {
  const long = (span: Span): Span => [span[0] - reach, span[1] + reach];
  const thick = paneOf(body).thickness.mm;
  if (side === 'left') return { x: [inside.x[0] - thick, inside.x[0]], y: long(inside.y), z };
  if (side === 'right') return { x: [inside.x[1], inside.x[1] + thick], y: long(inside.y), z };
  if (side === 'front') return { x: long(inside.x), y: [inside.y[0] - thick, inside.y[0]], z };
  return { x: long(inside.x), y: [inside.y[1], inside.y[1] + thick], z };
}
/** A pane is cut so much shorter than its seat is deep, at each end. */
const PANE_PLAY_MM = 0.5;

function panePieces(shop: Shop, placed: PlacedBody): Piece[] {
  const { body, inside, outside, z } = placed;
  const named = ofBody(shop, body.id);
  const pane = paneOf(body);
  return body.glass.flatMap((side): Piece[] => {
    const thin = side === 'left' || side === 'right' ? 'x' : 'y';
    const innerUp = side === 'left' || side === 'front';
    const piece: Piece = {
      name: `Pane${named}`,
      of: body.id,
      material: pane.material,
      thin,
      innerUp,
      ...paneBlock(placed, side, SEAT_MM - PANE_PLAY_MM),
      cuts: [],
    };
    // Rails outside the pane hold the corners together, below and above.
    const behind = (span: Span, room: Span): Span =>
      innerUp ? [span[0], room[0] - pane.thickness.mm] : [room[1] + pane.thickness.mm, span[1]];
    const across = {
      x: thin === 'x' ? behind(outside.x, inside.x) : inside.x,
      y: thin === 'y' ? behind(outside.y, inside.y) : inside.y,
    };
    const rails = (
      [
        [z[0], z[0] + RAIL_MM],
        [z[1] - RAIL_MM, z[1]],
      ] as Span[]
    ).map(
      (height): Piece => ({
        name: `Pane rail${named}`,
        of: body.id,
        material: body.material,
        thin,
        innerUp,
        grain: grainOf(body.material, thin === 'x' ? 'y' : 'x'),
        ...across,
        z: height,
        cuts: [],
      }),
    );
    const door: Piece[] = body.doors
      ? [
          {
            name: `Insulated door${named}`,
            of: body.id,
            material: 'foam',
            thin,
            innerUp,
            x:
              thin === 'x'
                ? innerUp
                  ? [outside.x[0] - DOOR_MM, outside.x[0]]
                  : [outside.x[1], outside.x[1] + DOOR_MM]
                : outside.x,
            y:
              thin === 'y'
                ? innerUp
                  ? [outside.y[0] - DOOR_MM, outside.y[0]]
                  : [outside.y[1], outside.y[1] + DOOR_MM]
                : outside.y,
            z,
            cuts: [],
          },
        ]
      : [];
    return [piece, ...rails, ...door];
  });
}

function cheekPieces(shop: Shop, placed: PlacedBody): Piece[] {
  const { body } = placed;
  if (!body.cheeks) return [];
  const cuts = openingCuts(shop, placed);
  const named = ofBody(shop, body.id);
  // The model cuts its cheeks at openings; a board has them in one piece.
  const solids = shop.model.solids.filter(({ id, kind }) => id === body.id && kind === 'cheek');
  const whole = new Map<string, Block>();
  for (const { x, y, z } of solids) {
    const key = `${y[0].toFixed(3)} ${y[1].toFixed(3)}`;
    const known = whole.get(key);
    whole.set(key, known ? { x: hull([known.x, x]), y, z: hull([known.z, z]) } : { x, y, z });
  }
  const middle = (placed.inside.y[0] + placed.inside.y[1]) / 2;
  return [...whole.values()].map((block): Piece => {
    const shelf = lengthOf(block.z) < lengthOf(block.y);
    return {
      name: `${shelf ? 'Lug shelf' : 'Cheek'}${named}`,
      of: body.id,
      material: body.material,
      thin: shelf ? 'z' : 'y',
      innerUp: shelf || block.y[0] < middle,
      grain: grainOf(body.material, 'x'),
      ...block,
      cuts,
    };
  });
}

/** Mesh over every vent, larger than its opening on every side, on the inside of the wall. */
function openingPieces({ model, over }: Shop, placed: PlacedBody): Piece[] {
  const { body, inside } = placed;
  return model.openings
    .filter((opening) => opening.body.body.id === body.id && 'mesh' in opening.opening)
    .map((opening): Piece => {
      const { side } = opening.opening;
      const ends = side === 'front' || side === 'back';
      const wide = (span: Span): Span => [span[0] - over, span[1] + over];
      const face: Span =
        side === 'left'
          ? [inside.x[0], inside.x[0] + MESH_MM]
          : side === 'right'
            ? [inside.x[1] - MESH_MM, inside.x[1]]
            : side === 'front'
              ? [inside.y[0], inside.y[0] + MESH_MM]
              : [inside.y[1] - MESH_MM, inside.y[1]];
      return {
        name: 'Vent mesh',
        of: opening.id,
        material: 'mesh',
        thin: ends ? 'y' : 'x',
        innerUp: side === 'left' || side === 'front',
        x: ends ? wide(opening.x) : face,
        y: ends ? face : wide(opening.y),
        z: wide(opening.z),
        cuts: [],
      };
    });
}
/** Wire mesh and excluder sheet are about this thick. */
export const MESH_MM = 1;
