import { z } from 'zod';
import { EntranceState } from './compute.ts';
import { Format } from './format.ts';
import { claimedR, Length, PartId, positive, signed, text, zeroOrMore } from './primitives.ts';

/** The layers of a stack: bodies (rims are bodies without frames) and the sheets that lie between them. */

export const Side = z.enum(['front', 'back', 'left', 'right']);
export type Side = z.infer<typeof Side>;
export const Material = z.enum(['pine', 'plywood', 'foam', 'plastic', 'corrugated', 'glass']);
export type Material = z.infer<typeof Material>;

/**
 * A place across the cavity where a divider can stand. `at` is the face nearer x = 0, from the inside left wall;
 * `depth` is how far it is cut into each end wall (0: none, the board is set by hand) and `play` how much wider than the board.
 */
export const Groove = z.strictObject({
  id: PartId,
  at: Length,
  depth: zeroOrMore("A groove's depth"),
  play: zeroOrMore("A groove's play"),
});
export type Groove = z.infer<typeof Groove>;

export const BoardKind = z.enum(['tight', 'excluder', 'screen', 'open', 'follower', 'dummy']);
export type BoardKind = z.infer<typeof BoardKind>;
/** A board across the cavity that stands in a groove, or by hand in a place without one. */
export const Board = z.strictObject({
  id: PartId,
  groove: PartId,
  kind: BoardKind,
  thickness: positive("A divider's thickness"),
  /** How far its upper edge stands above the body's (below: negative), and its lower edge below the body's. */
  up: signed("A board's upper edge"),
  down: signed("A board's lower edge"),
  /** Left free at each end. */
  ends: zeroOrMore("A board's play at its ends"),
  /** Ears on the board, or blocks, that fill the lug rebates. */
  ears: z.boolean(),
  /** Width of its slots or meshes where bees or air pass it; null for a plain board. */
  slot: z.number().gt(0, 'A slot must be wider than 0 mm.').max(50).nullable(),
  /** The part of it that is slotted, in its middle; null for all of it. */
  window: z
    .strictObject({ width: positive("A window's width"), height: positive("A window's height") })
    .nullable(),
});
export type Board = z.infer<typeof Board>;

/** What stands in a frame's place. A bank frame takes the room of two. */
export const Slot = z.strictObject({
  id: PartId,
  holds: z.enum(['comb', 'feeder', 'grafts', 'bank', 'display']),
});
export type Slot = z.infer<typeof Slot>;

/** What is meant to live between two boundaries: it tells the checks whom to keep apart. */
export const BayUse = z.enum(['colony', 'mating', 'held', 'grafts', 'bees', 'bank', 'stores', 'nothing']);
export type BayUse = z.infer<typeof BayUse>;
/** The elementary room between neighbouring possible boards, in order from x = 0. */
export const Bay = z.strictObject({
  id: PartId,
  frames: z.array(Slot).max(100, 'At most 100 frames stand in a bay.'),
  /** A shorter or lower format than the body's own; null for the body's. */
  format: Format.nullable(),
  use: BayUse,
});
export type Bay = z.infer<typeof Bay>;

/** Shapes and colours that bees tell apart (handbook 2, finding home). */
export const Mark = z.strictObject({
  shape: z.enum(['disc', 'ring', 'rays', 'bars', 'cross', 'frame', 'chevrons', 'twin', 'halves', 'rings']),
  colour: z.enum(['yellow', 'blue', 'white', 'black']),
});
export type Mark = z.infer<typeof Mark>;

