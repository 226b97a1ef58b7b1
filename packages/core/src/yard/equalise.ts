import type { BoxState, CombSide, Frame } from '@yellow-cell/contract';
import { deriveBox } from '../box/model.ts';
import type { Constants } from '../constants/registry.ts';
import { countOf } from '../say/words.ts';
import { compartmentsOf, designOf, type StandingCompartment } from './compartments.ts';
import { type FrameSlot, slotsOf } from './slots.ts';
import type { Designs, YardState } from './state.ts';

/** A frame of sealed brood that may go from a crowded compartment to a weak one. */
export interface Equalising {
  from: { box: BoxState; compartment: StandingCompartment; slot: FrameSlot & { frame: Frame } };
  to: { box: BoxState; compartment: StandingCompartment; slot: FrameSlot };
  sealed: number;
  reason: string;
  /** Where the queen of the giving compartment is not known, she is found before a frame leaves. */
  findQueenFirst: boolean;
}

interface Room {
  box: BoxState;
  compartment: StandingCompartment;
  slots: readonly FrameSlot[];
}

/** Sealed brood on both sides, in comb sides. */
export const sealedOn = ({ audit }: Frame): number =>
  audit ? audit.sides.reduce((sum, { sealed = 0 }: CombSide) => sum + sealed, 0) : 0;

/**
 * Frames to equalise with (handbook 6; requirement 68): the fullest frame of sealed brood of the strongest crowded
 * compartment to the weakest, never the frame that the queen was last seen on; each compartment gives or takes once.
 */
export function equalisings(
  state: YardState,
  designs: Designs,
  boxes: readonly BoxState[],
  constants: Constants,
): Equalising[] {
  const rooms = boxes.flatMap((box) => roomsOf(state, designs, box));
  const seams = ({ compartment }: Room): number => compartment.colony?.strength?.seams ?? Number.NaN;
  const strong = rooms
    .filter((room) => seams(room) >= room.compartment.frames * constants.crowdedShare)
    .sort((a, b) => seams(b) - seams(a));
  const weak = rooms.filter((room) => seams(room) < constants.weakSeams).sort((a, b) => seams(a) - seams(b));
  const takers = [...weak];
  return strong.flatMap((giver): Equalising[] => {
    const slot = fullest(giver.slots, constants);
    const taker = takers[0];
    const place =
      taker?.slots.find(({ is }) => is === 'empty') ??
      taker?.slots.find(({ is }) => is === 'untold') ??
      taker?.slots.findLast(({ is }) => is !== 'feeder');
    if (!slot || !taker || !place) return [];
    takers.shift();
    const queens = giver.compartment.queens;
    return [
      {
        from: { box: giver.box, compartment: giver.compartment, slot },
        to: { box: taker.box, compartment: taker.compartment, slot: place },
        sealed: sealedOn(slot.frame),
        reason: `${giver.box.label} ${giver.compartment.name} has ${seams(giver)} seams on ${countOf(giver.compartment.frames, 'frame')}; ${taker.box.label} ${taker.compartment.name} has ${seams(taker)}.`,
        findQueenFirst: queens.length > 0 && !giver.slots.some(({ queen }) => queen !== undefined),
      },
    ];
  });
}

function roomsOf(state: YardState, designs: Designs, box: BoxState): Room[] {
  const design = designOf(designs, box);
  if (!design) return [];
  const { compartments } = deriveBox(design);
  return compartmentsOf(state, designs, box).flatMap((compartment, index) => {
    const room = compartments[index];
    return room && compartment.colony
      ? [{ box, compartment, slots: slotsOf(state, box, room, compartment) }]
      : [];
  });
}

function fullest(
  slots: readonly FrameSlot[],
  { worthCarrying }: Constants,
): (FrameSlot & { frame: Frame }) | undefined {
  return slots
    .filter(
      (each): each is FrameSlot & { frame: Frame } => each.frame !== undefined && each.queen === undefined,
    )
    .filter(({ frame }) => sealedOn(frame) >= worthCarrying)
    .sort((a, b) => sealedOn(b.frame) - sealedOn(a.frame))[0];
}
