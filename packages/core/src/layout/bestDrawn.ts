import type { DesignContent, Length } from '@yellow-cell/contract';
import { newDesign } from '../box/newDesign.ts';
import { standardBody } from '../box/standardDesign.ts';
import { checkDesign } from '../check/check.ts';
import { layouts, layoutsProblems } from './layouts.ts';

/** So many of the best are tried. */
const TRIED = 12;

/** The best box of a standard format's body with so many compartments that its own checks find no fault or danger in; undefined where there is none. */
export function bestDrawn(
  format: string,
  insideWidth: Length,
  thickness: Length,
  compartments: number,
): DesignContent | undefined {
  const body = standardBody(format, insideWidth);
  const { pitch_mm, hung, barWidth_mm } = body.format;
  const question = {
    insideWidth_mm: insideWidth.mm,
    pitch_mm,
    ...(hung ? { hung, barWidth_mm } : {}),
    thicknesses_mm: [thickness.mm],
    compartments: { min: compartments, max: compartments },
    framesEach: { min: 1, max: 12 },
    slack_mm: { min: 3, max: 40 },
  };
  if (layoutsProblems(question).length > 0) return undefined;
  return layouts(question)
    .layouts.slice(0, TRIED)
    .map(({ frames }) => newDesign({ ...body, frames, thickness }))
    .find(isSound);
}

const isSound = (design: DesignContent): boolean =>
  checkDesign(design).every(
    ({ holds, severity }) => holds || (severity !== 'fault' && severity !== 'danger'),
  );
