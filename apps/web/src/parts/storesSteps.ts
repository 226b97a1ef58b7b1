import type { WinterForecast } from '@yellow-cell/core';
import type { BandStep } from './BandPath.tsx';

/** Stores of a winter, in kg, from what there is at its start to the end of each month. */
export const storesSteps = (
  start: string,
  start_kg: number,
  months: WinterForecast['months'],
  at: (name: string) => number,
): BandStep[] => [
  { x: at(start), low: start_kg, middle: start_kg, high: start_kg },
  ...months.map(({ name, low_kg, middle_kg, high_kg }) => ({
    x: at(name),
    low: low_kg,
    middle: middle_kg,
    high: high_kg,
  })),
];
