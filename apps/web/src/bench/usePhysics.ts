import type { DesignContent } from '@yellow-cell/contract';
import {
  type BeeState,
  type BoxPhysics,
  beesInSeason,
  bodiesOf,
  boxPhysics,
  type Conditions,
  groundTemperature,
  meanOn,
  type Paint,
  sunAt,
  usualConditions,
  yearMean,
} from '@yellow-cell/core';
import { useMemo, useState } from 'react';
import { useAsOf } from '../app/now.ts';
import { useYardFigures, type YardFigures } from './useYardFigures.ts';

/** What the breeder sets; the rest of the conditions follows. */
export interface Weather {
  outside_C: number;
  /** Hour of the day that the sun stands at, by the sun; none: shade or night. */
  sunHour: number | undefined;
  /** Bearing of the box's front, degrees from true north. */
  front_deg: number;
  paint: Paint;
  bees: BeeState;
  brood: boolean;
  insulation_mm: number;
  clearNight: boolean;
  /** Of panes that have doors. */
  doorsOpen: boolean;
  grounded: boolean;
  /** Boxes pushed together, this one in the middle. */
  inRow: number;
}
const NOON = 12;

export interface PhysicsDesk extends Pick<YardFigures, 'place'> {
  weather: Weather;
  set(change: Partial<Weather>): void;
  conditions: Conditions;
  physics: BoxPhysics;
  figures: YardFigures;
  /** The day on the ribbon. */
  date: string;
  /** Whether it has panes behind doors. */
  glazed: boolean;
}

const NOTHING: BoxPhysics = { compartments: [], surfaces: [], spaces: [] };

/** Worked out only while its layer is shown. */
export function usePhysics(design: DesignContent, shown: boolean): PhysicsDesk {
  const { on } = useAsOf();
  const figures = useYardFigures();
  const { constants, place, climate } = figures;
  const [changed, setChanged] = useState<Partial<Weather>>({});
  const weather: Weather = useMemo(() => {
    const mean = Math.round(meanOn(climate, on, place.latitude_deg));
    const season = beesInSeason(mean, constants);
    return {
      outside_C: mean,
      sunHour: undefined,
      // As boxes are proposed to stand: to the noon sun.
      front_deg: place.latitude_deg < 0 ? 0 : 180,
      paint: 'wood',
      ...season,
      insulation_mm: 0,
      // In the cold season water forms in clear nights, if at all.
      clearNight: !season.brood,
      doorsOpen: false,
      grounded: false,
      inRow: 1,
      ...changed,
    };
  }, [on, place, climate, constants, changed]);
  const conditions = useMemo(
    () => conditionsOf(weather, on, { place, constants, climate }),
    [weather, on, place, constants, climate],
  );
  const physics = useMemo(
    () => (shown ? boxPhysics(design, conditions) : NOTHING),
    [design, conditions, shown],
  );
  return {
    weather,
    set: (change) => setChanged((now) => ({ ...now, ...change })),
    conditions,
    physics,
    place,
    figures,
    date: on,
    glazed: bodiesOf(design).some(({ glass, doors }) => doors && glass.length > 0),
  };
}

function conditionsOf(
  { outside_C, sunHour, front_deg, paint, bees, brood, insulation_mm, ...rest }: Weather,
  on: string,
  { place, constants, climate }: Pick<YardFigures, 'place' | 'constants' | 'climate'>,
): Conditions {
  const { clearNight, doorsOpen, grounded, inRow } = rest;
  return {
    ...usualConditions({ outside_C, bees, brood }, constants),
    insulation_mm,
    clearNight,
    doorsOpen,
    ...(grounded
      ? { ground_C: groundTemperature(outside_C, yearMean(climate, place.latitude_deg), constants) }
      : {}),
    ...(inRow > 1 ? { row: { boxes: inRow, place: Math.floor(inRow / 2) } } : {}),
    ...(sunHour === undefined
      ? {}
      : { sun: { place: sunAtHour(on, sunHour ?? NOON, place), front_deg, paint } }),
  };
}

/** Hours by the sun: at 12 it stands highest, at any longitude. */
function sunAtHour(on: string, hour: number, { latitude_deg, longitude_deg }: YardFigures['place']) {
  const instant = Date.parse(`${on}T00:00:00Z`) + (hour - longitude_deg / 15) * 3_600_000;
  return sunAt(new Date(instant).toISOString(), latitude_deg, longitude_deg);
}
