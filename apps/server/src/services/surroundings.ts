import type { Attempt, BoxState, LogEvent, Round, WeatherDay } from '@yellow-cell/contract';
import {
  type Constants,
  constantsWith,
  type Day,
  defaultConstants,
  earlier,
  type Known,
  plusDays,
  WEATHER_BEARS_D,
  type Whole,
  type YardState,
} from '@yellow-cell/core';
import type { Store } from '../store/database.ts';
import { designsIn } from '../store/reckoned.ts';
import { type AroundTold, aroundTold } from '../store/standing.ts';
import { knownDesigns } from './designCache.ts';

/** What boxes are reckoned with beside themselves, read at once: designs, yards, figures, rounds, weather. */
export interface Surroundings {
  known: Known;
  constantsFor: (box: BoxState) => Constants;
  rounds: ReadonlyMap<string, Round>;
  weather: ReadonlyMap<string, ReadonlyMap<Day, WeatherDay>>;
}

/** Weather is wanted of the last weeks before anything that happened, and of those after a cell was given, from before a virgin was born until it has failed at the latest. */
const ATTEMPT_BEFORE_D = 10;

/** When something happened, and what it is about where that is not known yet. */
type Happened = Pick<LogEvent, 'occurredAt'> & Partial<Pick<LogEvent, 'subjects'>>;

export async function surroundings(
  store: Store,
  breeder: string,
  told: readonly Whole[],
  events: readonly Happened[],
  /** Those that are reckoned; all of them, where it is left out. */
  attempts: readonly Pick<Attempt, 'givenOn' | 'round'>[] = told.flatMap((each) => each.attempts),
): Promise<Surroundings> {
  const days = events.map(({ occurredAt }) => plusDays(occurredAt.slice(0, 10), -WEATHER_BEARS_D));
  const rounds = [
    ...attempts.flatMap(({ round }) => round ?? []),
    ...events.flatMap(({ subjects = [] }) =>
      subjects.filter(({ kind }) => kind === 'round').map(({ id }) => id),
    ),
  ];
  const around = await aroundTold(store, {
    designs: [...new Set(told.map(({ box }) => box.design))],
    yards: [...new Set(told.flatMap(({ box }) => box.place?.yard ?? []))],
    rounds: [...new Set(rounds)],
    from: days.reduce(earlier, '9999-12-31'),
    given: [...new Set(attempts.map(({ givenOn }) => plusDays(givenOn, -ATTEMPT_BEFORE_D)))],
  });
  return surroundingsOf(store, breeder, around);
}

/** The same for all boxes of a yard: all its weather, and no rounds. */
export async function yardSurroundings(
  store: Store,
  breeder: string,
  yard: string,
): Promise<YardSurroundings> {
  const around = await aroundTold(store, {
    designs: await designsIn(store, yard),
    yards: [yard],
    rounds: [],
    from: FIRST_DAY,
    given: [],
  });
  const constantsIn = (of: string) => constantsWith(around.constants?.[of]);
  return { ...(await surroundingsOf(store, breeder, around)), constantsIn };
}
export interface YardSurroundings extends Surroundings {
  constantsIn: (yard: string) => Constants;
}
const FIRST_DAY = '1900-01-01';

async function surroundingsOf(store: Store, breeder: string, around: AroundTold): Promise<Surroundings> {
  const designs = await knownDesigns(store, breeder, around.designs);
  const weather = new Map<string, Map<Day, WeatherDay>>();
  for (const { yard, ...day } of around.weather) {
    const known = weather.get(yard) ?? new Map<Day, WeatherDay>();
    weather.set(yard, known.set(day.date, day));
  }
  return {
    known: {
      designs: new Map(designs.map((design) => [design.id, design])),
      yards: new Set(around.allYards),
    },
    constantsFor: constantsBy(around.constants ?? {}),
    rounds: new Map(around.rounds.map((round) => [round.id, round])),
    weather,
  };
}

/** What is told of some boxes, with what is around them, as the state that rows are made from. */
export function stateOf(
  told: readonly Whole[],
  { rounds, weather }: Pick<Surroundings, 'rounds' | 'weather'>,
): YardState {
  const byId = <T extends { id: string }>(list: readonly T[]) => new Map(list.map((one) => [one.id, one]));
  return {
    boxes: byId(told.map(({ box }) => box)),
    colonies: byId(told.flatMap(({ colonies }) => colonies)),
    attempts: byId(told.flatMap(({ attempts }) => attempts)),
    queens: byId(told.flatMap(({ queens }) => queens)),
    frames: byId(told.flatMap(({ frames }) => frames)),
    rounds,
    weather,
    trials: new Map(),
    story: [],
    toSettle: [],
  };
}

/** The figures of the yard that a box stands in. */
export const constantsBy =
  (overrides: Readonly<Record<string, Readonly<Record<string, number>>>> = {}) =>
  ({ place }: BoxState): Constants =>
    place ? constantsWith(overrides[place.yard]) : defaultConstants;
