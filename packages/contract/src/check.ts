import { z } from 'zod';
import { DesignContent } from './design.ts';

/** A whole design is asked about with `check`. */
export const CheckQuestion = z.strictObject({ design: DesignContent });
export type CheckQuestion = z.infer<typeof CheckQuestion>;

/** danger: a queen or a colony can be lost; fault: it cannot be built or worked so; care: bees or the breeder will have trouble; note: worth knowing. */
export const Severity = z.enum(['danger', 'fault', 'care', 'note']);
export type Severity = z.infer<typeof Severity>;

export const CheckResult = z.strictObject({
  /** Kind and places, by which an overrule names it. */
  key: z.string(),
  kind: z.string(),
  severity: Severity,
  holds: z.boolean(),
  /** Ids of the parts and spaces that it concerns. */
  places: z.array(z.string()),
  /** What was found, in mm unless `unit` says otherwise; null where the check has no figure. */
  figure: z.number().nullable(),
  limit: z.strictObject({ value: z.number(), source: z.string() }).nullable(),
  unit: z.string(),
  sentence: z.string(),
  /** A change that core has tried: with it the check holds, and nothing worse comes. */
  fix: z.strictObject({ label: z.string(), design: DesignContent }).nullable(),
  /** The breeder's reason to let it stand. */
  overruled: z.string().nullable(),
});
export type CheckResult = z.infer<typeof CheckResult>;

const named = z.strictObject({ name: z.string(), spaces: z.array(z.string()) });
export const CheckAnswer = z.strictObject({
  /** Worst first; those that hold come last. */
  checks: z.array(CheckResult),
  spaces: z.array(z.strictObject({ id: z.string(), name: z.string(), kind: z.string(), litres: z.number() })),
  compartments: z.array(
    named.extend({
      bays: z.array(z.string()),
      slack_mm: z.array(z.number()),
      litres: z.number(),
      frames: z.number().int(),
      comb_cm2: z.number(),
      cells: z.number(),
      bees: z.number(),
      stores_kg: z.number(),
      entrances: z.array(z.string()),
    }),
  ),
  passages: z.array(
    z.strictObject({
      between: z.tuple([z.string(), z.string()]),
      gap_mm: z.number(),
      reason: z.string(),
      part: z.string(),
      verdict: z.string(),
      passes: z.array(z.string()),
    }),
  ),
  gaps: z.array(
    z.strictObject({
      kind: z.string(),
      space: z.string(),
      gap_mm: z.number(),
      verdict: z.string(),
      passes: z.array(z.string()),
    }),
  ),
  colonies: z.array(z.array(z.string())),
  territories: z.array(z.array(z.string())),
  drifts: z.array(z.strictObject({ between: z.tuple([z.string(), z.string()]), risk: z.string() })),
});
export type CheckAnswer = z.infer<typeof CheckAnswer>;
