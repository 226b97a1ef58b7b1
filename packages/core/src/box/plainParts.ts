import type { Board, Body, Format, Length, Sheet } from '@yellow-cell/contract';
import { rebateFor } from '../formats/lugs.ts';

/** Parts as they usually are, to start from. All lengths in mm. */
export interface BodySizes {
  format: Format;
  insideWidth: Length;
  insideLength: Length;
  depth: Length;
  wall: Length;
}

export const USUAL = {
  lip: 10,
  floor: 19,
  roof: 19,
  cover: 3,
  excluder: 2,
  grooveDepth: 5,
  groovePlay: 0.4,
  entrance: 25,
} as const;
export const mm = (value: number): Length => ({ mm: value });
/** Slots that hold a queen and pass workers, and meshes that pass air (handbook 2, what a gap does). */
export const EXCLUDER_SLOT_MM = 4.2;
export const MESH_MM = 2.5;
/** Panes of observation boxes, and insulated doors before them (handbook 4, glass). */
const PANE_MM = 4;
export const DOOR_MM = 20;
export const paneOf = ({ pane }: Body): NonNullable<Body['pane']> =>
  pane ?? { material: 'glass', thickness: mm(PANE_MM) };

export function emptyBody(
  id: string,
  bay: string,
  { format, insideWidth, insideLength, depth, wall }: BodySizes,
): Body {
  return {
    kind: 'body',
    id,
    name: '',
    format,
    insideWidth,
    insideLength,
    depth,
    wall,
    material: 'pine',
    lining: null,
    rebate: rebateFor(format, insideLength.mm),
    cheeks: null,
    glass: [],
    doors: false,
    offset: { x: mm(0), y: mm(0) },
    beside: false,
    grooves: [],
    boards: [],
    bays: [{ id: bay, frames: [], format: null, use: 'nothing' }],
    entrances: [],
    vents: [],
  };
}

export const coverSheet = (id: string, more: Partial<Omit<Sheet, 'kind' | 'id'>> = {}): Sheet => ({
  kind: 'sheet',
  id,
  what: 'board',
  thickness: mm(USUAL.cover),
  each: true,
  slot: null,
  fits: '',
  holes: [],
  ...more,
});

/** One over all, of wire or punched sheet, cut for a format. */
export const excluderSheet = (id: string, { name }: Format): Sheet =>
  coverSheet(id, {
    what: 'excluder',
    thickness: mm(USUAL.excluder),
    each: false,
    slot: EXCLUDER_SLOT_MM,
    fits: name,
  });

/** A board that closes: down over the floor's lip, up to the cover, its ears in the rebates. `lip` is what it must reach below its body. */
export const tightBoard = (id: string, groove: string, thickness: Length, lip: number): Board => ({
  id,
  groove,
  kind: 'tight',
  thickness,
  up: mm(0),
  down: mm(lip),
  ends: mm(0),
  ears: true,
  slot: null,
  window: null,
});
