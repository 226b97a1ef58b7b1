import type { DesignContent, NewDesign } from '@yellow-cell/contract';
import { familyDesign, observation, standardDesign } from '@yellow-cell/core';
import type { Seed } from './seed.ts';

interface Plan {
  name: string;
  note: string;
  content: () => DesignContent;
}

/** The breeder's designs: a sound one of each family, and those of a neighbour's frames. */
const plans = {
  threeWay: plan('Three-way, ten-frame body', 'Three frames each: room to swap and to correct', () =>
    familyDesign('threeWay'),
  ),
  fourWay: plan('Four-way, ten-frame body', 'Thin dividers, or four would not fit', () =>
    familyDesign('fourWay'),
  ),
  twoWay: plan('Two-way, ten-frame body', 'Grows into a wintering pair', () => familyDesign('twoWayBody')),
  twoWayNucleus: plan('Two-way nucleus', 'Entrances at opposite ends', () => familyDesign('twoWayNucleus')),
  single: plan('Five-frame nucleus', 'For queens that winter', () => familyDesign('nucleus')),
  smallFormat: plan('Small-format two-way', 'Light to carry up to the orchard', () =>
    familyDesign('smallFormat'),
  ),
  nationalNucleus: plan('National nucleus, halved', 'A neighbour’s frames fit it', () =>
    standardDesign({
      format: 'national-deep',
      insideWidth: { mm: 228 },
      thickness: { mm: 4 },
      frames: [3, 3],
      family: 'twoWayNucleus',
    }),
  ),
  donorHolding: plan('Donor holding box', 'She stays at the left, the right flies', () =>
    familyDesign('donorHolding'),
  ),
  allInOne: plan('All-in-one rearing box', 'Donor at the left, grafts at the right', () =>
    familyDesign('allInOne'),
  ),
  starter: plan('Shake-in starter', 'For thirty grafts at a time', () => familyDesign('starter')),
  quarter: plan('Four quarters on a body', 'To get small combs drawn', () => familyDesign('quarter')),
  foldedSheet: plan('Folded travel nucleus', 'For queens sold with their bees', () =>
    familyDesign('foldedSheet'),
  ),
  display: plan('Shown frame on a nucleus', 'For the school’s open day', () => observation('display')),
  lifting: plan('Glazed lifting top', 'A whole box to look into', () => observation('lifting')),
  wall: plan('Standing glazed wall', 'Three frames one above another', () => observation('wall')),
  bank: plan('Queen bank', 'Cages in the middle, nurses on both sides', () => familyDesign('bank')),
  changer: plan('Two-format changer', 'From the neighbour’s frames to ours', () => familyDesign('changer')),
  followerReduced: plan('Winter body with follower', 'Six frames against the wall', () =>
    familyDesign('followerReduced'),
  ),
} as const;

export type DesignKey = keyof typeof plans;

function plan(name: string, note: string, content: Plan['content']): Plan {
  return { name, note, content };
}

export interface DemoDesign {
  saved: NewDesign;
  content: DesignContent;
}

export function demoDesigns(seed: Seed): Record<DesignKey, DemoDesign> {
  const entries = Object.entries<Plan>(plans).map(([key, { name, note, content: make }]) => {
    const content = make();
    const saved: NewDesign = { id: seed.id(), name, version: { id: seed.id(), content, note } };
    return [key, { saved, content }] as const;
  });
  return Object.fromEntries(entries) as Record<DesignKey, DemoDesign>;
}
