import { laid, type NestBlock, type PlacedPart, SAME_MM, type Size } from './block.ts';

/** Guillotine packing: each block goes into the free rectangle that it fits best, which is then sawn in two. */
export interface Bin extends Size {
  parts: PlacedPart[];
}
interface Free {
  bin: number;
  x: number;
  y: number;
  width: number;
  height: number;
}
export type Fit = 'area' | 'shortSide' | 'longSide';
export type Split = 'shortLeft' | 'longLeft' | 'smallRest' | 'largeRest';
export const fitRules: readonly Fit[] = ['shortSide', 'area', 'longSide'];
export const splitRules: readonly Split[] = ['shortLeft', 'longLeft', 'smallRest', 'largeRest'];

interface Rules {
  fit: Fit;
  split: Split;
  kerf: number;
}

/** Packs blocks in their order; a block that fits no open bin opens another sheet. `most`: give up over so many. */
export function pack(
  blocks: readonly NestBlock[],
  sheet: Size,
  rules: Rules,
  most = Number.POSITIVE_INFINITY,
): Bin[] | undefined {
  const bins: Bin[] = [];
  const free: Free[] = [];
  for (const block of blocks) {
    let best = bestPlace(block, free, rules);
    if (!best) {
      if (bins.length >= most) return undefined;
      bins.push({ ...sheet, parts: [] });
      free.push({ bin: bins.length - 1, x: 0, y: 0, ...sheet });
      best = bestPlace(block, free.slice(-1), rules);
      if (!best) return undefined;
      best.at = free.length - 1;
    }
    place(block, best.turned, best.at, free, bins, rules);
  }
  return bins;
}

/** Fills one bin from blocks in their order; what does not fit is left. */
export function fill(
  blocks: readonly NestBlock[],
  size: Size,
  rules: Rules,
): { bin: Bin; left: NestBlock[] } {
  const bins: Bin[] = [{ ...size, parts: [] }];
  const free: Free[] = [{ bin: 0, x: 0, y: 0, ...size }];
  const left = blocks.filter((block) => {
    const best = bestPlace(block, free, rules);
    if (!best) return true;
    place(block, best.turned, best.at, free, bins, rules);
    return false;
  });
  return { bin: bins[0] as Bin, left };
}

function bestPlace(
  block: NestBlock,
  free: readonly Free[],
  { fit }: Rules,
): { turned: boolean; at: number } | undefined {
  let best: { turned: boolean; at: number; score: number } | undefined;
  for (let at = 0; at < free.length; at++) {
    const room = free[at] as Free;
    for (const turned of block.turn && block.width !== block.height ? [false, true] : [false]) {
      const [w, h] = turned ? [block.height, block.width] : [block.width, block.height];
      const [dw, dh] = [room.width - w, room.height - h];
      if (dw < -SAME_MM || dh < -SAME_MM) continue;
      const score =
        fit === 'area'
          ? room.width * room.height - w * h
          : fit === 'shortSide'
            ? Math.min(dw, dh)
            : Math.max(dw, dh);
      if (!best || score < best.score) best = { turned, at, score };
    }
  }
  return best;
}

function place(
  block: NestBlock,
  turned: boolean,
  at: number,
  free: Free[],
  bins: Bin[],
  { split, kerf }: Rules,
): void {
  const [width, height] = turned ? [block.height, block.width] : [block.width, block.height];
  const room = free[at] as Free;
  const last = free.pop() as Free;
  if (at < free.length) free[at] = last;
  laid({ block, turned }, room.x, room.y, bins[room.bin]?.parts ?? []);
  const right = room.width - width - kerf;
  const above = room.height - height - kerf;
  const tall = sawnAcross(split, room, { width, height });
  const add = (x: number, y: number, wide: number, high: number) => {
    if (wide > SAME_MM && high > SAME_MM) free.push({ bin: room.bin, x, y, width: wide, height: high });
  };
  if (tall) {
    add(room.x + width + kerf, room.y, right, room.height);
    add(room.x, room.y + height + kerf, width, above);
  } else {
    add(room.x + width + kerf, room.y, right, height);
    add(room.x, room.y + height + kerf, room.width, above);
  }
}

/** Whether the first cut runs up beside the block, so that what is right of it keeps its whole height. */
function sawnAcross(split: Split, room: Free, block: Size): boolean {
  const [dw, dh] = [room.width - block.width, room.height - block.height];
  switch (split) {
    case 'shortLeft':
      return dw > dh;
    case 'longLeft':
      return dw <= dh;
    case 'smallRest':
      return dw * block.height <= dh * block.width;
    default:
      return dw * block.height > dh * block.width;
  }
}
