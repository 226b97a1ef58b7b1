import { sideBearing } from '../box/compass.ts';
import { irradiance, sunAt } from '../warmth/sun.ts';
import type { End } from './cavity.ts';

/** The hours by the sun in which a wall is warmed (handbook 7: entrance and afternoon sun). */
const HOURS = [11, 12, 13, 14, 15, 16, 17] as const;

export interface WarmSide {
  end: End;
  /** Bearing that this wall looks to, from true north. */
  bearing_deg: number;
  /** How much more of the sun it takes than the other, 0 for alike. */
  more: number;
}

/**
 * The wall at the end of the frames, left or right, that the sun warms more from late morning to evening of a day: it
 * follows from where the front looks to, the latitude and the month.
 */
export function warmSide(front_deg: number, latitude_deg: number, on: string): WarmSide {
  const at = (end: End) => sideBearing(front_deg, end);
  const taken = (end: End): number =>
    HOURS.reduce(
      (sum, hour) => sum + irradiance(sunAt(bySun(on, hour), latitude_deg, 0), UPRIGHT, at(end)),
      0,
    );
  const [left, right] = [taken('left'), taken('right')];
  const end: End = right > left ? 'right' : 'left';
  const [most, least] = [Math.max(left, right), Math.min(left, right)];
  return { end, bearing_deg: at(end), more: least > 0 ? most / least - 1 : most > 0 ? 1 : 0 };
}
const UPRIGHT = 90;
/** An hour by the sun is that of the meridian 0: what is asked of the place is its latitude. */
const bySun = (on: string, hour: number): string => `${on}T${String(hour).padStart(2, '0')}:00:00Z`;
