import type { BoxState } from '@yellow-cell/contract';
import { plusDays } from '../../calendar/days.ts';
import { showDay } from '../../calendar/showDay.ts';
import { conditionWords } from '../statusWords.ts';
import type { Objection, Situation } from './situation.ts';

/** The step of a build after which a box airs, and the one that ends it (core's build sheet). */
const FINISH = 'finish';
const LAST = 'dryCheck';

/** Why a box is not ready for bees: its build is not done, its finish not aired, something broken or missing (requirements 96, 113). */
export function readinessWarnings(box: BoxState, { on, constants }: Situation): Objection[] {
  const { buildSteps = {}, inspected } = box;
  const begun = Object.keys(buildSteps).length > 0;
  const finished = buildSteps[FINISH];
  const aired = finished && plusDays(finished, constants.airing_d);
  const warnings: (string | false | undefined)[] = [
    begun &&
      buildSteps[LAST] === undefined &&
      `The build of ${box.label} is begun and its last check not ticked.`,
    finished !== undefined &&
      aired !== undefined &&
      aired > on &&
      `${box.label} was finished ${showDay(finished, on)}; it airs until ${showDay(aired, on)} before bees.`,
    inspected &&
      (inspected.condition === 'broken' || inspected.condition === 'toClean') &&
      `${box.label} is ${conditionWords[inspected.condition]}, as seen ${showDay(inspected.on, on)}.`,
    inspected?.missing && `Missing of ${box.label}: ${inspected.missing}.`,
  ];
  return warnings.flatMap((sentence) => (sentence ? [{ sentence }] : []));
}
