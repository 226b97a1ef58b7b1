import type { Body, DesignContent, Material, Sheet, Side } from '@yellow-cell/contract';
import { DOOR_MM, paneOf } from '../box/plainParts.ts';
import type { Constants } from '../constants/registry.ts';

/** Conductivity of a material, in W/mK. */
export const lambdaOf = (material: Material, constants: Constants): number =>
  ({
    pine: constants.pine_WmK,
    plywood: constants.plywood_WmK,
    foam: constants.foam_WmK,
    plastic: constants.plastic_WmK,
    corrugated: constants.corrugated_WmK,
    glass: constants.glass_WmK,
  })[material];

export interface Layer {
  thickness_mm: number;
  lambda_WmK: number;
}
export const layer = (thickness_mm: number, lambda_WmK: number): Layer => ({
  thickness_mm: Math.max(thickness_mm, 0.1),
  lambda_WmK,
});
/** A layer of so much resistance, in m²K/W, however thick it is. */
export const layerOf = (r: number): Layer => ({
  thickness_mm: 1,
  lambda_WmK: 1 / (1_000 * Math.max(r, 1e-4)),
});
/** Wire, cloth of wire and excluders keep nothing warm. */
const WIRE = layer(0.1, 1);

/** A wall from inside to outside: of one piece, with its lining inside the thickness, or a pane with its doors. */
export function wallLayers(body: Body, side: Side, constants: Constants): Layer[] {
  const { wall, material, lining, glass, doors } = body;
  const pane = paneOf(body);
  if (glass.includes(side))
    return [
      layer(pane.thickness.mm, lambdaOf(pane.material, constants)),
      ...(doors ? [layer(DOOR_MM, constants.foam_WmK)] : []),
    ];
  if (!lining) return [layer(wall.mm, lambdaOf(material, constants))];
  const wood = Math.max(0.1, wall.mm - lining.thickness.mm);
  return [
    layer(wood, lambdaOf(material, constants)),
    layer(lining.thickness.mm, lambdaOf(lining.material, constants)),
  ];
}

/** Sheets of wire, that let light through. */
export const seenThrough = ({ what }: Pick<Sheet, 'what'>): boolean =>
  what === 'mesh' || what === 'excluder' || what === 'screen';

export function sheetLayer({ what, thickness }: Sheet, constants: Constants): Layer {
  if (what === 'foil') return layerOf(constants.foil_R);
  if (what === 'cloth') return layer(thickness.mm, constants.cloth_WmK);
  if (seenThrough({ what })) return WIRE;
  return layer(thickness.mm, constants.plywood_WmK);
}

export function roofLayers({ roof }: DesignContent, constants: Constants): Layer[] {
  if (roof.kind === 'glazed') return [layer(roof.thickness.mm, constants.glass_WmK)];
  if (roof.kind === 'insulated') return [layer(roof.thickness.mm, constants.foam_WmK)];
  return [layer(roof.thickness.mm, constants.pine_WmK)];
}

/** A mesh floor keeps nothing warm; over a tray the air below it stands still. */
export function floorLayers({ floor }: DesignContent, constants: Constants): Layer[] {
  if (floor.kind === 'mesh') return [WIRE];
  return [
    layer(floor.thickness.mm, constants.pine_WmK),
    ...(floor.kind === 'tray' ? [layerOf(constants.stillAir_R)] : []),
  ];
}

export const boardLayer = (thickness_mm: number, constants: Constants): Layer =>
  layer(thickness_mm, constants.plywood_WmK);
/** Insulation that a follower can carry on its outer face. */
export const followerLayers = (
  thickness_mm: number,
  insulation_mm: number,
  constants: Constants,
): Layer[] => [
  boardLayer(thickness_mm, constants),
  ...(insulation_mm > 0 ? [layer(insulation_mm, constants.foam_WmK)] : []),
];

/** Resistance of layers, in m²K/W, without the air at their surfaces: what a maker's claim is held against. */
export const resistanceOf = (layers: readonly Layer[]): number =>
  layers.reduce((sum, { thickness_mm, lambda_WmK }) => sum + thickness_mm / 1_000 / lambda_WmK, 0);
