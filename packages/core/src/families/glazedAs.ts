import type { DesignContent } from '@yellow-cell/contract';
import { placesIn } from '../box/columns.ts';
import { bodiesOf } from '../box/stack.ts';

/** What an observation box shows: a frame over a nucleus, a whole box under a top that frames are lifted into, or a wall (handbook 8). */
export type GlazedAs = 'frame' | 'lifting' | 'wall';

export function glazedAs(design: DesignContent): GlazedAs {
  const bodies = bodiesOf(design);
  const panes = bodies.filter(({ glass }) => glass.length > 0);
  const plain = bodies.some(
    ({ glass, bays }) => glass.length === 0 && bays.some(({ frames }) => frames.length > 0),
  );
  if (!plain) return 'wall';
  return panes.length > 0 && panes.every(({ bays }) => placesIn(bays) === 1) ? 'frame' : 'lifting';
}
