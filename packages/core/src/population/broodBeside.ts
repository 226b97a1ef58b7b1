import type { Constants } from '../constants/registry.ts';

/** Days that brood is open, and sealed, until it emerges (handbook 5, development). */
const OPEN_D = 6;
const SEALED_D = 12;

/** Cells of brood, all ages alike, beside the bees of a colony that lays as winter ends (`springBrood`). */
export function broodBeside(
  bees_kg: number,
  { bees_kg1, springBrood }: Constants,
): { openCells: number; sealedCells: number } {
  const brood = bees_kg * bees_kg1 * springBrood;
  const openCells = (brood * OPEN_D) / (OPEN_D + SEALED_D);
  return { openCells, sealedCells: brood - openCells };
}
