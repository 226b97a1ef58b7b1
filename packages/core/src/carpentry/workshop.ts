import type { PartMaterial, StockSheet, Workshop } from '@yellow-cell/contract';

/** What a saw cut takes, until a breeder says otherwise (handbook 4). */
const KERF_MM = 3;
/** Stock as it is usually sold (handbook 4); prices are the breeder's own. */
const usual: readonly (readonly [string, PartMaterial, number, number, number])[] = [
  ['Board 235 × 2400', 'pine', 19, 2_400, 235],
  ['Glued board 2400 × 600', 'pine', 19, 2_400, 600],
  ['Plywood 2440 × 1220', 'plywood', 19, 2_440, 1_220],
  ['Plywood 2440 × 1220', 'plywood', 9.5, 2_440, 1_220],
  ['Plywood 1220 × 610', 'plywood', 6, 1_220, 610],
  ['Plywood 1220 × 610', 'plywood', 3, 1_220, 610],
  ['Foam board 1250 × 600', 'foam', 40, 1_250, 600],
  ['Corrugated sheet 2000 × 1000', 'corrugated', 5, 2_000, 1_000],
  ['Mesh off the roll, 1 m', 'mesh', 1, 5_000, 1_000],
  ['Excluder sheet 500 × 425', 'excluder', 1, 500, 425],
];

export const usualWorkshop: Workshop = {
  currency: '€',
  kerf_mm: KERF_MM,
  stock: usual.map(
    ([name, material, thickness_mm, width_mm, height_mm], index): StockSheet => ({
      // Fixed ids: the usual stock is the same everywhere until it is changed.
      id: `00000000-0000-4000-8000-${String(index + 1).padStart(12, '0')}`,
      name,
      material,
      thickness_mm,
      width_mm,
      height_mm,
      atHand: null,
      price: null,
    }),
  ),
  fittings: {},
  printer: null,
  plastic: null,
  register: [],
};
