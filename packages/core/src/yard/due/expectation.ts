import type { Attempt, BoxState, Colony, DueKind, WeatherDay } from '@yellow-cell/contract';
import type { Day } from '../../calendar/days.ts';
import type { ConstantName, Constants } from '../../constants/registry.ts';
import type { StandingCompartment } from '../compartments.ts';

/** Work that a colony expects, with its window and the reason in plain words. */
export interface Expectation {
  kind: DueKind;
  /** Which, where several of the kind may stand. */
  key?: string;
  title: string;
  from: Day;
  expected: Day;
  to: Day;
  reason: string;
  /** True where the work no longer makes sense once its window is over. */
  lapses?: true;
  /** True where it is not named as what comes next, only once it is due. */
  quiet?: true;
  /** True where it is named before all else that is due. */
  pressing?: true;
  /** The instant by which it must be done, where hours count. */
  by?: string;
}

export type Weather = ReadonlyMap<Day, WeatherDay>;

/** What a rule is asked about: a living colony in its room. */
export interface Case {
  colony: Colony;
  attempt: Attempt | undefined;
  compartment: StandingCompartment;
  box: BoxState;
  weather: Weather;
  constants: Constants;
}

/** What a rule says of one piece of work. */
export type Raised = Omit<Expectation, 'kind' | 'title' | 'pressing'> &
  Partial<Pick<Expectation, 'title' | 'pressing'>>;

/** A rule that raises work: a small pure function, with what a person may want to know of it. */
export interface Rule {
  kind: DueKind;
  title: string;
  /** What it is for, in general; the reason for one colony stands in its expectation. */
  why: string;
  source: string;
  figures: readonly ConstantName[];
  /** True for what hurts bees or people within hours or days: it is named before all else that is due. */
  pressing?: true;
  /** True for what is of the room itself, and not of its colony, which may live in several. */
  ofRoom?: true;
  raise: (given: Case) => Raised | readonly Raised[] | undefined;
}
