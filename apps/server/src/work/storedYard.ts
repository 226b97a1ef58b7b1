import type { BoxStanding, Design, Round, WeatherDay, YardFields } from '@yellow-cell/contract';
import { type BoxView, boxViews, constantsWith, type Day, stateOfStanding } from '@yellow-cell/core';

/** A yard as it is stored, as another thread is given it. */
export interface StoredYard {
  yard: YardFields & { id: string };
  today: Day;
  boxes: readonly BoxStanding[];
  designs: readonly Design[];
  rounds: readonly Round[];
  weather: readonly WeatherDay[];
  /** Figures of the yard other than their defaults. */
  constants: Readonly<Record<string, number>>;
}

/** Its boxes as they stand today. */
export function viewsOf({ yard, today, boxes, designs, rounds, weather, constants }: StoredYard): BoxView[] {
  const state = stateOfStanding(boxes, rounds, yard.id, weather);
  const known = {
    designs: new Map(designs.map((design) => [design.id, design])),
    yards: new Set([yard.id]),
  };
  return boxViews(state, known, yard.id, constantsWith(constants), { on: today, today });
}
