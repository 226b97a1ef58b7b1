import type { BoxModel } from '../box/model.ts';
import type { Solid } from '../box/solids.ts';
import { type Block, hull, middleOf, type Span } from '../geometry/block.ts';
import { frameCutOpen } from './frameShapes.ts';
import { type Drawing, type RectRole, type RectShape, rect } from './shapes.ts';

const ROLE: Readonly<Record<Solid['kind'], RectRole>> = {
  floor: 'floor',
  rim: 'rim',
  wall: 'wall',
  glass: 'glass',
  cheek: 'cheek',
  board: 'divider',
  sieve: 'sieve',
  sheet: 'sheet',
  roof: 'roof',
  plug: 'hole',
};

/**
 * A box cut open: `across` the frames at a place along them (y), seen from the front, or `along` them at a place
 * across (x), seen from the right with the front at the left. x to the right, y up. By default through the middle.
 */
export function boxInSection(model: BoxModel, view: 'across' | 'along', at?: number): Drawing {
  const { stack, solids, spaces, frames, boards } = model;
  // Through the middle of the topmost body, which may stand to one side of those below.
  const top = stack.bodies.at(-1)?.inside ?? stack.foot;
  const plane = at ?? middleOf(view === 'across' ? top.y : top.x);
  const isCut = (block: Block) => holds(view === 'across' ? block.y : block.x, plane);
  const u = (block: Block): Span => (view === 'across' ? block.x : block.y);
  const kindOf = new Map(boards.map(({ board }) => [board.id, board.kind]));
  const role = ({ id, kind }: Solid): RectRole => {
    const board = kindOf.get(id);
    return kind === 'board' && (board === 'follower' || board === 'dummy') ? 'follower' : ROLE[kind];
  };
  const rects: RectShape[] = [
    ...spaces
      .filter(({ block }) => isCut(block))
      .map(({ id, kind, block }) => rect(kind === 'frames' ? 'compartment' : 'void', id, u(block), block.z)),
    ...frames
      .filter((frame) => isCut({ ...frame, y: frame.bar }))
      .flatMap((frame) => frameCutOpen(frame, view)),
    ...solids.filter(isCut).map((solid) => rect(role(solid), solid.id, u(solid), solid.z)),
  ];
  const all = [stack.foot, stack.head].map(({ x, y }) => (view === 'across' ? x : y));
  return {
    view,
    x: hull(all),
    y: [Math.min(0, ...solids.map(({ z }) => z[0])), Math.max(...solids.map(({ z }) => z[1]))],
    rects,
    dimensions: [],
  };
}

const holds = ([from, to]: Span, plane: number): boolean => plane >= from && plane < to;
