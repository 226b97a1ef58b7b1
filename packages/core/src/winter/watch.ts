import type { Colony } from '@yellow-cell/contract';
import { type Day, daysBetween, plusDays } from '../calendar/days.ts';
import { showDay } from '../calendar/showDay.ts';
import type { Constants } from '../constants/registry.ts';
import { countOf } from '../say/words.ts';
import type { BoxView, CompartmentView } from '../yard/boxView.ts';
import type { YardState } from '../yard/state.ts';
import { withoutQueen } from '../yard/withoutQueen.ts';
import { NOT_WINTERED, wintersOfTen } from './autumn.ts';
import {
  comesThrough,
  expectedAfter,
  forecastWinter,
  monthAt,
  type WinterForecast,
  type WinterMonth,
  winterAhead,
  winterBetween,
} from './forecast.ts';
import { winteringOf } from './preparation.ts';
import { storesByWeight } from './storesByWeight.ts';

/** What a wintering colony asks for: feed above it at once, a look, a heft, or nothing. */
export type WatchAct = 'feed' | 'heft' | 'look' | 'leave';

/** Stores found on a day, by the weight of the box. */
export interface Reading {
  on: Day;
  stores_kg: number;
  felt: boolean;
}
/** A colony on its way to spring. */
export interface WatchLine {
  box: BoxView;
  room: CompartmentView;
  act: WatchAct;
  why: string;
  readings: readonly Reading[];
  /** Used ÷ reckoned between the first and the last reading; undefined with fewer than two. */
  factor: number | undefined;
  /** Of the last reading, brought on to today. */
  stores_kg: number | undefined;
  seams: number | undefined;
  /** Bees that are reckoned to be there today; undefined where they were not counted. */
  bees_kg: number | undefined;
  /** The day on which the middle forecast falls below the reserve; undefined where it does not. */
  reserveOn: Day | undefined;
  /** From today on. */
  forecast: WinterForecast | undefined;
}

export interface Watching {
  on: Day;
  /** The winter whole. */
  months: readonly WinterMonth[];
  latitude_deg: number;
  constants: Constants;
}

/** A winter's readings are of so many days at most; counts and hefts before are of another year. */
const SEASON_D = 210;
const RUNS = 300;
const ORDER: readonly WatchAct[] = ['feed', 'look', 'heft', 'leave'];

/** Whether the yard is prepared, watched over or led into spring, by its month (handbook 7). */
export function winterPhase(months: readonly WinterMonth[], on: Day): 'prepare' | 'watch' | 'out' {
  const at = monthAt(months, on);
  return at < 0 ? 'out' : at < FIRST_WATCHED ? 'prepare' : 'watch';
}
/** The month before the coldest but one, December in the north: who is not prepared by then is left in peace. */
const FIRST_WATCHED = 2;

/** Its last count of seams before a day of this winter. */
export const winterCount = ({ counts, strength }: Colony, on: Day): Colony['strength'] =>
  (counts ?? (strength ? [strength] : [])).findLast(
    (each) => each.on <= on && each.on >= plusDays(on, -SEASON_D),
  );

/** The yard in winter, most pressing first: who is fed, looked for, hefted, or left in peace. */
export function watchList(state: YardState, boxes: readonly BoxView[], asked: Watching): WatchLine[] {
  return boxes
    .flatMap((box) =>
      box.compartments.flatMap((room) =>
        room.colony && room.shares === undefined && !NOT_WINTERED.includes(room.role)
          ? lineOf(state, box, room, asked)
          : [],
      ),
    )
    .sort((a, b) => rankOf(a) - rankOf(b) || (a.reserveOn ?? NEVER).localeCompare(b.reserveOn ?? NEVER));
}

const NEVER = '9999';
/** Of those who ask for the same, whose winter is known first. */
const rankOf = ({ act, forecast }: WatchLine): number => ORDER.indexOf(act) * 2 + (forecast ? 0 : 1);

