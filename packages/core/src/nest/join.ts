import type { Random } from '../random.ts';
import { fills, fitsIn, type NestBlock, SAME_MM, type Size } from './block.ts';

interface Edge {
  at: number;
  /** Whether the edge is the block's height. */
  upright: boolean;
}

/**
 * Joins parts of equal edge, the cut between them included, into blocks that fit the sheet. Parts that were one
 * piece once find each other so: pairs whose joint block meets another edge come first, then those whose edge no
 * other has. What is joined wrong is taken apart and joined anew, as long as fewer blocks come of it.
 */
export function joined(
  blocks: readonly NestBlock[],
  sheet: Size,
  kerf: number,
  random: Random,
  repairs: number,
): NestBlock[] {
  let best = joinedOnce(blocks, sheet, kerf, random);
  for (let round = 0; round < repairs && best.some((block) => !fills(block, sheet)); round++) {
    const again = joinedOnce(takenApart(best, sheet, random), sheet, kerf, random);
    if (again.length <= best.length) best = again;
  }
  return best;
}

/** Some of the blocks that are no whole sheet come apart, some of them to their parts. */
function takenApart(blocks: readonly NestBlock[], sheet: Size, random: Random): NestBlock[] {
  const open = blocks.filter((block) => !fills(block, sheet));
  const chosen = new Set(open.filter(() => random() < Math.min(0.6, 3 / open.length)));
  const whole = random() < 0.5;
  const apart = (block: NestBlock): NestBlock[] => {
    if (!block.joint || (!whole && random() < 0.35)) return [block];
    return [...apart(block.joint.first.block), ...apart(block.joint.second.block)];
  };
  return blocks.flatMap((block) => (chosen.has(block) ? apart(block) : [block]));
}

function joinedOnce(blocks: readonly NestBlock[], sheet: Size, kerf: number, random: Random): NestBlock[] {
  const done = blocks.filter((block) => fills(block, sheet));
  const left = blocks.filter((block) => !fills(block, sheet));
  for (;;) {
    const best = bestPair(left, sheet, kerf, random);
    if (!best) return [...done, ...left];
    const { a, b, block } = best;
    const [low, high] = a < b ? [a, b] : [b, a];
    left.splice(high, 1);
    left.splice(low, 1);
    if (fills(block, sheet)) done.push(block);
    else left.push(block);
  }
}

const keyOf = (mm: number): number => Math.round(mm * 1_000);

function bestPair(
  left: readonly NestBlock[],
  sheet: Size,
  kerf: number,
  random: Random,
): { a: number; b: number; block: NestBlock } | undefined {
  const byEdge = new Map<number, Edge[]>();
  const add = (mm: number, edge: Edge) => {
    const key = keyOf(mm);
    const list = byEdge.get(key);
    if (list) list.push(edge);
    else byEdge.set(key, [edge]);
  };
  left.forEach(({ width, height }, at) => {
    add(height, { at, upright: true });
    if (Math.abs(width - height) > SAME_MM) add(width, { at, upright: false });
  });
  let best: { a: Edge; b: Edge; score: number } | undefined;
  for (const edges of byEdge.values()) {
    if (edges.length < 2 || edges.length > MOST_ALIKE) continue;
    for (let one = 0; one < edges.length; one++) {
      for (let other = one + 1; other < edges.length; other++) {
        const [a, b] = [edges[one] as Edge, edges[other] as Edge];
        const size = sizeOf(left, a, b, kerf);
        if (!size || !fitsIn(size, sheet)) continue;
        const long = a.upright || size.free ? size.width : size.height;
        const score = worth(long, edges.length, byEdge, sheet) + random();
        if (!best || score > best.score) best = { a, b, score };
      }
    }
  }
  return best && { a: best.a.at, b: best.b.at, block: blockOf(left, best.a, best.b, kerf) };
}
/** More parts than this with one edge are a stack of like parts, which packs well by itself. */
const MOST_ALIKE = 24;

/** A block whose new edge spans the sheet, or meets that of another, is likely to have been one; so is a pair that has no other. */
function worth(
  long: number,
  alike: number,
  byEdge: ReadonlyMap<number, readonly Edge[]>,
  sheet: Size,
): number {
  const spans = Math.abs(long - sheet.width) < SAME_MM || Math.abs(long - sheet.height) < SAME_MM;
  const meets = byEdge.has(keyOf(long));
  return (spans ? 6 : meets ? 4 : 0) + 3 / (alike - 1);
}

/** Size of two blocks joined along an edge each; undefined where their grains forbid it. `free`: turned as one likes. */
function sizeOf(
  left: readonly NestBlock[],
  a: Edge,
  b: Edge,
  kerf: number,
): (Size & { turn: boolean; free: boolean }) | undefined {
  const [one, other] = [left[a.at] as NestBlock, left[b.at] as NestBlock];
  if (!one.turn && !other.turn && a.upright !== b.upright) return undefined;
  const shared = a.upright ? one.height : one.width;
  const long = (a.upright ? one.width : one.height) + kerf + (b.upright ? other.width : other.height);
  const free = one.turn && other.turn;
  const upright = free || (one.turn ? b.upright : a.upright);
  return upright
    ? { width: long, height: shared, turn: free, free }
    : { width: shared, height: long, turn: free, free };
}

function blockOf(left: readonly NestBlock[], a: Edge, b: Edge, kerf: number): NestBlock {
  const [one, other] = [left[a.at] as NestBlock, left[b.at] as NestBlock];
  const size = sizeOf(left, a, b, kerf);
  if (!size) throw new Error('Blocks are joined whose grains forbid it.');
  const upright = size.free || (one.turn ? b.upright : a.upright);
  return {
    width: size.width,
    height: size.height,
    turn: size.turn,
    kind: -1,
    joint: {
      axis: upright ? 'x' : 'y',
      first: { block: one, turned: a.upright !== upright },
      second: { block: other, turned: b.upright !== upright },
      kerf,
    },
  };
}
