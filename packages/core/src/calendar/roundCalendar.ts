import type { CalendarAnswer, CalendarQuestion, Problem } from '@yellow-cell/contract';
import { refuse } from '../problems.ts';
import { type Day, plusDays } from './days.ts';

/** Days of a round from its graft, a larva of 12 to 24 hours (handbook 5, development; giving; watching). */
const FROM_GRAFT = {
  droneEggsBy: -20,
  donorComb: -4,
  sealed: [4, 5],
  stock: 9,
  ripe: 10,
  emergence: [11, 12],
  flights: [17, 18],
  eggs: [21, 26],
  failedBy: 31,
} as const;
const GIVEN = { cell: [10, 10], virgin: [11, 12] } as const;
/** From her first egg: worker brood is sealed, and her first workers emerge. */
const SEALED_D = 9;
const EMERGED_D = 21;

/** The days of a round from its graft, or from the day by which its last queen is to be taken. Throws `ProblemsError`. */
export function roundCalendar(question: CalendarQuestion): CalendarAnswer {
  refuse(roundProblems(question));
  const { takeBy, give, laying_d } = question;
  const lastTake = FROM_GRAFT.eggs[1] + laying_d;
  const graft = question.graft ?? plusDays(takeBy ?? '', -lastTake);
  const on = (days: number): Day => plusDays(graft, days);
  const window = ([from, to]: readonly [number, number], later = 0): [Day, Day] => [
    on(from + later),
    on(to + later),
  ];
  return {
    graft,
    donorComb: on(FROM_GRAFT.donorComb),
    droneEggsBy: on(FROM_GRAFT.droneEggsBy),
    stock: on(FROM_GRAFT.stock),
    sealed: window(FROM_GRAFT.sealed),
    ripe: on(FROM_GRAFT.ripe),
    given: window(GIVEN[give]),
    emergence: window(FROM_GRAFT.emergence),
    flights: window(FROM_GRAFT.flights),
    eggs: window(FROM_GRAFT.eggs),
    failedBy: on(FROM_GRAFT.failedBy),
    sealedBrood: window(FROM_GRAFT.eggs, SEALED_D),
    take: window(FROM_GRAFT.eggs, laying_d),
    ownWorkers: window(FROM_GRAFT.eggs, EMERGED_D),
  };
}

/** One of the two days, and not both: they could contradict each other. */
export function roundProblems({ graft, takeBy }: Pick<CalendarQuestion, 'graft' | 'takeBy'>): Problem[] {
  if ((graft === undefined) !== (takeBy === undefined)) return [];
  return [
    {
      path: 'takeBy',
      value: takeBy,
      sentence:
        graft === undefined
          ? 'Give the day of the graft, or the day to take by.'
          : 'Give the day of the graft or the day to take by, not both.',
    },
  ];
}
