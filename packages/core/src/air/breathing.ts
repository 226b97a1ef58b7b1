import type { AirQuestion, DesignContent, EntranceState } from '@yellow-cell/contract';
import { excludesQueens, workersPass } from '../box/gap.ts';
import { type BoxModel, type Compartment, isEntrance } from '../box/model.ts';
import type { Constants } from '../constants/registry.ts';
import { lengthOf } from '../geometry/block.ts';

const MM_PER_M = 1_000;
/** Mesh of the finest wires, in mm: fly screen. */
const FINE_MM = 2;

/** How much of an entrance each state leaves for air. */
const freeOf = (state: EntranceState, constants: Constants): number =>
  ({
    open: 1,
    reduced: constants.reducedFree,
    workersOnly: constants.workersOnlyFree,
    vent: constants.ventFree,
    closed: 0,
  })[state];
const meshFree = (mesh_mm: number, constants: Constants): number =>
  mesh_mm < FINE_MM ? constants.meshFine : constants.meshCoarse;

/** How the box stands: its flight entrances as drawn or all in one state, its floor open below or on the ground. */
export interface Standing {
  entrances?: 'closed' | 'vent' | undefined;
  grounded?: boolean;
}

/** Openings through which a compartment breathes, as free areas and heights over the floor. */
export function openingsOf(
  design: DesignContent,
  model: BoxModel,
  { spaces, frames }: Compartment,
  constants: Constants,
  { entrances, grounded = false }: Standing = {},
): AirQuestion['openings'] {
  const walls = model.openings.flatMap((opening) => {
    const share =
      opening.serves.filter(({ space }) => spaces.includes(space)).length > 0
        ? 1 / Math.max(1, opening.serves.length)
        : 0;
    const free = isEntrance(opening)
      ? freeOf(shutTo(opening.opening.state, entrances), constants)
      : meshFree('mesh' in opening.opening ? opening.opening.mesh : 3, constants);
    const { width, tall } = opening.opening;
    const round = isEntrance(opening) && opening.opening.shape === 'round';
    const area = ((round ? Math.PI / 4 : 1) * width.mm * tall.mm * free * share) / 100;
    return area > 0 ? [{ area_cm2: area, height_m: height(opening.z), tall_m: tall.mm / MM_PER_M }] : [];
  });
  const below = grounded ? [] : meshFloor(design, model, spaces, constants);
  return [...walls, ...below, ...(frames.length > 0 ? coverMesh(model, spaces, constants) : [])];
}

/** Shutting a box turns every entrance that lets bees out; one closed or on vent stays so. */
const shutTo = (state: EntranceState, to: Standing['entrances']): EntranceState =>
  to !== undefined && state !== 'vent' && state !== 'closed' ? to : state;
const height = ([low, high]: readonly [number, number]): number => Math.max(0, (low + high) / 2) / MM_PER_M;

function meshFloor(
  { floor }: DesignContent,
  { spaces }: BoxModel,
  own: readonly string[],
  constants: Constants,
): AirQuestion['openings'] {
  if (floor.kind !== 'mesh' || floor.mesh === null) return [];
  const free = meshFree(floor.mesh, constants);
  return spaces
    .filter(({ id, block }) => own.includes(id) && block.z[0] < 1e-9)
    .map(({ block }) => ({
      area_cm2: (lengthOf(block.x) * lengthOf(block.y) * free) / 100,
      height_m: 0,
      tall_m: 0.01,
    }));
}

/** A hole in the cover lets warm air out above: all of it, or what a mesh or an excluder over it leaves. */
function coverMesh(
  { passages, spaces }: BoxModel,
  own: readonly string[],
  constants: Constants,
): AirQuestion['openings'] {
  const isRoof = (id: string): boolean => spaces.some((space) => space.id === id && space.kind === 'roof');
  return passages
    .filter(
      ({ reason, between }) =>
        reason === 'hole' && between.some((id) => own.includes(id)) && between.some(isRoof),
    )
    .map(({ at, gap_mm, down }) => {
      const area = (lengthOf(at.x) * lengthOf(at.y)) / 100;
      const free = down ? constants.escapeFree : freeBehind(gap_mm, constants);
      return { area_cm2: area * free, height_m: height(at.z), tall_m: 0.003 };
    });
}

function freeBehind(gap_mm: number, constants: Constants): number {
  if (excludesQueens(gap_mm)) return constants.excluderFree;
  return workersPass(gap_mm) ? 1 : constants.meshCoarse;
}
