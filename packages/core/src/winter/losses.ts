import type { Colony } from '@yellow-cell/contract';
import { type Day, earlier, plusDays } from '../calendar/days.ts';
import type { Constants } from '../constants/registry.ts';
import { type TakeRate, takeRate } from '../mating/takeRate.ts';
import { plannedOn } from '../yard/due/winterRules.ts';
import type { YardState } from '../yard/state.ts';
import { monthAt, type WinterMonth } from './forecast.ts';
import { springFrom } from './spring.ts';
import { type Watching, winterCount } from './watch.ts';

/** How colonies of a kind came through a winter. */
export interface WinterGroup extends TakeRate {
  by: 'design' | 'arrangement' | 'strength';
  name: string;
  lived: number;
  lost: number;
}
export interface WinterLosses {
  /** Since when colonies count as wintered, and until when they must live. */
  from: Day;
  to: Day;
  lived: number;
  lost: number;
  groups: readonly WinterGroup[];
}

/** The months from the first prepared on to that from which a colony counts as wintered: December in the north. */
const WINTERED_MONTHS = 2;
const ARRANGED = { reduce: 'reduced', move: 'moved', pair: 'as a pair', combine: 'combined' } as const;

/** A day of the winter that is asked about: until colonies count as wintered it is the one before. */
function beforeWintered(months: readonly WinterMonth[], on: Day): Day {
  const at = monthAt(months, on);
  if (at < 0 || at >= WINTERED_MONTHS) return on;
  const gone_d = months.slice(0, at).reduce((sum, { days }) => sum + days, 0);
  return plusDays(on, -gone_d - Number(on.slice(8)));
}

/**
 * How the boxes of a yard came through its last winter, by design, arrangement and strength in autumn, each with what
 * the record says of the true rate (handbook 7, after). A colony that died, or had to be joined to another, is lost.
 */
export function winterLosses(
  state: YardState,
  yard: string,
  designName: (id: string) => string,
  { months, on, constants }: Watching,
): WinterLosses {
  const spring = springFrom(months, beforeWintered(months, on));
  const year = Number(spring.slice(0, 4));
  const from = months[0]?.name === 'April' ? `${year}-06-01` : `${year - 1}-12-01`;
  const to = earlier(spring, on);
  const wintered = [...state.colonies.values()].flatMap((colony) => {
    const box = state.boxes.get(colony.box);
    if (box?.place?.yard !== yard || colony.stockedOn >= from) return [];
    if (colony.ended && (colony.ended.on < from || colony.ended.how === 'queenTaken')) return [];
    const isLost = colony.ended !== undefined && colony.ended.on <= to;
    const names = [
      { by: 'design', name: designName(box.design) },
      { by: 'arrangement', name: arrangementOf(colony, from) },
      { by: 'strength', name: strengthOf(colony, from, constants) },
    ] as const;
    return names.map((each) => ({ ...each, isLost }));
  });
  const groups = new Map<string, { by: WinterGroup['by']; name: string; lived: number; lost: number }>();
  for (const { by, name, isLost } of wintered) {
    const group = groups.get(`${by} ${name}`) ?? { by, name, lived: 0, lost: 0 };
    group[isLost ? 'lost' : 'lived'] += 1;
    groups.set(`${by} ${name}`, group);
  }
  const all = wintered.filter(({ by }) => by === 'design');
  return {
    from,
    to,
    lived: all.filter(({ isLost }) => !isLost).length,
    lost: all.filter(({ isLost }) => isLost).length,
    groups: [...groups.values()].map((group) => ({
      ...group,
      ...takeRate(group.lived, group.lost, constants.intervalShare),
    })),
  };
}

function arrangementOf(colony: Colony, from: Day): string {
  const plan = plannedOn(colony, from);
  if (!plan?.preparedOn || plan.preparedOn > from) return 'as it stood';
  return plan.act === 'leave' || plan.act === 'feed' ? 'as it stood' : ARRANGED[plan.act];
}

function strengthOf(colony: Colony, from: Day, { smallSeams: small, strongerBy }: Constants): string {
  const seams = winterCount(colony, from)?.seams;
  if (seams === undefined) return 'not counted';
  const strong = small + strongerBy;
  if (seams < small) return `under ${small} seams`;
  return seams < strong ? `${small} to ${strong} seams` : `${strong} seams or more`;
}
