import type { SawCut } from '@yellow-cell/contract';
import { type PlacedPart, SAME_MM } from './block.ts';

export interface Sawn {
  cuts: SawCut[];
  /** What is left, largest first. */
  rests: { x: number; y: number; width: number; height: number }[];
}
export interface Room {
  x: number;
  y: number;
  width: number;
  height: number;
}

/**
 * The cuts that free the parts of a sheet, each from edge to edge of what is in hand, and what is left over. Worked
 * out from where the parts lie alone; undefined where no saw can free them so.
 */
export function sawn(room: Room, parts: readonly PlacedPart[], kerf: number): Sawn | undefined {
  if (parts.length === 0) return { cuts: [], rests: [room] };
  const [only] = parts;
  if (parts.length === 1 && only && fillsRoom(only, room)) return { cuts: [], rests: [] };
  const cut = bestCut(room, parts, kerf);
  if (!cut) return undefined;
  const { axis, at } = cut;
  const [low, high] = halves(room, axis, at, kerf);
  const isLow = (part: PlacedPart): boolean =>
    axis === 'x' ? part.y + part.height <= at + SAME_MM : part.x + part.width <= at + SAME_MM;
  const first = low ? sawn(low, parts.filter(isLow), kerf) : NOTHING;
  const second = high
    ? sawn(
        high,
        parts.filter((part) => !isLow(part)),
        kerf,
      )
    : NOTHING;
  if (!first || !second) return undefined;
  const span = axis === 'x' ? [room.x, room.x + room.width] : [room.y, room.y + room.height];
  return {
    cuts: [{ axis, at_mm: at, from_mm: span[0] ?? 0, to_mm: span[1] ?? 0 }, ...first.cuts, ...second.cuts],
    rests: [...first.rests, ...second.rests].sort((a, b) => b.width * b.height - a.width * a.height),
  };
}

export const fillsRoom = (part: PlacedPart, room: Room): boolean =>
  Math.abs(part.width - room.width) < SAME_MM && Math.abs(part.height - room.height) < SAME_MM;

const NOTHING: Sawn = { cuts: [], rests: [] };

/** What a cut leaves on either side; a side thinner than a hair is none. */
export function halves(
  room: Room,
  axis: 'x' | 'y',
  at: number,
  kerf: number,
): [Room | undefined, Room | undefined] {
  const real = (each: Room): Room | undefined =>
    each.width > SAME_MM && each.height > SAME_MM ? each : undefined;
  if (axis === 'y')
    return [
      real({ ...room, width: at - room.x }),
      real({ ...room, x: at + kerf, width: room.x + room.width - at - kerf }),
    ];
  return [
    real({ ...room, height: at - room.y }),
    real({ ...room, y: at + kerf, height: room.y + room.height - at - kerf }),
  ];
}

/**
 * A cut that sets free the largest empty piece, or else parts the work most evenly. Along x a cut lies at a height,
 * along y at a width: where a part ends, or so that one begins behind it.
 */
function bestCut(
  room: Room,
  parts: readonly PlacedPart[],
  kerf: number,
): { axis: 'x' | 'y'; at: number } | undefined {
  let best: { axis: 'x' | 'y'; at: number; score: number } | undefined;
  for (const axis of ['y', 'x'] as const) {
    const end = (part: PlacedPart): number => (axis === 'y' ? part.x + part.width : part.y + part.height);
    const start = (part: PlacedPart): number => (axis === 'y' ? part.x : part.y);
    const near = axis === 'y' ? room.x : room.y;
    const far = axis === 'y' ? room.x + room.width : room.y + room.height;
    const before = parts.map(start).filter((from) => from > near + SAME_MM);
    for (const at of new Set([...parts.map(end), ...before.map((from) => from - kerf)])) {
      if (at > far - SAME_MM) continue;
      const crossed = parts.some((part) => end(part) > at + SAME_MM && start(part) < at + kerf - SAME_MM);
      if (crossed) continue;
      const below = parts.filter((part) => end(part) <= at + SAME_MM).length;
      const across = axis === 'y' ? room.height : room.width;
      const rest = below === 0 ? (at - near) * across : (far - at - kerf) * across;
      const score =
        below === 0 || below === parts.length ? 1e9 + rest : Math.min(below, parts.length - below);
      if (!best || score > best.score) best = { axis, at, score };
    }
  }
  return best;
}
