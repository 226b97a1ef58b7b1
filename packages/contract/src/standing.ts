import { z } from 'zod';
import { Design } from './design.ts';
import { Entry, LogEvent } from './event/entry.ts';
import { WeatherDay } from './event/seasonEvents.ts';
import { CalendarDate } from './primitives.ts';
import { Attempt } from './state/attempt.ts';
import { BoxState } from './state/box.ts';
import { Colony } from './state/colony.ts';
import { Frame } from './state/frame.ts';
import { Queen } from './state/queen.ts';
import { Round } from './state/round.ts';
import { list, may } from './state/shapes.ts';

/** Queens wanted by a day. */
export const Lot = z.strictObject({
  id: z.string(),
  name: z.string(),
  queens: z.number(),
  by: CalendarDate,
  /** Of one of its queens, where it is another than usual. */
  worth: may(z.number()),
  /** Of its queens so many have been handed over; left out where none has. */
  handedOver: may(z.number()),
});
export type Lot = z.infer<typeof Lot>;

/** What became of the cells of a round so far. */
export const RoundOutcome = z.strictObject({
  round: z.string(),
  given: z.number(),
  /** Laying, or were; of them those taken from their rooms already. */
  takes: z.number(),
  taken: z.number(),
  misses: z.number(),
});
export type RoundOutcome = z.infer<typeof RoundOutcome>;

/** All that a season of rearing is planned with: rounds and lots, what became of cells, the record, and when rooms are free. */
export const RearingSeason = z.strictObject({
  rounds: list(Round),
  lots: list(Lot),
  outcomes: list(RoundOutcome),
  /** Attempts that are decided, of all rounds. */
  record: z.strictObject({ takes: z.number(), tried: z.number() }),
  /** Grafts that were counted, and how many of them were taken on. */
  accepted: z.strictObject({ cells: z.number(), grafts: z.number() }),
  /** What is known of the weather of the yard: days of each month, 1 is January, and of them those that flew; the last days one by one. */
  flown: z.strictObject({
    months: list(z.strictObject({ month: z.number(), known: z.number(), flew: z.number() })),
    days: list(z.strictObject({ on: CalendarDate, flies: z.boolean() })),
  }),
  /** Mating rooms: the day from which each is free, at the latest as expected. */
  rooms: list(z.strictObject({ freeFrom: CalendarDate })),
  /** Queens that banks keep, each with the day on which she came there. */
  banked: list(z.strictObject({ since: CalendarDate })),
});
export type RearingSeason = z.infer<typeof RearingSeason>;

/** A season that is over. */
export const PastSeason = RearingSeason.pick({
  rounds: true,
  lots: true,
  outcomes: true,
  flown: true,
}).extend({
  /** Mating rooms that were given cells or virgins in it. */
  rooms: z.number(),
});
export type PastSeason = z.infer<typeof PastSeason>;

/** One box as it stands with all that is recorded, and what lives in it. */
export const BoxStanding = z.strictObject({
  box: BoxState,
  colonies: list(Colony),
  attempts: list(Attempt),
  queens: list(Queen),
  frames: list(Frame),
  /** What happened last, newest last; what such an entry is about follows from what it says. */
  recent: list(Entry),
});
export type BoxStanding = z.infer<typeof BoxStanding>;

/** What a box was like before an event that is about it and others. Null where there was no such box yet. */
export const BoxBefore = z.strictObject({
  event: z.string(),
  box: z.string(),
  before: BoxStanding.omit({ recent: true }).nullable(),
});
export type BoxBefore = z.infer<typeof BoxBefore>;

/** A page of boxes as they stand. */
export const Standing = z.strictObject({ boxes: list(BoxStanding), next: z.string().nullable() });
export type Standing = z.infer<typeof Standing>;

/** What is needed beside the boxes of a yard to show them, and to go on telling their story. */
export const Around = z.strictObject({
  designs: list(Design),
  rounds: list(Round),
  weather: list(WeatherDay),
});
export type Around = z.infer<typeof Around>;

const BoxOf = z.strictObject({ id: z.string(), label: z.string(), yard: z.string().nullable() });
/** An entry that cannot be as it was told, with why, and what it clashes with, where that is known. */
export const Unsettled = z.strictObject({
  event: LogEvent,
  sentence: z.string(),
  /** What stands in its way: the last entry before it about the same thing. */
  against: may(LogEvent),
  boxes: list(BoxOf),
});
export type Unsettled = z.infer<typeof Unsettled>;
/** A page of what waits, newest first; `next` asks for what follows, `count` is how many wait in all. */
export const UnsettledPage = z.strictObject({
  items: list(Unsettled),
  next: z.string().nullable(),
  count: z.number(),
});
export type UnsettledPage = z.infer<typeof UnsettledPage>;

/** A queen of her family, with where she lives, or lived last, and how her brood was scored last. */
export const Relative = z.strictObject({
  queen: Queen,
  /** Box and compartment that she lives in; where she is gone, those that she was last in as far as they are known. */
  place: z.string().nullable(),
  /** What that compartment is in words: “laying”, “bank, 4 queens”; null where she is gone. */
  is: z.string().nullable(),
  pattern_pct: z.number().nullable(),
});
export type Relative = z.infer<typeof Relative>;

/** One queen with her sisters and daughters, and all that is told of her, oldest first. */
export const QueenStory = z.strictObject({
  queen: Queen,
  box: BoxOf.nullable(),
  attempt: Attempt.nullable(),
  round: Round.nullable(),
  sisters: list(Relative),
  daughters: list(Relative),
  events: list(LogEvent),
});
export type QueenStory = z.infer<typeof QueenStory>;

/** Something that is called, marked or noted as was typed. */
export const Found = z.strictObject({
  kind: z.enum(['box', 'queen', 'round', 'note', 'stand']),
  id: z.string(),
  title: z.string(),
  detail: z.string(),
  box: z.string().nullable(),
  yard: z.string().nullable(),
});
export type Found = z.infer<typeof Found>;
