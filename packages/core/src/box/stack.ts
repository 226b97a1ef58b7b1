import type { Bay, Body, DesignContent, Sheet } from '@yellow-cell/contract';
import { type Block, cutAll, lengthOf, type Span, sized } from '../geometry/block.ts';

/** Where the layers of a design stand, one above another. All in mm on the design's axes. */
export interface PlacedBody {
  body: Body;
  /** Which layer of the design, and which body from below. */
  layer: number;
  number: number;
  /** Inside left and front, and the body's lower and upper edge. */
  x: number;
  y: number;
  z: Span;
  /** Inside across, and along between the walls. */
  inside: { x: Span; y: Span };
  outside: { x: Span; y: Span };
  /** Bounds of what bees find in it: down to the floor for the lowest. */
  room: Span;
}
export interface PlacedSheet {
  sheet: Sheet;
  layer: number;
  block: Block;
}
export interface Stack {
  bodies: readonly PlacedBody[];
  sheets: readonly PlacedSheet[];
  /** Outside of the floor, and of all that the roof covers. */
  foot: { x: Span; y: Span };
  head: { x: Span; y: Span };
  lip: number;
  /** Upper edge of the topmost layer. */
  top: number;
}

export const bodiesOf = ({ layers }: DesignContent): Body[] =>
  layers.filter((layer): layer is Body => layer.kind === 'body');
export const sheetsOf = ({ layers }: DesignContent): Sheet[] =>
  layers.filter((layer): layer is Sheet => layer.kind === 'sheet');

/** The lowest body that holds frames: the one that the bench shows first. */
export function mainBody(design: DesignContent): Body {
  const bodies = bodiesOf(design);
  const found = bodies.find(({ bays }) => bays.some(({ frames }) => frames.length > 0)) ?? bodies[0];
  if (!found) throw new Error('A stack without a body.');
  return found;
}

export const bayIdsOf = (design: DesignContent): string[] => baysOf(design).map(({ id }) => id);
export const baysOf = (design: DesignContent): Bay[] => bodiesOf(design).flatMap(({ bays }) => bays);

export function stackOf(design: DesignContent): Stack {
  const lip = design.floor.lip.mm;
  const bodies: PlacedBody[] = [];
  const sheets: PlacedSheet[] = [];
  let z: Span = [lip, lip];
  let head: Stack['head'] = { x: [0, 0], y: [0, 0] };
  design.layers.forEach((layer, index) => {
    if (layer.kind === 'body') {
      const beside = layer.beside && bodies.length > 0;
      const placed = placedBody(layer, index, bodies.length, beside ? z[0] : z[1], bodies.length === 0);
      z = beside ? [z[0], Math.max(z[1], placed.z[1])] : placed.z;
      head = beside ? bothOf(head, placed.outside) : placed.outside;
      bodies.push(placed);
    } else {
      z = sized(z[1], layer.thickness.mm);
      sheets.push({ sheet: layer, layer: index, block: { ...head, z } });
    }
  });
  const foot = bodies[0]?.outside ?? head;
  return { bodies, sheets, foot, head, lip, top: z[1] };
}

function placedBody(body: Body, layer: number, number: number, bottom: number, lowest: boolean): PlacedBody {
  const { x, y } = { x: body.offset.x.mm, y: body.offset.y.mm };
  const z = sized(bottom, body.depth.mm);
  const inside = { x: sized(x, body.insideWidth.mm), y: sized(y, body.insideLength.mm) };
  const wall = body.wall.mm;
  const wider = (span: Span): Span => [span[0] - wall, span[1] + wall];
  return {
    body,
    layer,
    number,
    x,
    y,
    z,
    inside,
    outside: { x: wider(inside.x), y: wider(inside.y) },
    room: [lowest ? 0 : z[0], z[1]],
  };
}

const bothOf = (a: Stack['head'], b: Stack['head']): Stack['head'] => ({
  x: [Math.min(a.x[0], b.x[0]), Math.max(a.x[1], b.x[1])],
  y: [Math.min(a.y[0], b.y[0]), Math.max(a.y[1], b.y[1])],
});

/** Strips of a layer's opening that nothing of the layers above covers, or below: bees and rain come and go there. */
export const openStrips = (stack: Stack): Block[] => [...openAbove(stack), ...openBelow(stack)];

/** A mm high, above the body that they lie on. */
function openAbove(stack: Stack): Block[] {
  return stack.bodies.flatMap((below) => {
    if (Math.abs(below.z[1] - stack.top) < 1e-9) return [];
    const height: Span = [below.z[1], below.z[1] + 1];
    return leftOpen({ ...below.inside, z: height }, stack, ([bottom]) => bottom, below.z[1]);
  });
}

/** A mm high, under the body that hangs over what it stands on; the lowest stands on the floor. */
function openBelow(stack: Stack): Block[] {
  return stack.bodies.flatMap((upper) => {
    if (upper.z[0] < stack.lip + 1e-9) return [];
    const height: Span = [upper.z[0] - 1, upper.z[0]];
    return leftOpen({ ...upper.inside, z: height }, stack, ([, top]) => top, upper.z[0]);
  });
}

/** What is left of an opening where bodies and sheets that end at its level lie over it, or under it. */
function leftOpen(
  opening: Block,
  { bodies, sheets }: Stack,
  endOf: (z: Span) => number,
  level: number,
): Block[] {
  const covers = [
    ...bodies.map(({ outside, z }): Block => ({ ...outside, z })),
    ...sheets.map(({ block }) => block),
  ].filter(({ z }) => Math.abs(endOf(z) - level) < 1e-9);
  return cutAll(
    [opening],
    covers.map((cover) => ({ ...cover, z: opening.z })),
  );
}

export const narrowest = ({ x, y }: Block): number => Math.min(lengthOf(x), lengthOf(y));
