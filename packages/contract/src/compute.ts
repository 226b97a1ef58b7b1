import { z } from 'zod';

/** Questions to the computation and their answers. Field names carry their unit; unknown fields are refused. */

const length = (what: string) =>
  z
    .number()
    .gt(0, `${what} must be above 0 mm.`)
    .lte(10_000, `${what} must be at most 10,000 mm; no hive is larger.`);

export const GapVerdict = z.enum(['shut', 'air', 'excluder', 'squeeze', 'beeSpace', 'brace', 'comb']);
export type GapVerdict = z.infer<typeof GapVerdict>;
export const Passer = z.enum(['air', 'worker', 'queen', 'drone']);
export type Passer = z.infer<typeof Passer>;
export const GapPlace = z.enum(['slot', 'joint', 'floor', 'pane', 'divider']);
export type GapPlace = z.infer<typeof GapPlace>;

export const GapQuestion = z.strictObject({
  gap_mm: z.number().min(0, 'A gap must be 0 mm or more.'),
  where: GapPlace.optional(),
});
export type GapQuestion = z.infer<typeof GapQuestion>;
export const GapAnswer = z.strictObject({ verdict: GapVerdict, passes: z.array(Passer) });
export type GapAnswer = z.infer<typeof GapAnswer>;

export const FitVerdict = z.enum(['impossible', 'jams', 'tight', 'right', 'loose', 'board']);
export type FitVerdict = z.infer<typeof FitVerdict>;

export const FitQuestion = z.strictObject({
  insideWidth_mm: length('The inside width'),
  pitch_mm: length('The pitch'),
  frames: z
    .array(
      z
        .number()
        .int('Frames are counted in whole numbers.')
        .min(0, 'A compartment cannot hold fewer than 0 frames.')
        .max(1_000, 'A compartment cannot hold more than 1,000 frames.'),
    )
    .min(1, 'At least one compartment is needed.')
    .max(200, 'At most 200 compartments can be asked about.'),
  dividers: z
    .array(
      z.strictObject({
        thickness_mm: length("A divider's thickness"),
        at_mm: z.number().min(0, 'A divider cannot stand left of the inside wall at 0 mm.').optional(),
      }),
    )
    .max(199, 'At most 199 dividers can be asked about.'),
  hung: z.boolean().optional(),
  barWidth_mm: length('The bar width').optional(),
});
export type FitQuestion = z.infer<typeof FitQuestion>;
export const FitAnswer = z.strictObject({
  compartments: z.array(
    z.strictObject({
      width_mm: z.number(),
      frames: z.number().int(),
      slack_mm: z.number(),
      verdict: FitVerdict,
      oneMoreFits: z.boolean(),
    }),
  ),
  dividers: z.array(z.strictObject({ at_mm: z.number(), thickness_mm: z.number() })),
});
export type FitAnswer = z.infer<typeof FitAnswer>;

const queens = z
  .number()
  .int('Queens are counted in whole numbers.')
  .min(1, 'At least 1 queen must be wanted.')
  .max(10_000, 'At most 10,000 queens can be asked about.');
const confidence = z
  .number()
  .gt(0, 'The confidence must be above 0.')
  .lt(1, 'The confidence must be below 1; no number of cells makes it certain.');
const shape = z
  .number()
  .gt(0, 'A prior must be above 0.')
  .lte(1e6, 'A prior of more than 1,000,000 is not one.');
const attempts = (what: string) =>
  z
    .number()
    .int(`${what} are counted in whole numbers.`)
    .min(0, `${what} cannot be below 0.`)
    .max(1e6, `${what} cannot be above 1,000,000.`);

export const CellsQuestion = z.strictObject({
  queens,
  confidence,
  rate: z
    .number()
    .gt(0, 'The take rate must be above 0.')
    .lte(1, 'The take rate must be at most 1.')
    .optional(),
  takes: attempts('Takes').optional(),
  tried: attempts('Attempts').optional(),
  prior: z.tuple([shape, shape], 'A prior is two numbers, like [1, 1].').optional(),
});
export type CellsQuestion = z.infer<typeof CellsQuestion>;
export const CellsAnswer = z.strictObject({ cells: z.number().int(), probability: z.number() });
export type CellsAnswer = z.infer<typeof CellsAnswer>;
