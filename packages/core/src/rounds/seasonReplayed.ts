import type { PastSeason, SeasonQuestion } from '@yellow-cell/contract';
import { type Day, later, plusDays } from '../calendar/days.ts';
import { roundCalendar } from '../calendar/roundCalendar.ts';
import { type AskedWith, fromGraft } from './seasonAsked.ts';
import { habitsAsked } from './seasonHabits.ts';
import { spellsOf } from './spellsOf.ts';

/** A season that is over, as it was, and as a question: what other habits would have made of its lots, weather, rooms and rate. */
export interface SeasonReplayed {
  was: {
    rounds: number;
    cells: number;
    queens: number;
    inTime: number;
    lots: { id: string; name: string; queens: number; had: number }[];
  };
  /** Undefined where no queens were wanted by a day in it, or none was tried. */
  question: SeasonQuestion | undefined;
}

export function seasonReplayed(
  past: PastSeason,
  { constants, habits, flying }: Omit<AskedWith, 'today'>,
): SeasonReplayed {
  const was = asItWas(past, constants.harvestFrom_d);
  const grafts = past.rounds.map(({ graftedOn }) => graftedOn);
  const [first] = [...grafts].sort();
  const { lots, outcomes } = past;
  if (first === undefined || lots.length === 0) return { was, question: undefined };
  const [takes, misses] = [sum(outcomes.map((each) => each.takes)), sum(outcomes.map((each) => each.misses))];
  const rate = (1 + takes) / (2 + takes + misses);
  const { take_d } = fromGraft(first, habits.laying_d);
  const last = lots.map(({ by }) => by).reduce(later);
  const [from, to] = [first, plusDays(last, -take_d)];
  if (to < from) return { was, question: undefined };
  const known = new Map(past.flown.days.map(({ on, flies }) => [on, flies ? 1 : 0]));
  const chanceOn = (day: Day): number => known.get(day) ?? flying[Number(day.slice(5, 7)) - 1] ?? 0;
  return {
    was,
    question: {
      from,
      to,
      lots: lots.map(({ id, queens, by, worth }) => ({
        name: id,
        queens,
        by,
        value: worth ?? habits.prices.queen,
      })),
      compartments: [{ count: past.rooms, from, to: last }],
      rate,
      take_d,
      spells: spellsOf({ from, to, rate, take_d }, chanceOn, constants),
      ...habitsAsked({ ...habits, closed: [] }, constants),
    },
  };
}

/** Queens that a season had, handed to its lots in the order of their days as they were ready. */
function asItWas({ rounds, outcomes, lots }: PastSeason, laying_d: number): SeasonReplayed['was'] {
  const made = rounds.map((round) => {
    const outcome = outcomes.find((each) => each.round === round.id);
    return {
      ready: roundCalendar({ graft: round.graftedOn, give: 'cell', laying_d }).take[0],
      cells: outcome?.given ?? 0,
      queens: outcome?.takes ?? 0,
    };
  });
  let handed = 0;
  const had = [...lots]
    .sort((a, b) => (a.by < b.by ? -1 : 1))
    .map(({ id, name, queens, by }) => {
      const ready = sum(made.filter((each) => each.ready <= by).map((each) => each.queens));
      const now = Math.min(queens, Math.max(0, ready - handed));
      handed += now;
      return { id, name, queens, had: now };
    });
  return {
    rounds: rounds.length,
    cells: sum(made.map(({ cells }) => cells)),
    queens: sum(made.map(({ queens }) => queens)),
    inTime: handed,
    lots: had,
  };
}
const sum = (numbers: readonly number[]): number => numbers.reduce((all, each) => all + each, 0);
