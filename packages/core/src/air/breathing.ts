import type { AirQuestion, DesignContent } from '@yellow-cell/contract';
import { type BoxModel, type Compartment, isEntrance } from '../box/model.ts';
import { lengthOf } from '../geometry/block.ts';

/** How much of an opening each state leaves for air; meshes and discs by their free area (handbook 3). Reduced and workers-only are our estimates. */
const FREE = { open: 1, reduced: 0.25, workersOnly: 0.4, vent: 0.6, closed: 0 } as const;
const MESH_FREE = { coarse: 0.6, fine: 0.5 } as const;
const MM_PER_M = 1_000;

/** Openings through which a compartment breathes, as free areas and heights over the floor. */
export function openingsOf(
  design: DesignContent,
  model: BoxModel,
  { spaces, frames }: Compartment,
): AirQuestion['openings'] {
  const walls = model.openings.flatMap((opening) => {
    const share =
      opening.serves.filter(({ space }) => spaces.includes(space)).length > 0
        ? 1 / Math.max(1, opening.serves.length)
        : 0;
    const free = isEntrance(opening)
      ? FREE[opening.opening.state]
      : meshFree('mesh' in opening.opening ? opening.opening.mesh : 3);
    const { width, tall } = opening.opening;
    const round = isEntrance(opening) && opening.opening.shape === 'round';
    const area = ((round ? Math.PI / 4 : 1) * width.mm * tall.mm * free * share) / 100;
    return area > 0 ? [{ area_cm2: area, height_m: height(opening.z), tall_m: tall.mm / MM_PER_M }] : [];
  });
  return [...walls, ...meshFloor(design, model, spaces), ...coverMesh(model, spaces, frames.length)];
}

const height = ([low, high]: readonly [number, number]): number => Math.max(0, (low + high) / 2) / MM_PER_M;
const meshFree = (mesh_mm: number): number => (mesh_mm < 2 ? MESH_FREE.fine : MESH_FREE.coarse);

function meshFloor(
  { floor }: DesignContent,
  { spaces }: BoxModel,
  own: readonly string[],
): AirQuestion['openings'] {
  if (floor.kind !== 'mesh' || floor.mesh === null) return [];
  const free = meshFree(floor.mesh);
  return spaces
    .filter(({ id, block }) => own.includes(id) && block.z[0] < 1e-9)
    .map(({ block }) => ({
      area_cm2: (lengthOf(block.x) * lengthOf(block.y) * free) / 100,
      height_m: 0,
      tall_m: 0.01,
    }));
}

/** A hole under mesh in the cover lets warm air out above. */
function coverMesh(
  { passages, spaces }: BoxModel,
  own: readonly string[],
  frames: number,
): AirQuestion['openings'] {
  if (frames === 0) return [];
  return passages
    .filter(
      ({ reason, between }) =>
        reason === 'hole' &&
        between.some((id) => own.includes(id)) &&
        between.some((id) => spaces.some((space) => space.id === id && space.kind === 'roof')),
    )
    .map(({ at }) => {
      const area_cm2 = (lengthOf(at.x) * lengthOf(at.y) * MESH_FREE.coarse) / 100;
      return { area_cm2, height_m: height(at.z), tall_m: 0.003 };
    });
}
