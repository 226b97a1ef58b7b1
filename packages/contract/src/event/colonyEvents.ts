import { z } from 'zod';
import { CalendarDate, Id, Instant, name, PartId, text } from '../primitives.ts';
import { Confidence, DueKind, FailReason, Feed, MiteMethod, Trouble } from '../status.ts';
import { count, inColony, ofAttempt } from './where.ts';

/** What is done with bees in a compartment, and what is seen of them. */
export const colonyEvents = {
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
    /** Of a colony that is hived whole: left out, there is no queen among the bees. */
    queen: z.enum(['laying', 'unknown']).optional(),
    /** The colony that gave frames or bees; it may give again some time later. */
    giver: z.strictObject({ box: Id, colony: Id }).optional(),
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
  /** Into other bees; `also` where it is shared between two neighbours. */
  combined: z.strictObject({
    ...inColony,
    intoBox: Id,
    into: Id,
    also: z.strictObject({ box: Id, colony: Id }).optional(),
  }),
  /** The whole colony into an empty compartment of another box, or of its own. */
  colonyMoved: z.strictObject({
    ...inColony,
    toBox: Id,
    bays: z.array(PartId).min(1),
    /** Frames of which nothing is told yet that find no place there, by the slot that they stood in: they stay out. */
    left: z
      .array(z.strictObject({ frame: Id, slot: PartId }))
      .max(40)
      .optional(),
  }),
  /** How strong they are: seams of bees, seen from above, or frames with brood, or both. */
  strengthSeen: z
    .strictObject({
      ...inColony,
      seams: z
        .number()
        .min(0, 'Seams cannot be below 0.')
        .max(40, 'More than 40 seams of bees are not in one compartment.')
        .optional(),
      broodFrames: count('Frames of brood', 40).optional(),
    })
    .refine(({ seams, broodFrames }) => seams !== undefined || broodFrames !== undefined, {
      error: 'Seams of bees or frames of brood must be counted.',
    }),
  /** Wild cells searched for: how many were found and torn down, and how many were left to be looked at again. */
  wildCellsSearched: z.strictObject({
    ...inColony,
    found: count('Wild cells', 200),
    left: count('Wild cells left', 200).optional(),
  }),
  /** Mites of so many bees, or that dropped in so many days. */
  mitesCounted: z
    .strictObject({
      ...inColony,
      method: MiteMethod,
      mites: count('Mites', 100_000),
      bees: count('Bees', 5_000).min(1, 'At least one bee is counted.').optional(),
      days: count('Days', 60).min(1, 'Mites drop over a day at least.').optional(),
    })
    .refine(({ method, bees, days }) => (method === 'drop' ? days !== undefined : bees !== undefined), {
      error: 'Of a wash or sugar, how many bees; of a drop, in how many days.',
    }),
  /** Treated once, with what, by its label. */
  treated: z.strictObject({ ...inColony, product: name(80), batch: text(40).optional() }),
  troubleSeen: z.strictObject({ ...inColony, trouble: Trouble, over: z.boolean() }),
  fed: z.strictObject({
    ...inColony,
    feed: Feed,
    amount_kg: z.number().gt(0, 'Feed weighs more than 0 kg.').max(30, 'More than 30 kg is not fed at once.'),
  }),
  /** Strips or the like put in, with the day by which their label wants them out. */
  stripsPut: z.strictObject({
    ...inColony,
    product: name(80),
    outBy: CalendarDate,
    batch: text(40).optional(),
  }),
  /** Of several sets, the one that was put in by the entry of this id; left out, all of them. */
  stripsOut: z.strictObject({ ...inColony, strips: Id.optional() }),
  /** The cover of one compartment taken off, or back on. */
  coverSet: z.strictObject({ ...inColony, on: z.boolean() }),
  /** Bees taken out to be shown: where, and by when they must be home. */
  outingLeft: z.strictObject({ ...inColony, place: name(80), backBy: Instant }),
  outingReturned: z.strictObject(inColony),
  /** Something is thought and not yet known; worker brood, or a look, confirms or drops it. Told again by the same id, it is revised. */
  suspected: z.strictObject({
    ...inColony,
    suspicion: Id,
    what: name(200),
    confidence: Confidence.optional(),
  }),
  suspicionSettled: z.strictObject({ ...inColony, suspicion: Id, confirmed: z.boolean() }),
  /** Work put off to a date, or dismissed for good; the note says why. */
  workPutOff: z.strictObject({
    ...inColony,
    work: DueKind,
    /** Which, where several of the kind stand. */
    key: name(80).optional(),
    until: CalendarDate.nullable(),
  }),
  noted: z.strictObject({ box: Id, colony: Id.optional() }),
  /** Somebody was stung, and how it went. */
  stung: z.strictObject({ box: Id, who: name(60), stings: count('Stings', 1_000), reaction: text(200) }),
} as const;
