import { z } from 'zod';
import { DesignContent } from './design.ts';
import { Material } from './layer.ts';
import { OwnFigures, text } from './primitives.ts';

/** From a design to parts, sheets and files. Lengths in mm; a part's x runs along its length, y along its width. */

/** How the corners of a body meet: ends between the sides, ends in rebates of the sides, or fingers. */
export const Joint = z.enum(['butt', 'rebate', 'box']);
export type Joint = z.infer<typeof Joint>;
export const PartMaterial = z.enum([...Material.options, 'cloth', 'foil', 'slats', 'mesh', 'excluder']);
export type PartMaterial = z.infer<typeof PartMaterial>;

/** What is cut into a part: `depth_mm` null goes through; `face` is the one it is cut from. A round hole has its diameter as width and height. */
export const Machining = z.strictObject({
  kind: z.enum(['rebate', 'groove', 'hole', 'window', 'finger', 'notch', 'seat']),
  x_mm: z.number(),
  y_mm: z.number(),
  width_mm: z.number(),
  height_mm: z.number(),
  depth_mm: z.number().nullable(),
  face: z.enum(['inner', 'outer']),
  round: z.boolean(),
});
export type Machining = z.infer<typeof Machining>;
const point = z.tuple([z.number(), z.number()]);
export const BendLine = z.strictObject({ from: point, to: point });
export type BendLine = z.infer<typeof BendLine>;

export const BuildPart = z.strictObject({
  /** Stands for it in steps, sheets and drawings. */
  key: z.string(),
  name: z.string(),
  /** Parts of the design that it belongs to, and where each of `count` stands in the box. */
  of: z.string(),
  material: PartMaterial,
  count: z.number().int(),
  length_mm: z.number(),
  width_mm: z.number(),
  thickness_mm: z.number(),
  /** Along its length or its width; none where it may be turned on the sheet. */
  grain: z.enum(['length', 'width', 'none']),
  /** As cut, seen from its inner face: the outer ring, then the holes in it that are not round. */
  rings: z.array(z.array(point)),
  machining: z.array(Machining),
  bends: z.array(BendLine),
  /** Net of all that is cut away, of one, in kg. */
  weight_kg: z.number(),
  /** Printed in one piece, or in pieces that are joined: its length, width and thickness are what it fills, and no sheet is cut for it. */
  printed: z.literal(true).optional(),
});
export type BuildPart = z.infer<typeof BuildPart>;

/** A measure that parts make together against what the design wants; both figures are named where they differ. */
export const Closure = z.strictObject({
  key: z.string(),
  made_mm: z.number(),
  wanted_mm: z.number(),
  holds: z.boolean(),
  sentence: z.string(),
});
export type Closure = z.infer<typeof Closure>;

export const Fitting = z.strictObject({ key: z.string(), name: z.string(), count: z.number().int() });
export type Fitting = z.infer<typeof Fitting>;

export const BoxWeights = z.strictObject({
  empty_kg: z.number(),
  /** With bees and combs as in the season, and with every comb full of honey. */
  season_kg: z.number(),
  full_kg: z.number(),
  /** Of the heaviest piece that is lifted by itself when full. */
  heaviestLift_kg: z.number(),
  heaviest: z.string(),
  sentence: z.string(),
});
export type BoxWeights = z.infer<typeof BoxWeights>;

export const boxCount = z
  .number()
  .int('Boxes are counted in whole numbers.')
  .min(1, 'At least 1 box is built.')
  .max(500, 'At most 500 boxes can be asked about.');
export const PartsQuestion = z.strictObject({
  design: DesignContent,
  joint: Joint.optional(),
  constants: OwnFigures.optional(),
});
export type PartsQuestion = z.infer<typeof PartsQuestion>;
export const PartsAnswer = z.strictObject({
  parts: z.array(BuildPart),
  fittings: z.array(Fitting),
  closures: z.array(Closure),
  weights: BoxWeights,
});
export type PartsAnswer = z.infer<typeof PartsAnswer>;

const side = (what: string) =>
  z.number().gt(0, `${what} must be above 0 mm.`).max(20_000, `${what} must be at most 20,000 mm.`);
