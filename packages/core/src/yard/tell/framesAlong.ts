import type { BoxState, Colony, Format, Frame, Queen } from '@yellow-cell/contract';
import { deriveBox } from '../../box/model.ts';
import { bodiesOf } from '../../box/stack.ts';
import type { Day } from '../../calendar/days.ts';
import { designOf, drawnDesign } from '../compartments.ts';
import type { Known, YardState } from '../state.ts';
import { firstOf, only } from '../things.ts';
import { isTheirs } from './queensIn.ts';
import { present, type Telling } from './telling.ts';

/** Stocked anew, a compartment holds other frames than those that something is told of: their identity ends. */
export function forgetFrames(telling: Telling, box: BoxState, bays: readonly string[]): void {
  const slots = slotsIn(telling, box, bays);
  for (const { id, at } of telling.frames.values())
    if (at?.box === box.id && slots.includes(at.slot)) telling.frames.delete(id);
  const left = (box.emptySlots ?? []).filter((slot) => !slots.includes(slot));
  if (box.emptySlots) telling.boxes.set(box.id, { ...box, emptySlots: left });
}

interface Place {
  slot: string;
  format: Format | undefined;
}

/** Places for frames in some bays, in order from x = 0, with what frames they are cut for. */
function placesIn({ known }: Pick<Telling, 'known'>, box: BoxState, bays: readonly string[]): Place[] {
  const drawn = drawnDesign(known.designs, box);
  return (drawn ? bodiesOf(drawn) : []).flatMap((body) =>
    body.bays.flatMap(({ id, frames, format }) =>
      bays.includes(id) ? frames.map((slot) => ({ slot: slot.id, format: format ?? body.format })) : [],
    ),
  );
}
const slotsIn = (telling: Pick<Telling, 'known'>, box: BoxState, bays: readonly string[]): string[] =>
  placesIn(telling, box, bays).map(({ slot }) => slot);

/** Frames hang where their top bar is as long, and the body as deep, as they are; nearer than this is the same. */
const SAME_BAR_MM = 3;
const hangsIn = (frame: Format | undefined, place: Format | undefined): boolean =>
  frame === undefined ||
  place === undefined ||
  (Math.abs(frame.topBar_mm - place.topBar_mm) <= SAME_BAR_MM &&
    frame.depth_mm <= place.depth_mm + SAME_BAR_MM);

interface Move {
  from: BoxState;
  to: BoxState;
  bays: readonly string[];
}

/** Where each place of a colony's room comes to in its order; undefined where nothing fits it. */
function placesAlong(
  telling: Pick<Telling, 'known'>,
  colony: Colony,
  { from, to, bays }: Move,
): { slot: string; to: string | undefined }[] {
  const design = designOf(telling.known.designs, from);
  const home =
    design &&
    deriveBox(design).compartments.find((each) => each.bays.some((bay) => colony.home.includes(bay)));
  const after = placesIn(telling, to, bays);
  return placesIn(telling, from, home?.bays ?? colony.home).map(({ slot, format }, index) => {
    const place = after[index];
    return { slot, to: place && hangsIn(format, place.format) ? place.slot : undefined };
  });
}

/** The slots of a colony whose frames would find no place where it moves: too many, too long or too deep. */
export const framesWithoutPlace = (
  known: Known,
  { frames }: Pick<YardState, 'frames'>,
  colony: Colony,
  move: Move,
): { slot: string; known: boolean }[] =>
  placesAlong({ known }, colony, move).flatMap(({ slot, to }) =>
    to !== undefined || (move.from.emptySlots ?? []).includes(slot)
      ? []
      : [
          {
            slot,
            known: firstOf(frames, ({ at }) => at?.box === move.from.id && at.slot === slot) !== undefined,
          },
        ],
  );

/**
 * The frames of a colony's room and its queens go along to the box it moves to, in their order; those that find no
 * place stay out. Places that stood empty, and those beyond its frames, are empty there.
 */
export function takeAlong(
  telling: Telling,
  colony: Colony,
  move: Move,
  on: Day,
  left: readonly { frame: string; slot: string }[] = [],
): void {
  const { from, to, bays } = move;
  const along = placesAlong(telling, colony, move);
  const before = along.map(({ slot }) => slot);
  const after = slotsIn(telling, to, bays);
  const taken = new Set(along.flatMap((each) => each.to ?? []));
  const placeFor = (slot: string): string | undefined => along.find((each) => each.slot === slot)?.to;
  const moving = [...telling.frames.values()].filter(
    ({ at }) => at?.box === from.id && before.includes(at.slot),
  );
  const empty = [
    ...(from.emptySlots ?? [])
      .filter((slot) => before.includes(slot))
      .flatMap((slot) => placeFor(slot) ?? []),
    ...after.filter((slot) => !taken.has(slot)),
  ];
  const stayOut = (frame: Frame, slot: string): void => {
    telling.frames.set(frame.id, {
      ...frame,
      at: null,
      since: on,
      out: { from: { box: from.id, slot }, on, purpose: 'other', turned: frame.turned },
    });
  };
  forgetFrames(telling, to, bays);
  for (const frame of moving) {
    const slot = frame.at && placeFor(frame.at.slot);
    if (slot) telling.frames.set(frame.id, { ...frame, at: { box: to.id, slot } });
    else if (frame.at) stayOut(frame, frame.at.slot);
  }
  for (const { frame, slot } of left)
    if (!telling.frames.has(frame) && before.includes(slot))
      stayOut({ id: frame, at: null, since: on, turned: false }, slot);
  for (const [id, add, gone] of [
    [from.id, [], before],
    [to.id, empty, after],
  ] as const) {
    const box = telling.boxes.get(id);
    const kept = (box?.emptySlots ?? []).filter((slot) => !gone.includes(slot));
    if (box && (box.emptySlots || add.length > 0))
      telling.boxes.set(id, { ...box, emptySlots: [...kept, ...add].sort() });
  }
  for (const queen of only(telling.queens, (each) => each.colony === colony.id && isTheirs(each)).values())
    telling.queens.set(queen.id, { ...queen, box: to.id, sightings: seenAlong(queen.sightings, placeFor) });
}

/** She was last seen on a frame that stands in another place now; earlier sightings keep their day alone. */
const seenAlong = (
  sightings: Queen['sightings'],
  placeFor: (slot: string) => string | undefined,
): Queen['sightings'] =>
  sightings.map(({ on, slot }) => ({ on, ...present({ slot: slot && placeFor(slot) }) }));
