import type { Block, Span } from '../geometry/block.ts';
import type { BoxModel } from './model.ts';
import type { Solid } from './solids.ts';

/**
 * A second way to find who can go where, which knows nothing of boards, rebates or reasons: a cube of the
 * walker's size is moved through the air between the solids, on a raster laid on the solids' own faces.
 * Everything outside the box is taken as solid, as with all discs shut at the outer face.
 */
export function floodGroups({ solids, spaces }: BoxModel, size: number): string[][] {
  const bounds: Block = {
    x: outer(solids, 'x'),
    y: outer(solids, 'y'),
    z: outer(solids, 'z'),
  };
  const blocks = [...solids, ...shellAround(bounds)].map((solid) => grown(solid, size));
  const axes = (['x', 'y', 'z'] as const).map((axis) => edgesOf(blocks, axis));
  const [xs, ys, zs] = axes as [number[], number[], number[]];
  const shape = [xs.length - 1, ys.length - 1, zs.length - 1] as const;
  const filled = new Uint8Array(shape[0] * shape[1] * shape[2]);
  const at = (i: number, j: number, k: number) => (i * shape[1] + j) * shape[2] + k;
  for (const block of blocks) {
    const [i, j, k] = [range(xs, block.x), range(ys, block.y), range(zs, block.z)];
    for (let a = i[0]; a < i[1]; a++)
      for (let b = j[0]; b < j[1]; b++) filled.fill(1, at(a, b, k[0]), at(a, b, k[1]));
  }
  const links: [number, number][] = [];
  for (const sieve of solids.filter(({ kind, slot = 0 }) => kind === 'sieve' && slot >= size)) {
    // Straight through a sieve: where the whole cube lies before it, from one face to the other.
    const flat = (['x', 'y', 'z'] as const).reduce((a, b) => (extent(sieve[b]) < extent(sieve[a]) ? b : a));
    const [i, j, k] = (['x', 'y', 'z'] as const).map((axis, number) => {
      const edges = axes[number] ?? [];
      const [from, to] = sieve[axis];
      if (axis !== flat) return inner(edges, [from, to], size);
      return [indexOf(edges, from - size) - 1, indexOf(edges, to)] as [number, number];
    }) as [[number, number], [number, number], [number, number]];
    const steps = (axis: 'x' | 'y' | 'z', [from, to]: [number, number]) =>
      axis === flat
        ? [[from, to]]
        : Array.from({ length: Math.max(0, to - from) }, (_, step) => [from + step, from + step]);
    for (const [a = 0, a2 = 0] of steps('x', i))
      for (const [b = 0, b2 = 0] of steps('y', j))
        for (const [c = 0, c2 = 0] of steps('z', k)) {
          if (Math.min(a, b, c) < 0) continue;
          const [one, other] = [at(a, b, c), at(a2, b2, c2)];
          if (!filled[one] && !filled[other]) links.push([one, other]);
        }
  }
  const linked = new Map<number, number[]>();
  for (const [one, other] of links) {
    linked.set(one, [...(linked.get(one) ?? []), other]);
    linked.set(other, [...(linked.get(other) ?? []), one]);
  }
  const label = new Int32Array(filled.length);
  let count = 0;
  const flood = (from: number) => {
    count += 1;
    const waiting = [from];
    label[from] = count;
    for (let cell = waiting.pop(); cell !== undefined; cell = waiting.pop()) {
      const k = cell % shape[2];
      const j = Math.floor(cell / shape[2]) % shape[1];
      const i = Math.floor(cell / (shape[1] * shape[2]));
      for (const [a, b, c] of [
        [i - 1, j, k],
        [i + 1, j, k],
        [i, j - 1, k],
        [i, j + 1, k],
        [i, j, k - 1],
        [i, j, k + 1],
      ] as const) {
        if (a < 0 || b < 0 || c < 0 || a >= shape[0] || b >= shape[1] || c >= shape[2]) continue;
        const next = at(a, b, c);
        if (filled[next] || label[next]) continue;
        label[next] = count;
        waiting.push(next);
      }
      for (const next of linked.get(cell) ?? []) {
        if (label[next]) continue;
        label[next] = count;
        waiting.push(next);
      }
    }
  };
  const groups = new Map<number, string[]>();
  for (const { id, block } of spaces) {
    // Cells where the whole cube lies in the space; the largest free region among them is the space's.
    const [i, j, k] = [inner(xs, block.x, size), inner(ys, block.y, size), inner(zs, block.z, size)];
    const seen = new Map<number, number>();
    for (let a = i[0]; a < i[1]; a++)
      for (let b = j[0]; b < j[1]; b++)
        for (let c = k[0]; c < k[1]; c++) {
          const cell = at(a, b, c);
          if (filled[cell]) continue;
          if (!label[cell]) flood(cell);
          const volume = width(xs, a) * width(ys, b) * width(zs, c);
          seen.set(label[cell] ?? 0, (seen.get(label[cell] ?? 0) ?? 0) + volume);
        }
    const [largest] = [...seen].sort((a, b) => b[1] - a[1]);
    if (!largest) throw new Error(`Nobody of ${size} mm fits into ${id}.`);
    groups.set(largest[0], [...(groups.get(largest[0]) ?? []), id].sort());
  }
  return [...groups.values()].sort((a, b) => ((a[0] ?? '') < (b[0] ?? '') ? -1 : 1));
}

