import type { Body, Layout, LayoutsQuestion } from '@yellow-cell/contract';
import { framesWidth, layoutsProblems } from '@yellow-cell/core';
import { proxy } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import { benchWorker } from './benchWorker.ts';

/** Board thicknesses that a shed has, in mm, beside the one drawn. */
const USUAL_THICKNESSES_MM = [3, 6, 9.5, 12];
const MOST_COMPARTMENTS = 6;
/** From where frames no longer jam to where a dummy would be due. */
const USABLE_SLACK_MM = { min: 3, max: 24 };

export interface Layouts {
  found: readonly Layout[];
  done: boolean;
}

/** Every layout that this body could have, best first, as they are found beside the page. */
export function useLayouts({ insideWidth, format, boards }: Body): Layouts {
  const thicknesses = boards.map(({ thickness }) => thickness.mm).join();
  const question = useMemo(
    () => questionOf(insideWidth.mm, format, thicknesses === '' ? [] : thicknesses.split(',').map(Number)),
    [insideWidth.mm, format, thicknesses],
  );
  const [layouts, setLayouts] = useState<Layouts>({ found: [], done: false });
  useEffect(() => {
    if (!question) {
      setLayouts({ found: [], done: true });
      return undefined;
    }
    let wanted = true;
    const timer = setTimeout(() => {
      const tell = (found: Layout[], done: boolean) => {
        if (wanted) setLayouts({ found, done });
      };
      void benchWorker().layouts(question, proxy(tell));
    }, SETTLE_MS);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [question]);
  return layouts;
}
const SETTLE_MS = 120;

function questionOf(
  width: number,
  { pitch_mm, hung, barWidth_mm }: Body['format'],
  drawn: readonly number[],
): LayoutsQuestion | undefined {
  const spacing = { pitch_mm, ...(hung ? { hung, barWidth_mm } : {}) };
  let most = 1;
  while (most < 30 && framesWidth(most + 1, spacing) <= width) most++;
  const question: LayoutsQuestion = {
    insideWidth_mm: width,
    ...spacing,
    thicknesses_mm: [...new Set([...drawn, ...USUAL_THICKNESSES_MM])],
    compartments: { min: 1, max: MOST_COMPARTMENTS },
    framesEach: { min: Math.min(2, most), max: most },
    slack_mm: USABLE_SLACK_MM,
  };
  return layoutsProblems(question).length === 0 ? question : undefined;
}
