import type { PlaybookName } from '@yellow-cell/contract';
import { glazedAs, playbooks } from '@yellow-cell/core';
import type { BoxView, CompartmentView } from '../yard/useYard.ts';

/** By what the room serves as and, where it says nothing else, by what its box was built for. */
export function isLikely(
  name: PlaybookName,
  { design }: BoxView,
  { role, colony }: CompartmentView,
): boolean {
  const { roles, families, ofEmpty } = playbooks[name];
  if (!colony) return ofEmpty === true && families.includes(design.family);
  if (ofEmpty) return false;
  // From a wall nothing is shown above, and nothing lifted.
  const isWall = design.family === 'observation' && glazedAs(design) === 'wall';
  if (isWall && OF_A_TOP.includes(name)) return false;
  return role !== 'empty' && roles.includes(role) && (families.includes(design.family) || role !== 'mating');
}

const OF_A_TOP: readonly PlaybookName[] = ['shownFrame', 'lifting'];

/** Those that start or finish cells of a round. */
export const OF_CELLS = (Object.keys(playbooks) as PlaybookName[]).filter((name) => playbooks[name].ofCells);

/** In the address: a playbook that is about to be begun in a room, and the round that it is of. */
export const BEGIN = { playbook: 'begin', round: 'round' } as const;
