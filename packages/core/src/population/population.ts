import type {
  Format,
  PopulationAnswer,
  PopulationDay,
  PopulationQuestion,
  Problem,
} from '@yellow-cell/contract';
import { CELLS_PER_CM2, combSide } from '../box/measures.ts';
import { type Day, daysBetween, plusDays } from '../calendar/days.ts';
import { type Constants, constantsWith } from '../constants/registry.ts';
import { STORES_OF } from '../feed/feeds.ts';
import { standardFormats } from '../formats/formats.ts';
import { above } from '../numbers.ts';
import { refuse } from '../problems.ts';

/** Days from the egg: a worker hatches, is sealed, emerges (handbook 5, development). */
const HATCHES = 3;
const SEALED = 9;
export const EMERGES = 21;
/** No bee of the season sees more days. */
const OLDEST_D = 60;

/**
 * A small colony day by day, by the ages of its brood and bees: laying is bounded by room, by bees and by the queen's
 * measure; who finds nothing to eat dies. Numbers are expected ones, so not whole. Throws `ProblemsError`.
 */
export function population(
  question: PopulationQuestion,
  constants = constantsWith(question.constants),
): PopulationAnswer {
  refuse(populationProblems(question, constants));
  const format = formatOf(question.format);
  return format ? { days: followed({ ...question, format }, constants) } : { days: [] };
}

/** What is asked of combs of any format. */
export interface Following extends Omit<PopulationQuestion, 'format'> {
  format: Format;
}

/** The same for combs of any format; what they cannot hold is not refused. */
export function followed(question: Following, constants: Constants): PopulationDay[] {
  const { from, days, feed = [] } = question;
  const colony = begin(question, constants);
  const dates = datesFrom(from, days);
  const fed = new Map<string, Feeds>();
  for (const each of feed) {
    // What is given on the first day is there on the second.
    const on = each.on === from ? (dates[1] ?? from) : each.on;
    fed.set(on, [...(fed.get(on) ?? []), each]);
  }
  const hive: Hive = {
    question,
    capacity: cellsOf(question),
    perKg: cellsOfStores(constants),
    lives: livesOf(constants),
    constants,
  };
  return dates.map((on, day) => {
    const { emerged, died } = day === 0 ? NOTHING : advance(colony, hive, on, broughtBy(fed.get(on), colony));
    return rowOf(on, colony, emerged, died);
  });
}
const NOTHING = { emerged: 0, died: 0 };

type Feeds = NonNullable<PopulationQuestion['feed']>;
/** Stores that feed of a day comes to, in kg; where nobody lives nobody takes it. */
const broughtBy = (feeds: Feeds | undefined, { all: bees }: Colony): number =>
  feeds === undefined || bees === 0
    ? 0
    : feeds.reduce((all, { kg, kind = 'sugar' }) => all + kg * STORES_OF[kind], 0);

/** The last days that were asked for: thousands of runs ask for the same. */
let lastDates: { from: Day; dates: readonly Day[] } | undefined;
function datesFrom(from: Day, days: number): readonly Day[] {
  if (lastDates?.from !== from || lastDates.dates.length !== days)
    lastDates = { from, dates: Array.from({ length: days }, (_, day) => plusDays(from, day)) };
  return lastDates.dates;
}

interface Colony {
  /** Cells of brood by their age in days. */
  brood: Float64Array;
  /** Bees by their age in days. */
  bees: Float64Array;
  /** Of all ages. */
  all: number;
  stores_kg: number;
}
const sum = (numbers: Float64Array, from = 0, to = numbers.length): number => {
  let all = 0;
  for (let at = from; at < to; at++) all += numbers[at] as number;
  return all;
};

/** Brood and bees of all ages alike, as they come with a frame and a shake. */
function begin({ bees_kg, sealedCells, openCells, stores_kg }: Following, constants: Constants): Colony {
  const { bees_kg1, old_d } = constants;
  const ages_d = Math.round(old_d);
  const bees = new Float64Array(OLDEST_D).fill((bees_kg * bees_kg1) / ages_d, 0, ages_d);
  return {
    brood: new Float64Array(EMERGES)
      .fill(openCells / (SEALED - HATCHES), HATCHES, SEALED)
      .fill(sealedCells / (EMERGES - SEALED), SEALED),
    bees,
    all: sum(bees),
    stores_kg,
  };
}

const rowOf = (
  on: string,
  { brood, all, stores_kg }: Colony,
  emerged: number,
  died: number,
): PopulationDay => ({
  on,
  bees: all,
  eggs: sum(brood, 0, HATCHES),
  open: sum(brood, HATCHES, SEALED),
  sealed: sum(brood, SEALED, EMERGES),
  stores_kg,
  emerged,
  died,
});

/** What stays the same from day to day. */
interface Hive {
  question: Following;
  /** Cells of all combs, and those that a kilogram of stores fills. */
  capacity: number;
  perKg: number;
  /** The share that lives on, by the age that a bee comes to. */
  lives: Float64Array;
  constants: Constants;
}

