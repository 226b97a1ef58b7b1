import type { NewYard } from '@yellow-cell/contract';
import type { DesignKey } from './designs.ts';
import type { Seed } from './seed.ts';

export const ZONE = 'Europe/Vienna';
export type YardKey = 'meadow' | 'orchard';

/** Two yards of an invented valley at about 48° N. */
export function demoYards(seed: Seed): Record<YardKey, NewYard> {
  return {
    meadow: { id: seed.id(), name: 'Quarry meadow', latitude_deg: 48.12, longitude_deg: 13.62, zone: ZONE },
    orchard: { id: seed.id(), name: 'Upper orchard', latitude_deg: 48.16, longitude_deg: 13.57, zone: ZONE },
  };
}

export interface BoxPlan {
  label: string;
  design: DesignKey;
  yard: YardKey;
  stand: string;
  east_m: number;
  north_m: number;
  bearing_deg: number;
}

const rows: readonly (readonly [YardKey, readonly (readonly [string, DesignKey, number])[]])[] = [
  [
    'meadow',
    [
      ['B1', 'threeWay', 175],
      ['B2', 'twoWay', 185],
      ['B3', 'threeWay', 180],
      ['B4', 'fourWay', 185],
      ['B5', 'twoWay', 165],
    ],
  ],
  [
    'meadow',
    [
      ['B6', 'fourWay', 110],
      ['B7', 'threeWay', 180],
      ['B8', 'threeWay', 95],
      ['N1', 'twoWayNucleus', 90],
    ],
  ],
  [
    'meadow',
    [
      ['N2', 'twoWayNucleus', 160],
      ['N3', 'single', 150],
      ['N4', 'nationalNucleus', 210],
    ],
  ],
  [
    'orchard',
    [
      ['B9', 'threeWay', 170],
      ['B10', 'twoWay', 200],
      ['B11', 'fourWay', 180],
      ['B12', 'twoWay', 135],
    ],
  ],
  [
    'orchard',
    [
      ['N5', 'twoWayNucleus', 100],
      ['N6', 'single', 190],
      ['S1', 'smallFormat', 180],
      ['S2', 'smallFormat', 225],
    ],
  ],
];

/** Boxes in loose rows, three steps apart, no two quite in line. */
export function boxPlans(seed: Seed): BoxPlan[] {
  return rows.flatMap(([yard, boxes], row) =>
    boxes.map(([label, design, bearing_deg], place) => ({
      label,
      design,
      yard,
      stand: String((row % 3) * 5 + place + 1),
      east_m: 1.5 + place * 2.4 + (row % 2) * 0.7 + seed.between(0, 4) / 10,
      north_m: 7.2 - (yard === 'meadow' ? row : row - 3) * 2.7 + seed.between(0, 3) / 10,
      bearing_deg: (bearing_deg + seed.between(-6, 6) + 360) % 360,
    })),
  );
}
