import type { PartMaterial as Material } from '@yellow-cell/contract';
import { MATERIALS } from '../carpentry/materials.ts';

/** Materials in the order in which a shed lists them. */
export const PartMaterial = Object.keys(MATERIALS) as Material[];
