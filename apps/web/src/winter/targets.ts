import type { Payload } from '@yellow-cell/contract';
import {
  type AutumnLine,
  type BoxView,
  type CompartmentView,
  roomName,
  withoutQueen,
} from '@yellow-cell/core';

type Plan = Payload<'winterPlanned'>;
/** Where a colony could go, or whom it could join: its name, and what a plan says of it. */
export interface Target {
  name: string;
  plan: Pick<Plan, 'to' | 'with' | 'where'>;
}

/** What a colony can be combined with, paired with, or moved into, in walking order. */
export function targetsOf(
  act: Plan['act'],
  line: AutumnLine,
  lines: readonly AutumnLine[],
  boxes: readonly BoxView[],
): Target[] {
  switch (act) {
    case 'combine':
      return lines.flatMap((other): Target[] =>
        other === line || !other.room.colony || withoutQueen(other.room.status)
          ? []
          : [
              {
                name: roomName(other),
                plan: {
                  with: { box: other.box.box.id, colony: other.room.colony.id },
                  where: roomName(other),
                },
              },
            ],
      );
    case 'pair':
      return emptyRooms(boxes).flatMap(([box, room]): Target[] => {
        const beside = box.compartments.find(
          (each) =>
            each.colony &&
            each.colony.id !== line.room.colony?.id &&
            Math.abs(each.position - room.position) === 1,
        );
        return beside?.colony
          ? [
              {
                name: `${box.box.label} ${room.name}, beside ${beside.name}`,
                plan: {
                  to: { box: box.box.id, bays: [...room.bays] },
                  with: { box: box.box.id, colony: beside.colony.id },
                  where: `${box.box.label} ${beside.name}`,
                },
              },
            ]
          : [];
      });
    case 'move':
      return emptyRooms(boxes).map(([box, room]) => ({
        name: `${box.box.label} ${room.name}, ${room.frames} frames`,
        plan: { to: { box: box.box.id, bays: [...room.bays] }, where: `${box.box.label} ${room.name}` },
      }));
    default:
      return [];
  }
}

const emptyRooms = (boxes: readonly BoxView[]): [BoxView, CompartmentView][] =>
  boxes.flatMap((box) =>
    box.compartments.flatMap((room): [BoxView, CompartmentView][] =>
      room.colony === undefined && room.frames > 1 ? [[box, room]] : [],
    ),
  );
