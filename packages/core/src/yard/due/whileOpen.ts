import type { DueKind } from '@yellow-cell/contract';
import { type Day, plusDays } from '../../calendar/days.ts';
import { showDay } from '../../calendar/showDay.ts';
import type { Constants } from '../../constants/registry.ts';
import type { CompartmentView } from '../boxView.ts';

/** Work that wants the compartment open anyway, so that it is offered at any opening (requirement 115). */
const INSIDE: readonly DueKind[] = [
  'stripsOut',
  'framesBack',
  'queenBack',
  'searchWildCells',
  'lookAfterCombining',
  'checkOpening',
  'lookForEggs',
  'scorePattern',
  'seeEvidence',
  'settleSuspicion',
  'checkIntroduction',
  'refillFeed',
  'reloadBank',
  'donorComb',
];

export interface WhileOpen {
  kind: DueKind | 'pattyOut';
  sentence: string;
}

/** What is due, or falls due within days, of a compartment that is about to be opened, beside the first that is named anyway. */
export function whileOpen(
  { expectations, first, colony }: CompartmentView,
  on: Day,
  { openAhead_d, pattyOut_d }: Constants,
): WhileOpen[] {
  const ahead = plusDays(on, openAhead_d);
  const due = expectations
    .filter(({ kind, from, to, lapses }) => INSIDE.includes(kind) && from <= ahead && (!lapses || to >= on))
    .filter((each) => each.kind !== first?.kind)
    .map(({ kind, title, to }): WhileOpen => ({ kind, sentence: `${title}, by ${showDay(to, on)}` }));
  const fed = colony?.fed;
  const patty: WhileOpen[] =
    fed?.feed === 'patty' && plusDays(fed.on, pattyOut_d) <= on
      ? [
          {
            kind: 'pattyOut',
            sentence: `Patty of ${showDay(fed.on, on)}: what is left comes out, before beetles and mould find it`,
          },
        ]
      : [];
  return [...due, ...patty];
}
