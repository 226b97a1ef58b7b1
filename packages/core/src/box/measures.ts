import type { Format } from '@yellow-cell/contract';
import { defaultConstants } from '../constants/registry.ts';
import { lengthOf } from '../geometry/block.ts';
import type { FrameSolid } from './solids.ts';
import type { Space } from './spaces.ts';

/** What a compartment holds when it is full. */
export interface Measures {
  litres: number;
  frames: number;
  /** Of both sides of all its combs. */
  comb_cm2: number;
  cells: number;
  bees: number;
  stores_kg: number;
}

/** Frames' wood takes this much of their length and depth, in mm (handbook 2, formats). */
const WOOD_LENGTH_MM = 22;
const WOOD_DEPTH_MM = 29;
/** Worker cells to a cm² at 5.3 mm across flats. */
export const CELLS_PER_CM2 = 4.1;
/** Bees on a comb side that is fully covered, to a cm² (handbook 5, bees). */
export const BEES_PER_CM2 = 1.25;
const MM3_PER_LITRE = 1e6;

/** Comb area of one side, in cm². */
export const combSide = ({ bodyLength_mm, depth_mm }: Format): number =>
  (Math.max(0, bodyLength_mm - WOOD_LENGTH_MM) * Math.max(0, depth_mm - WOOD_DEPTH_MM)) / 100;

/** A worker's weight, in kg (handbook 5, bees). */
const BEE_KG = 0.12e-3;
/** Bees between two combs, which cover a comb's two sides, in kg. */
export const seamBees = (format: Format | undefined): number =>
  format ? 2 * combSide(format) * BEES_PER_CM2 * BEE_KG : 0;

export function measuresOf(spaces: readonly Space[], frames: readonly FrameSolid[]): Measures {
  const combs = frames.filter(({ holds }) => holds === 'comb' || holds === 'display');
  const comb_cm2 = combs.reduce((sum, { format }) => sum + 2 * combSide(format), 0);
  return {
    litres: spaces.reduce((sum, { block }) => sum + litresOf(block), 0),
    frames: frames.length,
    comb_cm2,
    cells: comb_cm2 * CELLS_PER_CM2,
    bees: comb_cm2 * BEES_PER_CM2,
    stores_kg: (comb_cm2 * defaultConstants.honey_gcm2) / 1_000,
  };
}

const litresOf = ({ x, y, z }: Space['block']): number =>
  (lengthOf(x) * lengthOf(y) * lengthOf(z)) / MM3_PER_LITRE;
