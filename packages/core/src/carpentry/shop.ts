import type { DesignContent, Joint, Material, PartMaterial } from '@yellow-cell/contract';
import type { BoxModel } from '../box/model.ts';
import { bodyName } from '../box/spaces.ts';

/** All that a joiner needs to know beside the design. */
export interface Shop {
  design: DesignContent;
  model: BoxModel;
  joint: Joint;
  /** Mesh or excluder over the edge of its opening, on each side, in mm. */
  over: number;
}

/** Wood has a grain to keep; sheets, foam and plastic have none. */
export const grainOf = (material: PartMaterial, axis: 'x' | 'y' | 'z') =>
  material === 'pine' ? axis : undefined;

/** Floors, dividers and lids are of the body's stuff, but never of glass or corrugated sheet. */
export const stuffFor = (material: Material): Material => (material === 'plastic' ? 'plastic' : 'plywood');

/** ", lower" and the like where a stack has several bodies. */
export function ofBody({ model }: Shop, id: string): string {
  const { bodies } = model.stack;
  const placed = bodies.find(({ body }) => body.id === id);
  return placed && bodies.length > 1 ? `, ${lower(bodyName(placed, bodies))}` : '';
}
const lower = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);
