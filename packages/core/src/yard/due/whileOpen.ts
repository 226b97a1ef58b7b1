import type { DueKind } from '@yellow-cell/contract';
import { type Day, plusDays } from '../../calendar/days.ts';
import { showDay } from '../../calendar/showDay.ts';
import type { Constants } from '../../constants/registry.ts';
import type { CompartmentView } from '../boxView.ts';
import type { Expectation } from './expectation.ts';

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
  'careFinisher',
  'donorComb',
];

export interface WhileOpen {
  kind: DueKind | 'pattyOut';
  /** The work that it is, where a rule raised it. */
  work?: Expectation;
  sentence: string;
}

/** What falls due within days in a compartment that is about to be opened, beside what is named anyway. */
export function whileOpen(
  { expectations, first, due, colony }: CompartmentView,
  on: Day,
  { openAhead_d, pattyOut_d }: Constants,
): WhileOpen[] {
  const ahead = plusDays(on, openAhead_d);
  const soon = expectations
    .filter(({ kind, from, to, lapses }) => INSIDE.includes(kind) && from <= ahead && (!lapses || to >= on))
    .filter((each) => each !== first && !due.includes(each))
    .map((work): WhileOpen => {
      const { kind, title, to } = work;
      return { kind, work, sentence: `${title}, by ${showDay(to, on)}` };
    });
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
  return [...soon, ...patty];
}
