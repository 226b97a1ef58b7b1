import { countOf, type Day, showDay } from '@yellow-cell/core';
import type { Odds } from './useOdds.ts';

/** What would make a lot nine times in ten; nothing where it is so, or not known yet. */
export function moreWords(odds: ReturnType<Odds['of']>, today: Day): string {
  if (!odds || odds.more === 0) return '';
  if (odds.more === null || odds.graft === null)
    return 'No graft that is still to come is ready by then: no more cells make it surer.';
  return `${countOf(odds.more, 'more ripe cell with a room makes', 'more ripe cells with rooms make')} it nine times in ten, of a graft on ${showDay(odds.graft, today)}.`;
}
