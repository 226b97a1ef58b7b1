import type { SeasonQuestion } from '@yellow-cell/contract';
import { type Day, daysBetween, later, plusDays } from '../calendar/days.ts';
import { type GraftDay, mondayOf, RIPE_D } from './graftDays.ts';

/**
 * What a season cannot have more of, as rows of the programme: of graft day n `yn` is whether a round is grafted, `cn`
 * its cells, `in` those of them that go to the incubator, `dn_m` its queens for lot m, out of the bank or at once, `wn_m` those that wait in their rooms.
 */
export function limitRows(question: SeasonQuestion, days: readonly GraftDay[]): string[] {
  return [
    ...roomRows(question, days),
    ...bankRows(question, days),
    ...countRows(question.donors, question, days),
    ...countRows(question.starters, question, days),
    ...finisherRows(question, days),
    ...hourRows(question, days),
  ];
}

/** Compartments are stocked on this day from the graft (handbook 5). */
const STOCKED_D = 9;
/** From this day on cells are sealed for sure, and may leave the finisher; by this one the last has emerged. */
const SEALED_D = 6;
const EMERGED_D = 12;
const WEEK = 7;

/** Of all days with the same terms the one with the least room is a row. */
function rowsByDay(
  from: Day,
  to: Day,
  termsOn: (day: Day) => readonly string[],
  roomOn: (day: Day) => number,
): string[] {
  const tightest = new Map<string, number>();
  for (let day = from; day <= to; day = plusDays(day, 1)) {
    const key = termsOn(day).join(' + ');
    if (key !== '') tightest.set(key, Math.min(roomOn(day), tightest.get(key) ?? Number.POSITIVE_INFINITY));
  }
  return [...tightest].map(([terms, room]) => `${terms} <= ${room}`);
}

const spanOf = (days: readonly GraftDay[]): [Day, Day] | undefined => {
  const first = days[0];
  return first && [first.graft, days.map(({ take }) => take).reduce(later)];
};

/** On no day are more compartments taken than there are. */
function roomRows({ compartments, lots }: SeasonQuestion, days: readonly GraftDay[]): string[] {
  const span = spanOf(days);
  if (!span) return [];
  return rowsByDay(
    plusDays(span[0], STOCKED_D),
    lots.map(({ by }) => by).reduce(later, span[1]),
    (day) =>
      days.flatMap(({ graft, take, goesTo }, at) => {
        if (day < plusDays(graft, STOCKED_D)) return [];
        if (day <= take) return [`c${at}`];
        return goesTo.flatMap(({ lot, inRoom }) =>
          inRoom && day <= (lots[lot]?.by ?? '') ? [`w${at}_${lot}`] : [],
        );
      }),
    (day) =>
      compartments.reduce((sum, each) => (each.from <= day && day <= each.to ? sum + each.count : sum), 0),
  );
}

/** Queens that are taken and not yet due wait in the bank. */
function bankRows({ bank, lots }: SeasonQuestion, days: readonly GraftDay[]): string[] {
  const span = spanOf(days);
  if (!span || !bank || bank.days === 0) return [];
  return rowsByDay(
    span[0],
    plusDays(span[1], bank.days),
    (day) =>
      days.flatMap(({ take, goesTo }, at) =>
        take > day
          ? []
          : goesTo.flatMap(({ lot, byBank }) =>
              byBank && (lots[lot]?.by ?? '') > day ? [`d${at}_${lot}`] : [],
            ),
      ),
    () => bank.places,
  );
}

/** So many grafts at most within so many days. */
function countRows(
  limit: SeasonQuestion['donors'],
  { standing = [] }: SeasonQuestion,
  days: readonly GraftDay[],
): string[] {
  const span = spanOf(days);
  if (!span || !limit) return [];
  return rowsByDay(
    ...span,
    (day) => days.flatMap(({ graft }, at) => (isWithin(graft, day, 0, limit.days) ? [`y${at}`] : [])),
    (day) => left(limit.count, standing.filter(({ graft }) => isWithin(graft, day, 0, limit.days)).length),
  );
}

