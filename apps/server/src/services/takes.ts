import type { TakeGroup, TakeReport, TakesBy } from '@yellow-cell/contract';
import { defaultConstants, takeRate } from '@yellow-cell/core';
import { countReasons, countTakes, type TakeCounts } from '../store/takes.ts';
import type { Context } from './context.ts';

/** Take rates as of a day, each with its interval and the counts behind it (handbook 1, take rate). */
export async function takeReport(
  context: Context,
  by: TakesBy,
  on: string,
  from?: string,
): Promise<TakeReport> {
  const { counts, reasons } = await context.reading(async (store) => ({
    counts: await countTakes(store, by, on, from),
    reasons: await countReasons(store, on),
  }));
  const withRate = ratesOnce();
  const total = (field: 'takes' | 'misses' | 'open') => counts.reduce((sum, group) => sum + group[field], 0);
  const all = {
    key: 'all',
    label: 'All attempts',
    takes: total('takes'),
    misses: total('misses'),
    open: total('open'),
  };
  return { on, by, groups: counts.map(withRate), all: withRate(all), reasons };
}

/** Of many groups many have the same counts: their rate is worked out once. */
function ratesOnce(): (counts: TakeCounts) => TakeGroup {
  const known = new Map<string, ReturnType<typeof takeRate>>();
  return (counts) => {
    const { takes, misses } = counts;
    const key = `${takes} ${misses}`;
    const rate = known.get(key) ?? takeRate(takes, misses, defaultConstants.intervalShare);
    known.set(key, rate);
    return { ...counts, ...rate };
  };
}
