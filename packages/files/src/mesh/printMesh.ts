import type { DesignContent } from '@yellow-cell/contract';
import { printedSolids } from '@yellow-cell/core';
import Module, { type Manifold, type ManifoldToplevel } from 'manifold-3d';

/** A printed piece as a closed mesh: corners in mm, and triangles by their corners, counter-clockwise from outside. */
export interface PrintMesh {
  of: string;
  name: string;
  vertices: Float32Array;
  triangles: Uint32Array;
  volume_mm3: number;
}

let loaded: Promise<ManifoldToplevel> | undefined;
const solidModeller = (): Promise<ManifoldToplevel> => {
  loaded ??= Module().then((module) => {
    module.setup();
    return module;
  });
  return loaded;
};

/** Every printed piece of a box, its blocks made one solid, set on the bed at z = 0. */
export async function printMeshes(design: DesignContent): Promise<PrintMesh[]> {
  const { Manifold: Solid } = await solidModeller();
  return printedSolids(design).map(({ of, name, solids }): PrintMesh => {
    const low = Math.min(...solids.map(({ z }) => z[0]));
    const left = Math.min(...solids.map(({ x }) => x[0]));
    const front = Math.min(...solids.map(({ y }) => y[0]));
    const blocks = solids.map(
      ({ x, y, z }): Manifold =>
        Solid.cube([x[1] - x[0], y[1] - y[0], z[1] - z[0]]).translate([
          x[0] - left,
          y[0] - front,
          z[0] - low,
        ]),
    );
    const whole = Solid.union(blocks);
    const { vertProperties, triVerts, numProp } = whole.getMesh();
    const volume_mm3 = whole.volume();
    for (const each of [...blocks, whole]) each.delete();
    const vertices = new Float32Array((vertProperties.length / numProp) * 3);
    for (let index = 0; index < vertices.length / 3; index++)
      for (let axis = 0; axis < 3; axis++)
        vertices[3 * index + axis] = vertProperties[numProp * index + axis] ?? 0;
    return { of, name, vertices, triangles: new Uint32Array(triVerts), volume_mm3 };
  });
}
