import { z } from 'zod';
import { spaceName } from './primitives.ts';

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

const wholeRange = (what: string, least: number, most: number) => {
  const bound = z
    .number()
    .int(`${what} are counted in whole numbers.`)
    .min(least, `${what} cannot be fewer than ${least}.`)
    .max(most, `${what} cannot be more than ${most}.`);
  return z.strictObject({ min: bound, max: bound });
};
const slackBound = z
  .number()
  .min(0, 'A slack below 0 mm is no fit.')
  .max(10_000, 'A slack of more than 10,000 mm is none.');

export const LayoutsQuestion = z.strictObject({
  insideWidth_mm: length('The inside width'),
  pitch_mm: length('The pitch'),
  thicknesses_mm: z
    .array(length("A divider's thickness"))
    .min(1, 'At least one divider thickness is needed.')
    .max(20, 'At most 20 divider thicknesses can be asked about.'),
  compartments: wholeRange('Compartments', 1, 24),
  framesEach: wholeRange('Frames', 0, 100),
  slack_mm: z.strictObject({ min: slackBound, max: slackBound }),
  hung: z.boolean().optional(),
  barWidth_mm: length('The bar width').optional(),
});
export type LayoutsQuestion = z.infer<typeof LayoutsQuestion>;
export const Layout = z.strictObject({
  thickness_mm: z.number(),
  frames: z.array(z.number().int()),
  slack_mm: z.number(),
  /** 0 to 1, larger is better; docs/models.md says of what it is made. */
  score: z.number(),
  why: z.string(),
});
export type Layout = z.infer<typeof Layout>;
export const LayoutsAnswer = z.strictObject({ layouts: z.array(Layout) });
export type LayoutsAnswer = z.infer<typeof LayoutsAnswer>;

export const Occupant = z.enum(['queen', 'virgin', 'ripeCell', 'grafts', 'drones']);
export type Occupant = z.infer<typeof Occupant>;
export const EntranceState = z.enum(['open', 'reduced', 'workersOnly', 'vent', 'closed']);
export type EntranceState = z.infer<typeof EntranceState>;
export const ReachWarningKind = z.enum([
  'twoQueens',
  'queenMeetsCell',
  'queenMeetsGrafts',
  'virginBehindExcluder',
  'noFlight',
  'noMatingFlight',
  'sharedEntrance',
  'dronesShutIn',
]);
export type ReachWarningKind = z.infer<typeof ReachWarningKind>;

export const ReachQuestion = z.strictObject({
  spaces: z
    .array(spaceName)
    .min(1, 'At least one space is needed.')
    .max(200, 'At most 200 spaces can be asked about.'),
  passages: z
    .array(
      z.strictObject({
        between: z.tuple([spaceName, spaceName]),
        gap_mm: z.number().min(0, 'A gap must be 0 mm or more.'),
      }),
    )
    .max(5_000, 'At most 5,000 passages can be asked about.'),
  occupants: z
    .array(z.strictObject({ in: spaceName, what: Occupant }))
    .max(2_000, 'At most 2,000 occupants can be asked about.'),
  entrances: z
    .array(
      z.strictObject({
        to: z.array(spaceName).min(1, 'An entrance opens into at least one space.').max(200),
        state: EntranceState,
      }),
    )
    .max(1_000, 'At most 1,000 entrances can be asked about.'),
});
export type ReachQuestion = z.infer<typeof ReachQuestion>;
export const ReachWarning = z.strictObject({
  kind: ReachWarningKind,
  spaces: z.array(z.string()),
  sentence: z.string(),
});
export type ReachWarning = z.infer<typeof ReachWarning>;
export const ReachAnswer = z.strictObject({
  /** Spaces that workers can pass between, grouped; every space in exactly one group. */
  colonies: z.array(z.array(z.string())),
  /** The same for a laying queen. */
  territories: z.array(z.array(z.string())),
  warnings: z.array(ReachWarning),
});
export type ReachAnswer = z.infer<typeof ReachAnswer>;
