import type { Side } from '@yellow-cell/contract';
import { compassPoint, sideBearing } from '../box/compass.ts';
import type { Compartment } from '../box/model.ts';
import { listOf } from '../say/words.ts';
import { LETS_OUT } from './reach.ts';

type Doors = readonly { opening: Pick<Compartment['entrances'][number]['opening'], 'side' | 'state'> }[];

/**
 * Where the workers of a room fly to as its entrances are turned now, of a box that stands with its front to a bearing in
 * degrees; that they do not, where none lets them out; nothing of a room without an entrance.
 */
export function flightWords(entrances: Doors, front_deg: number): string | undefined {
  if (entrances.length === 0) return undefined;
  const open = entrances.filter(({ opening }) => LETS_OUT[opening.state].includes('worker'));
  const sides = [...new Set(open.map(({ opening }): Side => opening.side))];
  return sides.length === 0
    ? 'no flight of its own'
    : `flies ${listOf(sides.map((side) => compassPoint(sideBearing(front_deg, side))))}`;
}
