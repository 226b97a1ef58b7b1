import type { Spot } from '../walk.ts';

const STEP_M = 2.4;
const ACROSS = 5;

/** The first places of a loose grid that no box stands near, row by row from the north-west, each counted as taken by the next. */
export function freePlaces(count: number, taken: readonly Spot[]): Spot[] {
  const places: Spot[] = [];
  const isFree = (spot: Spot): boolean =>
    [...taken, ...places].every(
      (each) => Math.hypot(each.east_m - spot.east_m, each.north_m - spot.north_m) > STEP_M * 0.8,
    );
  const north = Math.max(8, ...taken.map(({ north_m }) => north_m));
  const down = Math.floor(north / STEP_M);
  const across = Math.max(ACROSS, Math.ceil(Math.sqrt(2 * count)));
  // Below the northernmost row as far as the plan goes, then above it.
  for (let row = 0; places.length < count; row++) {
    const north_m = row <= down ? north - row * STEP_M : north + (row - down) * STEP_M;
    for (let column = 0; column < across && places.length < count; column++) {
      const spot = { east_m: tenth(2 + column * STEP_M), north_m: tenth(north_m) };
      if (isFree(spot)) places.push(spot);
    }
  }
  return places;
}

const tenth = (metres: number): number => Math.round(metres * 10) / 10;

/** So many numbers that no box of the yard stands on, from a stand on. */
export function freeStands(first: string, count: number, taken: readonly (string | undefined)[]): string[] {
  const used = new Set(taken);
  const stands: string[] = [];
  const start = /^\d+$/.test(first) ? Number(first) : 1;
  for (let stand = start; stands.length < count; stand++)
    if (!used.has(String(stand))) stands.push(String(stand));
  return stands;
}
