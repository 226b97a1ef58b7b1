import type {
  Attempt,
  BoxState,
  Colony,
  Design,
  Frame,
  LogEvent,
  Queen,
  Round,
  WeatherDay,
} from '@yellow-cell/contract';
import type { Day } from '../calendar/days.ts';

/** A question put to the boxes of a yard. */
export interface TrialState {
  yard: string;
  ended: boolean;
}

/** What the fold of events says of the boxes concerned, as of a day. */
export interface YardState {
  boxes: ReadonlyMap<string, BoxState>;
  colonies: ReadonlyMap<string, Colony>;
  attempts: ReadonlyMap<string, Attempt>;
  queens: ReadonlyMap<string, Queen>;
  frames: ReadonlyMap<string, Frame>;
  rounds: ReadonlyMap<string, Round>;
  /** Weather of each yard by day. */
  weather: ReadonlyMap<string, ReadonlyMap<Day, WeatherDay>>;
  /** Trials by id: where, and whether they are over. */
  trials: ReadonlyMap<string, TrialState>;
  /** Effective events in the order they happened. */
  story: readonly LogEvent[];
  /** Entries that cannot be, left out of the story until a person settles them. */
  toSettle: readonly { event: LogEvent; sentence: string }[];
}

/** Before anything is told. */
export const emptyYard: YardState = {
  boxes: new Map(),
  colonies: new Map(),
  attempts: new Map(),
  queens: new Map(),
  frames: new Map(),
  rounds: new Map(),
  weather: new Map(),
  trials: new Map(),
  story: [],
  toSettle: [],
};

export type Designs = ReadonlyMap<string, Design>;

/** What the registers hold beside the log: the designs, whose bays the events name, and the yards there are. */
export interface Known {
  designs: Designs;
  yards: ReadonlySet<string>;
}
