import type { Bay, DesignContent } from '@yellow-cell/contract';
import { withBody } from './parts.ts';
import { mm } from './plainParts.ts';
import type { Space } from './spaces.ts';

const DUMMY_MM = 6;
const DUMMY_ROUND_MM = 7;

/** A thin board with a bee space round it, after the last frame of a room (handbook 2, fit). */
export function withDummy(design: DesignContent, bodyId: string, space: Space): DesignContent {
  const bay = space.bays.at(-1);
  const column = space.column;
  if (!bay || !column) return design;
  return withBody(design, bodyId, (body, ids) => {
    const at = body.bays.findIndex(({ id }) => id === bay.id);
    const groove = {
      id: ids.next('groove'),
      at: mm(column.x[1] - DUMMY_MM - DUMMY_ROUND_MM),
      depth: mm(0),
      play: mm(0),
    };
    const board = {
      id: ids.next('board'),
      groove: groove.id,
      kind: 'dummy' as const,
      thickness: mm(DUMMY_MM),
      up: mm(-DUMMY_ROUND_MM),
      down: mm(-DUMMY_ROUND_MM),
      ends: mm(DUMMY_ROUND_MM),
      ears: false,
      slot: null,
      window: null,
    };
    const beyond: Bay = { id: ids.next('bay'), frames: [], format: null, use: bay.use };
    return {
      ...body,
      grooves: [...body.grooves.slice(0, at), groove, ...body.grooves.slice(at)],
      boards: [...body.boards, board],
      bays: [...body.bays.slice(0, at + 1), beyond, ...body.bays.slice(at + 1)],
    };
  });
}
