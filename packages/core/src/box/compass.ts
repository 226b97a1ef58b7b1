import type { Side } from '@yellow-cell/contract';

const POINTS = [
  'north',
  'north-east',
  'east',
  'south-east',
  'south',
  'south-west',
  'west',
  'north-west',
] as const;
export type CompassPoint = (typeof POINTS)[number];

/** What must be added to the front's bearing to get that of a side, seen from above with the front nearest. */
const TURN_DEG: Readonly<Record<Side, number>> = { front: 0, left: 90, back: 180, right: 270 };

/** The one of eight compass points nearest to a bearing (degrees clockwise from true north). */
export function compassPoint(bearing_deg: number): CompassPoint {
  const eighth = Math.round(normal(bearing_deg) / 45) % 8;
  return POINTS[eighth] ?? 'north';
}

/** The bearing that a side of a box looks to, from the bearing of its front. */
export function sideBearing(front_deg: number, side: Side): number {
  return normal(front_deg + TURN_DEG[side]);
}

const normal = (bearing_deg: number): number => ((bearing_deg % 360) + 360) % 360;
