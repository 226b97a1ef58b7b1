import type { BoxModel } from '../box/model.ts';

/**
 * A box seen from above as plain shapes, once for screen, SVG, DXF and PDF alike. Coordinates in mm on the
 * design's axes (x across the frames, y to the back); whoever shows them may turn the sheet.
 */
export type RectRole = 'wall' | 'compartment' | 'divider' | 'frame' | 'lug' | 'entrance';
export interface RectShape {
  role: RectRole;
  /** Id of the part, or of the first bay for a compartment. */
  id: string;
  x: number;
  y: number;
  width: number;
  height: number;
}
/** A measured distance along x or y between two points, drawn on a line `row` steps outside the body on a side. */
export interface DimensionShape {
  role: 'dimension';
  id: string;
  axis: 'x' | 'y';
  from: number;
  to: number;
  row: number;
}
export interface Drawing {
  /** Outside of the body: [least, greatest] of each axis. */
  x: readonly [number, number];
  y: readonly [number, number];
  rects: readonly RectShape[];
  dimensions: readonly DimensionShape[];
}

export function boxFromAbove(model: BoxModel): Drawing {
  const { inside, wall, walls, boards, compartments } = model;
  const rects: RectShape[] = [
    ...walls.map((solid) => rect('wall', solid.id, solid.x, solid.y)),
    ...compartments.map(({ bays, x }) => rect('compartment', bays[0] ?? '', x, [0, inside.length])),
    ...compartments.flatMap(({ frames }) =>
      frames.flatMap(({ id, x, y, bar }) => [
        rect('lug', id, narrower(x, LUG_SHARE), [bar[0], y[0]]),
        rect('lug', id, narrower(x, LUG_SHARE), [y[1], bar[1]]),
        rect('frame', id, x, y),
      ]),
    ),
    ...boards.map(({ id, x, y }) => rect('divider', id, x, y)),
    ...compartments.flatMap(({ entrances }) => entrances.map((entrance) => entranceRect(entrance, model))),
  ];
  return {
    x: [-wall, inside.width + wall],
    y: [-wall, inside.length + wall],
    rects,
    dimensions: [
      ...compartments.map(
        ({ bays, x }): DimensionShape => ({
          role: 'dimension',
          id: bays[0] ?? '',
          axis: 'x',
          from: x[0],
          to: x[1],
          row: 1,
        }),
      ),
      { role: 'dimension', id: 'insideWidth', axis: 'x', from: 0, to: inside.width, row: 2 },
      { role: 'dimension', id: 'insideLength', axis: 'y', from: 0, to: inside.length, row: 1 },
    ],
  };
}

/** A lug is about this share of the bar's width. */
const LUG_SHARE = 0.5;

function entranceRect(
  entrance: BoxModel['compartments'][number]['entrances'][number],
  { inside, wall }: BoxModel,
): RectShape {
  const half = entrance.diameter.mm / 2;
  const across = [entrance.along.mm - half, entrance.along.mm + half] as const;
  const through = {
    front: [-wall, 0],
    back: [inside.length, inside.length + wall],
    left: [-wall, 0],
    right: [inside.width, inside.width + wall],
  } as const;
  const vertical = entrance.side === 'front' || entrance.side === 'back';
  return vertical
    ? rect('entrance', entrance.id, across, through[entrance.side])
    : rect('entrance', entrance.id, through[entrance.side], across);
}

function narrower([from, to]: readonly [number, number], share: number): [number, number] {
  const cut = ((to - from) * (1 - share)) / 2;
  return [from + cut, to - cut];
}

function rect(
  role: RectRole,
  id: string,
  x: readonly [number, number],
  y: readonly [number, number],
): RectShape {
  return { role, id, x: x[0], y: y[0], width: x[1] - x[0], height: y[1] - y[0] };
}
