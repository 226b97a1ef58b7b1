import jStat from 'jstat';

export interface TakeRate {
  /** takes ÷ (takes + misses), or null where nothing is decided yet. */
  rate: number | null;
  /** What the record says of the true rate, by its middle, and the interval that holds it with the given share. */
  middle: number;
  low: number;
  high: number;
}

/**
 * What a record of takes and misses says of the true rate: Beta(1 + takes, 1 + misses), its median and its equal-tailed
 * interval. A record without a miss, or without a take, lies at the end of that: there the interval begins at the
 * record itself. `share` in (0, 1). (Handbook 1, take rate.)
 */
export function takeRate(takes: number, misses: number, share: number): TakeRate {
  const at = (below: number): number => jStat.beta.inv(below, 1 + takes, 1 + misses);
  const tail = (1 - share) / 2;
  const perfect = takes > 0 && misses === 0;
  const empty = takes === 0 && misses > 0;
  return {
    rate: takes + misses === 0 ? null : takes / (takes + misses),
    middle: at(0.5),
    low: empty ? 0 : at(perfect ? 1 - share : tail),
    high: perfect ? 1 : at(empty ? share : 1 - tail),
  };
}
