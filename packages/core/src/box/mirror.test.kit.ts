import type { Body, DesignContent, Length } from '@yellow-cell/contract';

const from = (whole: number, { mm }: Length, size = 0): Length => ({ mm: whole - mm - size });
const OTHER = { left: 'right', right: 'left', front: 'back', back: 'front' } as const;

/** The same box seen in a mirror between left and right. Parts keep their ids. */
export function mirrored(design: DesignContent): DesignContent {
  return {
    ...design,
    layers: design.layers.map((layer) => {
      const base = design.layers[0] as Body;
      const width = base.insideWidth.mm;
      if (layer.kind === 'sheet')
        return { ...layer, holes: layer.holes.map((hole) => ({ ...hole, x: from(width, hole.x) })) };
      const own = layer.insideWidth.mm;
      return {
        ...layer,
        offset: { ...layer.offset, x: from(width, layer.offset.x, own) },
        glass: layer.glass.map((side) => (side === 'left' || side === 'right' ? OTHER[side] : side)),
        grooves: layer.grooves
          .map((groove) => ({
            ...groove,
            at: from(own, groove.at, layer.boards.find((board) => board.groove === groove.id)?.thickness.mm),
          }))
          .reverse(),
        bays: layer.bays.map((bay) => ({ ...bay, frames: [...bay.frames].reverse() })).reverse(),
        entrances: layer.entrances.map((entrance) =>
          entrance.side === 'left' || entrance.side === 'right'
            ? { ...entrance, side: OTHER[entrance.side] }
            : { ...entrance, along: from(own, entrance.along) },
        ),
        vents: layer.vents.map((vent) =>
          vent.side === 'left' || vent.side === 'right'
            ? { ...vent, side: OTHER[vent.side] }
            : { ...vent, along: from(own, vent.along) },
        ),
      };
    }),
  };
}

/** The same box with its back to the front. */
export function turned(design: DesignContent): DesignContent {
  const swapped = mirrored(design);
  return {
    ...swapped,
    layers: swapped.layers.map((layer) => {
      const length = (swapped.layers[0] as Body).insideLength.mm;
      if (layer.kind === 'sheet')
        return { ...layer, holes: layer.holes.map((hole) => ({ ...hole, y: from(length, hole.y) })) };
      const own = layer.insideLength.mm;
      const turnedOpening = <O extends { side: keyof typeof OTHER; along: Length }>(opening: O): O =>
        opening.side === 'left' || opening.side === 'right'
          ? { ...opening, along: from(own, opening.along) }
          : { ...opening, side: OTHER[opening.side] };
      return {
        ...layer,
        offset: { ...layer.offset, y: from(length, layer.offset.y, own) },
        glass: layer.glass.map((side) => (side === 'front' || side === 'back' ? OTHER[side] : side)),
        entrances: layer.entrances.map(turnedOpening),
        vents: layer.vents.map(turnedOpening),
      };
    }),
  };
}
