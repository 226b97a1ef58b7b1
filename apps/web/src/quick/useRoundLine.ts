import { useQuery } from '@tanstack/react-query';
import { type RoundEntry, type RoundLine, readRoundLine } from '@yellow-cell/core';
import { useMemo } from 'react';
import { newId } from '../app/ids.ts';
import { useAsOf } from '../app/now.ts';
import { rearingQuery } from '../app/queries.ts';
import { type Draft, draft } from '../app/useLog.ts';
import { useWithUnsent } from '../rounds/useWithUnsent.ts';

/** What is typed, where it tells of a round; on any screen that shows today. */
export function useRoundLine(typed: string): RoundLine | undefined {
  const { today, isToday } = useAsOf();
  const { data, dataUpdatedAt } = useQuery(rearingQuery(today));
  const season = useWithUnsent(data, dataUpdatedAt);
  return useMemo(
    () =>
      season && isToday
        ? readRoundLine(typed, { rounds: season.rounds, outcomes: season.outcomes, today, fresh: newId })
        : undefined,
    [typed, season, today, isToday],
  );
}

/** A kind and its payload belong together, which a union does not say of each apart. */
export const roundDraft = ({ kind, payload }: RoundEntry): Draft => draft(kind, payload as never);
