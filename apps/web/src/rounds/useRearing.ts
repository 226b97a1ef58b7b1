import { useSuspenseQuery } from '@tanstack/react-query';
import type { LogEvent, RearingSeason } from '@yellow-cell/contract';
import {
  asEvent,
  type Constants,
  chronicle,
  constantsWith,
  type Day,
  foldOn,
  type LotOdds,
  lotOdds,
  lotsOf,
  type RipeDay,
  type RoundView,
  roomsFor,
  roundViews,
  stateOfStanding,
} from '@yellow-cell/core';
import { useMemo } from 'react';
import { useAsOf } from '../app/now.ts';
import { isIn, useOutbox } from '../app/outbox.ts';
import { rearingQuery, sessionQuery, yardsQuery } from '../app/queries.ts';

export interface Rearing {
  season: RearingSeason;
  views: readonly RoundView[];
  odds: readonly LotOdds[];
  ripe: readonly RipeDay[];
  constants: Constants;
  today: Day;
}

/** A planned graft that is being moved, and not kept yet. */
export interface Moved {
  round: string;
  graftOn: Day;
}

/** The season of rearing as it stands, with what this device has not sent yet; `moved` shows what a plan moved to another day would bring. */
export function useRearing(moved?: Moved): Rearing {
  const { today } = useAsOf();
  const { data, dataUpdatedAt } = useSuspenseQuery(rearingQuery(today));
  const { data: session } = useSuspenseQuery(sessionQuery);
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const parcels = useOutbox();
  const constants = useMemo(
    () => constantsWith(session.settings.constants[yards[0]?.id ?? '']),
    [session, yards],
  );
  const season = useMemo(() => {
    const unsent = parcels
      .filter((parcel) => !isIn(parcel, dataUpdatedAt))
      .flatMap(({ entries }) => entries.map(asEvent));
    return withUnsent(data, unsent);
  }, [data, dataUpdatedAt, parcels]);
  return useMemo(() => {
    const shown = moved
      ? {
          ...season,
          rounds: season.rounds.map((round) =>
            round.id === moved.round ? { ...round, graftedOn: moved.graftOn } : round,
          ),
        }
      : season;
    const views = roundViews(shown, constants, today);
    const ripe = roomsFor(shown, views, constants, today);
    return {
      season: shown,
      views,
      odds: lotOdds(shown, views, ripe, constants, today),
      ripe,
      constants,
      today,
    };
  }, [season, moved, constants, today]);
}

function withUnsent(season: RearingSeason, unsent: readonly LogEvent[]): RearingSeason {
  if (unsent.length === 0) return season;
  const before = stateOfStanding([], season.rounds, '', []);
  const { rounds } = foldOn(before, { designs: new Map(), yards: new Set() }, chronicle(unsent));
  const lots = new Map(season.lots.map((lot) => [lot.id, lot]));
  for (const lot of lotsOf(unsent)) lots.set(lot.id, lot);
  for (const { kind, payload } of unsent) if (kind === 'lotDropped') lots.delete(payload.lot);
  return { ...season, rounds: [...rounds.values()], lots: [...lots.values()] };
}
