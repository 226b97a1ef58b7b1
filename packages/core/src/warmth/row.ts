import type { BoxModel } from '../box/model.ts';
import type { Space } from '../box/spaces.ts';
import { common, isReal, lengthOf } from '../geometry/block.ts';
import type { HeatFace, HeatNetwork } from './network.ts';
import { OUTSIDE } from './warmth.ts';

export interface Row {
  boxes: number;
  /** Which of them is the box itself, from the left. */
  place: number;
}
/** A network of one box or of a whole row, with the space of the box itself that each space is like. */
export interface RowNetwork extends HeatNetwork {
  spaces: readonly { id: string; like: string }[];
}

export const soleBox = (network: HeatNetwork, { spaces }: BoxModel): RowNetwork => ({
  ...network,
  spaces: spaces.map(({ id }) => ({ id, like: id })),
});

/** Boxes alike pushed together side by side: what were outer walls are two walls with warmth on both sides. */
export function rowOf(network: HeatNetwork, model: BoxModel, { boxes, place }: Row): RowNetwork {
  const nameIn =
    (box: number) =>
    (id: string): string =>
      box === place || id === OUTSIDE || !isSpace.has(id) ? id : `${box + 1}. box ${id}`;
  const isSpace = new Map(model.spaces.map((space) => [space.id, space]));
  const all = Array.from({ length: boxes }, (_, box) => box);
  const meets = (face: HeatFace, box: number): boolean =>
    face.between[1] === OUTSIDE &&
    ((face.side === 'left' && box > 0) || (face.side === 'right' && box < boxes - 1));
  const facing = (side: 'left' | 'right') =>
    network.faces.filter((face) => face.side === side && face.between[1] === OUTSIDE);
  const joint = (box: number): HeatFace[] =>
    facing('right').flatMap((right) =>
      facing('left').flatMap((left): HeatFace[] => {
        const area_m2 = touching(isSpace.get(right.between[0]), isSpace.get(left.between[0]));
        if (area_m2 === 0) return [];
        const [here, there] = [nameIn(box)(right.between[0]), nameIn(box + 1)(left.between[0])];
        const layers = [...right.layers, ...left.layers.toReversed()];
        const face: HeatFace = {
          ...right,
          between: [here, there],
          area_m2,
          kind: 'inner',
          layers,
          part: 'wall',
        };
        // The box itself stands first, as in all its faces.
        return [
          box + 1 === place
            ? { ...face, between: [there, here], layers: layers.toReversed(), side: 'left' }
            : face,
        ];
      }),
    );
  const renamed = <Tie extends { between: [string, string] }>(tie: Tie, box: number): Tie => ({
    ...tie,
    between: [nameIn(box)(tie.between[0]), nameIn(box)(tie.between[1])],
  });
  return {
    spaces: all.flatMap((box) => model.spaces.map(({ id }) => ({ id: nameIn(box)(id), like: id }))),
    faces: [
      ...all.flatMap((box) =>
        network.faces.filter((face) => !meets(face, box)).map((face) => renamed(face, box)),
      ),
      ...all.slice(1).flatMap((box) => joint(box - 1)),
    ],
    flows: all.flatMap((box) => network.flows.map((flow) => renamed(flow, box))),
  };
}

/** In m². */
function touching(one: Space | undefined, other: Space | undefined): number {
  if (!one || !other) return 0;
  const [y, z] = [common(one.block.y, other.block.y), common(one.block.z, other.block.z)];
  return isReal(y) && isReal(z) ? (lengthOf(y) * lengthOf(z)) / 1e6 : 0;
}
