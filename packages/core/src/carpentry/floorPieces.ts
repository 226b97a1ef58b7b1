import type { PlacedBody } from '../box/stack.ts';
import { lengthOf, meets, type Span } from '../geometry/block.ts';
import { MESH_MM } from './bodyPieces.ts';
import type { Piece } from './piece.ts';
import { grainOf, type Shop, stuffFor } from './shop.ts';

const TRAY_MM = 4;
const RUNNER_MM = 15;

/** The panel or frame of a floor, its mesh and tray, and the strips of its rim: sides and back full, the front leaving the entrance. */
export function floorPieces(shop: Shop): Piece[] {
  const { floor } = shop.design;
  const { foot } = shop.model.stack;
  const first = shop.model.stack.bodies[0];
  if (!first) return [];
  const material = stuffFor(first.body.material);
  const below: Span = [-floor.thickness.mm, 0];
  const panel: Piece = {
    name: 'Floor panel',
    of: 'floor',
    material,
    thin: 'z',
    innerUp: true,
    grain: grainOf(material, 'y'),
    ...foot,
    z: below,
    cuts: [],
  };
  const bottom =
    floor.kind === 'solid' ? [panel] : [...ring(first, below, 'Floor frame'), ...meshPieces(shop, first)];
  return [...bottom, ...rimPieces(shop, first)];
}

/** Four strips around the room: sides full, ends between them. */
function ring(first: PlacedBody, z: Span, name: string): Piece[] {
  const { inside, outside, body } = first;
  const material = stuffFor(body.material) === 'plastic' ? 'plastic' : 'pine';
  const strip = (side: 'side' | 'front' | 'back', x: Span, y: Span): Piece => ({
    name: `${name} strip, ${side}`,
    of: 'floor',
    material,
    thin: 'z',
    innerUp: true,
    grain: grainOf(material, side === 'side' ? 'y' : 'x'),
    x,
    y,
    z,
    cuts: [],
  });
  return [
    strip('side', [outside.x[0], inside.x[0]], outside.y),
    strip('side', [inside.x[1], outside.x[1]], outside.y),
    strip('front', inside.x, [outside.y[0], inside.y[0]]),
    strip('back', inside.x, [inside.y[1], outside.y[1]]),
  ];
}

function meshPieces({ design, over }: Shop, { inside, outside, body }: PlacedBody): Piece[] {
  const { floor } = design;
  const inFrame = (span: Span, most: Span): Span => [
    Math.max(most[0], span[0] - over),
    Math.min(most[1], span[1] + over),
  ];
  const mesh: Piece = {
    name: 'Floor mesh',
    of: 'floor',
    material: 'mesh',
    thin: 'z',
    innerUp: true,
    x: inFrame(inside.x, outside.x),
    y: inFrame(inside.y, outside.y),
    z: [-MESH_MM, 0],
    cuts: [],
  };
  if (floor.kind !== 'tray') return [mesh];
  const low = -floor.thickness.mm;
  const runner = (x: Span): Piece => ({
    name: 'Tray runner',
    of: 'floor',
    material: stuffFor(body.material) === 'plastic' ? 'plastic' : 'pine',
    thin: 'z',
    innerUp: true,
    grain: grainOf('pine', 'y'),
    x,
    y: outside.y,
    z: [low - TRAY_MM - RUNNER_MM, low - TRAY_MM],
    cuts: [],
  });
  return [
    mesh,
    {
      ...mesh,
      name: 'Floor tray',
      material: 'corrugated',
      // It slides over the runners, with 2 mm of play across.
      x: [inside.x[0] + 1, inside.x[1] - 1],
      y: outside.y,
      z: [low - TRAY_MM, low],
    },
    runner([outside.x[0], outside.x[0] + RUNNER_MM]),
    runner([outside.x[1] - RUNNER_MM, outside.x[1]]),
  ];
}

function rimPieces(shop: Shop, first: PlacedBody): Piece[] {
  const { lip } = shop.model.stack;
  if (lip <= 0) return [];
  const z: Span = [0, lip];
  const [left, right, front, back] = ring(first, z, 'Rim') as [Piece, Piece, Piece, Piece];
  return [left, right, ...frontStrips(shop, first, front), back];
}

/** Strips as the design gives them with the slots between, or one that is cut where an entrance lies in the rim. */
function frontStrips(shop: Shop, { inside, body }: PlacedBody, whole: Piece): Piece[] {
  const slots = slotsIn(shop, body.id);
  const strips = shop.design.floor.strips;
  if (strips.length === 0) {
    const edges = [inside.x[0], ...slots.flat(), inside.x[1]];
    return Array.from(
      { length: edges.length / 2 },
      (_, index): Piece => ({
        ...whole,
        x: [edges[2 * index] ?? 0, edges[2 * index + 1] ?? 0],
      }),
    ).filter(({ x }) => lengthOf(x) > 1e-9);
  }
  let from = inside.x[0];
  return strips.map(({ mm }, index): Piece => {
    const x: Span = [from, from + mm];
    from = x[1] + (slots[index] ? lengthOf(slots[index] as Span) : 0);
    return { ...whole, x };
  });
}

/** Entrances of the lowest body that open through the front rim, from the left. */
export function slotsIn({ model }: Shop, body: string): Span[] {
  return model.openings
    .filter(
      (opening) =>
        opening.body.body.id === body &&
        opening.opening.side === 'front' &&
        meets(opening.z, [0, model.stack.lip]),
    )
    .map(({ x }) => x)
    .sort((a, b) => a[0] - b[0]);
}
