import type { DesignContent } from '@yellow-cell/contract';
import { bodiesOf } from './stack.ts';

export type Layer = DesignContent['layers'][number];

/** Puts a layer so many layers from the floor. */
export const withLayerAt = (design: DesignContent, layer: Layer, at: number): DesignContent => ({
  ...design,
  layers: settled(design.layers.toSpliced(Math.min(at, design.layers.length), 0, layer)),
});

/** Takes a layer out, with all that is fixed to it. */
export const withoutLayer = (design: DesignContent, id: string): DesignContent => ({
  ...design,
  layers: settled(design.layers.filter((layer) => layer.id !== id)),
});

/** The first body of a stack stands on its floor, and beside nothing; so does one whose neighbour is not a body any more. */
function settled(layers: DesignContent['layers']): DesignContent['layers'] {
  return layers.map((layer, index) =>
    layer.kind === 'body' && layer.beside && layers[index - 1]?.kind !== 'body'
      ? { ...layer, beside: false }
      : layer,
  );
}

/** Every id that is given in a layer: its own, and those of its parts. */
export const idsIn = (layer: Layer): string[] => {
  if (layer.kind === 'sheet') return [layer.id, ...layer.holes.map(({ id }) => id)];
  const parts = [...layer.grooves, ...layer.boards, ...layer.bays, ...layer.entrances, ...layer.vents];
  return [
    layer.id,
    ...parts.map(({ id }) => id),
    ...layer.bays.flatMap(({ frames }) => frames.map(({ id }) => id)),
  ];
};

/** The layer with other ids; those that are not named stay. */
export function renamed(layer: Layer, names: ReadonlyMap<string, string>): Layer {
  const id = (old: string): string => names.get(old) ?? old;
  const all = <P extends { id: string }>(parts: readonly P[]): P[] =>
    parts.map((part) => ({ ...part, id: id(part.id) }));
  if (layer.kind === 'sheet') return { ...layer, id: id(layer.id), holes: all(layer.holes) };
  return {
    ...layer,
    id: id(layer.id),
    grooves: all(layer.grooves),
    boards: all(layer.boards).map((board) => ({ ...board, groove: id(board.groove) })),
    bays: all(layer.bays).map((bay) => ({ ...bay, frames: all(bay.frames) })),
    entrances: all(layer.entrances),
    vents: all(layer.vents),
  };
}

/** New names for those ids of a layer that a design has already: an id names one thing in a box. */
export function namesFor(layer: Layer, design: DesignContent, suffix: string): Map<string, string> {
  const taken = new Set(design.layers.flatMap(idsIn));
  const names = new Map<string, string>();
  for (const old of idsIn(layer)) {
    let name = old;
    for (let times = 0; taken.has(name); times += 1) name = `${old.slice(0, 24)}-${suffix}${times || ''}`;
    taken.add(name);
    if (name !== old) names.set(old, name);
  }
  return names;
}

export const hasBody = (design: DesignContent): boolean => bodiesOf(design).length > 0;
