import type { DesignContent, Length, NewDesign } from '@yellow-cell/contract';
import { standardDesign } from '@yellow-cell/core';
import type { Seed } from './seed.ts';

export type DesignKey =
  | 'threeWay'
  | 'fourWay'
  | 'twoWay'
  | 'twoWayNucleus'
  | 'single'
  | 'smallFormat'
  | 'nationalNucleus';

interface Plan {
  name: string;
  format: string;
  width: Length;
  thickness: Length;
  frames: readonly number[];
  note: string;
}

/** The breeder's designs, of the families that stock mating compartments. */
const plans: Readonly<Record<DesignKey, Plan>> = {
  threeWay: plan(
    'Three-way, ten-frame body',
    'langstroth-deep',
    { mm: 373 },
    { mm: 9.5 },
    [3, 3, 3],
    'Three frames each: room to swap and to correct',
  ),
  fourWay: plan(
    'Four-way, ten-frame body',
    'langstroth-deep',
    { mm: 373 },
    { mm: 3.2 },
    [3, 2, 2, 3],
    'Thin dividers, or four would not fit',
  ),
  twoWay: plan(
    'Two-way, ten-frame body',
    'langstroth-deep',
    { mm: 373 },
    { mm: 6 },
    [5, 5],
    'Grows into a wintering pair',
  ),
  twoWayNucleus: plan(
    'Two-way nucleus',
    'langstroth-deep',
    { mm: 190.5, typed: '7 1/2"' },
    { mm: 4 },
    [2, 2],
    'Entrances at opposite ends',
  ),
  single: plan(
    'Five-frame nucleus',
    'langstroth-deep',
    { mm: 190, typed: '19 cm' },
    { mm: 9.5 },
    [5],
    'For queens that winter',
  ),
  smallFormat: plan(
    'Small-format two-way',
    'warre-size',
    { mm: 300 },
    { mm: 3 },
    [4, 4],
    'Light to carry up to the orchard',
  ),
  nationalNucleus: plan(
    'National nucleus, halved',
    'national-deep',
    { mm: 222 },
    { mm: 4 },
    [3, 3],
    'A neighbour’s frames fit it',
  ),
};

function plan(
  name: string,
  format: string,
  width: Length,
  thickness: Length,
  frames: readonly number[],
  note: string,
): Plan {
  return { name, format, width, thickness, frames, note };
}

export interface DemoDesign {
  saved: NewDesign;
  content: DesignContent;
}

export function demoDesigns(seed: Seed): Record<DesignKey, DemoDesign> {
  const entries = Object.entries(plans).map(([key, each]) => {
    const { format, width, thickness, frames } = each;
    const content = standardDesign({ format, insideWidth: width, thickness, frames });
    const saved: NewDesign = {
      id: seed.id(),
      name: each.name,
      version: { id: seed.id(), content, note: each.note },
    };
    return [key, { saved, content }] as const;
  });
  return Object.fromEntries(entries) as Record<DesignKey, DemoDesign>;
}
