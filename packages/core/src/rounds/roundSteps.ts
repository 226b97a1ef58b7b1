import { type Day, plusDays } from '../calendar/days.ts';
import { showDay } from '../calendar/showDay.ts';
import { countOf } from '../say/words.ts';
import type { RoundView } from './rearing.ts';
import { agesOf } from './virginsOf.ts';

export interface RoundStep {
  title: string;
  from: Day;
  to: Day;
  detail: string;
  /** True where the round itself asks for something then; looks into rooms are asked for in the yard. */
  asks: boolean;
  /** What it asks for stays asked for until then: the end of its days, or later where it can still be done. */
  until: Day;
}

/** Until somebody says what became of it. */
const FOR_EVER: Day = '9999-12-31';

/** What a round asks for, day by day from the drones of its virgins to the last queen (handbook 5). */
export function roundSteps(view: RoundView): RoundStep[] {
  const { round, days, cells, queens, open, outcome, missed, virgins, lost_d } = view;
  // What has laid has laid in time.
  const late_d = open > 0 ? lost_d : 0;
  const put = late_d > 0 ? ` ${countOf(late_d, 'day')} without flying weather put off what is open.` : '';
  const putOff = ([from, to]: readonly [Day, Day]): readonly [Day, Day] => [from, plusDays(to, late_d)];
  const step = (
    title: string,
    [from, to]: readonly [Day, Day],
    detail: string,
    asks = false,
    until = to,
  ): RoundStep => ({
    title,
    from,
    to,
    detail,
    asks,
    until,
  });
  const on = (day: Day): readonly [Day, Day] => [day, day];
  const planned = round.planned === true;
  const toGive = cells - (outcome?.given ?? 0);
  const emerge = `${showDay(days.emergence[0], days.graft)} to ${showDay(days.emergence[1], days.graft)}`;
  const before = [
    step('Drone eggs laid', on(days.droneEggsBy), 'Their drones are mature when these virgins fly.'),
    step(
      'Drawn comb to the donor',
      on(days.donorComb),
      'At the hour of the graft: four days on, its larvae are 12 to 24 hours old.',
      planned && !round.comb,
      missed ? days.donorComb : days.graft,
    ),
    step(
      planned ? 'Graft' : 'Grafted',
      on(days.graft),
      `${round.grafts} larvae of ${round.donor}.${missed ? ' Nothing is told of it: graft, move it to another day, or drop it.' : ''}`,
      planned,
      FOR_EVER,
    ),
  ];
  if (missed) return before;
  return [
    ...before,
    round.accepted
      ? step(
          'Taken on',
          on(round.accepted.on),
          `${round.accepted.cells} of ${round.grafts}; sealed ${showDay(days.sealed[0], days.graft)}.`,
        )
      : step(
          'Count what is taken on',
          [plusDays(days.graft, 1), days.sealed[1]],
          `Of ${round.grafts} grafts, a day or two after.`,
          !planned,
          days.emergence[1],
        ),
    step(
      'Stock the rooms',
      on(days.stock),
      `For ${countOf(toGive > 0 ? toGive : cells, 'cell')}: a day without a queen before they get them.`,
      toGive > 0,
      days.ripe,
    ),
    step(
      'Ripe: give them',
      on(days.ripe),
      `${countOf(toGive > 0 ? toGive : cells, 'cell')}, upright and warm; emergence ${emerge}.`,
      // What hatches in the incubator is no cell to be given any more.
      toGive > 0 && !virgins,
      days.emergence[1],
    ),
    ...(virgins
      ? [
          step(
            'Give the virgins, or throw them away',
            [days.emergence[0], virgins.until],
            `${countOf(virgins.count, 'virgin')} in the incubator, ${agesOf(virgins)}.`,
            true,
          ),
        ]
      : []),
    step('Virgins fly', putOff(days.flights), `Not opened between 11 and 17 h by the sun.${put}`),
    step(
      'Eggs',
      putOff(days.eggs),
      `${queens > 0 ? `${queens} laying so far, ${open} open.` : `${open} open.`}${put}`,
    ),
    step('Sealed brood of hers', putOff(days.sealedBrood), 'The pattern is scored, and she is marked.'),
    step('Ready to be taken', putOff(days.take), 'Having laid two weeks; better three or four.'),
  ];
}

/** Whether a step still lies ahead on a day, or is still asked for. */
export const isAhead = ({ asks, to, until }: RoundStep, on: Day): boolean => (asks ? until : to) >= on;
