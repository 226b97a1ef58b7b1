import type { Bay, Body, DesignContent } from '@yellow-cell/contract';
import { standingBoards } from './columns.ts';
import { withBody } from './parts.ts';
import { mm } from './plainParts.ts';
import { bodiesOf } from './stack.ts';

/** True for a ring without frames or a rebate: a feeder rim, an eke, a glazed top. */
export const isRim = ({ rebate, bays }: Body): boolean =>
  rebate === null && bays.every(({ frames }) => frames.length === 0);

/**
 * Parts a rim just as the body below it is parted, with boards that close, so that each compartment has a feeder
 * of its own: one tray over two would join them (handbook 2, feeding ports).
 */
export function withRimDivided(design: DesignContent, rim: string): DesignContent {
  const bodies = bodiesOf(design);
  const at = bodies.findIndex(({ id }) => id === rim);
  const below = bodies.slice(0, at).findLast((body) => body.boards.length > 0);
  if (!below) return design;
  return withBody(design, rim, (now, ids) => {
    const shift = below.offset.x.mm - now.offset.x.mm;
    const parting = standingBoards(below).filter(({ board }) => board.kind !== 'dummy');
    const grooves = parting.map(({ groove }) => ({
      id: ids.next('groove'),
      at: mm(groove.at.mm + shift),
      depth: mm(0),
      play: mm(0),
    }));
    const boards = parting.map(({ board }, index) => ({
      id: ids.next('board'),
      groove: grooves[index]?.id ?? '',
      kind: 'tight' as const,
      thickness: board.thickness,
      up: mm(0),
      down: mm(0),
      ends: mm(0),
      ears: false,
      slot: null,
      window: null,
    }));
    const bays = [...grooves, undefined].map(
      (_, index): Bay => now.bays[index] ?? { id: ids.next('bay'), frames: [], format: null, use: 'nothing' },
    );
    return { ...now, grooves, boards, bays };
  });
}
