import type { Yard } from '@yellow-cell/contract';
import {
  type AutumnLine,
  autumnList,
  autumnTime,
  type FeedPlan,
  feedPlan,
  isSpring,
  type SpringLine,
  springList,
  type WatchLine,
  type WinterLosses,
  type WinterSeason,
  watchList,
  winterAhead,
  winterLosses,
  winterMonths,
  winterPhase,
} from '@yellow-cell/core';
import { useMemo } from 'react';
import { useYard, type YardView } from '../yard/useYard.ts';

export interface WinterView {
  view: YardView;
  season: WinterSeason;
  /** The winter whole. */
  months: ReturnType<typeof winterMonths>;
  /** In walking order. */
  lines: readonly AutumnLine[];
  time: ReturnType<typeof autumnTime>;
  /** Prepared for winter, watched over in it, or out of season. */
  phase: ReturnType<typeof winterPhase>;
  /** Once it is winter, most pressing first. */
  watched: readonly WatchLine[];
  /** Once brood has begun again, most pressing first. */
  spring: readonly SpringLine[];
  /** How the winter went, or before its own begins the one before. */
  losses: WinterLosses;
  /** What is fed before winter, and as what. */
  feed: FeedPlan;
  /** Whether it is time for what autumn asks: by the yard's weather, or where nothing is known of it by the month. */
  advised: boolean;
}

/** A yard before its winter: its colonies, what each is to be done to, and what the winter is reckoned with. */
export const useWinter = (yard: Yard): WinterView => useWinterOf(useYard(yard));

export function useWinterOf(view: YardView): WinterView {
  const { yard } = view;
  const { state, boxes, on, constants, climate, weather, designs } = view;
  const { latitude_deg } = yard;
  const season = useMemo(
    (): WinterSeason => ({
      on,
      ...winterAhead(winterMonths(climate, latitude_deg), on, latitude_deg),
      constants,
    }),
    [on, climate, latitude_deg, constants],
  );
  const lines = useMemo(() => {
    const walked = new Map(boxes.map(({ box }, index) => [box.id, index]));
    const orderOf = ({ box, room }: AutumnLine) => (walked.get(box.box.id) ?? 0) * 100 + room.position;
    return autumnList(state, boxes, season).toSorted((a, b) => orderOf(a) - orderOf(b));
  }, [state, boxes, season]);
  const months = useMemo(() => winterMonths(climate, latitude_deg), [climate, latitude_deg]);
  const phase = winterPhase(months, on);
  const watched = useMemo(
    () => (phase === 'watch' ? watchList(state, boxes, { on, months, latitude_deg, constants }) : []),
    [phase, state, boxes, on, months, latitude_deg, constants],
  );
  const asked = useMemo(
    () => ({ on, months, latitude_deg, constants }),
    [on, months, latitude_deg, constants],
  );
  const spring = useMemo(
    () => (isSpring(asked) ? springList(state, boxes, asked) : []),
    [state, boxes, asked],
  );
  const losses = useMemo(() => {
    const designName = (id: string): string => designs.get(id)?.name ?? 'not known';
    return winterLosses(state, yard.id, designName, asked);
  }, [state, yard.id, designs, asked]);
  const feed = useMemo(
    () => feedPlan(state, boxes, lines, { on, months, constants }),
    [state, boxes, lines, on, months, constants],
  );
  const time = autumnTime(weather, constants);
  const advised = time.is === 'time' || (time.is === 'unknown' && phase === 'prepare');
  return { view, season, months, lines, time, phase, watched, spring, losses, feed, advised };
}
