import type { Board, DesignContent, Entrance, Format, Vent } from '@yellow-cell/contract';
import { around, type Block, cutAll, lengthOf, middleOf, type Span } from '../geometry/block.ts';
import { columnsOf, placesIn, type StandingBoard, standingBoards } from './columns.ts';
import { framesWidth } from './fit.ts';
import type { PlacedBody, Stack } from './stack.ts';

/** Parts of a box as axis-aligned solids, in mm on the design's axes. Round holes are taken as the squares around them. */
export type SolidKind =
  | 'floor'
  | 'rim'
  | 'wall'
  | 'glass'
  | 'cheek'
  | 'board'
  | 'sieve'
  | 'sheet'
  | 'roof'
  | 'plug';
export interface Solid extends Block {
  /** Id of the part that it belongs to. */
  id: string;
  kind: SolidKind;
  /** For a sieve: the width of its slots or meshes, in mm. */
  slot?: number;
}
/** A frame that hangs in a body. `bar` are the ends of its top bar with the lugs, along y. */
export interface FrameSolid extends Block {
  id: string;
  bay: string;
  holds: 'comb' | 'feeder' | 'grafts' | 'bank' | 'display';
  format: Format;
  /** What it takes of the width: its shoulders. */
  shoulders: Span;
  bar: Span;
}
export interface PlacedOpening extends Block {
  id: string;
  body: PlacedBody;
  opening: Entrance | Vent;
}

/** Height of a frame's lug (handbook 2, lug rests). */
export const LUG_MM = 9.5;

export interface Solids {
  solids: readonly Solid[];
  frames: readonly FrameSolid[];
  openings: readonly PlacedOpening[];
  boards: readonly PlacedBoard[];
}
/** A board where it stands in the stack. */
export interface PlacedBoard extends Block, Omit<StandingBoard, 'x'> {
  body: PlacedBody;
}

export function solidsOf(design: DesignContent, stack: Stack): Solids {
  const openings = stack.bodies.flatMap(openingsOf);
  const holes = openings.map(({ x, y, z }) => ({ x, y, z }));
  const boards = stack.bodies.flatMap(boardsOf);
  const shell = [...floorSolids(design, stack), ...stack.bodies.flatMap(wallSolids)];
  return {
    solids: [
      ...cutAll(shell, [...holes, ...stack.bodies.flatMap(grooveCuts)]),
      ...cutAll(stack.bodies.flatMap(cheekSolids), holes),
      ...boards.flatMap(boardSolids),
      ...sheetSolids(stack),
      ...roofSolids(design, stack),
    ],
    frames: stack.bodies.flatMap(framesOf),
    openings,
    boards,
  };
}

function floorSolids({ floor }: DesignContent, { foot, lip, bodies }: Stack): Solid[] {
  const board: Solid = {
    id: 'floor',
    kind: floor.mesh === null ? 'floor' : 'sieve',
    ...foot,
    z: [-floor.thickness.mm, 0],
    ...(floor.mesh === null ? {} : { slot: floor.mesh }),
  };
  const inside = bodies[0]?.inside;
  if (!inside || lip <= 0) return [board];
  return [board, ...ring('floor', 'rim', foot, inside, [0, lip])];
}

/** Four blocks around an opening. */
function ring(
  id: string,
  kind: SolidKind,
  outside: Pick<Block, 'x' | 'y'>,
  inside: Pick<Block, 'x' | 'y'>,
  z: Span,
): Solid[] {
  return [
    { id, kind, x: outside.x, y: [outside.y[0], inside.y[0]], z },
    { id, kind, x: outside.x, y: [inside.y[1], outside.y[1]], z },
    { id, kind, x: [outside.x[0], inside.x[0]], y: inside.y, z },
    { id, kind, x: [inside.x[1], outside.x[1]], y: inside.y, z },
  ];
}

const SIDES = ['front', 'back', 'left', 'right'] as const;

function wallSolids(placed: PlacedBody): Solid[] {
  const { body, outside, inside, z } = placed;
  const walls = ring(body.id, 'wall', outside, inside, z).map(
    (wall, index): Solid =>
      body.glass.includes(SIDES[index] ?? 'front') ? { ...wall, kind: 'glass' } : wall,
  );
  return cutAll(walls, rebatesOf(placed));
}

