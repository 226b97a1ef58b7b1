import { type Day, type RoundView, showDay } from '@yellow-cell/core';

export interface Step {
  title: string;
  from: Day;
  to: Day;
  detail: string;
}

/** What a round asks for, day by day from the drones of its virgins to the last queen (handbook 5). */
export function stepsOf({ round, days, cells, queens, open }: RoundView): Step[] {
  const one = (title: string, day: Day, detail: string): Step => ({ title, from: day, to: day, detail });
  const window = (title: string, [from, to]: readonly [Day, Day], detail: string): Step => ({
    title,
    from,
    to,
    detail,
  });
  return [
    one('Drone eggs laid', days.droneEggsBy, 'Their drones are mature when these virgins fly.'),
    one(
      'Drawn comb to the donor',
      days.donorComb,
      'Its larvae are 12 to 24 hours old on the day of the graft.',
    ),
    one(round.planned ? 'Graft' : 'Grafted', days.graft, `${round.grafts} larvae of ${round.donor}.`),
    window(
      'Cells sealed',
      days.sealed,
      round.accepted
        ? `${round.accepted.cells} taken on, counted ${showDay(round.accepted.on, days.graft)}.`
        : 'Taken on: count them a day or two after the graft.',
    ),
    one('Stock the rooms', days.stock, `For ${cells} cells: a day without a queen before they get them.`),
    one(
      'Ripe: give them',
      days.ripe,
      `${cells} cells, upright and warm; emergence ${showDay(days.emergence[0], days.graft)} to ${showDay(days.emergence[1], days.graft)}.`,
    ),
    window('Virgins fly', days.flights, 'Not opened between 11 and 17 h by the sun.'),
    window('Eggs', days.eggs, queens > 0 ? `${queens} laying so far, ${open} open.` : `${open} open.`),
    window('Sealed brood of hers', days.sealedBrood, 'The pattern is scored, and she is marked.'),
    window('Ready to be taken', days.take, 'Having laid two weeks; better three or four.'),
  ];
}
