import { countOf, type RoundWants } from '@yellow-cell/core';

/** What a round wants of bees and combs, as lines of a list; weights are told in the breeder’s measures where they are shown. */
export function wantsInLines({
  starter_kg,
  finishers,
  rooms,
}: RoundWants): readonly (readonly [string, string])[] {
  return [
    ['Bees of a closed starter', `${starter_kg.toFixed(1)} kg`],
    ['Finishers', String(finishers)],
    ['Rooms to stock', String(rooms)],
    [
      'For them',
      `${countOf(rooms, 'frame')} of sealed brood, ${rooms} of stores and pollen, and bees shaken from one or two more each`,
    ],
  ];
}
