import type { Frame, FramePlace, Payload } from '@yellow-cell/contract';
import type { FrameSlot } from '@yellow-cell/core';
import { newId } from '../app/ids.ts';

export interface Place extends FramePlace {
  slot: string;
  is: FrameSlot['is'];
  frame?: Frame | undefined;
  /** The compartment it is in, so that moves within it are told from moves between bees. */
  colony: string | undefined;
}

type Moves = Payload<'framesMoved'>['moves'];
const at = ({ box, slot }: FramePlace): FramePlace => ({ box, slot });

/** A frame carried from one place to another; where a frame stands there, the two change places. */
export function movesBetween(from: Place, to: Place): Moves {
  const carried = { frame: from.frame?.id ?? newId(), from: at(from), to: at(to), turned: false };
  if (to.is === 'empty') return [carried];
  return [carried, { frame: to.frame?.id ?? newId(), from: at(to), to: at(from), turned: false }];
}

export const turned = (place: Place): Moves => [
  { frame: place.frame?.id ?? newId(), from: at(place), to: at(place), turned: true },
];

export const takenOut = (place: Place): Moves => [
  { frame: place.frame?.id ?? newId(), from: at(place), to: null, turned: false },
];

/** A comb from the stores, of which nothing is told yet. */
export const combIn = (place: Place): Moves => [{ frame: newId(), from: null, to: at(place), turned: false }];

/** Back into the place it came from, the way round it stood. */
export const putBack = (frame: Frame, to: FramePlace): Moves => [
  {
    frame: frame.id,
    from: null,
    to: at(to),
    turned: frame.out !== undefined && frame.turned !== frame.out.turned,
  },
];
