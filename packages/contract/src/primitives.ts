import { z } from 'zod';

/**
 * Text without what no store can keep: control characters but line break and tab, and halves of characters
 * (lone surrogates). Every text that comes from outside is made of this, at most `max` characters of it.
 */
export const text = (max: number) =>
  z
    .string()
    .max(max, `At most ${max} characters fit here.`)
    .refine((typed) => !CONTROL.test(typed), 'Control characters cannot be kept.')
    .refine((typed) => !HALF_CHARACTER.test(typed), 'Half a character stands here; type it anew.');
// biome-ignore lint/suspicious/noControlCharactersInRegex: they are what is looked for
const CONTROL = /[\u0000-\u0008\u000b-\u001f]/;
const HALF_CHARACTER = /\p{Surrogate}/u;

export const name = (max: number) =>
  text(max).refine((typed) => typed.trim() !== '', 'A name is needed here.');

/** Figures of the registry other than their defaults, by name. */
export const OwnFigures = z.record(text(40), z.number());

/** Of a space in a question to the computation. */
export const spaceName = text(80).min(1, 'A space needs a name.');

/** Made by whoever writes, so that sending twice is harmless; the same in capitals. */
export const Id = z.uuid('An id is a UUID.').toLowerCase();
/** Permanent name of a part of a design: groove, board, bay, slot, entrance. Events name these, never positions. */
export const PartId = z
  .string()
  .regex(/^[A-Za-z0-9_-]{1,40}$/, 'A part id is 1 to 40 letters, digits, - or _.');

/** Days further off are no work with bees, and past what calendars and columns hold. */
const FIRST_YEAR = 1900;
const LAST_YEAR = 2199;
const yearOf = (written: string): number => Number(written.slice(0, 4));
const inYears = (written: string): boolean => yearOf(written) >= FIRST_YEAR && yearOf(written) <= LAST_YEAR;
const YEARS = `A year lies from ${FIRST_YEAR} to ${LAST_YEAR}.`;
/** `YYYY-MM-DD`, without a time. */
export const CalendarDate = z.iso
  .date({ error: 'A date is written YYYY-MM-DD.', abort: true })
  .refine(inYears, YEARS);
export type CalendarDate = z.infer<typeof CalendarDate>;
export const Year = z
  .string()
  .regex(/^\d{4}$/, { error: 'A year has four digits.', abort: true })
  .refine(inYears, YEARS);

/** No zone on earth is further from Greenwich, in hours. */
const MOST_OFFSET_H = 14;
const offsetExists = (written: string): boolean => {
  const [, hours = 0, minutes = 0] = /[+-](\d\d):(\d\d)$/.exec(written)?.map(Number) ?? [];
  return hours + minutes / 60 <= MOST_OFFSET_H;
};
/** What a device's clock may say, however wild: it is kept, and judged by the fold. ISO 8601 with offset. */
export const ClockInstant = z.iso
  .datetime({ offset: true, error: 'An instant is written like 2026-05-31T10:00:00Z.', abort: true })
  .refine((written) => yearOf(written) >= FIRST_YEAR, YEARS)
  .refine(offsetExists, `No clock is more than ${MOST_OFFSET_H} hours from Greenwich.`);
export const Instant = ClockInstant.refine((written) => yearOf(written) <= LAST_YEAR, YEARS);
/** An IANA time zone that this machine knows, by its name and not by an offset. */
export const Zone = text(64).refine(isZone, 'A time zone is named as in the IANA list, like Europe/Vienna.');

function isZone(name: string): boolean {
  try {
    return /^[A-Za-z]/.test(name) && Boolean(new Intl.DateTimeFormat('en', { timeZone: name }));
  } catch {
    return false;
  }
}

/** A whole number as versions, counts and sequences are kept: at most what an integer column holds. */
export const wholeNumber = (least: number) =>
  z
    .number()
    .int('A whole number is needed here.')
    .min(least, `At least ${least} is needed here.`)
    .max(MOST_WHOLE, `At most ${MOST_WHOLE} fits here.`);
const MOST_WHOLE = 2_147_483_647;

const MOST_MM = 5_000;
/** A length as a person typed it, beside its millimetres. */
const length = (what: string, inRange: (mm: number) => boolean, otherwise: string) =>
  z
    .strictObject({ mm: z.number(), typed: text(40).optional() })
    .refine(({ mm }) => inRange(mm), { path: ['mm'], error: otherwise })
    .refine(({ mm }) => Math.abs(mm) <= MOST_MM, {
      path: ['mm'],
      error: `${what} of more than 5,000 mm is not a hive's.`,
    });
/** Lengths of a hive's parts, with the sentence that refuses one out of range. */
export const positive = (what: string) => length(what, (mm) => mm > 0, `${what} must be above 0 mm.`);
export const zeroOrMore = (what: string) => length(what, (mm) => mm >= 0, `${what} cannot be below 0 mm.`);
export const signed = (what: string) => length(what, () => true, '');
export const Length = signed('A length');
export type Length = z.infer<typeof Length>;

/** A resistance to heat that a maker claims, in m²K/W; kept beside the one that is computed, never in its place. */
export const claimedR = z
  .number()
  .gt(0, 'A resistance is above 0 m²K/W.')
  .max(50, 'No cover has a resistance of more than 50 m²K/W.')
  .optional();
