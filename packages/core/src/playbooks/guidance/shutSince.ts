import type { Run } from '@yellow-cell/contract';
import { guidances } from './guidances.ts';

/** Since when the bees of a run are shut in, by its own steps; undefined where none of them shut them. */
export function shutSince({ playbook, steps }: Run): string | undefined {
  const shuts = Object.entries(guidances[playbook].steps).flatMap(([id, guide]) => {
    const told = steps[id];
    return guide.shuts && told && told.skipped === undefined ? [told.at] : [];
  });
  return shuts.sort()[0];
}