/** An opening through a wall. `along` is its centre along that wall: x on front and back, y on left and right; `height` its centre above the body's lower edge. */
const opening = {
  id: PartId,
  side: Side,
  along: Length,
  height: signed("An opening's height"),
  width: positive("An opening's width"),
  tall: positive("An opening's tallness"),
};
export const Entrance = z.strictObject({
  ...opening,
  shape: z.enum(['round', 'slot']),
  state: EntranceState,
  mark: Mark.nullable(),
  /** Led in a closed tunnel through the cheek behind the wall, so that the room between them is shut. */
  tunnel: z.boolean().optional(),
});
export type Entrance = z.infer<typeof Entrance>;
export const Vent = z.strictObject({
  ...opening,
  /** Opening of the mesh over it, in mm. */
  mesh: z.number().gt(0, 'A mesh has an opening above 0 mm.').max(20),
});
export type Vent = z.infer<typeof Vent>;

/** One open-ended box. Without a rebate and frames it is a rim. */
export const Body = z.strictObject({
  kind: z.literal('body'),
  id: PartId,
  name: text(40),
  format: Format,
  insideWidth: positive('The inside width'),
  insideLength: positive('The inside length'),
  depth: positive('The depth'),
  wall: positive('The wall'),
  material: Material,
  /** A second wall or insulation inside the thickness of the wall; null where it is of one piece. */
  lining: z.strictObject({ material: Material, thickness: positive("The lining's thickness") }).nullable(),
  rebate: z
    .strictObject({ width: positive("The rebate's width"), depth: positive("The rebate's depth") })
    .nullable(),
  /** Boards across both ends that narrow the cavity for shorter frames: face to the frames from the wall, and thickness. */
  cheeks: z
    .strictObject({ inset: positive("The cheeks' inset"), thickness: positive("The cheeks' thickness") })
    .nullable(),
  /** Sides that are panes of glass. */
  glass: z.array(Side).max(4),
  /** What its panes are; left out, glass of 4 mm. */
  pane: z
    .strictObject({ material: z.enum(['glass', 'plastic']), thickness: positive("A pane's thickness") })
    .optional(),
  /** Insulated doors before the panes. */
  doors: z.boolean(),
  /** Where its inside front left corner stands, from that of the first body. */
  offset: z.strictObject({ x: signed('An offset'), y: signed('An offset') }),
  /** Stands beside the body before it on the same level, not on top of it. */
  beside: z.boolean(),
  grooves: z.array(Groove).max(40, 'At most 40 grooves fit a body.'),
  boards: z.array(Board).max(40, 'At most 40 dividers fit a body.'),
  bays: z.array(Bay).min(1, 'A body has at least one bay.').max(41, 'At most 41 bays fit a body.'),
  entrances: z.array(Entrance).max(60, 'At most 60 entrances fit a body.'),
  vents: z.array(Vent).max(60, 'At most 60 vents fit a body.'),
});
export type Body = z.infer<typeof Body>;

/** A hole through a sheet, and what stands on it or closes it. `x` and `y` are its centre. */
export const Hole = z.strictObject({
  id: PartId,
  x: Length,
  y: Length,
  width: positive("A hole's width"),
  length: positive("A hole's length"),
  /** An escape lets bees down and not back. */
  closedBy: z.enum(['nothing', 'jar', 'mesh', 'plug', 'excluder', 'escape']),
});
export type Hole = z.infer<typeof Hole>;

/** Something flat that lies across a stack: inner covers, excluders, screens, trays. */
export const Sheet = z.strictObject({
  kind: z.literal('sheet'),
  id: PartId,
  what: z.enum(['board', 'cloth', 'foil', 'slats', 'mesh', 'excluder', 'screen', 'tray']),
  thickness: positive("A sheet's thickness"),
  /** One over all, or one for each compartment, so that one stays shut while the other is open. */
  each: z.boolean(),
  /** Width of its slots or meshes, in mm; null where nothing passes but by its holes. */
  slot: z.number().gt(0, 'A slot must be wider than 0 mm.').max(50).nullable(),
  /** Format that it is cut for. */
  fits: text(80),
  holes: z.array(Hole).max(40, 'At most 40 holes fit a sheet.'),
  claimedR,
});
export type Sheet = z.infer<typeof Sheet>;