export const NestPart = z.strictObject({
  name: text(200),
  width_mm: side("A part's width"),
  height_mm: side("A part's height"),
  count: z
    .number()
    .int('Parts are counted in whole numbers.')
    .min(1, 'A part is wanted at least once.')
    .max(2_000, 'A part is wanted at most 2,000 times.'),
  /** False keeps the grain. */
  turn: z.boolean(),
});
export type NestPart = z.infer<typeof NestPart>;
const Stock = z.strictObject({ width_mm: side("A sheet's width"), height_mm: side("A sheet's height") });
/** What is laid out within a few seconds. */
const MOST_PIECES = 5_000;
export const NestQuestion = z.strictObject({
  sheet: Stock,
  kerf_mm: z.number().min(0, 'The kerf cannot be below 0 mm.').max(50, 'No saw cuts wider than 50 mm.'),
  parts: z
    .array(NestPart)
    .max(500, 'At most 500 kinds of parts can be asked about.')
    .refine(
      (parts) => parts.reduce((sum, { count }) => sum + count, 0) <= MOST_PIECES,
      `At most ${MOST_PIECES} pieces are laid out at once; ask for fewer boxes.`,
    ),
  /** Pieces at hand, each of which is used at most once, before any sheet is bought. */
  offcuts: z
    .array(Stock.extend({ name: text(200) }))
    .max(100, 'At most 100 offcuts can be asked about.')
    .optional(),
});
export type NestQuestion = z.infer<typeof NestQuestion>;

const Placed = z.strictObject({
  x_mm: z.number(),
  y_mm: z.number(),
  width_mm: z.number(),
  height_mm: z.number(),
});
export const Placement = Placed.extend({ name: z.string() });
export type Placement = z.infer<typeof Placement>;
/** A cut from edge to edge of what is left at its turn: along x at a height, or along y at a width. */
export const SawCut = z.strictObject({
  axis: z.enum(['x', 'y']),
  at_mm: z.number(),
  from_mm: z.number(),
  to_mm: z.number(),
});
export type SawCut = z.infer<typeof SawCut>;
export const NestedSheet = z.strictObject({
  /** The offcut that it is; null for a sheet bought. */
  offcut: z.string().nullable(),
  width_mm: z.number(),
  height_mm: z.number(),
  placements: z.array(Placement),
  /** In the order in which they are sawn. */
  cuts: z.array(SawCut),
  /** Left over, largest first. */
  offcuts: z.array(Placed),
});
export type NestedSheet = z.infer<typeof NestedSheet>;
export const NestAnswer = z.strictObject({
  sheets: z.array(NestedSheet),
  /** Area of the parts by that of the sheets used; 0 with none. */
  yield: z.number(),
  /** Fewest sheets by area alone. */
  bound: z.number().int(),
});
export type NestAnswer = z.infer<typeof NestAnswer>;

/** One thing to do at the bench, in order. */
export const BuildStep = z.strictObject({
  key: z.string(),
  title: z.string(),
  text: z.string(),
  /** Parts that it is about, by key. */
  parts: z.array(z.string()),
  tools: z.array(z.string()),
  /** The usual caution, where the work can hurt. */
  caution: z.string().nullable(),
  /** To be looked at before it counts as done. */
  checks: z.array(z.string()),
  /** What follows must wait so many days. */
  wait_days: z.number(),
});
export type BuildStep = z.infer<typeof BuildStep>;

export const PrinterBed = z.strictObject({
  width_mm: side("The bed's width"),
  length_mm: side("The bed's length"),
  height_mm: side("The printer's height"),
  nozzle_mm: z.number().gt(0, 'A nozzle is wider than 0 mm.').max(3, 'No nozzle is wider than 3 mm.'),
  layer_mm: z.number().gt(0, 'A layer is higher than 0 mm.').max(2, 'No layer is higher than 2 mm.'),
  speed_mms: z.number().gt(0, 'A printer moves.').max(1_000, 'No printer is faster than 1,000 mm/s.'),
});
export type PrinterBed = z.infer<typeof PrinterBed>;
export const PrintPiece = z.strictObject({
  of: z.string(),
  name: z.string(),
  size_mm: z.tuple([z.number(), z.number(), z.number()]),
  /** Pieces that it is split into along its length, its width and its height; 1 each where it fits whole. */
  split: z.tuple([z.number().int(), z.number().int(), z.number().int()]),
  connectors: z.number().int(),
  /** Widest flat span that is printed over air, in mm. */
  overhang_mm: z.number(),
  volume_cm3: z.number(),
  grams: z.number(),
  hours: z.number(),
  sentence: z.string(),
});
export type PrintPiece = z.infer<typeof PrintPiece>;
