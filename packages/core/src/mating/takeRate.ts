import jStat from 'jstat';

export interface TakeRate {
  /** takes ÷ (takes + misses), or null where nothing is decided yet. */
  rate: number | null;
  /** Equal-tailed interval of Beta(1 + takes, 1 + misses) with the given share. */
  low: number;
  high: number;
}

/** What a record of takes and misses says of the true rate (handbook 1, take rate). `share` in (0, 1). */
export function takeRate(takes: number, misses: number, share: number): TakeRate {
  const tail = (1 - share) / 2;
  return {
    rate: takes + misses === 0 ? null : takes / (takes + misses),
    low: jStat.beta.inv(tail, 1 + takes, 1 + misses),
    high: jStat.beta.inv(1 - tail, 1 + takes, 1 + misses),
  };
}