const livesOf = ({ diesHive, diesField, diesOld, flies_d, old_d }: Constants): Float64Array =>
  Float64Array.from({ length: OLDEST_D }, (_, age) =>
    age === 0 ? 1 : 1 - (age < flies_d ? diesHive : age < old_d ? diesField : diesOld),
  );

/** A day of a colony, in place: ten thousand runs make no rubbish. */
function advance(
  colony: Colony,
  { question, capacity, perKg, lives, constants }: Hive,
  on: string,
  brought: number,
): { emerged: number; died: number } {
  const { brood, bees } = colony;
  const { bees_kg1, beesUse_kgDay, broodUse_g } = constants;
  const fliers = sum(bees, Math.ceil(constants.flies_d));
  const before = colony.all;
  const hive = before - fliers;

  // Each a day older; who emerges does so with company alone, and brood that nobody tends is lost.
  const emerging = brood[EMERGES - 1] as number;
  const out = before > 0 ? emerging : 0;
  brood.copyWithin(1, 0, EMERGES - 1);
  brood[0] = 0;
  if (before === 0) brood.fill(0);
  let died = bees[OLDEST_D - 1] as number;
  bees.copyWithin(1, 0, OLDEST_D - 1);
  bees[0] = out;
  let alive = out;
  for (let age = 1; age < OLDEST_D; age++) {
    const aged = bees[age] as number;
    const left = aged * (lives[age] as number);
    bees[age] = left;
    alive += left;
    died += aged - left;
  }

  // What is fed goes where there is room; what is needed is taken from it.
  const foraged = ((question.forage_gFlier ?? 0) * fliers) / 1_000;
  const room_kg = Math.max(0, (capacity - sum(brood)) / perKg);
  const stores = Math.max(colony.stores_kg, Math.min(colony.stores_kg + brought + foraged, room_kg));
  const needed =
    (alive / bees_kg1) * beesUse_kgDay +
    (sum(brood, HATCHES, SEALED) * broodUse_g) / 1_000 / (SEALED - HATCHES);
  const share = needed === 0 ? 1 : Math.min(1, stores / needed);
  if (share < 1) {
    died += alive * (1 - share);
    for (let age = 0; age < OLDEST_D; age++) bees[age] = (bees[age] as number) * share;
    for (let age = HATCHES; age < SEALED; age++) brood[age] = (brood[age] as number) * share;
  }
  colony.stores_kg = Math.max(0, stores - needed);
  colony.all = alive * share;
  if (colony.all <= 0) brood.fill(0);
  const room = capacity - colony.stores_kg * perKg;
  brood[0] = isLaying(question, on) ? eggsOf(colony, room, hive + emerging, constants) : 0;
  return { emerged: out, died };
}

const isLaying = ({ laysFrom }: Following, on: string): boolean => laysFrom !== null && on >= laysFrom;

/** Eggs of a day: no more than she lays, than there is room for, than the bees can keep warm, and than the young ones can feed. */
function eggsOf(
  { all, brood }: Colony,
  room: number,
  young: number,
  { eggsMost, broodToBee, eggsToBee }: Constants,
): number {
  const cells = sum(brood, 1);
  const most = Math.min(
    eggsMost,
    room - cells,
    all * broodToBee - cells,
    Math.max(young, all / 4) * eggsToBee,
  );
  return Math.max(0, most);
}

const formatOf = (id: string) => standardFormats.find((format) => format.id === id);
/** Both sides of every comb. */
const cellsOf = ({ format, frames }: Pick<Following, 'format' | 'frames'>): number =>
  frames * 2 * combSide(format) * CELLS_PER_CM2;
/** Cells that a kilogram of stores fills. */
const cellsOfStores = ({ honey_gcm2 }: Constants): number => (1_000 / honey_gcm2) * CELLS_PER_CM2;

/** A format that is known, cells that the combs have, and feeds within the days that are asked about. */
export function populationProblems(
  question: Omit<PopulationQuestion, 'bees_kg' | 'laysFrom' | 'forage_gFlier'>,
  constants = constantsWith(question.constants),
): Problem[] {
  const { format, frames, sealedCells, openCells, stores_kg, from, days, feed = [] } = question;
  const known = formatOf(format);
  if (!known) return [{ path: 'format', value: format, sentence: `There is no standard format ${format}.` }];
  const capacity = cellsOf({ format: known, frames });
  const used = sealedCells + openCells + stores_kg * cellsOfStores(constants);
  const most = Math.floor(capacity).toLocaleString('en');
  return [
    ...(above(used, capacity)
      ? [
          {
            path: 'frames',
            value: frames,
            sentence: `Brood and stores take more cells than the ${most} that these combs hold.`,
          },
        ]
      : []),
    ...feed.flatMap(({ on }, index) => {
      const day = daysBetween(from, on);
      return day >= 0 && day < days
        ? []
        : [
            {
              path: `feed.${index}.on`,
              value: on,
              sentence: 'Feed is given on one of the days that are asked about.',
            },
          ];
    }),
  ];
}
