import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { OddsAnswer, OddsQuestion, Round } from '@yellow-cell/contract';
import { oddsAsked } from '@yellow-cell/core';
import { type Remote, wrap } from 'comlink';
import { useMemo } from 'react';
import type { OddsWorker } from './odds.worker.ts';
import type { Rearing } from './useRearing.ts';

const PLAYS = 10_000;
/** While a plan is dragged its odds follow the hand, not so finely. */
const PLAYS_MOVING = 1_500;
const NONE: readonly Round[] = [];

/** The worker, and what never ends well: its script that could not be fetched or read. */
let player: { odds: Remote<OddsWorker>['odds']; failed: Promise<never> } | undefined;
function begin(): NonNullable<typeof player> {
  const worker = new Worker(new URL('./odds.worker.ts', import.meta.url), { type: 'module' });
  const failed = new Promise<never>((_, reject) => {
    worker.addEventListener('error', () => {
      // The next question begins another.
      player = undefined;
      reject(new Error('What plays the odds could not be fetched.'));
    });
  });
  return { odds: wrap<OddsWorker>(worker).odds, failed };
}
function played(question: OddsQuestion): Promise<OddsAnswer> {
  player ??= begin();
  return Promise.race([player.odds(question), player.failed]);
}

export interface Odds {
  /** Of a lot by its id; undefined until they are played. */
  of: (lot: string) => OddsAnswer['lots'][number] | undefined;
  fan: OddsAnswer['fan'];
  /** False while they are worked out, or are still those of the plan before. */
  settled: boolean;
  /** Why there are none; undefined where there are, or may be. */
  problem: string | undefined;
}

/** The odds of each lot, and the queens ready by each day, with these rounds beside those that there are. */
export function useOdds(
  { season, flying, constants, today }: Rearing,
  more: readonly Round[] = NONE,
  moving = false,
): Odds {
  const question = useMemo(
    () => oddsAsked(season, more, flying, constants, today, moving ? PLAYS_MOVING : PLAYS),
    [season, more, flying, constants, today, moving],
  );
  const { data, isPlaceholderData, isError } = useQuery({
    queryKey: ['odds', question],
    queryFn: () => played(question),
    // Nothing of it comes over the network, and the same question has the same answer for ever.
    networkMode: 'always',
    staleTime: Number.POSITIVE_INFINITY,
    placeholderData: keepPreviousData,
  });
  return useMemo(
    () => ({
      of: (lot) => data?.lots.find(({ name }) => name === lot),
      fan: data?.fan ?? [],
      settled: data !== undefined && !isPlaceholderData,
      problem: isError
        ? 'The odds could not be worked out: the part of the program that plays them did not come. Load the page again.'
        : undefined,
    }),
    [data, isPlaceholderData, isError],
  );
}
