import type {
  Condition,
  Design,
  DueKind,
  EntranceState,
  FailReason,
  Feed,
  LogEvent,
  QueenFate,
  Status,
  WeatherDay,
} from '@yellow-cell/contract';
import type { Day } from '../calendar/days.ts';

/** What the fold of events says of the boxes concerned, as of a day. */
export interface YardState {
  boxes: ReadonlyMap<string, BoxState>;
  colonies: ReadonlyMap<string, Colony>;
  attempts: ReadonlyMap<string, Attempt>;
  rounds: ReadonlyMap<string, Round>;
  /** Weather of each yard by day. */
  weather: ReadonlyMap<string, ReadonlyMap<Day, WeatherDay>>;
  /** Effective events in the order they happened. */
  story: readonly LogEvent[];
  /** Entries that cannot be, left out of the story until a person settles them. */
  toSettle: readonly { event: LogEvent; sentence: string }[];
}

export interface BoxState {
  id: string;
  label: string;
  design: string;
  version: number;
  builtOn: Day;
  place?: { yard: string; stand: string; east_m: number; north_m: number; bearing_deg: number; since: Day };
  takenApartOn?: Day;
  /** Steps of its build that are done, with the day. */
  buildSteps?: Readonly<Record<string, Day>>;
  /** Dividers, followers and dummies that do not stand, and entrances not in their drawn state. */
  pulled?: readonly string[];
  entranceStates?: Readonly<Record<string, EntranceState>>;
  /** As it was last looked at. */
  inspected?: { on: Day; finish: string; condition: Condition; missing: string };
}

export interface Colony {
  id: string;
  box: string;
  bays: readonly string[];
  stockedOn: Day;
  openBrood: boolean;
  status: Status;
  since: Day;
  /** The attempt now in it, or the last one. */
  attempt?: string;
  combinedOn?: Day;
  /** Since when no bee gets out of its compartment. */
  shutOn?: Day;
  /** Work put off to a day, or dismissed (null). */
  putOff?: Readonly<Partial<Record<DueKind, Day | null>>>;
  fed?: { on: Day; feed: Feed; amount_kg: number };
  strips?: { on: Day; product: string; outBy: Day };
  ended?: { on: Day; how: 'combined' | 'queenTaken' | 'lost' };
}

export interface Attempt {
  id: string;
  colony: string;
  box: string;
  bays: readonly string[];
  /** Of its compartment when the cell was given: dividers may move later, the record does not. */
  frames: number;
  round?: string;
  givenOn: Day;
  openedOn?: Day;
  /** First eggs or worker brood seen: the day it became a take. */
  layingOn?: Day;
  patterns: readonly { on: Day; pattern_pct: number }[];
  failed?: { on: Day; reason: FailReason };
  taken?: { on: Day; to: QueenFate };
  /** Why her mother is not certain, where it is not. */
  uncertainMother?: string;
}

export interface Round {
  id: string;
  number: number;
  donor: string;
  graftedOn: Day;
  grafts: number;
  accepted: number;
}

export type Designs = ReadonlyMap<string, Design>;

/** What the registers hold beside the log: the designs, whose bays the events name, and the yards there are. */
export interface Known {
  designs: Designs;
  yards: ReadonlySet<string>;
}
