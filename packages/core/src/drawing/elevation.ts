import type { Side } from '@yellow-cell/contract';
import type { BoxModel } from '../box/model.ts';
import { type Block, hull, type Span, sized } from '../geometry/block.ts';
import { type Drawing, type RectRole, type RectShape, rect } from './shapes.ts';

/** One side of a box as seen from outside, x to the right and y up; its left end at x = 0. */
export function boxFromSide(model: BoxModel, side: Side): Drawing {
  const { stack, solids, openings } = model;
  const { bounds, toSheet } = faceOf(model, side);
  const place = (role: RectRole, id: string, block: Block): RectShape =>
    rect(role, id, toSheet(block), block.z);
  const floor = solids.filter(({ id, z }) => id === 'floor' && z[0] < 0);
  const roof = solids.filter(({ id }) => id === 'roof');
  const rim =
    stack.lip > 0 ? [rect('rim', 'floor', toSheet({ ...stack.foot, z: [0, 0] }), [0, stack.lip])] : [];
  return {
    view: side,
    x: [0, bounds],
    y: [Math.min(0, ...floor.map(({ z }) => z[0])), Math.max(...roof.map(({ z }) => z[1]), stack.top)],
    rects: [
      ...floor.map((solid) => place('floor', 'floor', solid)),
      ...rim,
      ...stack.bodies.map(({ body, outside, z }) =>
        place(body.glass.includes(side) ? 'glass' : 'wall', body.id, { ...outside, z }),
      ),
      ...stack.sheets.map(({ sheet, block }) => place('sheet', sheet.id, block)),
      ...roof.map((solid) => place('roof', 'roof', solid)),
      ...openings
        .filter(({ opening }) => opening.side === side)
        .map(
          ({ opening, ...block }): RectShape => ({
            ...place('state' in opening ? 'entrance' : 'vent', opening.id, block),
            round: 'shape' in opening && opening.shape === 'round',
            ...('mark' in opening ? { mark: opening.mark } : {}),
          }),
        ),
    ],
    dimensions: [],
  };
}

/** How wide a side is, and where a block of the box stands on it. Seen from outside, the back and the left run against the axes. */
export function faceOf(
  { stack }: BoxModel,
  side: Side,
): { bounds: number; toSheet: (block: Block) => Span; mirrored: boolean } {
  const ends = side === 'front' || side === 'back';
  const all = [stack.foot, stack.head, ...stack.bodies.map(({ outside }) => outside)];
  const spans = all.map(({ x, y }) => (ends ? x : y));
  const whole = hull(spans);
  const mirrored = side === 'back' || side === 'left';
  const toSheet = ({ x, y }: Block): Span => {
    const [from, to] = ends ? x : y;
    return mirrored ? [whole[1] - to, whole[1] - from] : [from - whole[0], to - whole[0]];
  };
  return { bounds: sized(0, whole[1] - whole[0])[1], toSheet, mirrored };
}
