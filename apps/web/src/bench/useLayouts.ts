import { skipToken, useQuery } from '@tanstack/react-query';
import type { DesignContent, Layout, LayoutsQuestion } from '@yellow-cell/contract';
import { framesWidth, layoutsProblems } from '@yellow-cell/core';
import { wrap } from 'comlink';
import { useMemo } from 'react';
import type { LayoutSolver } from './layouts.worker.ts';

/** Board thicknesses that a shed has, in mm, beside the one drawn. */
const USUAL_THICKNESSES_MM = [3, 6, 9.5, 12];
const MOST_COMPARTMENTS = 6;
/** From where frames no longer jam to where a dummy would be due. */
const USABLE_SLACK_MM = { min: 3, max: 24 };

let solver: ReturnType<typeof wrap<LayoutSolver>> | undefined;

/** Every layout that this body could have, best first; worked out beside the page. */
export function useLayouts({ insideWidth, format, boards }: DesignContent): Layout[] | undefined {
  const question = useMemo(() => questionOf({ insideWidth, format, boards }), [insideWidth, format, boards]);
  const { data } = useQuery({
    queryKey: ['layouts', question],
    queryFn: question
      ? async () => {
          solver ??= wrap<LayoutSolver>(
            new Worker(new URL('./layouts.worker.ts', import.meta.url), { type: 'module' }),
          );
          return (await solver.layouts(question)).layouts;
        }
      : skipToken,
    staleTime: Number.POSITIVE_INFINITY,
    placeholderData: (before: Layout[] | undefined) => before,
  });
  return data;
}

function questionOf({
  insideWidth,
  format,
  boards,
}: Pick<DesignContent, 'insideWidth' | 'format' | 'boards'>): LayoutsQuestion | undefined {
  const { pitch_mm, hung, barWidth_mm } = format;
  const thicknesses_mm = [
    ...new Set([...boards.map(({ thickness }) => thickness.mm), ...USUAL_THICKNESSES_MM]),
  ];
  const spacing = { pitch_mm, ...(hung ? { hung, barWidth_mm } : {}) };
  let most = 1;
  while (most < 30 && framesWidth(most + 1, spacing) <= insideWidth.mm) most++;
  const question: LayoutsQuestion = {
    insideWidth_mm: insideWidth.mm,
    ...spacing,
    thicknesses_mm,
    compartments: { min: 1, max: MOST_COMPARTMENTS },
    framesEach: { min: Math.min(2, most), max: most },
    slack_mm: USABLE_SLACK_MM,
  };
  return layoutsProblems(question).length === 0 ? question : undefined;
}
