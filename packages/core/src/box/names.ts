import { capital } from '../say/words.ts';
import { compassPoint, sideBearing } from './compass.ts';

/**
 * What the compartments of a box are called, in order from x = 0. Where the box stands, by the compass
 * ("West", "Middle", "East"); on the drawing board, as seen from above with the front nearest.
 */
export function compartmentNames(count: number, front_deg?: number): string[] {
  const [first, last] =
    front_deg === undefined
      ? ['Left', 'Right']
      : [
          capital(compassPoint(sideBearing(front_deg, 'left'))),
          capital(compassPoint(sideBearing(front_deg, 'right'))),
        ];
  if (count === 1) return ['Whole'];
  if (count === 2) return [first, last];
  if (count === 3) return [first, 'Middle', last];
  if (count === 4) return [first, `Mid-${first.toLowerCase()}`, `Mid-${last.toLowerCase()}`, last];
  return Array.from({ length: count }, (_, index) => `No. ${index + 1} from ${first.toLowerCase()}`);
}