function lineOf(state: YardState, box: BoxView, room: CompartmentView, asked: Watching): WatchLine {
  const { on, months, latitude_deg, constants } = asked;
  const { colony, status } = room;
  const since = plusDays(on, -SEASON_D);
  const counted = colony && winterCount(colony, on);
  const readings = readingsOf(state, box, room, since, constants);
  const walls = winteringOf(box, room, counted?.seams, constants);
  const last = readings.at(-1);
  const base = {
    box,
    room,
    readings,
    seams: counted?.seams,
    factor: undefined,
    stores_kg: undefined,
    bees_kg: undefined,
    reserveOn: undefined,
    forecast: undefined,
  };
  if (withoutQueen(status))
    return {
      ...base,
      act: 'look',
      why: 'Without a queen when it was last told of: on a mild day see whether it lives, and join it to another.',
    };
  if (!walls || !counted)
    return {
      ...base,
      act: 'look',
      why: 'Its seams were not counted before winter: knock and listen, or look under the lid on a mild day.',
    };
  const beesOn = (day: Day): number =>
    expectedAfter({ ...walls, ...winterBetween(months, counted.on, day, latitude_deg) }, constants).bees_kg;
  if (!last)
    return { ...base, act: 'heft', why: 'Its stores are not known this winter: heft it, without opening.' };
  const factor = factorOf(readings, beesOn, walls, asked);
  const use = factor ?? 1;
  const sinceLast = winterBetween(months, last.on, on, latitude_deg);
  const used_kg =
    expectedAfter({ ...walls, bees_kg: beesOn(last.on), ...sinceLast }, constants).used_kg * use;
  const stores_kg = Math.max(0, last.stores_kg - used_kg);
  const plan = {
    ...walls,
    bees_kg: beesOn(on),
    factor: use,
    stores_kg,
    ...winterAhead(months, on, latitude_deg),
  };
  const forecast = forecastWinter(plan, constants, RUNS);
  const reserveOn = reserveDay(forecast, plan.months, stores_kg, on, constants);
  const line = { ...base, factor, stores_kg, bees_kg: plan.bees_kg, reserveOn, forecast };
  const old = daysBetween(last.on, on);
  if (reserveOn !== undefined && daysBetween(on, reserveOn) <= constants.feedAhead_d)
    return {
      ...line,
      act: 'feed',
      why: `About ${stores_kg.toFixed(1)} kg left, below ${constants.reserve_kg} kg ${reserveOn <= on ? 'already' : `by about ${showDay(reserveOn, on)}`}: fondant or a frame of stores right above the cluster, nothing liquid, the lid off for a moment only.`,
    };
  if (forecast.dwindled >= constants.dwindleRisk)
    return {
      ...line,
      act: 'look',
      why: `It dwindles in ${wintersOfTen(forecast.dwindled)}: on a mild day look under the lid, no further, and keep a neighbour in mind for it.`,
    };
  if (old > constants.countFresh_d)
    return {
      ...line,
      act: 'heft',
      why: `Hefted ${countOf(old, 'day')} ago: again, without opening; the forecast is fitted to it.`,
    };
  return {
    ...line,
    act: 'leave',
    why: 'It has bees and stores enough as far as is known: left in peace, its entrance kept free.',
  };
}

/** Every weighing of the winter that its combs can hold, after it was fed last: what was fed would hide what is used. */
function readingsOf(
  state: YardState,
  box: BoxView,
  room: CompartmentView,
  since: Day,
  constants: Constants,
): Reading[] {
  const fedOn = room.colony?.fed?.on;
  return (box.box.weights ?? []).flatMap((weighed): Reading[] => {
    if (weighed.on < since || (fedOn !== undefined && weighed.on <= fedOn)) return [];
    const found = storesByWeight(state, box, room, since, constants, weighed);
    return found ? [{ on: weighed.on, stores_kg: found.stores_kg, felt: weighed.felt }] : [];
  });
}

/** What was used between the first and the last reading, held against what was reckoned for these days. */
function factorOf(
  readings: readonly Reading[],
  beesOn: (day: Day) => number,
  walls: NonNullable<ReturnType<typeof winteringOf>>,
  { months, latitude_deg, constants }: Watching,
): number | undefined {
  const [first, last] = [readings[0], readings.at(-1)];
  if (!first || !last || daysBetween(first.on, last.on) < constants.heftsApart_d) return undefined;
  const between = winterBetween(months, first.on, last.on, latitude_deg);
  const reckoned = expectedAfter({ ...walls, bees_kg: beesOn(first.on), ...between }, constants).used_kg;
  return reckoned > 0 ? Math.max(0, (first.stores_kg - last.stores_kg) / reckoned) : undefined;
}

/** The day on which the middle of the forecast passes the reserve, between the ends of its months. */
function reserveDay(
  { months }: WinterForecast,
  days: readonly WinterMonth[],
  stores_kg: number,
  on: Day,
  { reserve_kg }: Constants,
): Day | undefined {
  if (stores_kg <= reserve_kg) return on;
  let [before, passed] = [stores_kg, 0];
  for (const [index, { middle_kg }] of months.entries()) {
    const length = days[index]?.days ?? 0;
    if (middle_kg < reserve_kg)
      return plusDays(on, Math.floor(passed + ((before - reserve_kg) / (before - middle_kg)) * length));
    before = middle_kg;
    passed += length;
  }
  return undefined;
}

/** How often it comes through from today on, where that is known. */
export const throughOf = ({ forecast }: WatchLine): number | undefined => forecast && comesThrough(forecast);
