import type { DesignContent } from '@yellow-cell/contract';
import {
  type BoxPhysics,
  boxPhysics,
  type Conditions,
  type Paint,
  sunAt,
  valleyMean,
} from '@yellow-cell/core';
import { useMemo, useState } from 'react';
import { useAsOf } from '../app/now.ts';

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
}
export type BeeState = 'calm' | 'resting' | 'alarmed';
/** Heat of bees, in W/kg (handbook 3). */
export const HEAT_WKG: Readonly<Record<BeeState, number>> = { calm: 12, resting: 20, alarmed: 40 };
/** Stores used by a kilogram of bees at rest, in kg a day (handbook 5: 0.08 to 0.14). */
const STORES_KGDAY = 0.11;
const BROOD_NEST_C = 34.5;
const CLUSTER_C = 15;

/** A valley of middle latitude, for the sun and for the season on the ribbon. */
const PLACE = { latitude_deg: 48, longitude_deg: 15 };
const RISE_OF_DAY = 12;

/** Mean of the day in the built-in valley, in whole °C. */
function seasonMean(date: string): number {
  const day =
    (Date.parse(`${date}T12:00:00Z`) - Date.parse(`${date.slice(0, 4)}-01-15T12:00:00Z`)) / 86_400_000;
  return Math.round(valleyMean(day / 365));
}

export interface PhysicsDesk {
  weather: Weather;
  set(change: Partial<Weather>): void;
  conditions: Conditions;
  physics: BoxPhysics;
  place: typeof PLACE;
  /** The day on the ribbon. */
  date: string;
}

const NOTHING: BoxPhysics = { compartments: [], surfaces: [], spaces: [] };

/** Worked out only while its layer is shown. */
export function usePhysics(design: DesignContent, shown: boolean): PhysicsDesk {
  const { on } = useAsOf();
  const [changed, setChanged] = useState<Partial<Weather>>({});
  const weather: Weather = useMemo(() => {
    const mean = seasonMean(on);
    return {
      outside_C: mean,
      sunHour: undefined,
      front_deg: 180,
      paint: 'wood',
      bees: mean > 12 ? 'resting' : 'calm',
      brood: mean > 8,
      insulation_mm: 0,
      ...changed,
    };
  }, [on, changed]);
  const conditions = useMemo((): Conditions => {
    const { sunHour, front_deg, paint } = weather;
    const hour = String(sunHour ?? RISE_OF_DAY).padStart(2, '0');
    // The sun's own hour at 15° east is the hour of universal time and one more.
    const place = sunAt(`${on}T${hour}:00:00+01:00`, PLACE.latitude_deg, PLACE.longitude_deg);
    return {
      outside_C: weather.outside_C,
      outside_RH: 0.85,
      heat_Wkg: HEAT_WKG[weather.bees],
      held_C: weather.brood ? BROOD_NEST_C : CLUSTER_C,
      stores_kgDayPerKg: STORES_KGDAY,
      brood: weather.brood,
      insulation_mm: weather.insulation_mm,
      ...(sunHour === undefined ? {} : { sun: { place, front_deg, paint } }),
    };
  }, [weather, on]);
  const physics = useMemo(
    () => (shown ? boxPhysics(design, conditions) : NOTHING),
    [design, conditions, shown],
  );
  return {
    weather,
    set: (change) => setChanged((now) => ({ ...now, ...change })),
    conditions,
    physics,
    place: PLACE,
    date: on,
  };
}
