import type { Yard } from '@yellow-cell/contract';
import {
  type AutumnLine,
  autumnList,
  autumnTime,
  type WatchLine,
  type WinterSeason,
  watchList,
  winterAhead,
  winterMonths,
  winterPhase,
} from '@yellow-cell/core';
import { useMemo } from 'react';
import { useYardFigures } from '../bench/useYardFigures.ts';
import { useYard, type YardView } from '../yard/useYard.ts';

export interface WinterView {
  view: YardView;
  season: WinterSeason;
  /** In walking order. */
  lines: readonly AutumnLine[];
  time: ReturnType<typeof autumnTime>;
  /** Prepared for winter, watched over in it, or out of season. */
  phase: ReturnType<typeof winterPhase>;
  /** Once it is winter, most pressing first. */
  watched: readonly WatchLine[];
  /** Whether it is time for what autumn asks: by the yard's weather, or where nothing is known of it by the month. */
  advised: boolean;
  figures: ReturnType<typeof useYardFigures>;
}

/** A yard before its winter: its colonies, what each is to be done to, and what the winter is reckoned with. */
export function useWinter(yard: Yard): WinterView {
  const view = useYard(yard);
  const figures = useYardFigures();
  const { state, boxes, on, constants, weather } = view;
  const { climate } = figures;
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
  const time = autumnTime(weather, constants);
  const advised = time.is === 'time' || (time.is === 'unknown' && phase === 'prepare');
  return { view, season, lines, time, figures, phase, watched, advised };
}
