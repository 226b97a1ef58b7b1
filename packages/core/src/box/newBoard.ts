import type { Board, Body, DesignContent } from '@yellow-cell/contract';
import { EXCLUDER_SLOT_MM, MESH_MM, mm, tightBoard, USUAL } from './plainParts.ts';
import { bodiesOf } from './stack.ts';

/** As thick as a divider usually is, where the body has none to go by, in mm. */
const USUAL_THICKNESS_MM = 9.5;

/** A board that no drawing of a box has, made to the measure of a body: tight on all sides, in the lowest down to the floor. */
export function newBoard(
  kind: Board['kind'],
  design: DesignContent,
  body: Body,
  ids: { board: string; groove: string },
): Board {
  const lowest = bodiesOf(design)[0]?.id === body.id;
  const thickness =
    body.boards[0]?.thickness ?? mm(kind === 'excluder' ? USUAL.excluder : USUAL_THICKNESS_MM);
  const slot = kind === 'excluder' ? EXCLUDER_SLOT_MM : kind === 'screen' ? MESH_MM : null;
  return { ...tightBoard(ids.board, ids.groove, thickness, lowest ? design.floor.lip.mm : 0), kind, slot };
}
