import {
  type Arrangement,
  type AutumnLine,
  type Constants,
  compassPoint,
  type End,
  type School,
  type WarmSide,
  warmSide,
} from '@yellow-cell/core';
import { readKept } from '../app/kept.ts';
import type { YardView } from '../yard/useYard.ts';

export const SCHOOL = 'yc-winter-school';
/** More by so much, one side is told from the other. */
const TOLD_APART = 0.03;

export type Warm = WarmSide & { words: string };

/** The end of a room that the sun warms, by where its box looks to; undefined where neither is warmer, or nobody said. */
export function warmSideOf(view: YardView, { box }: AutumnLine, on: string): Warm | undefined {
  const { bearing_deg } = box.box.place ?? {};
  if (bearing_deg === undefined) return undefined;
  const side = warmSide(bearing_deg, view.yard.latitude_deg, on);
  return side.more < TOLD_APART ? undefined : { ...side, words: compassPoint(side.bearing_deg) };
}

/** As a colony is wintered where nobody says otherwise: at its partner, or at the sun; stores by the breeder's school. */
export function usualArrangement(
  line: AutumnLine,
  warm: Warm | undefined,
  { winterInsulation_mm }: Constants,
): Arrangement {
  const sunSide = warm?.end ?? 'left';
  return {
    school: readKept<School>(SCHOOL) ?? (warm ? 'sun' : 'both'),
    sunSide,
    end: besidePartner(line) ?? sunSide,
    follower: true,
    insulation_mm: winterInsulation_mm,
  };
}

/** Bees over a divider are the warmest wall there is. */
function besidePartner({ box, room }: AutumnLine): End | undefined {
  const lives = (position: number): boolean => {
    const other = box.compartments[position];
    return other?.colony !== undefined && other.colony.id !== room.colony?.id;
  };
  if (lives(room.position - 1)) return 'left';
  return lives(room.position + 1) ? 'right' : undefined;
}
