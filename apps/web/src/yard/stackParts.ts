import type { Body, DesignContent, Sheet } from '@yellow-cell/contract';
import { bodiesOf, coverSheet, EXCLUDER_SLOT_MM, emptyBody, MESH_MM } from '@yellow-cell/core';
import { newId } from '../app/ids.ts';

type Layer = DesignContent['layers'][number];

/** Depth of a feeder rim, in mm, and of what lies flat. */
const RIM_MM = 60;
const GRID_MM = 2;
const TRAY_MM = 12;
const flat = (what: Sheet['what'], more: Partial<Sheet> = {}) =>
  coverSheet(newId(), { what, each: false, thickness: { mm: GRID_MM }, ...more });

/** A body as wide and long as the lowest one of a stack, with as many frames as it holds or none. */
function bodyLike(first: Body, frames: number, more: Partial<Body> = {}): Body {
  const bay = newId();
  const { format, insideWidth, insideLength, depth, wall, material, rebate } = first;
  return {
    ...emptyBody(newId(), bay, { format, insideWidth, insideLength, depth, wall }),
    material,
    rebate,
    bays: [
      {
        id: bay,
        frames: Array.from({ length: frames }, () => ({ id: newId(), holds: 'comb' as const })),
        format: null,
        use: frames > 0 ? 'colony' : 'nothing',
      },
    ],
    ...more,
  };
}

/** Another body just like this one: each part has a name of its own. */
export function renamedParts(body: Body): Body {
  const anew = <P extends { id: string }>(parts: readonly P[]): P[] =>
    parts.map((part) => ({ ...part, id: newId() }));
  return {
    ...body,
    id: newId(),
    grooves: [],
    boards: [],
    bays: anew(body.bays).map((bay) => ({ ...bay, frames: anew(bay.frames) })),
    entrances: anew(body.entrances),
    vents: anew(body.vents),
  };
}

/** What can be put on a stack new, made to its measure. */
export const NEW_LAYERS: Readonly<Record<string, (design: DesignContent) => Layer | undefined>> = {
  'Body with frames': (design) => {
    const [first] = bodiesOf(design);
    const frames = first?.bays.reduce((sum, bay) => sum + bay.frames.length, 0) ?? 0;
    return first && bodyLike(first, frames, { name: 'Storey' });
  },
  'Feeder rim': (design) => {
    const [first] = bodiesOf(design);
    return first && bodyLike(first, 0, { name: 'Feeder rim', depth: { mm: RIM_MM }, rebate: null });
  },
  Excluder: () => flat('excluder', { slot: EXCLUDER_SLOT_MM }),
  Screen: () => flat('screen', { slot: MESH_MM }),
  'Inner cover': () => coverSheet(newId()),
  Tray: () => flat('tray', { thickness: { mm: TRAY_MM } }),
  'Closer board': () => flat('board', { thickness: { mm: TRAY_MM } }),
};
