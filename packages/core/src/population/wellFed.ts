import type { Format } from '@yellow-cell/contract';
import type { Constants } from '../constants/registry.ts';
import { fullSide } from '../winter/reduce.ts';

/** What a colony on so many combs has where its keeper sees to it: how it grows is asked of such. */
export const wellFed = (
  format: Format,
  frames: number,
  constants: Constants,
): { stores_kg: number; forage_gFlier: number } => ({
  stores_kg: frames * 2 * fullSide(format, constants) * constants.storesShare,
  forage_gFlier: constants.springForage_g,
});
