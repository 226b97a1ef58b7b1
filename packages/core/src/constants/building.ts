import { constant } from './constant.ts';

/** Figures of the workshop (handbook 4): what things weigh, and what a cut takes. */
const building4 = 'Cut list, sheets and cost';
const density = (value: number, of: string) =>
  constant(value, 'kg/m³', 'Our estimate, from usual tables', [1, 9_000], `Density of ${of}`);
const sheet = (value: number, of: string) =>
  constant(value, 'kg/m²', 'Our estimate', [0.01, 20], `Weight of ${of}`);

export const buildingConstants = {
  keepOffcut_mm: constant(150, 'mm', building4, [20, 1_000], 'Least side of an offcut worth keeping'),
  liftAlone_kg: constant(20, 'kg', building4, [5, 40], 'Over this a box is lifted by two'),
  honey_gcm2: constant(1.65, 'g/cm²', building4, [1, 2.5], 'Honey on a full comb side'),
  seasonShare: constant(0.35, 'share', 'Our estimate', [0, 1], 'How full combs are of honey in the season'),
  frame_kg: constant(0.35, 'kg', 'Our estimate', [0.05, 1.5], 'A frame with its empty comb'),
  pieceOver_mm: constant(
    15,
    'mm',
    'From a design to parts',
    [3, 50],
    'Mesh or excluder over the edge of its opening, each side',
  ),
  pine_kgm3: density(470, 'softwood'),
  plywood_kgm3: density(600, 'plywood'),
  foam_kgm3: density(60, 'dense foam'),
  plastic_kgm3: density(1_270, 'solid plastic'),
  corrugated_kgm3: density(190, 'corrugated plastic'),
  glass_kgm3: density(2_500, 'glass'),
  mesh_kgm2: sheet(1.1, 'wire mesh'),
  excluder_kgm2: sheet(2.5, 'an excluder'),
  cloth_kgm2: sheet(0.4, 'cloth'),
  foil_kgm2: sheet(0.25, 'foil-bubble'),
  slats_kgm2: sheet(1.6, 'a slatted mat'),
  printWalls: constant(0.45, 'share', 'Our estimate', [0.1, 1], 'Share of a printed part that is plastic'),
  printOver: constant(1.25, 'times', 'Machine-made parts', [1, 3], 'What travel and corners add to a print'),
  printBridge_mm: constant(25, 'mm', 'Our estimate', [5, 80], 'Widest flat span that a printer bridges'),
  airing_d: constant(2, 'days', 'Order of assembly', [0, 14], 'A finish airs before bees'),
} as const;
