import type { BoxState, Colony, Queen } from '@yellow-cell/contract';
import { baysOf } from '../../box/stack.ts';
import { drawnDesign } from '../compartments.ts';
import { compartmentsNow } from '../regroup.ts';
import { queensIn } from './queensIn.ts';
import { present, type Telling } from './telling.ts';

/** Stocked anew, a compartment holds other frames than those that something is told of: their identity ends. */
export function forgetFrames(telling: Telling, box: BoxState, bays: readonly string[]): void {
  const slots = slotsIn(telling, box, bays);
  for (const { id, at } of telling.frames.values())
    if (at?.box === box.id && slots.includes(at.slot)) telling.frames.delete(id);
  const left = (box.emptySlots ?? []).filter((slot) => !slots.includes(slot));
  if (box.emptySlots) telling.boxes.set(box.id, { ...box, emptySlots: left });
}

/** Places for frames in some bays, in order from x = 0. */
function slotsIn({ known }: Telling, box: BoxState, bays: readonly string[]): string[] {
  const drawn = drawnDesign(known.designs, box);
  return (drawn ? baysOf(drawn) : []).flatMap(({ id, frames }) =>
    bays.includes(id) ? frames.map((slot) => slot.id) : [],
  );
}

/**
 * The frames of a colony's compartment and its queens go along to the box it moves to: the frames in their order, of
 * which those beyond its places lose their identity; places that stood empty, and those beyond its frames, are empty there.
 */
export function takeAlong(
  telling: Telling,
  colony: Colony,
  { from, to, bays }: { from: BoxState; to: BoxState; bays: readonly string[] },
): void {
  const home = compartmentsNow(telling, from).find((each) =>
    each.bays.some((bay) => colony.home.includes(bay)),
  );
  const before = slotsIn(telling, from, home?.bays ?? colony.home);
  const after = slotsIn(telling, to, bays);
  const placeFor = (slot: string): string | undefined => after[before.indexOf(slot)];
  const moving = [...telling.frames.values()].filter(
    ({ at }) => at?.box === from.id && before.includes(at.slot),
  );
  const empty = [
    ...(from.emptySlots ?? [])
      .filter((slot) => before.includes(slot))
      .flatMap((slot) => placeFor(slot) ?? []),
    ...after.slice(before.length),
  ];
  forgetFrames(telling, to, bays);
  for (const frame of moving) {
    const slot = frame.at && placeFor(frame.at.slot);
    if (slot) telling.frames.set(frame.id, { ...frame, at: { box: to.id, slot } });
    else telling.frames.delete(frame.id);
  }
  for (const [id, add, gone] of [
    [from.id, [], before],
    [to.id, empty, after],
  ] as const) {
    const box = telling.boxes.get(id);
    const kept = (box?.emptySlots ?? []).filter((slot) => !gone.includes(slot));
    if (box && (box.emptySlots || add.length > 0))
      telling.boxes.set(id, { ...box, emptySlots: [...kept, ...add].sort() });
  }
  for (const queen of queensIn(telling.queens, colony.id))
    telling.queens.set(queen.id, { ...queen, box: to.id, sightings: seenAlong(queen.sightings, placeFor) });
}

/** She was last seen on a frame that stands in another place now; earlier sightings keep their day alone. */
const seenAlong = (
  sightings: Queen['sightings'],
  placeFor: (slot: string) => string | undefined,
): Queen['sightings'] =>
  sightings.map(({ on, slot }) => ({ on, ...present({ slot: slot && placeFor(slot) }) }));
