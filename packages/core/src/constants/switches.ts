import type { DueKind } from '@yellow-cell/contract';
import { type Constant, constant } from './constant.ts';

type Switch = `rule_${DueKind}`;
export const switchOf = (kind: DueKind): Switch => `rule_${kind}`;

/** The kinds by name: core takes types alone from the contract, and this one must not miss any. */
const KINDS: Readonly<Record<DueKind, true>> = {
  giveCell: true,
  searchWildCells: true,
  checkOpening: true,
  lookForEggs: true,
  declareFailed: true,
  scorePattern: true,
  harvest: true,
  settleFailed: true,
  lookAfterCombining: true,
  openEntrance: true,
  refillFeed: true,
  stripsOut: true,
  feedShut: true,
  feedWeak: true,
  crowded: true,
  weak: true,
  coverOn: true,
  outingBack: true,
  queenBack: true,
  framesBack: true,
  seeEvidence: true,
  checkIntroduction: true,
  settleSuspicion: true,
  seeTrouble: true,
  reloadBank: true,
  careFinisher: true,
  donorComb: true,
  reduce: true,
  expand: true,
  treat: true,
  markUnlike: true,
  workStarter: true,
  closeHoles: true,
  mitesHigh: true,
  nextStep: true,
  frost: true,
  prepareWinter: true,
  feedWinter: true,
};

/** Every rule that raises work can be off: a figure of 1 or 0 like any other, so that each yard has its own. */
export const ruleSwitches = Object.fromEntries(
  (Object.keys(KINDS) as DueKind[]).map((kind) => [
    switchOf(kind),
    constant(1, 'on or off', 'Rules that raise work', [0, 1], `Rule “${kind}” raises work`),
  ]),
) as Record<Switch, Constant>;