/** Whether a day lies so many days after a graft, the last one not included. */
const isWithin = (graft: Day, day: Day, from_d: number, to_d: number): boolean => {
  const since_d = daysBetween(graft, day);
  return since_d >= from_d && since_d < to_d;
};
/** What rounds that stand leave of it. */
const left = (all: number, taken: number): number => Math.max(0, all - taken);

/** Cells in finishers, less those that an incubator has taken over. */
function finisherRows(
  { finishers, incubator, standing = [] }: SeasonQuestion,
  days: readonly GraftDay[],
): string[] {
  const span = spanOf(days);
  if (!span || !finishers) return [];
  const rows = rowsByDay(
    ...span,
    (day) => {
      const cells = days.flatMap(({ graft }, at) =>
        isWithin(graft, day, 0, finishers.days) ? [`c${at}`] : [],
      );
      const away = incubator
        ? days.flatMap(({ graft }, at) =>
            isWithin(graft, day, SEALED_D, finishers.days) ? [`- i${at}`] : [],
          )
        : [];
      return cells.length > 0 ? [[cells.join(' + '), ...away].join(' ')] : [];
    },
    (day) =>
      left(
        finishers.cells,
        standing.reduce(
          (sum, { graft, cells }) => (isWithin(graft, day, 0, finishers.days) ? sum + cells : sum),
          0,
        ),
      ),
  );
  if (!incubator) return rows;
  return [
    ...rows,
    ...days.map((_, at) => `i${at} - c${at} <= 0`),
    ...rowsByDay(
      ...span,
      (day) => days.flatMap(({ graft }, at) => (isWithin(graft, day, SEALED_D, EMERGED_D) ? [`i${at}`] : [])),
      () => incubator.places,
    ),
  ];
}

/** The work of a week is done by those who are there in it. */
function hourRows(
  { helpers, work, closed = [], standing = [], rate: usual, take_d }: SeasonQuestion,
  days: readonly GraftDay[],
): string[] {
  if (!helpers || !work) return [];
  const weeks = new Map<Day, string[]>();
  const add = (day: Day, hours: number, name: string): void => {
    if (hours === 0) return;
    const monday = mondayOf(day);
    weeks.set(monday, [...(weeks.get(monday) ?? []), `${hours} ${name}`]);
  };
  days.forEach(({ graft, take, rate }, at) => {
    add(graft, work.round_h, `y${at}`);
    add(plusDays(graft, RIPE_D), work.cell_h, `c${at}`);
    add(take, work.queen_h * rate, `c${at}`);
  });
  const taken = (monday: Day): number =>
    standing.reduce((sum, { graft, cells }) => {
      const inWeek = (day: Day) => mondayOf(day) === monday;
      return (
        sum +
        (inWeek(graft) ? work.round_h : 0) +
        (inWeek(plusDays(graft, RIPE_D)) ? work.cell_h * cells : 0) +
        (inWeek(plusDays(graft, take_d)) ? work.queen_h * usual * cells : 0)
      );
    }, 0);
  return [...weeks].map(
    ([monday, terms]) => `${terms.join(' + ')} <= ${left(hoursOf(monday, helpers, closed), taken(monday))}`,
  );
}

/** The hours of a week, less its share of days that are closed or on which a helper is away. */
function hoursOf(
  monday: Day,
  helpers: NonNullable<SeasonQuestion['helpers']>,
  closed: readonly Day[],
): number {
  const week = Array.from({ length: WEEK }, (_, day) => plusDays(monday, day));
  return helpers.reduce((sum, { hours, away }) => {
    const there = week.filter(
      (day) => !closed.includes(day) && !away.some(({ from, to }) => from <= day && day <= to),
    );
    return sum + (hours * there.length) / WEEK;
  }, 0);
}
