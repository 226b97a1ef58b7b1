import { bodiesOf, deriveBox, familyDesign } from '@yellow-cell/core';
import { strFromU8, unzipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { printMeshes, stlOf, threeMfOf } from './index.ts';

type Point = readonly [number, number, number];
/** Volume by the divergence theorem, and how often each directed edge is met: another way than the modeller's own. */
function measure(triangles: readonly (readonly Point[])[]): {
  volume: number;
  open: number;
} {
  let volume = 0;
  const edges = new Map<string, number>();
  const key = (point: readonly number[]): string => point.map((value) => value.toFixed(3)).join();
  for (const corners of triangles) {
    const [a, b, c] = corners as unknown as readonly [Point, Point, Point];
    volume +=
      (a[0] * (b[1] * c[2] - b[2] * c[1]) -
        a[1] * (b[0] * c[2] - b[2] * c[0]) +
        a[2] * (b[0] * c[1] - b[1] * c[0])) /
      6;
    corners.forEach((from, index) => {
      const to = corners[(index + 1) % 3] as Point;
      const [one, other] = [key(from), key(to)];
      edges.set(`${one}>${other}`, (edges.get(`${one}>${other}`) ?? 0) + 1);
      edges.set(`${other}>${one}`, (edges.get(`${other}>${one}`) ?? 0) - 1);
    });
  }
  return { volume, open: [...edges.values()].filter((count) => count !== 0).length };
}

function readStl(bytes: Uint8Array): Point[][] {
  const view = new DataView(bytes.buffer);
  const count = view.getUint32(80, true);
  expect(bytes).toHaveLength(84 + 50 * count);
  return Array.from({ length: count }, (_, triangle) =>
    [0, 1, 2].map(
      (corner) =>
        [0, 1, 2].map((axis) => view.getFloat32(84 + 50 * triangle + 12 + 12 * corner + 4 * axis, true)) as [
          number,
          number,
          number,
        ],
    ),
  );
}

describe.each(['smallFormat', 'nucleus', 'changer'] as const)('printed parts of %s', (family) => {
  it('are closed, stand on the bed, and have the volume of their solids', async () => {
    const design = familyDesign(family);
    const meshes = await printMeshes(design);
    expect(meshes.length).toBeGreaterThan(3);
    for (const mesh of meshes) {
      const solids = deriveBox(design).solids.filter(
        ({ id, kind }) => id === mesh.of && kind !== 'sieve' && kind !== 'glass',
      );
      const expected = solids.reduce(
        (sum, { x, y, z }) => sum + (x[1] - x[0]) * (y[1] - y[0]) * (z[1] - z[0]),
        0,
      );
      const read = readStl(stlOf(mesh));
      const { volume, open } = measure(read);
      expect(open).toBe(0);
      // Ears that stand in a board are counted twice by the sum of blocks: never less in the mesh than without them.
      expect(volume).toBeLessThanOrEqual(expected * 1.0001);
      if (solids.every(({ kind }) => kind !== 'board')) expect(volume / expected).toBeCloseTo(1, 4);
      expect(Math.min(...read.flat().map(([, , z]) => z))).toBeCloseTo(0, 4);
    }
  });
});

describe('a 3MF', () => {
  it('holds every part, closed, in millimetres', async () => {
    const design = familyDesign('smallFormat');
    const files = unzipSync(threeMfOf(await printMeshes(design)));
    const model = strFromU8(files['3D/3dmodel.model'] ?? new Uint8Array());
    expect(model).toContain('unit="millimeter"');
    const objects = model.match(/<object /g) ?? [];
    expect(model.match(/<item /g)).toHaveLength(objects.length);
    expect(objects.length).toBeGreaterThan(bodiesOf(design).length);
  });
});
