import type { Occupant, ReachAnswer, ReachQuestion } from '@yellow-cell/contract';
import { type BoxModel, reach, reachQuestionOf } from '@yellow-cell/core';
import { useMemo, useState } from 'react';

export interface ReachDesk {
  occupants: ReachQuestion['occupants'];
  answer: ReachAnswer;
  put(space: string, what: Occupant): void;
  take(index: number): void;
  empty(): void;
  tintOf(space: string): string;
}

/** Patterns and tones for queen territories; told apart by both. */
const TINTS = 6;

/** Bees put into a box on trial, before any are at risk; nothing of it is kept. */
export function useReach(model: BoxModel): ReachDesk {
  const [all, setOccupants] = useState<ReachQuestion['occupants']>([]);
  const occupants = useMemo(
    () => all.filter((each) => model.spaces.some(({ id }) => id === each.in)),
    [all, model],
  );
  const answer = useMemo(() => reach(reachQuestionOf(model, occupants)), [model, occupants]);
  return {
    occupants,
    answer,
    put: (space, what) => setOccupants((now) => [...now, { in: space, what }]),
    take: (index) => setOccupants(occupants.filter((_, each) => each !== index)),
    empty: () => setOccupants([]),
    tintOf: (space) =>
      `url(#territory-${answer.territories.findIndex((group) => group.includes(space)) % TINTS})`,
  };
}