const extent = ([from, to]: Span): number => to - from;
const outer = (solids: readonly Solid[], axis: 'x' | 'y' | 'z'): Span => [
  Math.min(...solids.map((solid) => solid[axis][0])),
  Math.max(...solids.map((solid) => solid[axis][1])),
];

function shellAround({ x, y, z }: Block): Block[] {
  const far = 50;
  const wide = (span: Span): Span => [span[0] - far, span[1] + far];
  return [
    { x: [x[0] - far, x[0]], y: wide(y), z: wide(z) },
    { x: [x[1], x[1] + far], y: wide(y), z: wide(z) },
    { x: wide(x), y: [y[0] - far, y[0]], z: wide(z) },
    { x: wide(x), y: [y[1], y[1] + far], z: wide(z) },
    { x: wide(x), y: wide(y), z: [z[0] - far, z[0]] },
    { x: wide(x), y: wide(y), z: [z[1], z[1] + far] },
  ];
}

/** Where the lower corner of a cube may not be. */
const grown = ({ x, y, z }: Block, size: number): Block => ({
  x: [x[0] - size, x[1]],
  y: [y[0] - size, y[1]],
  z: [z[0] - size, z[1]],
});

const edgesOf = (blocks: readonly Block[], axis: 'x' | 'y' | 'z'): number[] =>
  [...new Set(blocks.flatMap((block) => block[axis]).map((edge) => Math.round(edge * 1e6) / 1e6))].sort(
    (a, b) => a - b,
  );
const indexOf = (edges: readonly number[], value: number): number => {
  const found = edges.findIndex((edge) => edge >= value - 1e-6);
  return found === -1 ? edges.length - 1 : found;
};
const range = (edges: readonly number[], [from, to]: Span): [number, number] => [
  indexOf(edges, from),
  indexOf(edges, to),
];
const width = (edges: readonly number[], index: number): number =>
  (edges[index + 1] ?? 0) - (edges[index] ?? 0);
function inner(edges: readonly number[], [from, to]: Span, size: number): [number, number] {
  const first = edges.findIndex((_, index) => ((edges[index] ?? 0) + (edges[index + 1] ?? 0)) / 2 >= from);
  let last = first;
  while (last < edges.length - 1 && ((edges[last] ?? 0) + (edges[last + 1] ?? 0)) / 2 <= to - size) last++;
  return [Math.max(0, first), last];
}
