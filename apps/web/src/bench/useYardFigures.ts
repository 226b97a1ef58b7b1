import { useQuery, useSuspenseQuery } from '@tanstack/react-query';
import type { Climate, Yard } from '@yellow-cell/contract';
import { type Constants, constantsWith, winterMonths } from '@yellow-cell/core';
import { useMemo, useState } from 'react';
import { keep, readKept } from '../app/kept.ts';
import { sessionQuery, yardsQuery } from '../app/queries.ts';

const YARD = 'yc-bench-yard';
/** A valley of middle latitude, where there is no yard yet. */
const VALLEY = { latitude_deg: 48, longitude_deg: 15 };

export interface YardFigures {
  yards: readonly Yard[];
  /** Where the box is thought to stand; none: a valley of middle latitude. */
  yard: Yard | undefined;
  choose(id: string): void;
  place: { latitude_deg: number; longitude_deg: number };
  constants: Constants;
  /** Those of them that are the yard’s own. */
  own: Readonly<Record<string, number>> | undefined;
  climate: Climate | undefined;
  months: ReturnType<typeof winterMonths>;
}

/** What a yard says of the boxes that are drawn for it: its place under the sun, its figures, its climate. */
export function useYardFigures(): YardFigures {
  const { settings } = useSuspenseQuery(sessionQuery).data;
  const { data: yards = [] } = useQuery(yardsQuery);
  const [chosen, setChosen] = useState(() => readKept<string>(YARD));
  const yard = yards.find(({ id }) => id === chosen) ?? yards[0];
  const own = yard && settings.constants[yard.id];
  const climate = yard && settings.climates?.[yard.id];
  const constants = useMemo(() => constantsWith(own), [own]);
  const place = useMemo(
    () => (yard ? { latitude_deg: yard.latitude_deg, longitude_deg: yard.longitude_deg } : VALLEY),
    [yard],
  );
  const months = useMemo(() => winterMonths(climate, place.latitude_deg), [climate, place]);
  return {
    yards,
    yard,
    choose: (id) => {
      keep(YARD, id);
      setChosen(id);
    },
    place,
    constants,
    own,
    climate,
    months,
  };
}
