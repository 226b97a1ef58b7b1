import { z } from 'zod';
import { Body, Sheet } from './layer.ts';
import { claimedR, Id, Instant, name, positive, text, wholeNumber, zeroOrMore } from './primitives.ts';

/** The schema of design contents that this program writes; older ones are upgraded, newer ones refused. */
export const DESIGN_SCHEMA_VERSION = 2;

/** The fifteen families of boxes (handbook 2). */
export const Family = z.enum([
  'nucleus',
  'twoWayNucleus',
  'twoWayBody',
  'threeWay',
  'fourWay',
  'donorHolding',
  'allInOne',
  'starter',
  'quarter',
  'smallFormat',
  'foldedSheet',
  'observation',
  'bank',
  'changer',
  'followerReduced',
]);
export type Family = z.infer<typeof Family>;

/** What closes the stack below. `lip` is the height of its raised rim, by which the first body stands above the floor. */
export const Floor = z.strictObject({
  kind: z.enum(['solid', 'mesh', 'tray']),
  thickness: positive("The floor's thickness"),
  lip: zeroOrMore("The floor's lip"),
  /** Opening of its mesh, in mm; null where it has none. */
  mesh: z.number().gt(0, 'A mesh has an opening above 0 mm.').max(20).nullable(),
  /** Fixed to the body for good, or one that fits every body of the kind. */
  fixed: z.boolean(),
  /** Lengths of the strips of the front rim; with the entrance slots between them they fill the inside width. Empty: in one piece. */
  strips: z.array(positive("A strip's length")).max(20, 'At most 20 strips make a rim.'),
});
export type Floor = z.infer<typeof Floor>;

/** What closes the stack above. `room` is the height of the air space under it. */
export const Roof = z.strictObject({
  kind: z.enum(['flat', 'deep', 'insulated', 'glazed']),
  thickness: positive("The roof's thickness"),
  room: zeroOrMore('The room under the roof'),
  /** One lid over all compartments, or one for each. */
  each: z.boolean(),
  claimedR,
});
export type Roof = z.infer<typeof Roof>;

/** A box folded from one sheet: what must be done to it before bees travel in it. */
export const Folding = z.strictObject({
  seamsTaped: z.boolean(),
  /** The outside and the way up are marked on the sheet before anything is glued. */
  marked: z.boolean(),
  /** Feet of the frames are guided, so that they cannot swing. */
  guided: z.boolean(),
});
export type Folding = z.infer<typeof Folding>;

/** What a whole stack holds at most, so that a question about it is answered within seconds. */
const MOST_BOARDS = 40;
const MOST_OPENINGS = 60;
const MOST_FRAMES = 1_500;
const sumOf = (layers: readonly (Body | Sheet)[], partsOf: (body: Body) => readonly unknown[]): number =>
  layers.reduce((sum, layer) => sum + (layer.kind === 'body' ? partsOf(layer).length : 0), 0);

/** A check that the breeder lets stand, with the reason; `check` is the check's own key. */
export const Overrule = z.strictObject({ check: name(200), reason: name(300) });
export type Overrule = z.infer<typeof Overrule>;

/**
 * What a design says, and nothing that can be derived from it. Right-handed axes in mm, origin at the
 * inside floor in the front left corner of the first body: x across the frames, y from front to back, z up.
 */
export const DesignContent = z.strictObject({
  schemaVersion: z.literal(DESIGN_SCHEMA_VERSION),
  family: Family,
  /** How many part ids were ever given in this design, so that none is given twice. */
  lastPart: wholeNumber(0),
  floor: Floor,
  /** From the floor up; the first is a body. */
  layers: z
    .array(z.discriminatedUnion('kind', [Body, Sheet]))
    .min(1, 'A stack has at least one body.')
    .max(20, 'At most 20 layers make a stack.')
    .refine(
      (layers) => sumOf(layers, ({ boards }) => boards) <= MOST_BOARDS,
      `At most ${MOST_BOARDS} dividers fit a stack.`,
    )
    .refine(
      (layers) => sumOf(layers, ({ entrances, vents }) => [...entrances, ...vents]) <= MOST_OPENINGS,
      `At most ${MOST_OPENINGS} entrances and vents fit a stack.`,
    )
    .refine(
      (layers) => sumOf(layers, ({ bays }) => bays.flatMap(({ frames }) => frames)) <= MOST_FRAMES,
      `At most ${MOST_FRAMES} frames fit a stack.`,
    ),
  roof: Roof,
  fastenings: z.array(z.enum(['latches', 'strap', 'screws'])).max(3),
  folding: Folding.nullable(),
  /** Heated area of the printer's bed that the parts come from; null where nothing is printed. */
  bed: z
    .strictObject({ width: positive("The bed's width"), length: positive("The bed's length") })
    .nullable(),
  /** Width of the vaporiser that the breeder owns; null where none is used. */
  vaporiser: positive("The vaporiser's width").nullable(),
  overrules: z.array(Overrule).max(200, 'At most 200 checks can be overruled.'),
  /** Limits that this design sets otherwise: name → mm. The names are those of core's own table. */
  limits: z.record(text(40), z.number()),
});
export type DesignContent = z.infer<typeof DesignContent>;

/** A saved version never changes. */
export const DesignVersion = z.strictObject({
  id: Id,
  number: wholeNumber(1),
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
  basedOn: wholeNumber(1),
  name: name(80),
  version: NewVersion,
});
export type NextVersion = z.infer<typeof NextVersion>;

/** A design as a file: what is exported, and imported whole or not at all. */
export const DesignFile = z.strictObject({
  yellowCell: z.literal('design'),
  name: name(80),
  content: DesignContent,
});
export type DesignFile = z.infer<typeof DesignFile>;
