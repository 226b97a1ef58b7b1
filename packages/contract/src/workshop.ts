import { z } from 'zod';
import { PartMaterial, PrinterBed } from './build.ts';
import { Id, name, text } from './primitives.ts';

/** What a breeder has and pays: stock and prices, and the register of what lies ready (handbook 4 and 11). */
const price = z
  .number()
  .min(0, 'A price cannot be below 0.')
  .max(1e6, 'A price of more than 1,000,000 is absurd.');
const millimetres = (what: string) =>
  z.number().gt(0, `${what} must be above 0 mm.`).max(20_000, `${what} must be at most 20,000 mm.`);

/** A kind of sheet that can be bought, or pieces of it at hand. */
export const StockSheet = z.strictObject({
  id: Id,
  name: name(80),
  material: PartMaterial,
  thickness_mm: millimetres("A sheet's thickness"),
  width_mm: millimetres("A sheet's width"),
  height_mm: millimetres("A sheet's height"),
  /** Pieces at hand, used before any is bought; null for what is bought as it is wanted. */
  atHand: z.number().int('Pieces are counted in whole numbers.').min(0).max(10_000).nullable(),
  /** For one; null where it is not known. */
  price: price.nullable(),
});
export type StockSheet = z.infer<typeof StockSheet>;

export const EquipmentKind = z.enum(['part', 'frame', 'excluder', 'fitting', 'feeder', 'tool']);
export type EquipmentKind = z.infer<typeof EquipmentKind>;
export const Condition = z.enum(['new', 'good', 'worn', 'broken', 'toClean']);
export type Condition = z.infer<typeof Condition>;
/** What a spare frame holds. */
export const SpareComb = z.enum(['drawn', 'stores', 'pollen', 'partDrawn', 'foundation']);
export type SpareComb = z.infer<typeof SpareComb>;
/** Something of the register that is no box: spare parts, frames by kind, fittings. */
export const Equipment = z.strictObject({
  id: Id,
  kind: EquipmentKind,
  name: name(80),
  count: z
    .number()
    .int('Things are counted in whole numbers.')
    .min(0, 'Fewer than none cannot be.')
    .max(100_000, 'More than 100,000 of one thing are not kept here.'),
  finish: text(80),
  condition: Condition,
  place: text(80),
  /** What is missing or wrong with it. */
  missing: text(200),
  /** Of frames and excluders: the format they fit, by its id. */
  format: name(80).optional(),
  /** Of frames. */
  comb: SpareComb.optional(),
  /** Of excluders: the width of their slots. */
  slot_mm: z.number().gt(0, 'A slot must be wider than 0 mm.').max(20).optional(),
});
export type Equipment = z.infer<typeof Equipment>;

const eachOnce = (lines: readonly { id: string }[]): boolean =>
  new Set(lines.map(({ id }) => id)).size === lines.length;

export const Workshop = z.strictObject({
  currency: text(8),
  kerf_mm: z.number().min(0, 'The kerf cannot be below 0 mm.').max(50, 'No saw cuts wider than 50 mm.'),
  stock: z
    .array(StockSheet)
    .max(200, 'At most 200 kinds of sheets are kept.')
    .refine(eachOnce, 'Two lines of the stock bear one id.'),
  /** Fittings by their key. */
  fittings: z.record(text(40), price),
  printer: PrinterBed.nullable(),
  /** For a kilogram of printed plastic. */
  plastic: price.nullable(),
  register: z
    .array(Equipment)
    .max(1_000, 'At most 1,000 lines are kept in the register.')
    .refine(eachOnce, 'Two lines of the register bear one id.'),
});
export type Workshop = z.infer<typeof Workshop>;

/** As it is kept: 0 until it is first saved, and the usual workshop of core until then. */
export const KeptWorkshop = Workshop.extend({ version: z.number().int().min(0) });
export type KeptWorkshop = z.infer<typeof KeptWorkshop>;
