import type { BoxModel } from '../box/model.ts';
import { type PlacedBoard, rebatesOf, windowOf } from '../box/solids.ts';
import type { PlacedBody } from '../box/stack.ts';
import { type Block, hull, type Span } from '../geometry/block.ts';
import { frameFromAbove } from './frameShapes.ts';
import { type DimensionShape, type Drawing, type RectRole, type RectShape, rect } from './shapes.ts';

/** One level of a box from above, with all bodies that stand side by side on it. By default the level of the lowest frames. */
export function boxFromAbove(model: BoxModel, bodyId?: string): Drawing {
  const { bodies } = model.stack;
  const framed = bodies.find(({ body }) => body.bays.some(({ frames }) => frames.length > 0));
  const chosen = bodies.find(({ body }) => body.id === bodyId) ?? framed ?? bodies[0];
  if (!chosen) throw new Error('A stack without a body.');
  const level = bodies.filter(({ z }) => z[0] === chosen.z[0]);
  return {
    view: 'above',
    x: hull(level.map(({ outside }) => outside.x)),
    y: hull(level.map(({ outside }) => outside.y)),
    rects: level.flatMap((placed) => bodyRects(placed, model)),
    dimensions: dimensionsOf(chosen, model),
  };
}

function bodyRects(placed: PlacedBody, model: BoxModel): RectShape[] {
  const { body } = placed;
  const isOwn = ({ body: of }: { body?: PlacedBody }) => of?.body.id === body.id;
  const spaces = model.spaces.filter((space) => isOwn(space) && space.column);
  const bays = new Set(body.bays.map(({ id }) => id));
  return [
    ...wallRects(placed),
    ...spaces.map(({ id, kind, block }) =>
      rect(kind === 'void' ? 'void' : 'compartment', id, block.x, block.y),
    ),
    ...rebatesOf(placed).map(({ x, y }) => rect('ledge', body.id, x, y)),
    ...model.solids
      .filter(({ id, kind }) => id === body.id && kind === 'cheek')
      .map(({ id, x, y }) => rect('cheek', id, x, y)),
    ...model.frames.filter(({ bay }) => bays.has(bay)).flatMap(frameFromAbove),
    ...model.boards.filter(isOwn).flatMap(boardRects),
    ...model.openings
      .filter(isOwn)
      .map((opening) =>
        rect('state' in opening.opening ? 'entrance' : 'vent', opening.id, opening.x, opening.y),
      ),
  ];
}

function wallRects({ body, inside, outside }: PlacedBody): RectShape[] {
  const role = (side: (typeof body.glass)[number]): RectRole =>
    body.glass.includes(side) ? 'glass' : 'wall';
  return [
    rect(role('front'), 'front', outside.x, [outside.y[0], inside.y[0]]),
    rect(role('back'), 'back', outside.x, [inside.y[1], outside.y[1]]),
    rect(role('left'), 'left', [outside.x[0], inside.x[0]], inside.y),
    rect(role('right'), 'right', [inside.x[1], outside.x[1]], inside.y),
  ];
}

/** What a board is drawn as, by its kind. */
export function boardRole({ board }: PlacedBoard): RectRole {
  if (board.kind === 'follower' || board.kind === 'dummy') return 'follower';
  return board.slot !== null && !board.window ? 'sieve' : 'divider';
}

function boardRects(placed: PlacedBoard): RectShape[] {
  const { board, body, x, y } = placed;
  const ears = board.ears ? rebatesOf(body) : [];
  const from = Math.min(y[0], ...ears.map((ear: Block) => ear.y[0]));
  const to = Math.max(y[1], ...ears.map((ear: Block) => ear.y[1]));
  const whole = rect(boardRole(placed), board.id, x, [from, to]);
  return board.window ? [whole, rect('sieve', board.id, x, windowOf(board, placed).y)] : [whole];
}

function dimensionsOf(placed: PlacedBody, { spaces }: BoxModel): DimensionShape[] {
  const { body, inside } = placed;
  const dimension = (id: string, axis: 'x' | 'y', [from, to]: Span, row: number): DimensionShape => ({
    role: 'dimension',
    id,
    axis,
    from,
    to,
    row,
  });
  const own = spaces.filter((space) => space.column && space.body?.body.id === body.id);
  return [
    ...(own.length > 1 ? own.map(({ id, block }) => dimension(id, 'x', block.x, 1)) : []),
    dimension('insideWidth', 'x', inside.x, own.length > 1 ? 2 : 1),
    dimension('insideLength', 'y', inside.y, 1),
  ];
}
