import type { Family } from '@yellow-cell/contract';
import { changer, foldedSheet, followerReduced, observation, quarter } from './families/housing.ts';
import { fourWay, nucleus, smallFormat, threeWay, twoWayBody, twoWayNucleus } from './families/mating.ts';
import { allInOne, bank, donorHolding, starter } from './families/rearing.ts';
import type { Rule } from './finding.ts';

/** What each family alone is held to, beside the rules for all. */
const byFamily: Readonly<Record<Family, Rule>> = {
  nucleus,
  twoWayNucleus,
  twoWayBody,
  threeWay,
  fourWay,
  donorHolding,
  allInOne,
  starter,
  quarter,
  smallFormat,
  foldedSheet,
  observation,
  bank,
  changer,
  followerReduced,
};

export const familyRules: readonly Rule[] = [(scene) => byFamily[scene.design.family](scene)];
