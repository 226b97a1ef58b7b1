import type { PopulationAnswer, PopulationDay, PopulationQuestion, Problem } from '@yellow-cell/contract';
import { CELLS_PER_CM2, combSide } from '../box/measures.ts';
import { daysBetween, plusDays } from '../calendar/days.ts';
import { type Constants, defaultConstants } from '../constants/registry.ts';
import { STORES_OF } from '../feed/feeds.ts';
import { standardFormats } from '../formats/formats.ts';
import { above } from '../numbers.ts';
import { refuse } from '../problems.ts';

/** Days from the egg: a worker hatches, is sealed, emerges (handbook 5, development). */
const HATCHES = 3;
const SEALED = 9;
const EMERGES = 21;
/** She tends brood at first, and flies from then on; few see more than so many days in season. */
const FLIES_D = 21;
const OLDEST_D = 60;
const OFTEN_D = 35;
/** Share of bees that die on a day: in the hive, in the field, and once they are old. */
const DIES = { hive: 0.004, field: 0.04, old: 0.15 } as const;
/** Stores for a kilogram of bees a day, and for each cell of brood reared, over the days in which a larva is fed. */
const USE_KG_KG = 0.1;
const BROOD_G = 0.15;
/** What a queen lays at most; what bees can keep warm and fed: cells of brood to a bee, and eggs a day to a bee. */
const MOST_EGGS = 1_500;
const BROOD_TO_BEE = 1.4;
const EGGS_TO_BEE = 0.12;

/**
 * A small colony day by day, by the ages of its brood and bees: laying is bounded by room, by bees and by the queen's
 * measure; who finds nothing to eat dies. Numbers are expected ones, so not whole. Throws `ProblemsError`.
 */
export function population(
  question: PopulationQuestion,
  constants: Constants = defaultConstants,
): PopulationAnswer {
  refuse(populationProblems(question, constants));
  const { from, days, feed = [] } = question;
  const colony = begin(question, constants);
  const rows: PopulationDay[] = [rowOf(from, colony, 0, 0)];
  for (let day = 1; day < days; day++) {
    const on = plusDays(from, day);
    const fed = feed.filter((each) => each.on === on || (day === 1 && each.on === from));
    const { emerged, died } = advance(colony, { question, on, fed, constants });
    rows.push(rowOf(on, colony, emerged, died));
  }
  return { days: rows };
}

interface Colony {
  /** Cells of brood by their age in days. */
  brood: number[];
  /** Bees by their age in days. */
  bees: number[];
  stores_kg: number;
}
const sum = (numbers: readonly number[], from = 0, to = numbers.length): number => {
  let all = 0;
  for (let at = from; at < to; at++) all += numbers[at] ?? 0;
  return all;
};
const evenly = (count: number, days: number): number => count / days;

/** Brood and bees of all ages alike, as they come with a frame and a shake. */
function begin(
  { bees_kg, sealedCells, openCells, stores_kg }: PopulationQuestion,
  { bees_kg1 }: Constants,
): Colony {
  const brood = Array.from({ length: EMERGES }, (_, age) =>
    age < HATCHES
      ? 0
      : age < SEALED
        ? evenly(openCells, SEALED - HATCHES)
        : evenly(sealedCells, EMERGES - SEALED),
  );
  const bees = Array.from({ length: OLDEST_D }, (_, age) =>
    age < OFTEN_D ? evenly(bees_kg * bees_kg1, OFTEN_D) : 0,
  );
  return { brood, bees, stores_kg };
}

const rowOf = (
  on: string,
  { brood, bees, stores_kg }: Colony,
  emerged: number,
  died: number,
): PopulationDay => ({
  on,
  bees: sum(bees),
  eggs: sum(brood, 0, HATCHES),
  open: sum(brood, HATCHES, SEALED),
  sealed: sum(brood, SEALED, EMERGES),
  stores_kg,
  emerged,
  died,
});

interface Day {
  question: PopulationQuestion;
  on: string;
  fed: NonNullable<PopulationQuestion['feed']>;
  constants: Constants;
}