/** The lug rebates: they run on past every divider. With cheeks they lie over these. */
export function rebatesOf({ body, inside, z }: PlacedBody): Block[] {
  const { rebate, cheeks } = body;
  if (!rebate) return [];
  const inset = cheeks?.inset.mm ?? 0;
  const height: Span = [z[1] - rebate.depth.mm, z[1]];
  const [front, back] = [inside.y[0] + inset, inside.y[1] - inset];
  return [
    { x: inside.x, y: [front - rebate.width.mm, front], z: height },
    { x: inside.x, y: [back, back + rebate.width.mm], z: height },
  ];
}

/** What is cut into the end walls for the boards that stand in grooves. */
export function grooveCuts(placed: PlacedBody): Block[] {
  const { body, inside, x, room } = placed;
  return standingBoards(body).flatMap(({ groove, x: at }) => {
    const depth = groove.depth.mm;
    if (depth === 0) return [];
    const play = groove.play.mm / 2;
    const across: Span = [x + at[0] - play, x + at[1] + play];
    return [
      { x: across, y: [inside.y[0] - depth, inside.y[0]], z: [Math.max(room[0], placed.z[0]), placed.z[1]] },
      { x: across, y: [inside.y[1], inside.y[1] + depth], z: [Math.max(room[0], placed.z[0]), placed.z[1]] },
    ] satisfies Block[];
  });
}

/** Boards that narrow the cavity, and the shelves behind the lugs that close the voids above. */
function cheekSolids(placed: PlacedBody): Solid[] {
  const { body, inside, z, room } = placed;
  const { cheeks, rebate } = body;
  if (!cheeks) return [];
  const [inset, thickness] = [cheeks.inset.mm, cheeks.thickness.mm];
  const shelf = rebate?.depth.mm ?? 0;
  const behind = inset - (rebate?.width.mm ?? 0);
  const solid = (y: Span, height: Span): Solid => ({ id: body.id, kind: 'cheek', x: inside.x, y, z: height });
  const [front, back] = inside.y;
  return [
    solid([front + inset - thickness, front + inset], [room[0], z[1] - shelf]),
    solid([back - inset, back - inset + thickness], [room[0], z[1] - shelf]),
    ...(shelf > 0 && behind > 0
      ? [
          solid([front, front + behind], [z[1] - shelf, z[1]]),
          solid([back - behind, back], [z[1] - shelf, z[1]]),
        ]
      : []),
  ];
}

/** A board reaches into its groove, less half the play; without a groove it ends at the wall, less what is left free. */
function boardsOf(placed: PlacedBody): PlacedBoard[] {
  const { body, inside, z, room } = placed;
  const inset = body.cheeks?.inset.mm ?? 0;
  return standingBoards(body).map(({ board, groove, x }): PlacedBoard => {
    const reach = groove.depth.mm > 0 ? groove.depth.mm - groove.play.mm / 2 : 0;
    const end = reach - board.ends.mm - inset;
    return {
      board,
      groove,
      body: placed,
      x: [placed.x + x[0], placed.x + x[1]],
      y: [inside.y[0] - end, inside.y[1] + end],
      z: [Math.max(room[0], z[0] - board.down.mm), Math.min(z[1], z[1] + board.up.mm)],
    };
  });
}

/** A board with its slots: all of it, or the window in its middle; and the ears that fill the rebates. */
function boardSolids(placed: PlacedBoard): Solid[] {
  const { board, body, x, y, z } = placed;
  const whole: Solid = { id: board.id, kind: 'board', x, y, z };
  const ears: Solid[] = board.ears
    ? rebatesOf(body).map((rebate) => ({
        id: board.id,
        kind: 'board',
        x,
        y: rebate.y,
        z: [rebate.z[0], z[1]],
      }))
    : [];
  if (board.slot === null) return [whole, ...ears];
  if (!board.window) return [{ ...whole, kind: 'sieve', slot: board.slot }, ...ears];
  const window = windowOf(board, placed);
  return [
    ...cutAll([whole], [window]),
    { id: board.id, kind: 'sieve', slot: board.slot, ...window },
    ...ears,
  ];
}

export function windowOf({ window }: Board, { x, y, z }: Block): Block {
  if (!window) return { x, y, z };
  return {
    x,
    y: around(middleOf(y), Math.min(window.width.mm, lengthOf(y))),
    z: around(middleOf(z), Math.min(window.height.mm, lengthOf(z))),
  };
}

