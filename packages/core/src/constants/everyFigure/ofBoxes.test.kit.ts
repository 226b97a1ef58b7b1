import type { DesignContent, Hole } from '@yellow-cell/contract';
import { withPart } from '../../box/parts.ts';
import { coverSheet } from '../../box/plainParts.ts';
import { mainBody } from '../../box/stack.ts';
import { densityOf, parts } from '../../carpentry/parts.ts';
import { printPlan, usualPrinter } from '../../carpentry/print.ts';
import { worthKeeping } from '../../carpentry/sheets.ts';
import { buildSteps } from '../../carpentry/steps.ts';
import { familyDesign } from '../../families/build.ts';
import { arrangements } from '../../warmth/arrangements.ts';
import { boxPhysics } from '../../warmth/boxPhysics.ts';
import {
  beesInSeason,
  type Conditions,
  groundTemperature,
  usualConditions,
} from '../../warmth/conditions.ts';
import { lambdaOf, roofLayers, sheetLayer } from '../../warmth/materials.ts';
import { shutFor } from '../../warmth/occasions.ts';
import { sunAt } from '../../warmth/sun.ts';
import type { Constants } from '../registry.ts';
import type { Reckonings } from './reckoning.test.kit.ts';

const nucleus = familyDesign('nucleus');
const [door] = mainBody(nucleus).entrances;
const doorAt = (state: 'reduced' | 'workersOnly' | 'vent') => withPart(nucleus, door?.id ?? '', { state });
const at = (millimetres: number) => ({ mm: millimetres });
const underHole = (closedBy: Hole['closedBy']): DesignContent => ({
  ...nucleus,
  roof: { ...nucleus.roof, room: at(30) },
  layers: nucleus.layers.map((layer) =>
    layer.kind === 'sheet'
      ? {
          ...layer,
          holes: [{ id: 'hole', x: at(40), y: at(100), width: at(60), length: at(60), closedBy }],
        }
      : layer,
  ),
});
/** Boxes that are built, heated and aired in every way. */
const BOXES: Readonly<Record<string, DesignContent>> = {
  nucleus,
  'three-way': familyDesign('threeWay'),
  'four-way': familyDesign('fourWay'),
  observation: familyDesign('observation'),
  'door reduced': doorAt('reduced'),
  'door for workers': doorAt('workersOnly'),
  'door on vent': doorAt('vent'),
  'fine mesh below': { ...nucleus, floor: { ...nucleus.floor, kind: 'mesh', mesh: 1.5 } },
  'a tray below': { ...nucleus, floor: { ...nucleus.floor, kind: 'tray', mesh: 3 } },
  'a hole with an excluder above': underHole('excluder'),
  'a hole with a bee escape above': underHole('escape'),
};
const noon = sunAt('2026-07-01T11:00:00Z', 48, 16);
const SKIES: Readonly<Record<string, Partial<Conditions>>> = {
  shade: {},
  'sun on white': { sun: { place: noon, front_deg: 180, paint: 'white' }, doorsOpen: true },
  'sun on wood': { sun: { place: noon, front_deg: 180, paint: 'wood' } },
  'sun on dark': { sun: { place: noon, front_deg: 180, paint: 'dark' } },
  'a clear night': { clearNight: true, insulation_mm: 40 },
  'on the ground': { ground_C: 10, shutOn: 'vent' },
};
/** The others stand in the shade. */
const OUTDOORS = ['nucleus', 'observation'];
const BEES = [
  { bees: 'calm', brood: false, outside_C: -5 },
  { bees: 'resting', brood: true, outside_C: 14 },
  { bees: 'alarmed', brood: true, outside_C: 33 },
] as const;

export const built: Reckonings = Object.fromEntries(
  Object.entries(BOXES).flatMap(([box, design]) => [
    [`parts: ${box}`, (constants: Constants) => parts({ design }, constants)],
    [`steps: ${box}`, (constants: Constants) => buildSteps(design, 'butt', constants)],
    [`printed: ${box}`, (constants: Constants) => printPlan(design, usualPrinter, constants)],
  ]),
);
export const warm: Reckonings = Object.fromEntries(
  Object.entries(BOXES).flatMap(([box, design]) =>
    Object.entries(OUTDOORS.includes(box) ? SKIES : { shade: {} }).flatMap(([sky, more]) =>
      BEES.map((state) => [
        `${box}, ${sky}, ${state.outside_C} °C`,
        (constants: Constants) => boxPhysics(design, { ...usualConditions(state, constants), ...more }),
      ]),
    ),
  ),
);

const WALLS = ['pine', 'plywood', 'foam', 'plastic', 'corrugated', 'glass'] as const;
const SHEETS = ['cloth', 'foil', 'slats', 'mesh', 'excluder'] as const;
const mild = { bees: 'resting', brood: true, outside_C: 24 } as const;
export const things: Reckonings = {
  'shut for a purpose': (constants) => shutFor(nucleus, usualConditions(mild, constants)),
  arrangements: (constants) => arrangements(nucleus, usualConditions(mild, constants)),
  'the earth': (constants) => groundTemperature(-5, 10, constants),
  'bees by the season': (constants) => [5, 12].map((mean_C) => beesInSeason(mean_C, constants)),
  'a roof': (constants) => roofLayers(nucleus, constants),
  materials: (constants) => [
    ...WALLS.map((material) => [lambdaOf(material, constants), densityOf(material, 10, constants)]),
    ...SHEETS.map((material) => densityOf(material, 1, constants)),
    ...(['cloth', 'foil'] as const).map((what) => sheetLayer(coverSheet('c', { what }), constants)),
  ],
  offcuts: (constants) => {
    const offcuts = [300, 100].map((height_mm) => ({ x_mm: 0, y_mm: 0, width_mm: 300, height_mm }));
    const sheet = { width_mm: 600, height_mm: 600, offcut: null, placed: [], cuts: [], offcuts };
    return worthKeeping({ sheets: [sheet], bound: 1, yield: 1 } as never, constants);
  },
};
