import type { CheckResult, DesignContent, Layout, LayoutsQuestion } from '@yellow-cell/contract';
import {
  type Arranged,
  arrangements,
  type Conditions,
  checkDesign,
  layoutGroups,
  type ShutFor,
  type SideBySide,
  shutFor,
  sideBySide,
  surestFirst,
  type WayBeside,
} from '@yellow-cell/core';
import { expose } from 'comlink';

/** What takes longer than a frame, beside the page, so that the drawing never waits for it. */
const bench = {
  check: (design: DesignContent): CheckResult[] => checkDesign(design),
  sideBySide: (asked: SideBySide): WayBeside[] => sideBySide(asked),
  shutFor: (design: DesignContent, conditions: Conditions): ShutFor[] => shutFor(design, conditions),
  changes: (design: DesignContent, conditions: Conditions): Change[] =>
    surestFirst(arrangements(design, conditions)).map(
      ({ key, name, walls_WK, stores_kgMonth, condensate_gDay, drips, minutes }) => ({
        key,
        name,
        walls_WK,
        stores_kgMonth,
        condensate_gDay,
        drips,
        minutes,
      }),
    ),
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
/** What a change to a box would bring, without the box. */
export type Change = Omit<Arranged, 'design' | 'conditions' | 'physics' | 'heat_W'>;
const best = (all: readonly Layout[]): Layout[] =>
  [...all].sort((a, b) => b.score - a.score || a.thickness_mm - b.thickness_mm);

export type BenchWorker = typeof bench;
expose(bench);