function sheetSolids({ sheets }: Stack): Solid[] {
  return sheets.flatMap(({ sheet, block }) => {
    const whole: Solid =
      sheet.slot === null
        ? { id: sheet.id, kind: 'sheet', ...block }
        : { id: sheet.id, kind: 'sieve', slot: sheet.slot, ...block };
    const holes = sheet.holes.map((hole) => holeBlock(hole, block));
    const closers = sheet.holes.flatMap((hole, index): Solid[] => {
      if (hole.closedBy === 'nothing') return [];
      const slot = CLOSER_SLOT_MM[hole.closedBy];
      const at = holes[index] as Block;
      // A plug fills its hole; what stands on it or lies under it leaves the hole itself open from below.
      if (hole.closedBy === 'plug') return [{ id: hole.id, kind: 'plug', ...at }];
      const lid: Span = [at.z[1] - CLOSER_MM, at.z[1]];
      return [
        slot === 0
          ? { id: hole.id, kind: 'plug', ...at, z: lid }
          : { id: hole.id, kind: 'sieve', slot, ...at, z: lid },
      ];
    });
    return [...cutAll([whole], holes), ...closers];
  });
}
/** What closes a hole from above is this thick in the sheet. */
export const CLOSER_MM = 0.5;
/** What a closer lets through: meshes, excluders and escapes by their usual openings. */
export const CLOSER_SLOT_MM = { jar: 0, plug: 0, mesh: 2.5, excluder: 4.2, escape: 8 } as const;

export const holeBlock = (
  hole: { x: { mm: number }; y: { mm: number }; width: { mm: number }; length: { mm: number } },
  { z }: Block,
): Block => ({ x: around(hole.x.mm, hole.width.mm), y: around(hole.y.mm, hole.length.mm), z });

function roofSolids({ roof }: DesignContent, { head, top }: Stack): Solid[] {
  const room = roof.room.mm;
  const rim = ROOF_RIM_MM;
  const inside = {
    x: [head.x[0] + rim, head.x[1] - rim] as Span,
    y: [head.y[0] + rim, head.y[1] - rim] as Span,
  };
  return [
    ...(room > 0 ? ring('roof', 'roof', head, inside, [top, top + room]) : []),
    {
      id: 'roof',
      kind: roof.kind === 'glazed' ? 'glass' : 'roof',
      ...head,
      z: [top + room, top + room + roof.thickness.mm],
    },
  ];
}
export const ROOF_RIM_MM = 12;

function openingsOf(placed: PlacedBody): PlacedOpening[] {
  const { body, inside, outside, z } = placed;
  const inset = body.cheeks?.inset.mm ?? 0;
  const through: Readonly<Record<(typeof SIDES)[number], Span>> = {
    front: [outside.y[0], inside.y[0] + inset],
    back: [inside.y[1] - inset, outside.y[1]],
    left: [outside.x[0], inside.x[0]],
    right: [inside.x[1], outside.x[1]],
  };
  return [...body.entrances, ...body.vents].map((opening) => {
    const height = around(z[0] + opening.height.mm, opening.tall.mm);
    const ends = opening.side === 'front' || opening.side === 'back';
    const along = around((ends ? placed.x : placed.y) + opening.along.mm, opening.width.mm);
    return {
      id: opening.id,
      body: placed,
      opening,
      x: ends ? along : through[opening.side],
      y: ends ? through[opening.side] : along,
      z: height,
    };
  });
}

/** Frames hang at their pitch, set to the middle of their column, along the cavity. */
function framesOf(placed: PlacedBody): FrameSolid[] {
  const { body, inside, z } = placed;
  const hangs = z[1] - (body.rebate?.depth.mm ?? 0) + LUG_MM;
  const centre = middleOf(inside.y);
  return columnsOf(body).flatMap(({ bays, x }) => {
    const format = bays[0]?.format ?? body.format;
    const width = framesWidth(placesIn(bays), format);
    const side = format.hung ? (width - (placesIn(bays) - 1) * format.pitch_mm - format.barWidth_mm) / 2 : 0;
    const lead = format.hung ? side + format.barWidth_mm / 2 : format.pitch_mm / 2;
    let place = 0;
    return bays.flatMap((bay) =>
      bay.frames.map(({ id, holds }): FrameSolid => {
        const room = holds === 'bank' ? 2 : 1;
        const middle = placed.x + middleOf(x) - width / 2 + lead + (place + (room - 1) / 2) * format.pitch_mm;
        place += room;
        const top = Math.min(z[1], hangs);
        return {
          id,
          bay: bay.id,
          holds,
          format,
          x: around(middle, Math.min(format.barWidth_mm, format.pitch_mm) * (room === 2 ? 1.6 : 1)),
          shoulders: around(middle, (format.hung ? format.barWidth_mm : format.pitch_mm) * room),
          y: around(centre, format.bodyLength_mm),
          bar: around(centre, format.topBar_mm),
          z: [top - format.depth_mm, top],
        };
      }),
    );
  });
}
