import type { CalendarAnswer, Round } from '@yellow-cell/contract';
import { type Day, daysBetween, plusDays } from '../calendar/days.ts';
import type { Constants } from '../constants/registry.ts';
import { countOf } from '../say/words.ts';
import { cellsLeft } from './cellsOf.ts';

/** Virgins of a round that hatched in an incubator, and wait there to be given. */
export interface Virgins {
  count: number;
  /** Days since they hatched, the youngest and the oldest. */
  age_d: readonly [number, number];
  /** The last day on which they can still be of use. */
  until: Day;
}

/** Those whose cells were carried to an incubator, from the first that hatches until none can mate any more; undefined where none waits. */
export function virginsOf(
  round: Pick<Round, 'accepted' | 'grafts' | 'moved'>,
  { emergence, ripe }: Pick<CalendarAnswer, 'emergence' | 'ripe'>,
  given: number,
  today: Day,
  { failedByLatest_d }: Pick<Constants, 'failedByLatest_d'>,
): Virgins | undefined {
  const last = round.moved?.findLast(({ to }) => to !== 'discarded');
  const count = cellsLeft(round, given);
  const until = plusDays(ripe, failedByLatest_d);
  if (last?.to !== 'incubator' || count === 0 || today < emergence[0] || today > until) return undefined;
  const age = (born: Day): number => Math.max(0, daysBetween(born, today));
  return { count, age_d: [age(emergence[1]), age(emergence[0])], until };
}

/** “2 to 3 days old”; on the first day, “hatching”. */
export const agesOf = ({ age_d: [least, most] }: Pick<Virgins, 'age_d'>): string =>
  most === 0 ? 'hatching' : `${least === most ? '' : `${least} to `}${countOf(most, 'day')} old`;
