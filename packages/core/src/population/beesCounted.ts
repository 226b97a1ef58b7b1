import type { Constants } from '../constants/registry.ts';
import { beesOfSeams } from '../winter/cluster.ts';
import type { StandingCompartment } from '../yard/compartments.ts';

type Room = Pick<StandingCompartment, 'frames' | 'seam_kg'>;

/**
 * Bees of so many seams once there is brood, in kg: few in a large room sit as a ball, as in winter, and where they fill
 * their room they cover whole combs; between, in between.
 */
export function beesCounted(
  seams: number,
  { frames, seam_kg }: Room,
  pitch_mm: number,
  { litresPerKg }: Pick<Constants, 'litresPerKg'>,
): number {
  const filled = frames === 0 ? 1 : Math.min(1, seams / frames);
  return beesOfSeams(seams, pitch_mm, litresPerKg) * (1 - filled) + seams * seam_kg * filled;
}

/** Seams that so many bees would be counted as, by halves as they are told. */
export function seamsCounted(kg: number, room: Room, pitch_mm: number, constants: Constants): number {
  let [low, high] = [0, Math.max(room.frames, 1) * 4];
  for (let turn = 0; turn < TURNS; turn++) {
    const middle = (low + high) / 2;
    if (beesCounted(middle, room, pitch_mm, constants) < kg) low = middle;
    else high = middle;
  }
  return Math.round(low * 2) / 2;
}
const TURNS = 30;
