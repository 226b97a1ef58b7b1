import { z } from 'zod';
import { Format } from './format.ts';
import { Id, Instant, Length, name, PartId, text } from './primitives.ts';

/** The schema of design contents that this program writes; older ones are upgraded, newer ones refused. */
export const DESIGN_SCHEMA_VERSION = 1;

const positive = (what: string) =>
  Length.refine(({ mm }) => mm > 0, { path: ['mm'], error: `${what} must be above 0 mm.` }).refine(
    ({ mm }) => mm <= 5_000,
    { path: ['mm'], error: `${what} of more than 5,000 mm is not a hive body's.` },
  );

export const Side = z.enum(['front', 'back', 'left', 'right']);
export type Side = z.infer<typeof Side>;

/** A slot across the cavity that holds a divider. `at` is its face nearer x = 0, measured from the inside left wall. */
export const Groove = z.strictObject({ id: PartId, at: Length });
/** A divider board that stands in a groove. */
export const Board = z.strictObject({
  id: PartId,
  groove: PartId,
  kind: z.enum(['tight', 'excluder', 'screen', 'open']),
  thickness: positive("A divider's thickness"),
});
/** The elementary room between neighbouring possible dividers, in order from x = 0. */
export const Bay = z.strictObject({
  id: PartId,
  frames: z.array(PartId).max(100, 'At most 100 frames stand in a bay.'),
});
/** A round hole through a wall, for flight. `along` is its centre along that wall: x on front and back, y on left and right. */
export const Entrance = z.strictObject({
  id: PartId,
  bay: PartId,
  side: Side,
  along: Length,
  diameter: positive("An entrance's diameter"),
});
export type Entrance = z.infer<typeof Entrance>;

/**
 * What a design says, and nothing that can be derived from it. Right-handed axes in mm, origin at the
 * inside floor in the front left corner: x across the frames, y from front to back, z up.
 */
export const DesignContent = z.strictObject({
  schemaVersion: z.literal(DESIGN_SCHEMA_VERSION),
  format: Format,
  insideWidth: positive('The inside width'),
  insideLength: positive('The inside length'),
  depth: positive('The depth'),
  wall: positive('The wall'),
  /** How many part ids were ever given in this design, so that none is given twice. */
  lastPart: z.number().int().min(0),
  grooves: z.array(Groove).max(40, 'At most 40 grooves fit a design.'),
  boards: z.array(Board).max(40, 'At most 40 dividers fit a design.'),
  bays: z.array(Bay).min(1, 'A body has at least one bay.').max(41, 'At most 41 bays fit a design.'),
  entrances: z.array(Entrance).max(100, 'At most 100 entrances fit a design.'),
});
export type DesignContent = z.infer<typeof DesignContent>;

/** A saved version never changes. */
export const DesignVersion = z.strictObject({
  id: Id,
  number: z.number().int().min(1),
  content: DesignContent,
  note: text(500),
  savedAt: Instant,
  savedBy: z.string(),
});
export type DesignVersion = z.infer<typeof DesignVersion>;

export const Design = z.strictObject({ id: Id, name: name(80), versions: z.array(DesignVersion).min(1) });
export type Design = z.infer<typeof Design>;

/** The list's line: the newest version, and how many boxes were built from any. */
export const DesignSummary = z.strictObject({
  id: Id,
  name: z.string(),
  latest: DesignVersion,
  boxes: z.number().int(),
});
export type DesignSummary = z.infer<typeof DesignSummary>;

export const NewVersion = z.strictObject({ id: Id, content: DesignContent, note: text(500) });
export type NewVersion = z.infer<typeof NewVersion>;
export const NewDesign = z.strictObject({ id: Id, name: name(80), version: NewVersion });
export type NewDesign = z.infer<typeof NewDesign>;
/** `basedOn` is the number of the version that the writer saw; a newer one in between is a conflict. */
export const NextVersion = z.strictObject({
  basedOn: z.number().int().min(1),
  name: name(80),
  version: NewVersion,
});
export type NextVersion = z.infer<typeof NextVersion>;
