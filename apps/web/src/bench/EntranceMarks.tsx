import type { Side } from '@yellow-cell/contract';
import type { BoxModel } from '@yellow-cell/core';
import type { Placing } from '../drawing/place.ts';

/** Turns an arrow that points right so that it points into the box; on the lying sheet, the front is at the left. */
const TURN: Readonly<Record<Side, number>> = { front: 0, back: 180, left: 90, right: -90 };

/** An arrow outside the wall at each entrance. */
export function EntranceMarks({ model, placing }: { model: BoxModel; placing: Placing }) {
  const { inside, wall } = model;
  return model.compartments.flatMap(({ entrances }) =>
    entrances.map(({ id, side, along }) => {
      const centre = {
        front: { x: along.mm, y: -wall },
        back: { x: along.mm, y: inside.length + wall },
        left: { x: -wall, y: along.mm },
        right: { x: inside.width + wall, y: along.mm },
      }[side];
      const { x, y } = placing.rect({ ...centre, width: 0, height: 0 });
      return (
        <path
          key={id}
          d="M-16 -6V6L-5 0Z"
          transform={`translate(${x} ${y}) rotate(${TURN[side]})`}
          fill="var(--ink)"
        />
      );
    }),
  );
}
