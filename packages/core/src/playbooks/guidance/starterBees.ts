import type { Constants } from '../../constants/registry.ts';

/** Bees of a starter: frames put in with those on them, and frames shaken in, in kg (handbook 5). */
export const starterBees = (
  { frames, shakes }: { frames: number; shakes: number },
  seam_kg: number,
  { shaken }: Constants,
): number => seam_kg * (frames + shakes * shaken);

/** Cells that so many bees start well; none where they are fewer than a starter has at least. */
export const cellsOfBees = (
  bees_kg: number,
  { starterBees_kg, starterCells_kg, starterMost }: Constants,
): number =>
  bees_kg + 1e-9 < starterBees_kg ? 0 : Math.min(starterMost, Math.floor(bees_kg * starterCells_kg + 1e-9));

/** Bees that so many cells want, in kg; never fewer than a starter has at least. */
export const beesForCells = (
  cells: number,
  { starterCells_kg, starterBees_kg, starterMost }: Constants,
): number => Math.max(starterBees_kg, Math.min(cells, starterMost) / starterCells_kg);
