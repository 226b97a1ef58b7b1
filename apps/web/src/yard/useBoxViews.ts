import type { Around, Standing, YardLog } from '@yellow-cell/contract';
import {
  type BoxView,
  boxViews,
  type Constants,
  inOrderOfLabels,
  type Known,
  type YardState,
} from '@yellow-cell/core';
import { useMemo } from 'react';
import { useAsOf } from '../app/now.ts';

type Page = Standing | YardLog;
interface Shown {
  pages: readonly Page[];
  state: YardState;
  known: Known;
  yard: string;
  around: Around;
  constants: Constants;
  /** True where something that is not sent yet is told here, on top of what has come: any box may differ then. */
  toldHere: boolean;
}

/**
 * The boxes of a yard as they are shown. A page that has come stays as it was worked out, box for box the same object,
 * until what it is shown with changes: of a large yard only what came last costs anything.
 */
export function useBoxViews({
  pages,
  state,
  known,
  yard,
  around,
  constants,
  toldHere,
}: Shown): readonly BoxView[] {
  const { on, today, now } = useAsOf();
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is kept was worked out with these
  const kept = useMemo(
    () => new WeakMap<Page, readonly BoxView[]>(),
    [yard, around, constants, on, today, now],
  );
  return useMemo(() => {
    const asked = { on, today, now };
    if (toldHere) return boxViews(state, known, yard, constants, asked);
    return pages
      .flatMap((page) => {
        const found = kept.get(page);
        if (found) return found;
        const ids = 'of' in page ? page.of : page.boxes.map(({ box }) => box.id);
        const boxes = ids.flatMap((id) => state.boxes.get(id) ?? []);
        const views = boxViews(state, known, yard, constants, asked, boxes);
        kept.set(page, views);
        return views;
      })
      .sort(inOrderOfLabels);
  }, [pages, state, known, yard, constants, on, today, now, toldHere, kept]);
}
