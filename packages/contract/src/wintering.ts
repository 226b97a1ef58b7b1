import { z } from 'zod';
import { name } from './primitives.ts';

const price = (what: string) =>
  z
    .number()
    .min(0, `${what} cannot cost less than nothing.`)
    .max(1e6, `${what} cannot cost more than 1,000,000.`);
const place = z.number().int('Places in a list are whole numbers.').min(0, 'Places in a list begin at 0.');

/** One way to winter a colony. */
export const WinteringOption = z.strictObject({
  /** What it is called; it comes back in the answer. */
  does: name(120),
  /** The room that it takes, its own or another; left out, none. */
  room: name(80).optional(),
  /** The colony that it joins, by its place in the list: what it was is then no colony any more. */
  joins: place.optional(),
  /** How likely it is dead or too small in spring; 1 of a colony that is joined to another. */
  loss: z.number().min(0, 'A chance cannot be below 0.').max(1, 'A chance cannot be above 1.'),
  sugar_kg: z.number().min(0, 'Sugar cannot be below 0 kg.').max(200, 'No colony is fed more than 200 kg.'),
  work_min: z
    .number()
    .min(0, 'Work cannot be below 0 minutes.')
    .max(6_000, 'No colony takes more than 100 hours.'),
});
const chosen = z.strictObject({ colony: place, option: place });

/** The whole yard before winter as one choice: every colony in one of its ways. */
export const WinteringQuestion = z.strictObject({
  colonies: z
    .array(
      z.strictObject({
        name: name(80),
        options: z
          .array(WinteringOption)
          .min(1, 'Every colony wants a way at least.')
          .max(80, 'At most 80 ways of a colony can be asked about.'),
      }),
    )
    .min(1, 'At least one colony is needed.')
    .max(120, 'At most 120 colonies can be asked about.'),
  /** Company: what less is lost of both where both are chosen. */
  together: z
    .array(
      z.strictObject({
        a: chosen,
        b: chosen,
        gain: z.number().min(0).max(2, 'Of two colonies no more than two are lost.'),
      }),
    )
    .max(5_000, 'At most 5,000 pairs can be asked about.'),
  prices: z.strictObject({
    colony: price('A colony'),
    sugar_kg: price('A kilogram of sugar'),
    hour: price('An hour'),
  }),
  /** What is not to be changed. */
  fixed: z.array(chosen).max(120, 'At most 120 colonies are fixed.').optional(),
});
export type WinteringQuestion = z.infer<typeof WinteringQuestion>;
export const WinteringPlan = z.strictObject({
  /** The way of each colony, in their order. */
  options: z.array(z.number().int()),
  /** Colonies that are expected to be lost, those that were joined to others among them. */
  loss: z.number(),
  sugar_kg: z.number(),
  work_min: z.number(),
  cost: z.number(),
});
export type WinteringPlan = z.infer<typeof WinteringPlan>;
export const WinteringAnswer = z.strictObject({
  /** Null where what is fixed cannot be together. */
  best: WinteringPlan.nullable(),
  /** What no choice costs less than. */
  bound: z.number(),
  /** The best of all others; null where there is none. */
  second: WinteringPlan.nullable(),
});
export type WinteringAnswer = z.infer<typeof WinteringAnswer>;
