import type { Constants, Doing, Regulated } from '@yellow-cell/core';
import { twoFigures } from './heat.ts';

/** What the bees of a room do about its warmth, and how much of their means it takes. */
export function doingWords({ does, heat_W, share }: Regulated, constants: Constants): string {
  const watts = `${twoFigures(heat_W)} W`;
  const means = `about ${tenths(share)} of what they can keep up`;
  const words: Readonly<Record<Doing, string>> = {
    chills: `More than they can keep up: with ${watts} they still grow cold.`,
    clusters: `They cluster and give ${watts}, ${means}.`,
    warms: `They hold brood at ${constants.broodNest_C} °C among them with ${watts}, ${means}.`,
    rests: `They give ${watts}, and nothing more is asked of them.`,
    fans: `They fan, ${tenths(share)} of what they can; ${watts} of their own.`,
    carriesWater: `They fan and carry water, ${tenths(share)} of what they can.`,
    overheats: `Too warm with all that they can do: over ${constants.danger_C} °C.`,
  };
  return words[does];
}
/** A share to a tenth is more than is known of it. */
const tenths = (share: number): string => `${Math.max(5, 5 * Math.round((share * 100) / 5))} %`;
