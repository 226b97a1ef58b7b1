import { type Day, daysBetween, plusDays } from '../calendar/days.ts';
import type { RoundView } from './rearing.ts';

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
}

/** As told where it was told; else cells go from the starter to the finisher the day after the graft and stay until they are ripe (handbook 5). */
export function tracksOf(views: readonly RoundView[], from: Day, to: Day): Tracks {
  const days = Math.max(0, daysBetween(from, to) + 1);
  const finisher = new Array<number>(days).fill(0);
  const incubator = new Array<number>(days).fill(0);
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
  };
}
const later = (a: Day, b: Day): Day => (a > b ? a : b);

const finishedFrom = ({ round, days }: RoundView): Day =>
  round.moved?.find(({ to }) => to === 'finisher')?.on ?? plusDays(days.graft, 1);
