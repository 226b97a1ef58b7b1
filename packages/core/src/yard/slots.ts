import type { BoxState, Frame, Queen, Slot } from '@yellow-cell/contract';
import type { Compartment } from '../box/model.ts';
import type { Day } from '../calendar/days.ts';
import type { StandingCompartment } from './compartments.ts';
import type { YardState } from './state.ts';
import { firstOf } from './things.ts';

/** A place for a frame as it stands: with a frame that something is told of, with one of which nothing is, without one, or with a feeder. */
export interface FrameSlot {
  slot: string;
  /** From x = 0, in its compartment. */
  number: number;
  /** The body that it is in, where the room goes through several. */
  body?: string;
  is: 'told' | 'untold' | 'empty' | 'feeder';
  /** What its place is drawn for. */
  holds: Slot['holds'];
  frame?: Frame;
  /** The queen that was last seen here, and when. */
  queen?: { queen: Queen; on: Day };
}

/** Whether a frame hangs there. */
export const hangs = ({ is }: Pick<FrameSlot, 'is'>): boolean => is === 'told' || is === 'untold';

/** Whether comb does, which can be looked through: where graft bars or cages belong, only what was told of as a frame. */
export const hangsComb = ({ is, holds }: Pick<FrameSlot, 'is' | 'holds'>): boolean =>
  is === 'told' || (is === 'untold' && holds !== 'grafts' && holds !== 'bank');

/** The places of one compartment, from x = 0. */
export function slotsOf(
  state: YardState,
  box: BoxState,
  room: Compartment,
  { colony }: StandingCompartment,
): FrameSlot[] {
  const seenHere = [...state.queens.values()].flatMap((queen) => {
    const last = queen.sightings.at(-1);
    return last && !queen.gone && (last.box ?? queen.box) === box.id
      ? [{ queen, on: last.on, slot: last.slot }]
      : [];
  });
  return room.frames.map(({ id: slot, bay, holds }, index): FrameSlot => {
    const frame = firstOf(state.frames, ({ at }) => at?.box === box.id && at.slot === slot);
    const queen = seenHere.find((each) => each.slot === slot);
    const body = room.bodies.length > 1 && room.bodies.find(({ bays }) => bays.includes(bay));
    const empty = !colony || (box.emptySlots ?? []).includes(slot);
    return {
      slot,
      number: index + 1,
      holds,
      ...(body ? { body: body.name } : {}),
      is: holds === 'feeder' ? 'feeder' : frame ? 'told' : empty ? 'empty' : 'untold',
      ...(frame ? { frame } : {}),
      ...(queen ? { queen: { queen: queen.queen, on: queen.on } } : {}),
    };
  });
}
