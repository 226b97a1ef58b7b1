import type { SeasonQuestion } from '@yellow-cell/contract';
import { later, plusDays } from '../calendar/days.ts';
import type { Constants } from '../constants/registry.ts';

/** What a season could have more of, each asked anew: the answer beside that of the question says what it would bring. */
export interface SeasonChange {
  name: string;
  question: SeasonQuestion;
}
const MORE = { rooms: 10, cells: 15, places: 20, hours: 5, days: 7 };
/** The solver takes so many groups of rooms. */
const MOST_GROUPS = 40;
const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7];

export function seasonChanges(
  question: SeasonQuestion,
  { finisherMost, bankAge_d }: Pick<Constants, 'finisherMost' | 'bankAge_d'>,
): SeasonChange[] {
  const { compartments, cells, weekdays = [], closed = [], bank, lots, from, incubator } = question;
  const { donors, starters, finishers, helpers } = question;
  const to = lots.map(({ by }) => by).reduce(later, from);
  const change = (name: string, more: Partial<SeasonQuestion>, can = true): SeasonChange[] =>
    can ? [{ name, question: { ...question, ...more } }] : [];
  return [
    ...change(`${MORE.rooms} more rooms from now on`, {
      compartments: [...compartments.slice(0, MOST_GROUPS - 1), { count: MORE.rooms, from, to }],
    }),
    ...change(
      'One more finisher',
      finishers ? { finishers: { ...finishers, cells: finishers.cells + finisherMost } } : {},
      finishers !== undefined,
    ),
    ...change(`${MORE.cells} more cells in a round`, { cells: { ...cells, most: cells.most + MORE.cells } }),
    ...change(
      'One more starter',
      starters ? { starters: { ...starters, count: starters.count + 1 } } : {},
      starters !== undefined,
    ),
    ...change(
      'One more donor',
      donors ? { donors: { ...donors, count: donors.count + 1 } } : {},
      donors !== undefined,
    ),
    ...change(
      `An incubator of ${MORE.places} ${incubator ? 'more places' : 'places'}`,
      { incubator: { places: (incubator?.places ?? 0) + MORE.places } },
      finishers !== undefined,
    ),
    ...change(
      bank
        ? `${MORE.places} more places in the bank`
        : `A bank of ${MORE.places} places for ${bankAge_d} days`,
      {
        bank: bank
          ? { ...bank, places: bank.places + MORE.places }
          : { days: bankAge_d, places: MORE.places },
      },
    ),
    ...change(
      `${MORE.hours} more hours a week`,
      { helpers: [...(helpers ?? []), { name: 'One more', hours: MORE.hours, away: [] }] },
      helpers !== undefined,
    ),
    ...change(
      'Grafting on any day of the week',
      { weekdays: EVERY_DAY },
      weekdays.length > 0 && weekdays.length < EVERY_DAY.length,
    ),
    ...change('Without the days that you keep free', { closed: [] }, closed.length > 0),
    ...change('Had it begun a week earlier', { from: plusDays(from, -MORE.days) }),
  ];
}
