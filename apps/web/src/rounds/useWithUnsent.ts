import type { LogEvent, RearingSeason } from '@yellow-cell/contract';
import { asEvent, chronicle, foldOn, lotsOf, stateOfStanding } from '@yellow-cell/core';
import { useMemo } from 'react';
import { isIn, useOutbox } from '../app/outbox.ts';

/** A season of rearing as the server told it, with what this device has entered since; undefined while it is still asked for. */
export function useWithUnsent<Season extends RearingSeason | undefined>(
  season: Season,
  readAt: number,
): Season {
  const parcels = useOutbox();
  return useMemo(() => {
    const unsent = parcels
      .filter((parcel) => !isIn(parcel, readAt))
      .flatMap(({ entries }) => entries.map(asEvent));
    return season === undefined ? season : (withUnsent(season, unsent) as Season);
  }, [season, readAt, parcels]);
}

function withUnsent(season: RearingSeason, unsent: readonly LogEvent[]): RearingSeason {
  if (unsent.length === 0) return season;
  const before = stateOfStanding([], season.rounds, '', []);
  const { rounds } = foldOn(before, { designs: new Map(), yards: new Set() }, chronicle(unsent));
  return { ...season, rounds: [...rounds.values()], lots: lotsOf(unsent, season.lots) };
}
