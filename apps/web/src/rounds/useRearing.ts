import { useSuspenseQuery } from '@tanstack/react-query';
import type { RearingSeason } from '@yellow-cell/contract';
import {
  type Constants,
  constantsWith,
  type Day,
  flyingShares,
  type LotState,
  lotStates,
  type RipeDay,
  type RoundView,
  roomsFor,
  roundViews,
} from '@yellow-cell/core';
import { useMemo } from 'react';
import { useAsOf } from '../app/now.ts';
import { rearingQuery, sessionQuery, yardsQuery } from '../app/queries.ts';
import { useWithUnsent } from './useWithUnsent.ts';

export interface Rearing {
  season: RearingSeason;
  views: readonly RoundView[];
  lots: readonly LotState[];
  ripe: readonly RipeDay[];
  /** The share of days that fly in each month, by the yard’s record and its climate. */
  flying: readonly number[];
  constants: Constants;
  today: Day;
}

/** Without a yard, somewhere in the middle of the north. */
const USUAL_DEG = 48;

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
  const constants = useMemo(
    () => constantsWith(session.settings.constants[yards[0]?.id ?? '']),
    [session, yards],
  );
  const season = useWithUnsent(data, dataUpdatedAt);
  const flying = useMemo(
    () =>
      flyingShares(
        data.flown.months,
        session.settings.climates?.[yards[0]?.id ?? ''],
        yards[0]?.latitude_deg ?? USUAL_DEG,
        constants,
      ),
    [data, session, yards, constants],
  );
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
      lots: lotStates(shown, views, ripe, today),
      flying,
      ripe,
      constants,
      today,
    };
  }, [season, moved, flying, constants, today]);
}
