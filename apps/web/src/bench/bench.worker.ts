import type { CheckResult, DesignContent, Layout, LayoutsQuestion } from '@yellow-cell/contract';
import { checkDesign, layoutGroups, type SideBySide, sideBySide, type WayBeside } from '@yellow-cell/core';
import { expose } from 'comlink';

/** What takes longer than a frame, beside the page, so that the drawing never waits for it. */
const bench = {
  check: (design: DesignContent): CheckResult[] => checkDesign(design),
  sideBySide: (asked: SideBySide): WayBeside[] => sideBySide(asked),
  /** Layouts best first, told group by group as they are found. */
  layouts(question: LayoutsQuestion, tell: (found: Layout[], done: boolean) => void): void {
    const all: Layout[] = [];
    for (const group of layoutGroups(question)) {
      if (group.length === 0) continue;
      all.push(...group);
      tell(best(all), false);
    }
    tell(best(all), true);
  },
};
const best = (all: readonly Layout[]): Layout[] =>
  [...all].sort((a, b) => b.score - a.score || a.thickness_mm - b.thickness_mm);

export type BenchWorker = typeof bench;
expose(bench);
