import { z } from 'zod';
import { EntranceState } from './compute.ts';
import { DesignContent } from './design.ts';
import { Layer } from './event/boxEvents.ts';
import { CombSide, FramePlace, FramePurpose } from './event/frameEvents.ts';
import { QueenColour } from './event/queenEvents.ts';
import { WinterRoom } from './event/winterEvents.ts';
import { Hole, Slot } from './layer.ts';
import { CalendarDate } from './primitives.ts';
import {
  CellsTo,
  Confidence,
  DueKind,
  FailReason,
  Feed,
  MiteMethod,
  PlaybookName,
  QueenFate,
  Role,
  Status,
  Trouble,
  WinterAct,
} from './status.ts';
import { Condition } from './workshop.ts';

/**
 * What the fold of events says of boxes, and what lives in them, on a day. It is stored so in read rows and sent so:
 * ids are as the events gave them.
 */
const may = z.exactOptional;
const list = <T extends z.ZodType>(each: T) => z.array(each).readonly();
const pair = <T extends z.ZodType>(each: T) => z.tuple([each, each]).readonly();

/** A place where a board was set by hand, and the bay that it parts off to its right. */
export const BoardPlace = z.strictObject({
  board: z.string(),
  groove: z.string(),
  bay: z.string(),
  at_mm: z.number(),
  framesLeft: z.number(),
});
export type BoardPlace = z.infer<typeof BoardPlace>;

/** An instant, told in the time of `zone`, by an entry. */
export const Moment = z.strictObject({
  at: z.string(),
  zone: z.string(),
  on: CalendarDate,
  entry: z.string(),
});
export type Moment = z.infer<typeof Moment>;

/** A playbook in one room: what was done of it, each by the entry that said so. */
export const Run = z.strictObject({
  id: z.string(),
  playbook: PlaybookName,
  bays: list(z.string()),
  cells: may(z.number()),
  round: may(z.string()),
  /** The day on which its last step is wanted. */
  by: may(CalendarDate),
  begun: Moment,
  /** By step; a step that was skipped bears its reason. */
  steps: z
    .record(
      z.string(),
      Moment.extend({
        skipped: may(z.string()),
        facts: may(list(z.string())),
      }),
    )
    .readonly(),
  /** Counted aloud within a step, in the order in which it was said. */
  marks: may(
    list(
      z.strictObject({
        step: z.string(),
        mark: z.string(),
        entry: z.string(),
      }),
    ),
  ),
  ended: may(
    Moment.extend({
      done: z.boolean(),
      reason: may(z.string()),
    }),
  ),
});
export type Run = z.infer<typeof Run>;

export const BoxState = z.strictObject({
  id: z.string(),
  label: z.string(),
  design: z.string(),
  version: z.number(),
  builtOn: CalendarDate,
  place: may(
    z.strictObject({
      yard: z.string(),
      stand: z.string(),
      east_m: z.number(),
      north_m: z.number(),
      bearing_deg: z.number(),
      since: CalendarDate,
    }),
  ),
  /** The box that it stands on. */
  onto: may(z.string()),
  takenApartOn: may(CalendarDate),
  /** What its rooms served as, and since when; the last that names a room, or none, holds for it. `at` is the instant, told in the time of `zone`. */
  roles: may(
    list(
      z.strictObject({
        role: Role,
        since: CalendarDate,
        at: z.string(),
        zone: z.string(),
        bays: may(list(z.string())),
      }),
    ),
  ),
  /** Steps of its build that are done, with the day. */
  buildSteps: may(z.record(z.string(), CalendarDate).readonly()),
  /** Its stack where that is no more as drawn: bodies, sheets, boards, floor and roof that it has now. */
  changed: may(DesignContent),
  /** What was taken off and lies beside it. */
  off: may(
    list(
      z.strictObject({
        layer: Layer,
        since: CalendarDate,
      }),
    ),
  ),
  /** Against its stack: boards that do not stand, boards in other grooves, entrances, vents and holes otherwise than drawn. */
  pulled: may(list(z.string())),
  grooves: may(z.record(z.string(), z.string()).readonly()),
  /** Places that the design does not have, in the order in which they were made. */
  places: may(list(BoardPlace)),
  /** Feeders and combs in other places than drawn. */
  slots: may(z.record(z.string(), Slot.shape.holds).readonly()),
  entranceStates: may(z.record(z.string(), EntranceState).readonly()),
  ventsShut: may(list(z.string())),
  holes: may(z.record(z.string(), Hole.shape.closedBy).readonly()),
  /** Slots from which a frame went, and none came. */
  emptySlots: may(list(z.string())),
  /** As it was last looked at. */
  inspected: may(
    z.strictObject({
      on: CalendarDate,
      finish: z.string(),
      condition: Condition,
      missing: z.string(),
    }),
  ),
  weights: may(
    list(
      z.strictObject({
        on: CalendarDate,
        weight_kg: z.number(),
        felt: z.boolean(),
      }),
    ),
  ),
  temperature: may(
    z.strictObject({
      on: CalendarDate,
      inside_C: z.number(),
    }),
  ),
  /** Playbooks that were begun in it, oldest first. */
  runs: may(list(Run)),
});
export type BoxState = z.infer<typeof BoxState>;

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

