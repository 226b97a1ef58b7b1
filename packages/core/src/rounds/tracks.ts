import type { RearingSeason } from '@yellow-cell/contract';
import { type Day, daysBetween, later, plusDays } from '../calendar/days.ts';
import { stillWanted } from './lotsOf.ts';
import type { LotState, RoundView } from './rearing.ts';

/** A span of days, both included, that a round takes something up. */
export interface Taken {
  round: number;
  donor: string;
  from: Day;
  to: Day;
}
/** What rounds take up beside rooms: donors’ combs and starters by spans, finishers and incubators by cells on each day from `from` on. */
export interface Tracks {
  donors: readonly Taken[];
  starters: readonly Taken[];
  from: Day;
  finisher: readonly number[];
  incubator: readonly number[];
  /** Queens that stand in banks: since they came there, and until lots are handed over, first come first served. */
  bank: readonly number[];
}

/** As told where it was told; else cells go from the starter to the finisher the day after the graft and stay until they are ripe (handbook 5). */
export function tracksOf(
  {
    views: rounds,
    lots,
    season,
  }: { views: readonly RoundView[]; lots: readonly LotState[]; season: Pick<RearingSeason, 'banked'> },
  from: Day,
  to: Day,
): Tracks {
  // What was planned and not grafted has taken nothing up.
  const views = rounds.filter(({ missed }) => !missed);
  const days = Math.max(0, daysBetween(from, to) + 1);
  const finisher = new Array<number>(days).fill(0);
  const incubator = new Array<number>(days).fill(0);
  const bank = new Array<number>(days).fill(0);
  const add = (load: number[], cells: number, since: Day, until: Day): void => {
    for (let at = Math.max(0, daysBetween(from, since)); at <= daysBetween(from, until) && at < days; at++)
      load[at] = (load[at] ?? 0) + cells;
  };
  for (const view of views) {
    const { round, days: on, cells } = view;
    const since = finishedFrom(view);
    add(finisher, cells, since, on.ripe);
    for (const { on: day, to: where, cells: count } of round.moved ?? []) {
      if (where === 'finisher') continue;
      // Those that are thrown away are not among its cells.
      if (where !== 'discarded') add(finisher, -Math.min(count, cells), later(day, since), on.ripe);
      if (where === 'incubator') add(incubator, count, day, on.emergence[1]);
    }
  }
  const leave = lots.flatMap(({ lot, by }) => new Array<Day>(stillWanted(lot)).fill(by));
  season.banked.forEach(({ since }, place) => {
    add(bank, 1, since, leave[place] ?? to);
  });
  const spans = (of: (view: RoundView) => readonly [Day, Day]): Taken[] =>
    views.map((view) => {
      const [since, until] = of(view);
      return { round: view.round.number, donor: view.round.donor, from: since, to: until };
    });
  return {
    donors: spans(({ days: { donorComb, graft } }) => [donorComb, graft]),
    starters: spans((view) => [view.days.graft, finishedFrom(view)]),
    from,
    finisher: finisher.map((count) => Math.max(0, count)),
    incubator,
    bank,
  };
}

const finishedFrom = ({ round, days }: RoundView): Day =>
  round.moved?.find(({ to }) => to === 'finisher')?.on ?? plusDays(days.graft, 1);
