import { z } from 'zod';
import { EntranceState } from './compute.ts';
import { CalendarDate, Id, Instant, name, PartId, text, Zone } from './primitives.ts';
import { DueKind, FailReason, Feed, QueenFate } from './status.ts';
import { Condition } from './workshop.ts';

const count = (what: string, max: number) =>
  z
    .number()
    .int(`${what} is counted in whole numbers.`)
    .min(0, `${what} cannot be below 0.`)
    .max(max, `${what} cannot be above ${max}.`);

/** Where a colony stands: the box and, for those events that found or move it, the bays. */
const inColony = { box: Id, colony: Id };
/** The attempt is the one the person had before them; it may be left out where the colony is no attempt. */
const ofAttempt = { ...inColony, attempt: Id.optional() };

export const WeatherDay = z.strictObject({
  date: CalendarDate,
  min_C: z.number().min(-60).max(60),
  max_C: z.number().min(-60).max(60),
  wind_ms: z.number().min(0).max(80),
  rain_mm: z.number().min(0).max(1_000),
  /** Hours of flying weather between 12 and 17 h by the sun. */
  flying_h: z.number().min(0).max(5),
});
export type WeatherDay = z.infer<typeof WeatherDay>;

/** What each kind of event says. A kind's meaning never changes; a new meaning is a new kindVersion with an upcaster. */
export const payloads = {
  boxBuilt: z.strictObject({ box: Id, label: name(20), design: Id, version: z.number().int().min(1) }),
  boxPlaced: z.strictObject({
    box: Id,
    yard: Id,
    stand: name(40),
    /** Where it stands on the yard's plan: metres east and north of the plan's south-west corner. */
    east_m: z.number().min(0).max(2_000),
    north_m: z.number().min(0).max(2_000),
    /** Bearing of the front from true north, clockwise. */
    bearing_deg: z.number().min(0).lt(360),
  }),
  boxTakenApart: z.strictObject({ box: Id }),
  /** A step of its build, ticked off or taken back; steps are named by core's build sheet. */
  buildTicked: z.strictObject({ box: Id, step: name(40), done: z.boolean() }),
  /** What a box is like: its finish, its condition, what is missing of it. */
  boxInspected: z.strictObject({ box: Id, finish: text(80), condition: Condition, missing: text(200) }),
  /** A divider, follower or dummy of the design pulled, or set back into its place. */
  dividerSet: z.strictObject({ box: Id, board: PartId, stands: z.boolean() }),
  /** A disc turned, a slide moved. */
  entranceSet: z.strictObject({ box: Id, entrance: PartId, state: EntranceState }),
  fed: z.strictObject({
    ...inColony,
    feed: Feed,
    amount_kg: z.number().gt(0, 'Feed weighs more than 0 kg.').max(30, 'More than 30 kg is not fed at once.'),
  }),
  /** Strips or the like put in, with the day by which their label wants them out. */
  stripsPut: z.strictObject({ ...inColony, product: name(80), outBy: CalendarDate }),
  stripsOut: z.strictObject(inColony),
  /** Work put off to a date, or dismissed for good; the note says why. */
  workPutOff: z.strictObject({ ...inColony, work: DueKind, until: CalendarDate.nullable() }),
  stocked: z.strictObject({
    ...inColony,
    bays: z.array(PartId).min(1),
    frames: z.strictObject({
      sealedBrood: count('Frames of sealed brood', 20),
      stores: count('Frames of stores', 20),
      drawn: count('Drawn frames', 20),
    }),
    shakes: count('Shakes', 40),
    openBrood: z.boolean(),
  }),
  cellGiven: z.strictObject({ ...inColony, attempt: Id, round: Id.optional() }),
  cellOpened: z.strictObject({ ...inColony, attempt: Id }),
  eggsSeen: z.strictObject(ofAttempt),
  patternScored: z.strictObject({
    ...ofAttempt,
    pattern_pct: z
      .number()
      .min(0, 'A pattern cannot be below 0 %.')
      .max(100, 'A pattern cannot be above 100 %.'),
  }),
  failed: z.strictObject({ ...ofAttempt, reason: FailReason }),
  queenTaken: z.strictObject({ ...ofAttempt, to: QueenFate, beesRemain: z.boolean() }),
  combined: z.strictObject({ ...inColony, intoBox: Id, into: Id }),
  noted: z.strictObject({ box: Id, colony: Id.optional() }),
  grafted: z.strictObject({
    round: Id,
    number: z.number().int().min(1),
    donor: name(60),
    grafts: count('Grafts', 1_000),
    accepted: count('Accepted grafts', 1_000),
  }),
  weatherRecorded: z.strictObject({ yard: Id, days: z.array(WeatherDay).min(1).max(400) }),
  withdrawn: z.strictObject({}),
} as const;

export type EventKind = keyof typeof payloads;
export const EventKind = z.enum(Object.keys(payloads) as [EventKind, ...EventKind[]]);

/** An entry as a person makes it. The server adds breeder, recordedAt and subjects. */
const entryFields = {
  id: Id,
  kindVersion: z.literal(1),
  occurredAt: Instant,
  zone: Zone,
  person: name(60),
  device: name(60),
  deviceSeq: z.number().int().min(0),
  /** The entry that this one corrects: replaced by it, or taken out of the story by `withdrawn`. */
  corrects: Id.optional(),
  note: text(5_000).optional(),
};
const entryOf = <K extends EventKind>(kind: K) =>
  z.strictObject({ ...entryFields, kind: z.literal(kind), payload: payloads[kind] });

export const Entry = z.discriminatedUnion('kind', [
  entryOf('boxBuilt'),
  entryOf('boxPlaced'),
  entryOf('boxTakenApart'),
  entryOf('buildTicked'),
  entryOf('boxInspected'),
  entryOf('dividerSet'),
  entryOf('entranceSet'),
  entryOf('fed'),
  entryOf('stripsPut'),
  entryOf('stripsOut'),
  entryOf('workPutOff'),
  entryOf('stocked'),
  entryOf('cellGiven'),
  entryOf('cellOpened'),
  entryOf('eggsSeen'),
  entryOf('patternScored'),
  entryOf('failed'),
  entryOf('queenTaken'),
  entryOf('combined'),
  entryOf('noted'),
  entryOf('grafted'),
  entryOf('weatherRecorded'),
  entryOf('withdrawn'),
]);
export type Entry = z.infer<typeof Entry>;
export type EntryOf<K extends EventKind> = Extract<Entry, { kind: K }>;

export const Subject = z.strictObject({
  kind: z.enum(['box', 'colony', 'attempt', 'round', 'yard']),
  id: Id,
});
export type Subject = z.infer<typeof Subject>;

/** An entry as it stands in the log for good. */
export type LogEvent = Entry & { breeder: string; recordedAt: string; subjects: Subject[] };
/** Output only: what the log gives back was validated when it came in. */
export const LogEvent = z.custom<LogEvent>();

/** `synced` entries were made without a connection: they are kept whatever they say, and settled later. */
export const PostEntries = z.strictObject({
  entries: z
    .array(Entry)
    .min(1, 'At least one entry is needed.')
    .max(1_000, 'At most 1,000 entries go at once.'),
  synced: z.boolean().optional(),
});
export type PostEntries = z.infer<typeof PostEntries>;
export const PostedEntries = z.strictObject({
  stored: z.array(Id),
  repeated: z.array(Id),
  toSettle: z.array(z.strictObject({ id: Id, sentence: z.string() })),
});
export type PostedEntries = z.infer<typeof PostedEntries>;
