import type { Attempt, BoxState, Colony, DueKind, WeatherDay } from '@yellow-cell/contract';
import type { Day } from '../../calendar/days.ts';
import type { ConstantName, Constants } from '../../constants/registry.ts';
import type { StandingCompartment } from '../compartments.ts';

/** Work that a colony expects, with its window and the reason in plain words. */
export interface Expectation {
  kind: DueKind;
  title: string;
  from: Day;
  expected: Day;
  to: Day;
  reason: string;
  /** True where the work no longer makes sense once its window is over. */
  lapses?: true;
  /** True where it is not named as what comes next, only once it is due. */
  quiet?: true;
}

export type Weather = ReadonlyMap<Day, WeatherDay>;

/** What a rule is asked about: a living colony in its compartment. */
export interface Case {
  colony: Colony;
  attempt: Attempt | undefined;
  compartment: StandingCompartment;
  box: BoxState;
  weather: Weather;
  constants: Constants;
}

/** A rule that raises work: a small pure function, with what a person may want to know of it. */
export interface Rule {
  kind: DueKind;
  title: string;
  /** What it is for, in general; the reason for one colony stands in its expectation. */
  why: string;
  source: string;
  figures: readonly ConstantName[];
  raise: (given: Case) => Omit<Expectation, 'kind' | 'title'> | undefined;
}
