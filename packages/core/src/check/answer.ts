import type { CheckAnswer, CheckQuestion, Problem } from '@yellow-cell/contract';
import { designProblems } from '../box/designProblems.ts';
import { gap } from '../box/gap.ts';
import { deriveBox, reachQuestionOf } from '../box/model.ts';
import { lengthOf } from '../geometry/block.ts';
import { reach } from '../reach/reach.ts';
import { checkDesign } from './check.ts';

/** A whole design: what it is in space, who can go where in it, and every check. Throws `ProblemsError`. */
export function check({ design }: CheckQuestion): CheckAnswer {
  const model = deriveBox(design);
  const { colonies, territories } = reach(reachQuestionOf(model, []));
  return {
    checks: checkDesign(design),
    spaces: model.spaces.map(({ id, name, kind, block }) => ({
      id,
      name,
      kind,
      litres: (lengthOf(block.x) * lengthOf(block.y) * lengthOf(block.z)) / 1e6,
    })),
    compartments: model.compartments.map(({ name, spaces, bays, fits, measures, entrances }) => ({
      name,
      spaces: [...spaces],
      bays: [...bays],
      slack_mm: fits.map(({ slack_mm }) => slack_mm),
      ...measures,
      entrances: entrances.map(({ id }) => id),
    })),
    passages: model.passages.map(({ between, gap_mm, reason, part }) => ({
      between: [between[0], between[1]],
      gap_mm,
      reason,
      part,
      ...gap({ gap_mm }),
    })),
    gaps: model.gaps.map(({ kind, space, gap_mm, verdict, passes }) => ({
      kind,
      space,
      gap_mm,
      verdict,
      passes,
    })),
    colonies,
    territories,
    drifts: model.drifts.map(({ between, risk }) => ({ between: [between[0], between[1]], risk })),
  };
}

export const checkProblems = ({ design }: CheckQuestion): Problem[] =>
  designProblems(design).map((problem) => ({
    ...problem,
    path: problem.path ? `design.${problem.path}` : 'design',
  }));
