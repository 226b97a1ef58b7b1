import { useQuery } from '@tanstack/react-query';
import { type IncubatorWatch, incubatorOf, type RoundView } from '@yellow-cell/core';
import { useAsOf } from '../app/now.ts';
import { sensorsQuery } from '../app/queries.ts';
import type { Rearing } from './useRearing.ts';

/** What the probe in the incubator says of each round whose cells lie there. */
export function useIncubator({ constants, today }: Rearing): (view: RoundView) => IncubatorWatch | undefined {
  const { data } = useQuery(sensorsQuery);
  const { now } = useAsOf();
  return ({ round, outcome }) =>
    incubatorOf(round, outcome?.given ?? 0, data?.boxes ?? [], constants, today, now);
}
