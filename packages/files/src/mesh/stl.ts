import type { PrintMesh } from './printMesh.ts';

const HEAD_BYTES = 80;
const TRIANGLE_BYTES = 50;

/** Binary STL of one piece, in mm. */
export function stlOf({ vertices, triangles, name }: PrintMesh): Uint8Array {
  const count = triangles.length / 3;
  const bytes = new Uint8Array(HEAD_BYTES + 4 + count * TRIANGLE_BYTES);
  bytes.set(new TextEncoder().encode(name).subarray(0, HEAD_BYTES));
  const view = new DataView(bytes.buffer);
  view.setUint32(HEAD_BYTES, count, true);
  for (let triangle = 0; triangle < count; triangle++) {
    const corners = [0, 1, 2].map((corner) => cornerOf(vertices, triangles[3 * triangle + corner] ?? 0));
    const at = HEAD_BYTES + 4 + triangle * TRIANGLE_BYTES;
    for (const [index, value] of [normalOf(corners), ...corners].flat().entries())
      view.setFloat32(at + 4 * index, value, true);
  }
  return bytes;
}

type Point = [number, number, number];
const cornerOf = (vertices: Float32Array, index: number): Point => [
  vertices[3 * index] ?? 0,
  vertices[3 * index + 1] ?? 0,
  vertices[3 * index + 2] ?? 0,
];

function normalOf(corners: readonly Point[]): Point {
  const [a, b, c] = corners as [Point, Point, Point];
  const [u, v] = [
    b.map((each, axis) => each - (a[axis] ?? 0)),
    c.map((each, axis) => each - (a[axis] ?? 0)),
  ] as [Point, Point];
  const cross: Point = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
  const size = Math.hypot(...cross) || 1;
  return [cross[0] / size, cross[1] / size, cross[2] / size];
}
