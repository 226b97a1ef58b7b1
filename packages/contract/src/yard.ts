import { z } from 'zod';
import { Design } from './design.ts';
import { LogEvent } from './event/entry.ts';
import { Measures } from './measures.ts';
import { CalendarDate, Id, Instant, name, text, wholeNumber, Zone } from './primitives.ts';
import { BoxBefore } from './standing.ts';
import { DueKind, Status } from './status.ts';

export const YardFields = z.strictObject({
  name: name(80),
  latitude_deg: z.number().min(-90, 'A latitude is at least -90°.').max(90, 'A latitude is at most 90°.'),
  longitude_deg: z
    .number()
    .min(-180, 'A longitude is at least -180°.')
    .max(180, 'A longitude is at most 180°.'),
  zone: Zone,
});
export type YardFields = z.infer<typeof YardFields>;
export const Yard = YardFields.extend({
  id: Id,
  version: z.number().int(),
  boxes: z.number().int(),
  compartments: z.number().int(),
});
export type Yard = z.infer<typeof Yard>;
export const NewYard = YardFields.extend({ id: Id });
export type NewYard = z.infer<typeof NewYard>;
export const ChangedYard = YardFields.extend({ version: wholeNumber(1) });
export type ChangedYard = z.infer<typeof ChangedYard>;

/** One compartment as the read tables keep it: as things stand with all that is recorded. */
export const CompartmentRow = z.strictObject({
  position: z.number().int(),
  name: z.string(),
  frames: z.number().int(),
  status: Status,
  since: CalendarDate.nullable(),
  due: DueKind.nullable(),
  dueFrom: CalendarDate.nullable(),
  dueExpected: CalendarDate.nullable(),
  dueTo: CalendarDate.nullable(),
});
export type CompartmentRow = z.infer<typeof CompartmentRow>;
export const BoxRow = z.strictObject({
  id: Id,
  label: z.string(),
  design: Id,
  designVersion: z.number().int(),
  yard: Id.nullable(),
  stand: z.string().nullable(),
  compartments: z.array(CompartmentRow),
});
export type BoxRow = z.infer<typeof BoxRow>;
/** A page by key: ask again with `after` = `next` for what follows. */
export const BoxPage = z.strictObject({ boxes: z.array(BoxRow), next: z.string().nullable() });
export type BoxPage = z.infer<typeof BoxPage>;

/**
 * Enough to tell the boxes of one page at any date: their events, the rounds and weather, the designs they are built
 * from, and what other boxes were like before events that are about one of these and of those.
 */
export const YardLog = z.strictObject({
  /** The boxes whose stories these are. */
  of: z.array(Id),
  events: z.array(LogEvent),
  beside: z.array(BoxBefore),
  designs: z.array(Design),
  next: z.string().nullable(),
});
export type YardLog = z.infer<typeof YardLog>;

export const RoundRow = z.strictObject({
  id: Id,
  number: z.number().int(),
  donor: z.string(),
  graftedOn: CalendarDate,
  grafts: z.number().int(),
  /** Null until they are counted. */
  accepted: z.number().int().nullable(),
  /** Not grafted yet. */
  planned: z.boolean(),
});
export type RoundRow = z.infer<typeof RoundRow>;

/** What the ribbon draws of one year. */
export const YearRibbon = z.strictObject({
  latitude_deg: z.number(),
  longitude_deg: z.number(),
  days: z.array(
    z.strictObject({ date: CalendarDate, max_C: z.number().nullable(), flying_h: z.number().nullable() }),
  ),
  rounds: z.array(RoundRow),
  /** Compartments with something expected on the day, by its expected date. */
  due: z.array(z.strictObject({ date: CalendarDate, count: z.number().int() })),
});
export type YearRibbon = z.infer<typeof YearRibbon>;

export const TakeGroup = z.strictObject({
  key: z.string(),
  label: z.string(),
  takes: z.number().int(),
  misses: z.number().int(),
  open: z.number().int(),
  /** takes ÷ (takes + misses); null with none. */
  rate: z.number().nullable(),
  /** Middle and 90 % of Beta(1 + takes, 1 + misses); a record without a miss or a take is the end of its interval. */
  middle: z.number(),
  low: z.number(),
  high: z.number(),
});
export type TakeGroup = z.infer<typeof TakeGroup>;
export const TakesBy = z.enum([
  'design',
  'box',
  'frames',
  'compartment',
  'flight',
  'what',
  'round',
  'donor',
  'month',
]);
export type TakesBy = z.infer<typeof TakesBy>;
export const TakeReport = z.strictObject({
  on: CalendarDate,
  by: TakesBy,
  groups: z.array(TakeGroup),
  all: TakeGroup,
  reasons: z.array(z.strictObject({ reason: z.string(), count: z.number().int() })),
});
export type TakeReport = z.infer<typeof TakeReport>;

const celsius = z
  .number()
  .min(-60, 'No place is colder than −60 °C in the mean of a month.')
  .max(55, 'No place is warmer than 55 °C in the mean of a month.');
/** Means of the daily minimum and maximum of each month, January first, in °C; null where a month is not known. */
export const Climate = z.strictObject({
  months: z
    .array(
      z
        .strictObject({ min_C: celsius, max_C: celsius })
        .refine(({ min_C, max_C }) => min_C <= max_C, 'The minimum of a month is not above its maximum.')
        .nullable(),
    )
    .length(12, 'A climate has twelve months.'),
});
export type Climate = z.infer<typeof Climate>;

export const SettingFields = z.strictObject({
  person: name(60),
  measures: Measures,
  /** Constants that the breeder changed, for each yard: name → value. */
  constants: z.record(Id, z.record(text(40), z.number())),
  /** The climate of a yard, where it was typed or read; else it is estimated from the latitude. */
  climates: z.record(Id, Climate).optional(),
});
export type SettingFields = z.infer<typeof SettingFields>;
export const Settings = SettingFields.extend({ version: wholeNumber(1) });
export type Settings = z.infer<typeof Settings>;

export const Session = z.strictObject({
  breeder: z.strictObject({ id: Id, name: z.string() }),
  now: Instant,
  /** True while the demo's own clock runs instead of the real one. */
  demoClock: z.boolean(),
  /** Days of the demo's story that its clock can be moved on to. */
  demoDays: z.array(CalendarDate),
  realNow: Instant,
  settings: Settings,
});
export type Session = z.infer<typeof Session>;

export const DemoDay = z.strictObject({ day: CalendarDate });

export const Health = z.strictObject({
  process: z.literal('up'),
  database: z.enum(['up', 'down']),
  migration: z.string().nullable(),
  loaded: z.boolean(),
});
export type Health = z.infer<typeof Health>;
