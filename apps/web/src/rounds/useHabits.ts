import type { SeasonHabits } from '@yellow-cell/core';
import { useState } from 'react';
import { keep, readKept } from '../app/kept.ts';

const HABITS = 'yc-season-habits';
/** Every day, one colony for each task, no bank, nobody’s hours counted; what a queen is worth against a round’s work. */
const USUAL: Omit<SeasonHabits, 'laying_d'> = {
  weekdays: [1, 2, 3, 4, 5, 6, 7],
  closed: [],
  most: 45,
  bank: { days: 0, places: 0 },
  surely: 0.9,
  colonies: { donors: 1, starters: 1, finishers: 1, incubator: 0 },
  helpers: [],
  work: { round_h: 3, cell_h: 0.2, queen_h: 0.25 },
  prices: { queen: 30, round: 20, cell: 0.5, bankDay: 0.1, change: 1 },
};

/** How this breeder works and what things are worth, kept on the device; queens are taken as the figures say until something else is tried. */
export function useHabits(laying_d: number): [SeasonHabits, (change: Partial<SeasonHabits>) => void] {
  const [habits, setHabits] = useState<SeasonHabits>(() => {
    const kept = readKept<Partial<SeasonHabits>>(HABITS);
    // What was kept before a price was known takes the usual one.
    return { ...USUAL, laying_d, ...kept, prices: { ...USUAL.prices, ...kept?.prices } };
  });
  return [
    habits,
    (change) =>
      setHabits((before) => {
        const next = { ...before, ...change };
        keep(HABITS, next);
        return next;
      }),
  ];
}
