import { z } from 'zod';
import { EntranceState } from '../compute.ts';
import { Floor, Roof } from '../design.ts';
import { Board, Body, Hole, Sheet, Slot } from '../layer.ts';
import { Id, name, PartId, text, wholeNumber } from '../primitives.ts';
import { Role } from '../status.ts';
import { Condition } from '../workshop.ts';
import { count } from './where.ts';

export const Layer = z.discriminatedUnion('kind', [Body, Sheet]);
export type Layer = z.infer<typeof Layer>;
/** How many layers stand below, from the floor. */
const place = wholeNumber(0).max(20, 'At most 20 layers make a stack.');
/** Bees that are parted from their colony by it are this colony from then on. */
const parted = Id.optional();

/** What happens to a box itself: where it stands, and how its parts stand against its design. */
export const boxEvents = {
  boxBuilt: z.strictObject({
    box: Id,
    label: name(20),
    design: Id,
    version: wholeNumber(1),
    /** Made of layers of another box, with all that is in them, on the floor and under the roof of its design. */
    of: z.strictObject({ box: Id, layers: z.array(PartId).min(1).max(20) }).optional(),
    parted,
  }),
  /** Put somewhere, moved, or turned. */
  boxPlaced: z.strictObject({
    box: Id,
    yard: Id,
    stand: name(40),
    /** Where it stands on the yard's plan: metres east and north of the plan's south-west corner. */
    east_m: z.number().min(0).max(2_000),
    north_m: z.number().min(0).max(2_000),
    /** Bearing of the front from true north, clockwise. */
    bearing_deg: z.number().min(0).lt(360),
  }),
  /** Set on top of another box, or with null taken down from it. */
  boxStacked: z.strictObject({ box: Id, onto: Id.nullable() }),
  boxTakenApart: z.strictObject({ box: Id }),
  /** What a room, or with no bays named the whole box, serves as from now on; its roles over time stay in the record. */
  roleSet: z.strictObject({ box: Id, role: Role, bays: z.array(PartId).min(1).max(100).optional() }),
  /** A step of its build, ticked off or taken back; steps are named by core's build sheet. */
  buildTicked: z.strictObject({ box: Id, step: name(40), done: z.boolean() }),
  /** What a box is like: its finish, its condition, what is missing of it. */
  boxInspected: z.strictObject({ box: Id, finish: text(80), condition: Condition, missing: text(200) }),
  /** A body, rim, excluder, cover, screen or tray put on, `at` so many layers from the floor; new, or one that lay off at a box. */
  layerPut: z.strictObject({ box: Id, layer: Layer, at: place, from: Id.optional() }),
  /** Taken off, to lie beside the box; or onto another box, with its frames, bees and queen. */
  layerTaken: z.strictObject({
    box: Id,
    layer: PartId,
    to: z.strictObject({ box: Id, at: place }).optional(),
    parted,
  }),
  /** The floor, or the roof, exchanged for another. */
  floorSet: z.strictObject({ box: Id, floor: Floor }),
  roofSet: z.strictObject({ box: Id, roof: Roof }),
  /** Boards put in across the ends of a body, or taken out. */
  cheeksSet: z.strictObject({ box: Id, body: PartId, cheeks: Body.shape.cheeks }),
  /** A follower, dummy or divider put into a body that was drawn without it: its place and new bay as of a board set by hand. */
  boardAdded: z.strictObject({
    box: Id,
    body: PartId,
    board: Board,
    at_mm: z.number().min(0).max(3_000),
    framesLeft: count('Frames left of the board', 100),
    bay: PartId,
  }),
  /** A divider, follower or dummy of the design pulled, or set back into its place. */
  dividerSet: z.strictObject({ box: Id, board: PartId, stands: z.boolean() }),
  /** A follower, dummy or divider set into another groove of its body. */
  boardMoved: z.strictObject({ box: Id, board: PartId, groove: PartId }),
  /**
   * A board set by hand where the design has no place for it: `at_mm` is its face nearer x = 0, `framesLeft` how many
   * frames of the bay that it falls into stand left of it. The place, and the bay that it parts off to its right,
   * bear these ids from then on.
   */
  boardPlaced: z.strictObject({
    box: Id,
    board: PartId,
    at_mm: z.number().min(0).max(3_000),
    framesLeft: count('Frames left of the board', 100),
    groove: PartId,
    bay: PartId,
  }),
  /** A feeder put into a frame's place, or a comb in place of it. */
  slotSet: z.strictObject({ box: Id, slot: PartId, holds: Slot.shape.holds }),
  /** A disc turned, a slide moved. */
  entranceSet: z.strictObject({ box: Id, entrance: PartId, state: EntranceState }),
  ventSet: z.strictObject({ box: Id, vent: PartId, open: z.boolean() }),
  /** What stands on a hole of an inner cover: a jar, a plug, mesh, or nothing. */
  holeSet: z.strictObject({ box: Id, hole: PartId, closedBy: Hole.shape.closedBy }),
  weighed: z.strictObject({
    box: Id,
    weight_kg: z
      .number()
      .gt(0, 'A box weighs more than 0 kg.')
      .max(300, 'No box of more than 300 kg is weighed.'),
    /** Hefted by hand: a guess. */
    felt: z.boolean(),
  }),
  temperatureRead: z.strictObject({
    box: Id,
    colony: Id.optional(),
    inside_C: z.number().min(-40).max(70, 'No box is hotter than 70 °C inside.'),
  }),
} as const;