function advance(colony: Colony, { question, on, fed, constants }: Day): { emerged: number; died: number } {
  const capacity = cellsOf(question);
  const perKg = cellsOfStores(constants);
  const before = sum(colony.bees);
  const emerged = colony.brood[EMERGES - 1] ?? 0;
  const young = sum(colony.bees, 0, FLIES_D) + emerged;
  const fliers = sum(colony.bees, FLIES_D);

  // Each a day older; who emerges does so with company alone, and brood that nobody tends is lost.
  const tended = before > 0 ? 1 : 0;
  const broodOn = [0, ...colony.brood.slice(0, -1)].map((cells) => cells * tended);
  const out = emerged * tended;
  const aged = [out, ...colony.bees.slice(0, -1)];
  let died = colony.bees[OLDEST_D - 1] ?? 0;
  for (let age = 1; age < OLDEST_D; age++) {
    const lost = (aged[age] ?? 0) * (age < FLIES_D ? DIES.hive : age < OFTEN_D ? DIES.field : DIES.old);
    aged[age] = (aged[age] ?? 0) - lost;
    died += lost;
  }

  // What is fed goes where there is room; what is needed is taken from it.
  const brought = fed.reduce((all, { kg, kind = 'sugar' }) => all + kg * STORES_OF[kind], 0) * tended;
  const foraged = ((question.forage_gFlier ?? 0) * fliers) / 1_000;
  const room_kg = Math.max(0, (capacity - sum(broodOn)) / perKg);
  const stores = Math.max(colony.stores_kg, Math.min(colony.stores_kg + brought + foraged, room_kg));
  const bees_kg = sum(aged) / constants.bees_kg1;
  const larvae = sum(broodOn, HATCHES, SEALED);
  const needed = bees_kg * USE_KG_KG + (larvae * BROOD_G) / 1_000 / (SEALED - HATCHES);
  const share = needed === 0 ? 1 : Math.min(1, stores / needed);
  for (let age = 0; age < OLDEST_D; age++) {
    const lost = (aged[age] ?? 0) * (1 - share);
    aged[age] = (aged[age] ?? 0) - lost;
    died += lost;
  }
  for (let age = HATCHES; age < SEALED; age++) broodOn[age] = (broodOn[age] ?? 0) * share;
  colony.stores_kg = Math.max(0, stores - needed);
  colony.bees = aged;
  colony.brood = sum(aged) > 0 ? broodOn : broodOn.map(() => 0);
  colony.brood[0] = eggsOf(colony, question.laysFrom, on, capacity - colony.stores_kg * perKg, young);
  return { emerged: out, died };
}

/** Eggs of a day: no more than she lays, than there is room for, than the bees can keep warm, and than the young ones can feed. */
function eggsOf(
  { bees, brood }: Colony,
  laysFrom: string | null,
  on: string,
  room: number,
  young: number,
): number {
  if (laysFrom === null || on < laysFrom) return 0;
  const [all, cells] = [sum(bees), sum(brood, 1)];
  const most = Math.min(
    MOST_EGGS,
    room - cells,
    all * BROOD_TO_BEE - cells,
    Math.max(young, all / 4) * EGGS_TO_BEE,
  );
  return Math.max(0, most);
}

const formatOf = (id: string) => standardFormats.find((format) => format.id === id);
/** Both sides of every comb. */
function cellsOf({ format, frames }: Pick<PopulationQuestion, 'format' | 'frames'>): number {
  const known = formatOf(format);
  return known ? frames * 2 * combSide(known) * CELLS_PER_CM2 : 0;
}
/** Cells that a kilogram of stores fills. */
const cellsOfStores = ({ honey_gcm2 }: Constants): number => (1_000 / honey_gcm2) * CELLS_PER_CM2;

/** A format that is known, cells that the combs have, and feeds within the days that are asked about. */
export function populationProblems(
  {
    format,
    frames,
    sealedCells,
    openCells,
    stores_kg,
    from,
    days,
    feed = [],
  }: Omit<PopulationQuestion, 'bees_kg' | 'laysFrom'>,
  constants: Constants = defaultConstants,
): Problem[] {
  if (!formatOf(format))
    return [{ path: 'format', value: format, sentence: `There is no standard format ${format}.` }];
  const capacity = cellsOf({ format, frames });
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