export const Attempt = z.strictObject({
  id: z.string(),
  colony: z.string(),
  box: z.string(),
  bays: list(z.string()),
  /** Of its compartment when the cell was given: dividers may move later, the record does not. */
  frames: z.number(),
  what: z.enum(['cell', 'virgin']),
  round: may(z.string()),
  /** Of a virgin: when she emerged, told or reckoned from her graft. */
  bornOn: may(CalendarDate),
  /** What it was given into, as that was on the day. */
  into: may(
    z.strictObject({
      design: z.string(),
      version: z.number(),
      yard: may(z.string()),
      /** What the compartment was called as the box stood. */
      compartment: z.string(),
      donor: may(z.string()),
      /** Through which she flies, and the bearing that it looked to. */
      entrance: may(
        z.strictObject({
          id: z.string(),
          bearing_deg: may(z.number()),
        }),
      ),
    }),
  ),
  givenOn: CalendarDate,
  openedOn: may(CalendarDate),
  /** First eggs or worker brood seen: the day it became a take. */
  layingOn: may(CalendarDate),
  patterns: list(
    z.strictObject({
      on: CalendarDate,
      pattern_pct: z.number(),
    }),
  ),
  failed: may(
    z.strictObject({
      on: CalendarDate,
      reason: FailReason,
    }),
  ),
  taken: may(
    z.strictObject({
      on: CalendarDate,
      to: QueenFate,
    }),
  ),
});
export type Attempt = z.infer<typeof Attempt>;

export const Queen = z.strictObject({
  id: z.string(),
  name: may(z.string()),
  mother: may(
    z.union([
      z.strictObject({
        queen: z.string(),
      }),
      z.strictObject({
        name: z.string(),
      }),
    ]),
  ),
  round: may(z.string()),
  bornOn: may(CalendarDate),
  birthYear: may(z.number()),
  matedAt: may(z.string()),
  mark: may(
    z.strictObject({
      on: CalendarDate,
      colour: QueenColour.nullable(),
      number: may(z.string()),
      clipped: z.boolean(),
    }),
  ),
  /** The colony she is with, or was with last. */
  colony: z.string(),
  box: z.string(),
  since: CalendarDate,
  caged: may(z.boolean()),
  /** In a bank: her place among the cages, and the box that she came from. */
  cage: may(z.string()),
  from: may(z.string()),
  /** Where she was on a frame, it is the frame’s place now: where it is moved, the sighting goes along; `box` where that is another than hers. */
  sightings: list(
    z.strictObject({
      on: CalendarDate,
      slot: may(z.string()),
      box: may(z.string()),
    }),
  ),
  /** What became of her, where she is no longer there. */
  gone: may(
    z.strictObject({
      on: CalendarDate,
      to: z.union([QueenFate, z.literal('lost')]),
      backBy: may(CalendarDate),
    }),
  ),
});
export type Queen = z.infer<typeof Queen>;

export const Frame = z.strictObject({
  id: z.string(),
  /** Null: out of any box. */
  at: FramePlace.nullable(),
  since: CalendarDate,
  /** The other way round than it first stood. */
  turned: z.boolean(),
  audit: may(
    z.strictObject({
      on: CalendarDate,
      sides: pair(CombSide),
      bees: may(pair(z.number())),
    }),
  ),
  out: may(
    z.strictObject({
      from: FramePlace,
      on: CalendarDate,
      purpose: FramePurpose,
      turned: z.boolean(),
      backBy: may(CalendarDate),
      where: may(z.string()),
    }),
  ),
});
export type Frame = z.infer<typeof Frame>;

export const Round = z.strictObject({
  id: z.string(),
  number: z.number(),
  donor: z.string(),
  donorQueen: may(z.string()),
  /** The day of the graft; while it is planned, the day it is meant for. */
  graftedOn: CalendarDate,
  grafts: z.number(),
  /** True until it is grafted. */
  planned: may(z.literal(true)),
  /** As it was planned last, where it was. */
  plan: may(
    z.strictObject({
      graftOn: CalendarDate,
      grafts: z.number(),
    }),
  ),
  /** As counted last; undefined until they are counted. */
  accepted: may(
    z.strictObject({
      on: CalendarDate,
      cells: z.number(),
    }),
  ),
  /** Cells carried on, in the order in which that happened. */
  moved: may(
    list(
      z.strictObject({
        on: CalendarDate,
        cells: z.number(),
        to: CellsTo,
        where: may(z.string()),
      }),
    ),
  ),
});
export type Round = z.infer<typeof Round>;
