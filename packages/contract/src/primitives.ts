import { z } from 'zod';

/** Made by whoever writes, so that sending twice is harmless. */
export const Id = z.uuid('An id is a UUID.');
/** Permanent name of a part of a design: groove, board, bay, slot, entrance. Events name these, never positions. */
export const PartId = z
  .string()
  .regex(/^[A-Za-z0-9_-]{1,40}$/, 'A part id is 1 to 40 letters, digits, - or _.');
/** `YYYY-MM-DD`, without a time. */
export const CalendarDate = z.iso.date('A date is written YYYY-MM-DD.');
export type CalendarDate = z.infer<typeof CalendarDate>;
/** ISO 8601 with offset. */
export const Instant = z.iso.datetime({
  offset: true,
  error: 'An instant is written like 2026-05-31T10:00:00Z.',
});
/** An IANA time zone that this machine knows. */
export const Zone = z
  .string()
  .max(64)
  .refine(isZone, 'A time zone is named as in the IANA list, like Europe/Vienna.');

function isZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}

/** Text that a person typed; at most `max` characters, none of them a control character but the line break. */
export const text = (max: number) =>
  z
    .string()
    .max(max, `At most ${max} characters fit here.`)
    .refine(
      (typed) => ![...typed].some((char) => char !== '\n' && char !== '\t' && char < ' '),
      'Control characters cannot be kept.',
    );
export const name = (max: number) =>
  text(max).refine((typed) => typed.trim() !== '', 'A name is needed here.');

/** A length as a person typed it, beside its millimetres. */
export const Length = z.strictObject({ mm: z.number(), typed: z.string().max(40).optional() });
export type Length = z.infer<typeof Length>;

const MOST_MM = 5_000;
const tooLong = (what: string) => `${what} of more than 5,000 mm is not a hive's.`;
/** Lengths of a hive's parts, with the sentence that refuses one out of range. */
export const positive = (what: string) =>
  Length.refine(({ mm }) => mm > 0, { path: ['mm'], error: `${what} must be above 0 mm.` }).refine(
    ({ mm }) => mm <= MOST_MM,
    { path: ['mm'], error: tooLong(what) },
  );
export const zeroOrMore = (what: string) =>
  Length.refine(({ mm }) => mm >= 0, { path: ['mm'], error: `${what} cannot be below 0 mm.` }).refine(
    ({ mm }) => mm <= MOST_MM,
    { path: ['mm'], error: tooLong(what) },
  );
export const signed = (what: string) =>
  Length.refine(({ mm }) => Math.abs(mm) <= MOST_MM, { path: ['mm'], error: tooLong(what) });

/** A resistance to heat that a maker claims, in m²K/W; kept beside the one that is computed, never in its place. */
export const claimedR = z
  .number()
  .gt(0, 'A resistance is above 0 m²K/W.')
  .max(50, 'No cover has a resistance of more than 50 m²K/W.')
  .optional();
