import { z } from 'zod';
import { EventKind } from './event/entry.ts';
import { CalendarDate, name } from './primitives.ts';

/** What a breeder has said of measures; what is not said is asked where it matters. */
export const LineMeasures = z.strictObject({
  /** Of pints and quarts. */
  pints: z.enum(['us', 'imperial']).optional(),
  /** How 5/6 is meant. */
  dates: z.enum(['dayFirst', 'monthFirst']).optional(),
});
export type LineMeasures = z.infer<typeof LineMeasures>;

/** A typed line, in a yard of boxes with their compartments; `dividers` is one fewer than the compartments where it is left out. */
export const QuickQuestion = z.strictObject({
  line: z.string().max(10_000, 'A line has at most 10,000 characters.'),
  on: CalendarDate,
  boxes: z
    .array(
      z.strictObject({
        label: name(20),
        compartments: z
          .array(name(40))
          .min(1, 'A box has at least one compartment.')
          .max(24, 'A box has at most 24 compartments.'),
        dividers: z
          .number()
          .int('Dividers are counted in whole numbers.')
          .min(0, 'Dividers cannot be below 0.')
          .max(24, 'A box has at most 24 dividers.')
          .optional(),
      }),
    )
    .max(2_000, 'At most 2,000 boxes can be asked about.'),
  here: z.strictObject({ box: name(20), compartment: name(40).optional() }).optional(),
  measures: LineMeasures.optional(),
});
export type QuickQuestion = z.infer<typeof QuickQuestion>;

/** An entry with the fields of its event: no ids, others named by label and compartment, a cover's `on` as `covered`. */
export const QuickEntry = z.looseObject({
  box: z.string(),
  compartment: z.string().optional(),
  on: CalendarDate,
  kind: EventKind,
  note: z.string().optional(),
});
/** A line is kept whole or not at all: with a question in `asks` there is no entry. */
export const QuickLineAnswer = z.strictObject({
  entries: z.array(QuickEntry),
  asks: z.string().nullable(),
  /** The words that stand in no entry, as typed. */
  unread: z.array(z.string()),
  /** How the question may be answered: the line as it would be then. */
  choices: z.array(z.strictObject({ says: z.string(), line: z.string() })),
});
export type QuickLineAnswer = z.infer<typeof QuickLineAnswer>;
