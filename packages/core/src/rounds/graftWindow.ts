import type { Round } from '@yellow-cell/contract';

const HOUR_MS = 3_600_000;
/** Eggs of the first hours hatch 72 hours after the comb was given; their larvae are grafted at 12 to 24 hours (handbook 5, donor). */
const HATCHED_H = 72;
const AGE_H = [12, 24] as const;

/** Instants between which the oldest larvae of a round’s comb are of the right age; undefined while it was not told when she got it. */
export function graftWindow({ comb }: Pick<Round, 'comb'>): readonly [string, string] | undefined {
  if (!comb) return undefined;
  const at = (age_h: number) => new Date(Date.parse(comb.at) + (HATCHED_H + age_h) * HOUR_MS).toISOString();
  return [at(AGE_H[0]), at(AGE_H[1])];
}
