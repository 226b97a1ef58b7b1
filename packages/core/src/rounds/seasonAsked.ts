import type { Lot, RearingSeason, Round, SeasonAnswer, SeasonQuestion } from '@yellow-cell/contract';
import { type Day, daysBetween, earlier, later, plusDays } from '../calendar/days.ts';
import { roundCalendar } from '../calendar/roundCalendar.ts';
import type { Constants } from '../constants/registry.ts';
import { cells } from '../mating/cells.ts';
import { flyingEnds } from './flights.ts';
import { isMissed, lotStates, type RoundView, roomsAfter, roomsFor, roundViews } from './rearing.ts';
import { habitsAsked, type SeasonHabits } from './seasonHabits.ts';
import { spellsOf } from './spellsOf.ts';

/** The rest of a season as a question to the solver: what rounds there are do not serve, in the rooms that they leave. */
export interface SeasonAsked {
  /** Undefined where nothing more is wanted, or nothing can be ready in time. */
  question: SeasonQuestion | undefined;
  /** Queens that new rounds are to give in the mean, so that each lot is ready as surely as wanted; its name in the question is its id. */
  needs: readonly LotNeed[];
  /** The first day on which queens of a new round are ready. */
  earliest: Day;
  /** The last graft before winter; undefined where there is none. */
  lastGraft: Day | undefined;
  /** Rounds that are planned anew. */
  plans: readonly Round[];
}

/** Queens that new rounds are to give to a lot, and by when: what is overdue is wanted as soon as it can be. */
export interface LotNeed {
  lot: Lot;
  by: Day;
  queens: number;
}

/** Less than a queen by rounding is none. */
const TINY = 1e-9;
/** The solver takes so many groups of rooms. */
const MOST_GROUPS = 40;
const WEEK_D = 7;

/** What is asked with beside the season: figures, habits, and the share of days that fly of each month, January first. */
export interface AskedWith {
  constants: Constants;
  today: Day;
  habits: SeasonHabits;
  flying: readonly number[];
}

/** With `remake` the rounds that are planned, and whose donor has no comb yet or whose day is past, may be others: the plan stays near them at the price of a change. */
export function seasonAsked(
  season: RearingSeason,
  { constants, today, habits, flying }: AskedWith,
  remake = false,
): SeasonAsked {
  const { take_d } = fromGraft(today, habits.laying_d);
  const from = firstGraft(today);
  const earliest = plusDays(from, take_d);
  const plans = remake ? plansToChange(season, today) : [];
  const stands = { ...season, rounds: season.rounds.filter((round) => !plans.includes(round)) };
  const views = roundViews(stands, constants, today);
  const needs = needsOf(stands, views, earliest, { constants, today, habits, flying });
  const inTime = needs.filter(({ by, queens }) => queens > 0 && by >= earliest);
  const last = inTime.map(({ by }) => by).reduce(later, earliest);
  const lastGraft = lastGraftOf(today, flying, constants);
  const to = [plusDays(last, -take_d), lastGraft ?? last].reduce(earlier);
  const asked = { needs, earliest, lastGraft, plans };
  if (inTime.length === 0 || to < from) return { ...asked, question: undefined };
  const rate = rateOf(season);
  return {
    ...asked,
    question: {
      from,
      to,
      lots: inTime.map(({ lot, by, queens }) => ({
        name: lot.id,
        queens,
        by,
        value: lot.worth ?? habits.prices.queen,
      })),
      compartments: groupsOf(roomsAfter(stands, views, constants, today), today, last),
      rate,
      take_d,
      spells: spellsOf({ from, to, rate, take_d }, (day) => flying[monthOf(day)] ?? 0, constants),
      ...habitsAsked(habits, constants),
      standing: standingOf(views, from),
      ...(plans.length > 0 ? { stay: stayNear(plans, season, constants, today, habits) } : {}),
    },
  };
}

/** A donor that is given her comb today is grafted from then. */
const firstGraft = (today: Day): Day => plusDays(today, fromGraft(today, 0).comb_d);

/** Rounds that are planned and whose donor has no comb yet, and those whose day is past. */
export const plansToChange = ({ rounds }: Pick<RearingSeason, 'rounds'>, today: Day): Round[] =>
  rounds.filter(
    (round) =>
      isMissed(round, today) || (round.planned && !round.comb && round.graftedOn >= firstGraft(today)),
  );

/** Days from a graft until the last of its queens is taken, and before it from the comb that its donor is given. */
export function fromGraft(graft: Day, laying_d: number): { take_d: number; comb_d: number } {
  const days = roundCalendar({ graft, give: 'cell', laying_d });
  return { take_d: daysBetween(graft, days.take[1]), comb_d: daysBetween(days.donorComb, graft) };
}
const monthOf = (day: Day): number => Number(day.slice(5, 7)) - 1;

/** Rounds that stay and whose work, cells or queens are still to come. */
const standingOf = (views: readonly RoundView[], from: Day): NonNullable<SeasonQuestion['standing']> =>
  views
    .filter(({ days, missed }) => !missed && days.take[1] >= from)
    .map(({ round, cells }) => ({ graft: round.graftedOn, cells }));

function stayNear(
  plans: readonly Round[],
  season: RearingSeason,
  constants: Constants,
  today: Day,
  { prices }: SeasonHabits,
): NonNullable<SeasonQuestion['stay']> {
  const known = roundViews({ ...season, rounds: plans }, constants, today);
  return {
    rounds: known
      .filter(({ cells }) => cells > 0)
      .map(({ round, cells }) => ({ graft: round.graftedOn, cells })),
    cost: prices.change,
  };
}

/** The last graft whose queens are mated so long before the flying ends; undefined where it never does. */
function lastGraftOf(today: Day, flying: readonly number[], constants: Constants): Day | undefined {
  const ends = flyingEnds(today, flying, constants);
  if (ends === undefined) return undefined;
  const { graft, flights } = roundCalendar({ graft: today, give: 'cell', laying_d: 0 });
  return plusDays(ends, -constants.lastMated_d - daysBetween(graft, flights[1]));
}

/** The record’s own rate, with what it does not know yet. */
const rateOf = ({ record }: Pick<RearingSeason, 'record'>): number => (1 + record.takes) / (2 + record.tried);

/** What of each lot new rounds are to give, so that all wanted up to its day are there as surely as the breeder wants; first come first served. */
function needsOf(
  season: RearingSeason,
  views: readonly RoundView[],
  earliest: Day,
  { constants, today, habits }: AskedWith,
): LotNeed[] {
  const rate = rateOf(season);
  /** Cells of new rounds that lots before this one have. */
  let booked = 0;
  return lotStates(season, views, roomsFor(season, views, constants, today), today).map(
    ({ lot, wanted, have, open }) => {
      const more = Math.max(0, cellsWanted(wanted - have, season, habits.surely) - open - booked);
      const by = lot.by < today ? plusDays(earliest, WEEK_D) : lot.by;
      // What is too late for this lot stands open for the next one.
      if (by >= earliest) booked += more;
      return { lot, by, queens: Math.ceil(rate * more - TINY) };
    },
  );
}

const cellsWanted = (queens: number, { record }: RearingSeason, confidence: number): number =>
  queens <= 0
    ? 0
    : cells({ queens, confidence, takes: record.takes, tried: record.tried, prior: [1, 1] }).cells;

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
