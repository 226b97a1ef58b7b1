import { z } from 'zod';
import { ClockInstant, Id, name, text, wholeNumber, Zone } from '../primitives.ts';
import { boxEvents } from './boxEvents.ts';
import { colonyEvents } from './colonyEvents.ts';
import { frameEvents } from './frameEvents.ts';
import { kindVersionOf } from './kindVersions.ts';
import { playbookEvents } from './playbookEvents.ts';
import { queenEvents } from './queenEvents.ts';
import { seasonEvents } from './seasonEvents.ts';
import { winterEvents } from './winterEvents.ts';

/** What each kind of event says. A kind's meaning never changes; a new meaning is a new kindVersion with an upcaster. */
export const payloads = {
  ...boxEvents,
  ...colonyEvents,
  ...queenEvents,
  ...frameEvents,
  ...seasonEvents,
  ...playbookEvents,
  ...winterEvents,
} as const;

export type EventKind = keyof typeof payloads;
export const EventKind = z.enum(Object.keys(payloads) as [EventKind, ...EventKind[]]);

/** What an event of one kind says. */
export type Payload<K extends EventKind> = z.infer<(typeof payloads)[K]>;

/** An entry as a person makes it. The server adds breeder, recordedAt and subjects. */
const entryFields = {
  id: Id,
  occurredAt: ClockInstant,
  zone: Zone,
  person: name(60),
  device: name(60),
  deviceSeq: wholeNumber(0),
  /** The entry that this one corrects: replaced by it, or taken out of the story by `withdrawn`. */
  corrects: Id.optional(),
  note: text(5_000).optional(),
};
const envelope = z.strictObject({ ...entryFields, kindVersion: z.number() });
const entryOf = <K extends EventKind>(kind: K) =>
  z.strictObject({
    ...entryFields,
    kindVersion: z.literal(kindVersionOf(kind)),
    kind: z.literal(kind),
    payload: payloads[kind],
  });

export type Entry = {
  [K in EventKind]: z.infer<typeof envelope> & { kind: K; payload: Payload<K> };
}[EventKind];
const [first, ...others] = EventKind.options.map(entryOf);
/** One schema for each kind, told apart by `kind`; the type is spelled above, since a list made by a loop has lost it. */
export const Entry = z.discriminatedUnion('kind', [
  first as NonNullable<typeof first>,
  ...others,
]) as unknown as z.ZodType<Entry>;
export type EntryOf<K extends EventKind> = Extract<Entry, { kind: K }>;

export const Subject = z.strictObject({
  kind: z.enum(['box', 'colony', 'attempt', 'round', 'yard', 'queen', 'frame', 'trial', 'lot']),
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
