import { z } from 'zod';
import { WinterRoom } from '../event/winterEvents.ts';
import { CalendarDate } from '../primitives.ts';
import { Confidence, DueKind, Feed, MiteMethod, Status, Trouble, WinterAct } from '../status.ts';
import { list, may } from './shapes.ts';

export const Colony = z.strictObject({
  id: z.string(),
  box: z.string(),
  /** All that it lives in: its home, and rooms that workers can go to from there. */
  bays: list(z.string()),
  /** The room that it was put into. */
  home: list(z.string()),
  /** A bay of the room that its queen, or cell, is known to be in. */
  queenIn: may(z.string()),
  stockedOn: CalendarDate,
  /** Frames and shaken bees that it was made of, and got since; newest last. */
  stocks: may(
    list(
      z.strictObject({
        on: CalendarDate,
        sealedBrood: z.number(),
        stores: z.number(),
        shakes: z.number(),
      }),
    ),
  ),
  openBrood: z.boolean(),
  status: Status,
  since: CalendarDate,
  /** The attempt now in it, or the last one. */
  attempt: may(z.string()),
  combinedOn: may(CalendarDate),
  /** Since when no bee gets out of its compartment. */
  shutOn: may(CalendarDate),
  /** Work put off to a day, or dismissed (null), by its kind, and its key where several of a kind may stand. */
  putOff: may(
    list(
      z.strictObject({
        work: DueKind,
        key: may(z.string()),
        until: CalendarDate.nullable(),
      }),
    ),
  ),
  fed: may(
    z.strictObject({
      on: CalendarDate,
      feed: Feed,
      amount_kg: z.number(),
    }),
  ),
  /** What is in its combs until it is taken out; each set bears the id of its entry. */
  strips: may(
    list(
      z.strictObject({
        id: z.string(),
        on: CalendarDate,
        product: z.string(),
        outBy: CalendarDate,
        batch: may(z.string()),
      }),
    ),
  ),
  /** When strips last went in. */
  treatedOn: may(CalendarDate),
  strength: may(
    z.strictObject({
      on: CalendarDate,
      seams: z.number(),
    }),
  ),
  /** Counts of seams, newest last: how strong it went into winter. */
  counts: may(
    list(
      z.strictObject({
        on: CalendarDate,
        seams: z.number(),
      }),
    ),
  ),
  broodSeen: may(
    z.strictObject({
      on: CalendarDate,
      frames: z.number(),
    }),
  ),
  /** When wild cells were last searched for, and how many there were. */
  searched: may(
    z.strictObject({
      on: CalendarDate,
      found: z.number(),
      left: may(z.number()),
    }),
  ),
  /** Counts of mites, newest last. */
  mites: may(
    list(
      z.strictObject({
        on: CalendarDate,
        method: MiteMethod,
        mites: z.number(),
        bees: may(z.number()),
        days: may(z.number()),
      }),
    ),
  ),
  troubles: may(
    list(
      z.strictObject({
        trouble: Trouble,
        on: CalendarDate,
      }),
    ),
  ),
  coverOffOn: may(CalendarDate),
  /** `backBy` is an instant, `zone` the time that it was told in. */
  outing: may(
    z.strictObject({
      on: CalendarDate,
      place: z.string(),
      backBy: z.string(),
      zone: z.string(),
    }),
  ),
  /** What is planned for its winter; `fed_kg` is sugar fed since, whatever it was fed as. */
  winter: may(
    z.strictObject({
      on: CalendarDate,
      act: WinterAct,
      room: may(WinterRoom),
      to: may(
        z.strictObject({
          box: z.string(),
          bays: list(z.string()),
        }),
      ),
      with: may(
        z.strictObject({
          box: z.string(),
          colony: z.string(),
        }),
      ),
      where: may(z.string()),
      /** The boxes that its box is pushed together with. */
      pushedTo: may(z.string()),
      sugar_kg: z.number(),
      fed_kg: z.number(),
      by: may(CalendarDate),
      reason: may(z.string()),
      /** Since when it stands as planned. */
      preparedOn: may(CalendarDate),
    }),
  ),
  /** When its short check was made last: strips, a look down, floor, lid, strap. */
  shortCheckedOn: may(CalendarDate),
  suspicions: may(
    list(
      z.strictObject({
        id: z.string(),
        what: z.string(),
        on: CalendarDate,
        confidence: may(Confidence),
      }),
    ),
  ),
  /** Eggs, brood or the queen herself last seen; and a look for her that did not find her. */
  evidenceOn: may(CalendarDate),
  notSeenOn: may(CalendarDate),
  /** The colony that most of its bees were taken from. */
  beesOf: may(z.string()),
  /** Frames or bees given to others. */
  gaveOn: may(CalendarDate),
  /** Brood that came in by frame. */
  broodGivenOn: may(CalendarDate),
  ended: may(
    z.strictObject({
      on: CalendarDate,
      how: z.enum(['combined', 'queenTaken', 'lost']),
    }),
  ),
});
export type Colony = z.infer<typeof Colony>;
