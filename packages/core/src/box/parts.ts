import type {
  Bay,
  Board,
  Body,
  DesignContent,
  Entrance,
  Groove,
  Hole,
  Sheet,
  Slot,
  Vent,
} from '@yellow-cell/contract';
import { bodiesOf } from './stack.ts';

/** Finding and changing parts of a design by their permanent ids. Every change is a pure function from design to design. */
export interface PartIds {
  next(kind: string): string;
  last(): number;
}

export function partIds(last: number): PartIds {
  let count = last;
  return { next: (kind) => `${kind}-${++count}`, last: () => count };
}

/** Changes one body; ids that the change takes are counted, so that none is given twice. */
export function withBody(
  design: DesignContent,
  id: string,
  change: (body: Body, ids: PartIds) => Body,
): DesignContent {
  const ids = partIds(design.lastPart);
  const layers = design.layers.map((layer) =>
    layer.kind === 'body' && layer.id === id ? change(layer, ids) : layer,
  );
  return { ...design, layers, lastPart: ids.last() };
}

export function withLayers(
  design: DesignContent,
  change: (layers: DesignContent['layers'], ids: PartIds) => DesignContent['layers'],
): DesignContent {
  const ids = partIds(design.lastPart);
  return { ...design, layers: change(design.layers, ids), lastPart: ids.last() };
}

/** The body that a board, groove, bay, slot, entrance or vent belongs to. */
export function bodyWith(design: DesignContent, part: string): Body | undefined {
  return bodiesOf(design).find((body) => body.id === part || partsOfBody(body).some(({ id }) => id === part));
}

const partsOfBody = (body: Body) => [
  ...body.grooves,
  ...body.boards,
  ...body.bays,
  ...body.bays.flatMap(({ frames }) => frames),
  ...body.entrances,
  ...body.vents,
];

export type Part = Body | Sheet | Board | Groove | Bay | Slot | Entrance | Vent | Hole;
type Fields<P> = Partial<Omit<P, 'id'>>;
/** Fields of one kind of part. */
export type PartPatch =
  | Fields<Body>
  | Fields<Sheet>
  | Fields<Board>
  | Fields<Groove>
  | Fields<Bay>
  | Fields<Slot>
  | Fields<Entrance>
  | Fields<Vent>
  | Fields<Hole>;

/** Sets fields of the one part that has this id. */
export function withPart(design: DesignContent, id: string, patch: PartPatch): DesignContent {
  const set = <P extends { id: string }>(part: P): P => (part.id === id ? { ...part, ...patch, id } : part);
  const setAll = <P extends { id: string }>(parts: readonly P[]): P[] => parts.map(set);
  const layers = design.layers.map((layer): DesignContent['layers'][number] => {
    if (layer.kind === 'sheet') return set({ ...layer, holes: setAll(layer.holes) });
    return set({
      ...layer,
      grooves: setAll(layer.grooves),
      boards: setAll(layer.boards),
      bays: layer.bays.map((bay) => set({ ...bay, frames: setAll(bay.frames) })),
      entrances: setAll(layer.entrances),
      vents: setAll(layer.vents),
    });
  });
  return { ...design, layers };
}

/** Takes out an opening, a hole, a board (its groove stays), a frame, or a layer. */
export function withoutPart(design: DesignContent, id: string): DesignContent {
  const rest = <P extends { id: string }>(parts: readonly P[]): P[] => parts.filter((part) => part.id !== id);
  const layers = rest(design.layers).map((layer): DesignContent['layers'][number] => {
    if (layer.kind === 'sheet') return { ...layer, holes: rest(layer.holes) };
    return {
      ...layer,
      boards: rest(layer.boards),
      bays: layer.bays.map((bay) => ({ ...bay, frames: rest(bay.frames) })),
      entrances: rest(layer.entrances),
      vents: rest(layer.vents),
    };
  });
  return { ...design, layers };
}

export function findPart(design: DesignContent, id: string): Part | undefined {
  for (const layer of design.layers) {
    if (layer.id === id) return layer;
    const parts: Part[] = layer.kind === 'sheet' ? layer.holes : partsOfBody(layer);
    const found = parts.find((part) => part.id === id);
    if (found) return found;
  }
  return undefined;
}
