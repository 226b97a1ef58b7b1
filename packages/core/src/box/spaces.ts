import type { Bay, DesignContent } from '@yellow-cell/contract';
import { type Block, commonBlock, lengthOf, type Span } from '../geometry/block.ts';
import { bayGroups, type Column, columnsOf } from './columns.ts';
import { compartmentNames } from './names.ts';
import { ROOF_RIM_MM } from './solids.ts';
import type { PlacedBody, Stack } from './stack.ts';

/**
 * Every enclosed part of a box: rooms for frames, voids behind followers and cheeks, rims and the room under
 * the roof. Blocks in mm; walls of neighbouring spaces are the boards and sheets between them.
 */
export type SpaceKind = 'frames' | 'void' | 'rim' | 'cheek' | 'roof';
export interface Space {
  /** That of its first bay; for other rooms, of their body or roof. */
  id: string;
  kind: SpaceKind;
  name: string;
  block: Block;
  body?: PlacedBody;
  column?: Column;
  bays: readonly Bay[];
}

export function spacesOf(design: DesignContent, stack: Stack): Space[] {
  const framed = stack.bodies.filter(({ body }) => hasFrames(body.bays));
  return [
    ...stack.bodies.flatMap((placed) => [...columnSpaces(placed, framed), ...cheekSpaces(placed)]),
    ...roofSpace(design, stack),
  ];
}

const hasFrames = (bays: readonly Bay[]): boolean => bays.some(({ frames }) => frames.length > 0);

function columnSpaces(placed: PlacedBody, framed: readonly PlacedBody[]): Space[] {
  const { body, inside, room } = placed;
  const inset = body.cheeks?.inset.mm ?? 0;
  const y: Span = [inside.y[0] + inset, inside.y[1] - inset];
  const columns = columnsOf(body);
  const rim = !hasFrames(body.bays) && body.rebate === null;
  const kinds = columns.map(({ bays, left, right }): SpaceKind => {
    if (rim) return 'rim';
    const closed = [left, right].some((each) => each?.board.kind === 'follower');
    return closed && !hasFrames(bays) ? 'void' : 'frames';
  });
  const names = namesIn(columns, kinds);
  const prefix =
    framed.length > 1 || rim ? `${bodyName(placed, framed)}${columns.length > 1 ? ', ' : ''}` : '';
  return columns.map((column, index) => ({
    id: column.bays[0]?.id ?? '',
    kind: kinds[index] ?? 'frames',
    name: columns.length === 1 && prefix ? prefix : `${prefix}${prefix ? lower(names[index]) : names[index]}`,
    block: { x: [placed.x + column.x[0], placed.x + column.x[1]], y, z: room },
    body: placed,
    column,
    bays: column.bays,
  }));
}

const lower = (name = ''): string => name.charAt(0).toLowerCase() + name.slice(1);

export function bodyName({ body, number }: PlacedBody, framed: readonly PlacedBody[]): string {
  if (body.name) return body.name;
  const storey = framed.findIndex((each) => each.body.id === body.id);
  if (storey === -1) return `Rim ${number}`;
  return storey === 0 ? 'Lower body' : framed.length === 2 ? 'Upper body' : `Body ${storey + 1}`;
}

/** Voids are named after what they are; rooms that a dummy parts share one compartment's name. */
function namesIn(columns: readonly Column[], kinds: readonly SpaceKind[]): string[] {
  const numbers: number[] = [];
  let count = 0;
  columns.forEach(({ left }, index) => {
    if (kinds[index] === 'void') return;
    const parted = left?.board.kind === 'dummy' && count > 0;
    if (!parted) count += 1;
    numbers[index] = count - 1;
  });
  const names = compartmentNames(count);
  return columns.map((_, index) => {
    const number = numbers[index];
    if (number === undefined) return 'Behind the follower';
    const first = numbers.indexOf(number) === index;
    return first ? (names[number] ?? '') : `${names[number]}, beyond the dummy`;
  });
}

function cheekSpaces({ body, inside, room, z }: PlacedBody): Space[] {
  const { cheeks, rebate } = body;
  if (!cheeks) return [];
  const deep = cheeks.inset.mm - cheeks.thickness.mm;
  if (deep <= 0) return [];
  const height: Span = [room[0], z[1] - (rebate?.depth.mm ?? 0)];
  const voidBehind = (side: 'front' | 'back', y: Span): Space => ({
    id: `${body.id}-${side}`,
    kind: 'cheek',
    name: `Behind the ${side} cheek`,
    block: { x: inside.x, y, z: height },
    bays: [],
  });
  return [
    voidBehind('front', [inside.y[0], inside.y[0] + deep]),
    voidBehind('back', [inside.y[1] - deep, inside.y[1]]),
  ];
}

function roofSpace({ roof }: DesignContent, { head, top }: Stack): Space[] {
  const room = roof.room.mm;
  if (room <= 0) return [];
  const inner = (span: Span): Span => [span[0] + ROOF_RIM_MM, span[1] - ROOF_RIM_MM];
  const block: Block = { x: inner(head.x), y: inner(head.y), z: [top, top + room] };
  return [{ id: 'roof', kind: 'roof', name: 'Under the roof', block, bays: [] }];
}

/** Spaces that an opening through a wall comes out in, each with the clear width it has there, in mm. */
export function spacesServed(
  spaces: readonly Space[],
  opening: Block,
  body: PlacedBody,
  side: 'front' | 'back' | 'left' | 'right',
): { space: Space; clear: number }[] {
  const inset = body.body.cheeks?.inset.mm ?? 0;
  const reach = 1 + inset;
  const ends = side === 'front' || side === 'back';
  const inward: Block = ends
    ? {
        ...opening,
        y:
          side === 'front'
            ? [opening.y[0], body.inside.y[0] + reach]
            : [body.inside.y[1] - reach, opening.y[1]],
      }
    : {
        ...opening,
        x: side === 'left' ? [opening.x[0], body.inside.x[0] + 1] : [body.inside.x[1] - 1, opening.x[1]],
      };
  return spaces.flatMap((space) => {
    if (space.kind === 'cheek') return [];
    const shared = commonBlock(space.block, inward);
    if (!shared) return [];
    return [{ space, clear: Math.min(lengthOf(ends ? shared.x : shared.y), lengthOf(shared.z)) }];
  });
}

/** Compartments of the whole design, by their bays: rooms for frames, those parted by a dummy only taken together. */
export function framedGroups(body: PlacedBody['body']): Bay[][] {
  const groups: Bay[][] = [];
  const closing = new Map(body.boards.map((board) => [board.groove, board.kind]));
  for (const group of bayGroups(body)) {
    const at = body.bays.findIndex(({ id }) => id === group[0]?.id);
    const left = closing.get(body.grooves[at - 1]?.id ?? '');
    const last = groups.at(-1);
    if (left === 'dummy' && last) last.push(...group);
    else groups.push([...group]);
  }
  return groups;
}
