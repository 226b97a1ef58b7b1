import type { Lot, RearingSeason, Round, SeasonAnswer, SeasonQuestion } from '@yellow-cell/contract';
import { type Day, daysBetween, later, plusDays } from '../calendar/days.ts';
import { roundCalendar } from '../calendar/roundCalendar.ts';
import type { Constants } from '../constants/registry.ts';
import { cells } from '../mating/cells.ts';
import { type LotOdds, lotOdds, type RoundView, roomsAfter, roomsFor, roundViews } from './rearing.ts';

/** How a breeder works, and what things are worth to them. */
export interface SeasonHabits {
  /** On which is grafted, 1 is Monday. */
  weekdays: readonly number[];
  /** On which nothing is grafted, given or taken. */
  closed: readonly Day[];
  /** Days of laying after which queens are taken: 9 is the first sealed brood. */
  laying_d: number;
  /** Ripe cells of one round at the most: what the finisher holds. */
  most: number;
  bank: { days: number; places: number };
  prices: { queen: number; round: number; cell: number; bankDay: number };
}

/** The rest of a season as a question to the solver: what rounds there are do not serve, in the rooms that they leave. */
export interface SeasonAsked {
  /** Undefined where nothing more is wanted, or nothing can be ready in time. */
  question: SeasonQuestion | undefined;
  /** What of each lot the rounds that there are do not serve; its name in the question is its id. */
  needs: readonly { lot: Lot; queens: number }[];
  /** The first day on which queens of a new round are ready. */
  earliest: Day;
}

/** Less than a queen by rounding is none. */
const TINY = 1e-9;
/** The solver takes so many groups of rooms. */
const MOST_GROUPS = 40;
const WEEK_D = 7;

export function seasonAsked(
  season: RearingSeason,
  views: readonly RoundView[],
  constants: Constants,
  today: Day,
  { weekdays, closed, laying_d, most, bank, prices }: SeasonHabits,
): SeasonAsked {
  const days = roundCalendar({ graft: today, give: 'cell', laying_d });
  const take_d = daysBetween(days.graft, days.take[1]);
  // The donor has a drawn comb before she is grafted from.
  const from = plusDays(today, daysBetween(days.donorComb, days.graft));
  const earliest = plusDays(from, take_d);
  const needs = needsOf(season, views, constants, today);
  const inTime = needs.filter(({ lot, queens }) => queens > 0 && lot.by >= earliest);
  const last = inTime.map(({ lot }) => lot.by).reduce(later, earliest);
  if (inTime.length === 0) return { question: undefined, needs, earliest };
  return {
    needs,
    earliest,
    question: {
      from,
      to: plusDays(last, -take_d),
      lots: inTime.map(({ lot, queens }) => ({ name: lot.id, queens, by: lot.by, value: prices.queen })),
      compartments: groupsOf(roomsAfter(season, views, constants, today), today, last),
      weekdays: [...weekdays],
      closed: [...closed],
      cells: { least: Math.min(constants.roundLeast, most), most },
      rate: rateOf(season),
      take_d,
      ...(bank.days > 0 && bank.places > 0 ? { bank } : {}),
      cost: { round: prices.round, cell: prices.cell, bankDay: prices.bankDay },
    },
  };
}

/** The record’s own rate, with what it does not know yet. */
const rateOf = ({ record }: RearingSeason): number => (1 + record.takes) / (2 + record.tried);

/** What of each lot is wanted beyond queens that are there and those expected of cells still open, first come first served. */
function needsOf(
  season: RearingSeason,
  views: readonly RoundView[],
  constants: Constants,
  today: Day,
): SeasonAsked['needs'] {
  const rate = rateOf(season);
  let booked = 0;
  return lotOdds(season, views, roomsFor(season, views, constants, today), constants, today).map(
    ({ lot, wanted, have, open }) => {
      const more = Math.max(0, Math.ceil(wanted - have - rate * open - booked - TINY));
      booked += more;
      return { lot, queens: Math.min(more, lot.queens) };
    },
  );
}

/** Rooms by the day from which they are free, and by weeks where there are too many such days. */
function groupsOf(free: readonly Day[], today: Day, to: Day): SeasonQuestion['compartments'] {
  const byDays = (each_d: number): Map<Day, number> => {
    const groups = new Map<Day, number>();
    for (const day of free) {
      const waits_d = Math.max(0, daysBetween(today, day));
      const from = plusDays(today, Math.ceil(waits_d / each_d) * each_d);
      if (from <= to) groups.set(from, (groups.get(from) ?? 0) + 1);
    }
    return groups;
  };
  let groups = byDays(1);
  for (let each_d = WEEK_D; groups.size > MOST_GROUPS; each_d += WEEK_D) groups = byDays(each_d);
  return [...groups].map(([from, count]) => ({ count, from, to }));
}

/** The rounds of an answer as they would be planned, with as many grafts as such cells want by the record. */
export function roundsOfPlan(
  { rounds }: Pick<SeasonAnswer, 'rounds'>,
  { accepted, rounds: before }: RearingSeason,
  donor: string,
  fresh: () => string,
  { roundSurely }: Constants,
): Round[] {
  const number = Math.max(0, ...before.map((round) => round.number));
  return rounds.map(({ graft, cells: queens }, index) => ({
    id: fresh(),
    number: number + 1 + index,
    donor,
    graftedOn: graft,
    grafts: cells({
      queens,
      confidence: roundSurely,
      takes: accepted.cells,
      tried: accepted.grafts,
      prior: [1, 1],
    }).cells,
    planned: true,
  }));
}

/** The odds of each lot with these rounds beside those that there are: by the record and what it does not know, not by its mean. */
export function oddsWith(
  season: RearingSeason,
  more: readonly Round[],
  constants: Constants,
  today: Day,
): LotOdds[] {
  const all = { ...season, rounds: [...season.rounds, ...more] };
  const views = roundViews(all, constants, today);
  return lotOdds(all, views, roomsFor(all, views, constants, today), constants, today);
}

/** What a season could have more of, each asked anew: the answer beside that of the question says what it would bring. */
export interface SeasonChange {
  name: string;
  question: SeasonQuestion;
}
const MORE = { rooms: 10, cells: 15, places: 20 };

export function seasonChanges(question: SeasonQuestion): SeasonChange[] {
  const { compartments, cells: size, weekdays = [], closed = [], bank, lots, from } = question;
  const to = lots.map(({ by }) => by).reduce(later, from);
  return [
    {
      name: `${MORE.rooms} more rooms from now on`,
      question: {
        ...question,
        compartments: [...compartments.slice(0, MOST_GROUPS - 1), { count: MORE.rooms, from, to }],
      },
    },
    {
      name: `One more finisher: ${MORE.cells} more cells in a round`,
      question: { ...question, cells: { ...size, most: size.most + MORE.cells } },
    },
    ...(weekdays.length > 0 && weekdays.length < WEEK_D
      ? [
          {
            name: 'Grafting on any day of the week',
            question: { ...question, weekdays: [1, 2, 3, 4, 5, 6, 7] },
          },
        ]
      : []),
    ...(closed.length > 0
      ? [{ name: 'Without the days that you keep free', question: { ...question, closed: [] } }]
      : []),
    {
      name: bank
        ? `${MORE.places} more places in the bank`
        : `A bank of ${MORE.places} places for three weeks`,
      question: {
        ...question,
        bank: bank ? { ...bank, places: bank.places + MORE.places } : { days: 21, places: MORE.places },
      },
    },
  ];
}
