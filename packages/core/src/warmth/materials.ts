import type { Body, DesignContent, Material, Sheet } from '@yellow-cell/contract';

/** Conductivities in W/mK (handbook 3, layers and surfaces). */
export const LAMBDA: Readonly<Record<Material, number>> = {
  pine: 0.12,
  plywood: 0.13,
  foam: 0.036,
  plastic: 0.19,
  corrugated: 0.06,
  glass: 1.0,
};
const PANE_MM = 4;
/** Insulated doors before a pane. */
const DOOR_MM = 20;

export interface Layer {
  thickness_mm: number;
  lambda_WmK: number;
}
export const layer = (thickness_mm: number, lambda_WmK: number): Layer => ({
  thickness_mm: Math.max(thickness_mm, 0.1),
  lambda_WmK,
});

/** A wall from inside to outside: of one piece, with its lining inside the thickness, or a pane with its doors. */
export function wallLayers(
  { wall, material, lining, glass, doors }: Body,
  side: 'front' | 'back' | 'left' | 'right',
): Layer[] {
  if (glass.includes(side))
    return [layer(PANE_MM, LAMBDA.glass), ...(doors ? [layer(DOOR_MM, LAMBDA.foam)] : [])];
  if (!lining) return [layer(wall.mm, LAMBDA[material])];
  const wood = Math.max(0.1, wall.mm - lining.thickness.mm);
  return [layer(wood, LAMBDA[material]), layer(lining.thickness.mm, LAMBDA[lining.material])];
}

/** A reflective sheet lying flat has R = 0.15, the middle of 0.1 to 0.2. */
const FOIL_LAMBDA_PER_MM = 1 / 150;
export function sheetLayer({ what, thickness }: Sheet): Layer {
  const mm = thickness.mm;
  if (what === 'foil') return layer(mm, mm * FOIL_LAMBDA_PER_MM);
  if (what === 'cloth') return layer(mm, 0.04);
  if (what === 'mesh' || what === 'excluder' || what === 'screen') return layer(0.1, 1);
  return layer(mm, LAMBDA.plywood);
}

export function roofLayers({ roof }: DesignContent): Layer[] {
  if (roof.kind === 'glazed') return [layer(roof.thickness.mm, LAMBDA.glass)];
  if (roof.kind === 'insulated') return [layer(roof.thickness.mm, LAMBDA.foam)];
  return [layer(roof.thickness.mm, LAMBDA.pine)];
}

/** A mesh floor keeps nothing warm; over a tray the air below it stands still. */
export function floorLayers({ floor }: DesignContent): Layer[] {
  if (floor.kind === 'mesh') return [layer(0.1, 1)];
  return [layer(floor.thickness.mm, LAMBDA.pine), ...(floor.kind === 'tray' ? [layer(20, 0.11)] : [])];
}

export const boardLayer = (thickness_mm: number): Layer => layer(thickness_mm, LAMBDA.plywood);
/** Insulation that a follower can carry on its outer face. */
export const followerLayers = (thickness_mm: number, insulation_mm: number): Layer[] => [
  boardLayer(thickness_mm),
  ...(insulation_mm > 0 ? [layer(insulation_mm, LAMBDA.foam)] : []),
];

/** Resistance of layers, in m²K/W, without the air at their surfaces: what a maker's claim is held against. */
export const resistanceOf = (layers: readonly Layer[]): number =>
  layers.reduce((sum, { thickness_mm, lambda_WmK }) => sum + thickness_mm / 1_000 / lambda_WmK, 0);
