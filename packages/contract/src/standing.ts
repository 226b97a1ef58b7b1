import { z } from 'zod';
import type { EntranceState } from './compute.ts';
import type { Design, DesignContent } from './design.ts';
import type { Layer } from './event/boxEvents.ts';
import type { Entry, LogEvent } from './event/entry.ts';
import type { CombSide, FramePlace, FramePurpose } from './event/frameEvents.ts';
import type { QueenColour } from './event/queenEvents.ts';
import type { WeatherDay } from './event/seasonEvents.ts';
import type { WinterRoom } from './event/winterEvents.ts';
import type { Hole, Slot } from './layer.ts';
import type {
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
import type { Condition } from './workshop.ts';

/** What the fold of events says of boxes, and what lives in them, on a day. Days are `YYYY-MM-DD`. */
type Day = string;

/** A place where a board was set by hand, and the bay that it parts off to its right. */
export interface BoardPlace {
  board: string;
  groove: string;
  bay: string;
  at_mm: number;
  framesLeft: number;
}

export interface BoxState {
  id: string;
  label: string;
  design: string;
  version: number;
  builtOn: Day;
  place?: { yard: string; stand: string; east_m: number; north_m: number; bearing_deg: number; since: Day };
  /** The box that it stands on. */
  onto?: string;
  takenApartOn?: Day;
  /** What its rooms served as, and since when; the last that names a room, or none, holds for it. `at` is the instant, told in the time of `zone`. */
  roles?: readonly { role: Role; since: Day; at: string; zone: string; bays?: readonly string[] }[];
  /** Steps of its build that are done, with the day. */
  buildSteps?: Readonly<Record<string, Day>>;
  /** Its stack where that is no more as drawn: bodies, sheets, boards, floor and roof that it has now. */
  changed?: DesignContent;
  /** What was taken off and lies beside it. */
  off?: readonly { layer: Layer; since: Day }[];
  /** Against its stack: boards that do not stand, boards in other grooves, entrances, vents and holes otherwise than drawn. */
  pulled?: readonly string[];
  grooves?: Readonly<Record<string, string>>;
  /** Places that the design does not have, in the order in which they were made. */
  places?: readonly BoardPlace[];
  /** Feeders and combs in other places than drawn. */
  slots?: Readonly<Record<string, Slot['holds']>>;
  entranceStates?: Readonly<Record<string, EntranceState>>;
  ventsShut?: readonly string[];
  holes?: Readonly<Record<string, Hole['closedBy']>>;
  /** Slots from which a frame went, and none came. */
  emptySlots?: readonly string[];
  /** As it was last looked at. */
  inspected?: { on: Day; finish: string; condition: Condition; missing: string };
  weights?: readonly { on: Day; weight_kg: number; felt: boolean }[];
  temperature?: { on: Day; inside_C: number };
  /** Playbooks that were begun in it, oldest first. */
  runs?: readonly Run[];
}

/** A playbook in one room: what was done of it, each by the entry that said so. */
export interface Run {
  id: string;
  playbook: PlaybookName;
  bays: readonly string[];
  cells?: number;
  round?: string;
  /** The day on which its last step is wanted. */
  by?: Day;
  begun: Moment;
  /** By step; a step that was skipped bears its reason. */
  steps: Readonly<Record<string, Moment & { skipped?: string; facts?: readonly string[] }>>;
  /** Counted aloud within a step, in the order in which it was said. */
  marks?: readonly { step: string; mark: string; entry: string }[];
  ended?: Moment & { done: boolean; reason?: string };
}

/** An instant, told in the time of `zone`, by an entry. */
export interface Moment {
  at: string;
  zone: string;
  on: Day;
  entry: string;
}

export interface Colony {
  id: string;
  box: string;
  /** All that it lives in: its home, and rooms that workers can go to from there. */
  bays: readonly string[];
  /** The room that it was put into. */
  home: readonly string[];
  /** A bay of the room that its queen, or cell, is known to be in. */
  queenIn?: string;
  stockedOn: Day;
  /** Frames and shaken bees that it was made of, and got since; newest last. */
  stocks?: readonly { on: Day; sealedBrood: number; stores: number; shakes: number }[];
  openBrood: boolean;
  status: Status;
  since: Day;
  /** The attempt now in it, or the last one. */
  attempt?: string;
  combinedOn?: Day;
  /** Since when no bee gets out of its compartment. */
  shutOn?: Day;
  /** Work put off to a day, or dismissed (null), by its kind, and its key where several of a kind may stand. */
  putOff?: readonly { work: DueKind; key?: string; until: Day | null }[];
  fed?: { on: Day; feed: Feed; amount_kg: number };
  /** What is in its combs until it is taken out; each set bears the id of its entry. */
  strips?: readonly { id: string; on: Day; product: string; outBy: Day; batch?: string }[];
  /** When strips last went in. */
  treatedOn?: Day;
  strength?: { on: Day; seams: number };
  /** Counts of seams, newest last: how strong it went into winter. */
  counts?: readonly { on: Day; seams: number }[];
  broodSeen?: { on: Day; frames: number };
  /** When wild cells were last searched for, and how many there were. */
  searched?: { on: Day; found: number; left?: number };
  /** Counts of mites, newest last. */
  mites?: readonly { on: Day; method: MiteMethod; mites: number; bees?: number; days?: number }[];
  troubles?: readonly { trouble: Trouble; on: Day }[];
  coverOffOn?: Day;
  /** `backBy` is an instant, `zone` the time that it was told in. */
  outing?: { on: Day; place: string; backBy: string; zone: string };
  /** What is planned for its winter; `fed_kg` is sugar fed since, whatever it was fed as. */
  winter?: {
    on: Day;
    act: WinterAct;
    room?: WinterRoom;
    to?: { box: string; bays: readonly string[] };
    with?: { box: string; colony: string };
    where?: string;
    /** The boxes that its box is pushed together with. */
    pushedTo?: string;
    sugar_kg: number;
    fed_kg: number;
    by?: Day;
    reason?: string;
    /** Since when it stands as planned. */
    preparedOn?: Day;
  };
  /** When its short check was made last: strips, a look down, floor, lid, strap. */
  shortCheckedOn?: Day;
  suspicions?: readonly { id: string; what: string; on: Day; confidence?: Confidence }[];
  /** Eggs, brood or the queen herself last seen; and a look for her that did not find her. */
  evidenceOn?: Day;
  notSeenOn?: Day;
  /** The colony that most of its bees were taken from. */
  beesOf?: string;
  /** Frames or bees given to others. */
  gaveOn?: Day;
  /** Brood that came in by frame. */
  broodGivenOn?: Day;
  ended?: { on: Day; how: 'combined' | 'queenTaken' | 'lost' };
}

export interface Attempt {
  id: string;
  colony: string;
  box: string;
  bays: readonly string[];
  /** Of its compartment when the cell was given: dividers may move later, the record does not. */
  frames: number;
  what: 'cell' | 'virgin';
  round?: string;
  /** Of a virgin: when she emerged, told or reckoned from her graft. */
  bornOn?: Day;
  /** What it was given into, as that was on the day. */
  into?: {
    design: string;
    version: number;
    yard?: string;
    /** What the compartment was called as the box stood. */
    compartment: string;
    donor?: string;
    /** Through which she flies, and the bearing that it looked to. */
    entrance?: { id: string; bearing_deg?: number };
  };
  givenOn: Day;
  openedOn?: Day;
  /** First eggs or worker brood seen: the day it became a take. */
  layingOn?: Day;
  patterns: readonly { on: Day; pattern_pct: number }[];
  failed?: { on: Day; reason: FailReason };
  taken?: { on: Day; to: QueenFate };
}

export interface Queen {
  id: string;
  name?: string;
  mother?: { queen: string } | { name: string };
  round?: string;
  bornOn?: Day;
  birthYear?: number;
  matedAt?: string;
  mark?: { on: Day; colour: QueenColour | null; number?: string; clipped: boolean };
  /** The colony she is with, or was with last. */
  colony: string;
  box: string;
  since: Day;
  caged?: boolean;
  /** In a bank: her place among the cages, and the box that she came from. */
  cage?: string;
  from?: string;
  /** Where she was on a frame, it is the frame’s place now: where it is moved, the sighting goes along; `box` where that is another than hers. */
  sightings: readonly { on: Day; slot?: string; box?: string }[];
  /** What became of her, where she is no longer there. */
  gone?: { on: Day; to: QueenFate | 'lost'; backBy?: Day };
}

export interface Frame {
  id: string;
  /** Null: out of any box. */
  at: FramePlace | null;
  since: Day;
  /** The other way round than it first stood. */
  turned: boolean;
  audit?: { on: Day; sides: readonly [CombSide, CombSide]; bees?: readonly [number, number] };
  out?: { from: FramePlace; on: Day; purpose: FramePurpose; turned: boolean; backBy?: Day; where?: string };
}

export interface Round {
  id: string;
  number: number;
  donor: string;
  donorQueen?: string;
  /** The day of the graft; while it is planned, the day it is meant for. */
  graftedOn: Day;
  grafts: number;
  /** True until it is grafted. */
  planned?: true;
  /** As it was planned last, where it was. */
  plan?: { graftOn: Day; grafts: number };
  /** As counted last; undefined until they are counted. */
  accepted?: { on: Day; cells: number };
  /** Cells carried on, in the order in which that happened. */
  moved?: readonly { on: Day; cells: number; to: CellsTo; where?: string }[];
}

/** Queens wanted by a day. */
export interface Lot {
  id: string;
  name: string;
  queens: number;
  by: Day;
}

/** What became of the cells of a round so far. */
export interface RoundOutcome {
  round: string;
  given: number;
  /** Laying, or were; of them those taken from their rooms already. */
  takes: number;
  taken: number;
  misses: number;
}

/** All that a season of rearing is planned with: rounds and lots, what became of cells, the record, and when rooms are free. */
export interface RearingSeason {
  rounds: readonly Round[];
  lots: readonly Lot[];
  outcomes: readonly RoundOutcome[];
  /** Attempts that are decided, of all rounds. */
  record: { takes: number; tried: number };
  /** Grafts that were counted, and how many of them were taken on. */
  accepted: { cells: number; grafts: number };
  /** Mating rooms: the day from which each is free, at the latest as expected. */
  rooms: readonly { freeFrom: Day }[];
}
export const RearingSeason = z.custom<RearingSeason>();

/** One box as it stands with all that is recorded, and what lives in it. */
export interface BoxStanding {
  box: BoxState;
  colonies: readonly Colony[];
  attempts: readonly Attempt[];
  queens: readonly Queen[];
  frames: readonly Frame[];
  /** What happened last, newest last; what such an entry is about follows from what it says. */
  recent: readonly Entry[];
}

/** What a box was like before an event that is about it and others. Null where there was no such box yet. */
export interface BoxBefore {
  event: string;
  box: string;
  before: Omit<BoxStanding, 'recent'> | null;
}
export const BoxBefore = z.custom<BoxBefore>();

/** A page of boxes as they stand. */
export interface Standing {
  boxes: readonly BoxStanding[];
  next: string | null;
}
/** What is needed beside the boxes of a yard to show them, and to go on telling their story. */
export interface Around {
  designs: readonly Design[];
  rounds: readonly Round[];
  weather: readonly WeatherDay[];
}
export const Around = z.custom<Around>();
/** Output only: it is written by the same program that reads it, as text that was stored so. */
export const Standing = z.custom<Standing>();

/** An entry that cannot be as it was told, with why, and what it clashes with, where that is known. */
export interface Unsettled {
  event: LogEvent;
  sentence: string;
  /** What stands in its way: the last entry before it about the same thing. */
  against?: LogEvent;
  boxes: readonly { id: string; label: string; yard: string | null }[];
}
/** A page of what waits, newest first; `next` asks for what follows, `count` is how many wait in all. */
export interface UnsettledPage {
  items: readonly Unsettled[];
  next: string | null;
  count: number;
}
export const UnsettledPage = z.custom<UnsettledPage>();

/** A queen of her family, with where she lives, or lived last, and how her brood was scored last. */
export interface Relative {
  queen: Queen;
  /** Box and compartment that she lives in; where she is gone, those that she was last in as far as they are known. */
  place: string | null;
  /** What that compartment is in words: “laying”, “bank, 4 queens”; null where she is gone. */
  is: string | null;
  pattern_pct: number | null;
}

/** One queen with her sisters and daughters, and all that is told of her, oldest first. */
export interface QueenStory {
  queen: Queen;
  box: { id: string; label: string; yard: string | null } | null;
  attempt: Attempt | null;
  round: Round | null;
  sisters: readonly Relative[];
  daughters: readonly Relative[];
  events: readonly LogEvent[];
}
export const QueenStory = z.custom<QueenStory>();

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
