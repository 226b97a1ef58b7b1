import { z } from 'zod';
import { CalendarDate, Instant } from './primitives.ts';

/** Readings of scales and probes in boxes, as the program keeps them. */
export const Measure = z.enum(['temperature_C', 'humidity_pct', 'weight_kg']);
export type Measure = z.infer<typeof Measure>;
/** Why a reading is set aside and never taken for truth. */
export const ReadingFlag = z.enum(['notANumber', 'outOfRange', 'jump', 'stuck', 'future']);
export type ReadingFlag = z.infer<typeof ReadingFlag>;

export const Reading = z.strictObject({
  /** Label of the box. */
  box: z.string(),
  measure: Measure,
  at: Instant,
  value: z.number().nullable(),
  /** As it was sent. */
  raw: z.string(),
  flag: ReadingFlag.nullable(),
});
export type Reading = z.infer<typeof Reading>;

export const BoxReadings = z.strictObject({
  box: z.string(),
  /** The newest that can be trusted, one of each measure. */
  latest: z.array(Reading),
  setAside: z.array(Reading.extend({ sentence: z.string() })),
  /** Since when nothing has come, where it is long. */
  silentSince: Instant.nullable(),
});
export type BoxReadings = z.infer<typeof BoxReadings>;
/** The middle of a day's weights that can be trusted. */
export const DailyWeight = z.strictObject({ date: CalendarDate, weight_kg: z.number() });
export type DailyWeight = z.infer<typeof DailyWeight>;
export const SensorReport = z.strictObject({
  configured: z.boolean(),
  polledAt: Instant.nullable(),
  problem: z.string().nullable(),
  boxes: z.array(BoxReadings),
});
export type SensorReport = z.infer<typeof SensorReport>;
