import type { BoxState, Colony, EntryOf, Frame, FramePlace } from '@yellow-cell/contract';
import { baysOf } from '../../box/stack.ts';
import type { Day } from '../../calendar/days.ts';
import { designOf } from '../compartments.ts';
import { bayOf, colonyAt } from '../framePlace.ts';
import { firstOf } from '../things.ts';
import { ofColony, present, standingBox, type Tellers, type Telling } from './telling.ts';

export const frameTellers: Tellers<'frameAudited' | 'framesMoved'> = {
  frameAudited: ofColony((colony, { frame: id, slot, sides, bees }, on, telling) => {
    const box = telling.boxes.get(colony.box);
    const bay = box && bayOf(telling.known.designs, box, slot);
    if (!box || bay === undefined) return 'There is no such place for a frame in that box.';
    if (!colony.bays.includes(bay)) return 'That place is not in the room of these bees.';
    if (holdsFeeder(telling, box, slot)) return FEEDER_THERE;
    const problem = clash(telling, { frame: id, at: { box: box.id, slot } });
    if (problem) return problem;
    const before = telling.frames.get(id) ?? { id, since: on, turned: false };
    telling.frames.set(id, {
      ...before,
      at: { box: box.id, slot },
      audit: { on, sides, ...present({ bees }) },
    });
    fill(telling, box.id, slot);
    const brood = sides.some(({ eggs = 0, openBrood = 0 }) => eggs > 0 || openBrood > 0);
    return brood ? { ...colony, evidenceOn: on } : colony;
  }),

  framesMoved(telling, { payload }, on) {
    const problem = movesProblem(telling, payload.moves, on);
    if (problem) return problem;
    const givers = payload.moves.map(({ from }) => from && colonyAt(telling.known.designs, telling, from));
    for (const { from } of payload.moves) if (from) empty(telling, from);
    for (const { to } of payload.moves) if (to) fill(telling, to.box, to.slot);
    takeSightingsAlong(telling, payload.moves);
    payload.moves.forEach((move, index) => {
      carry(telling, move, payload, on);
      const giver = givers[index];
      const taker = move.to && colonyAt(telling.known.designs, telling, move.to);
      // Larvae taken for a graft leave the box; the comb is given for them all the same.
      if (giver && !move.to && payload.purpose === 'graft') update(telling, giver.id, { gaveOn: on });
      if (!giver || !taker || giver.id === taker.id) return;
      update(telling, giver.id, { gaveOn: on });
      update(telling, taker.id, { broodGivenOn: on });
    });
    return undefined;
  },
};

type Moves = EntryOf<'framesMoved'>['payload'];

function carry(telling: Telling, move: Moves['moves'][number], payload: Moves, on: Day): void {
  const { frame: id, from, to, turned } = move;
  const { out: was, ...before } = telling.frames.get(id) ?? ({ id, turned: false } as Frame);
  // Sides are told as they stand in the box: turned, the one that was nearer x = 0 is the other.
  const { audit } = before;
  const now = turned && audit ? { audit: { ...audit, ...otherWayRound(audit) } } : {};
  const frame: Frame = { ...before, ...now, at: to, since: on, turned: turned !== before.turned };
  if (to !== null) {
    telling.frames.set(id, frame);
    return;
  }
  const place = from ?? was?.from;
  telling.frames.set(
    id,
    place
      ? {
          ...frame,
          out: {
            from: place,
            on,
            purpose: payload.purpose,
            turned: before.turned,
            ...present({ backBy: payload.backBy, where: payload.where }),
          },
        }
      : frame,
  );
}

/** A sighting is of the frame that she was on: it goes where that goes, and ends with one that leaves every box. */
function takeSightingsAlong({ queens }: Telling, moves: Moves['moves']): void {
  for (const queen of queens.values()) {
    const seen = queen.sightings.at(-1);
    const move = moves.find(
      ({ from }) => from && seen?.slot === from.slot && from.box === (seen.box ?? queen.box),
    );
    if (!seen || !move) continue;
    const { to } = move;
    const now = {
      on: seen.on,
      ...(to ? { slot: to.slot, ...(to.box === queen.box ? {} : { box: to.box }) } : {}),
    };
    queens.set(queen.id, { ...queen, sightings: [...queen.sightings.slice(0, -1), now] });
  }
}

const otherWayRound = ({ sides, bees }: NonNullable<Frame['audit']>) => ({
  sides: [sides[1], sides[0]] as const,
  ...(bees ? { bees: [bees[1], bees[0]] as const } : {}),
});

/** Why these frames cannot be moved so, all at once. */
function movesProblem(telling: Telling, moves: Moves['moves'], on: Day): string | undefined {
  if (new Set(moves.map(({ frame }) => frame)).size < moves.length) return 'One frame is named twice.';
  const targets = moves.flatMap(({ to }) => (to ? [`${to.box} ${to.slot}`] : []));
  if (new Set(targets).size < targets.length) return 'Two frames cannot stand in one place.';
  for (const { frame, from, to } of moves) {
    for (const place of [from, to]) {
      if (!place) continue;
      const box = standingBox(telling.boxes, place.box, on);
      if (typeof box === 'string') return box;
      if (bayOf(telling.known.designs, box, place.slot) === undefined)
        return `Box ${box.label} has no such place for a frame.`;
      if (place === to && holdsFeeder(telling, box, to.slot)) return FEEDER_THERE;
    }
    const known = telling.frames.get(frame);
    // One that nothing is known of, and that comes from no box, is a comb from the stores.
    if (!known && !from && !to)
      return 'A frame that nothing is known of is moved from some place, or to one.';
    if (!same(known ? known.at : from, from)) return elsewhere(telling, known as Frame);
    if (from && !known) {
      const problem = clash(telling, { frame, at: from });
      if (problem) return problem;
    }
    if (to && !moves.some((other) => same(other.from, to))) {
      const problem = clash(telling, { frame, at: to }, true);
      if (problem) return problem;
    }
  }
  return undefined;
}

/** What is in a place is an exclusive fact: another known frame there, or this one elsewhere, cannot be. */
function clash(
  telling: Telling,
  { frame, at }: { frame: string; at: FramePlace },
  moving = false,
): string | undefined {
  const there = firstOf(telling.frames, (each) => same(each.at, at));
  if (there && there.id !== frame) return 'Another frame stands in that place.';
  const known = telling.frames.get(frame);
  return known && !moving && !same(known.at, at) ? elsewhere(telling, known) : undefined;
}

function elsewhere({ boxes }: Telling, { at }: Frame): string {
  return at
    ? `That frame stands in another place, in box ${boxes.get(at.box)?.label ?? 'that is gone'}.`
    : 'That frame is out of any box.';
}

const same = (a: FramePlace | null, b: FramePlace | null): boolean =>
  a === b || (a !== null && b !== null && a.box === b.box && a.slot === b.slot);

const FEEDER_THERE = 'A feeder stands in that place.';
const holdsFeeder = ({ known }: Telling, box: BoxState, slot: string): boolean => {
  const stands = designOf(known.designs, box);
  return (stands ? baysOf(stands) : []).some(({ frames }) =>
    frames.some(({ id, holds }) => id === slot && holds === 'feeder'),
  );
};

function update({ colonies }: Telling, id: string, change: Partial<Colony>): void {
  const colony = colonies.get(id);
  if (colony) colonies.set(id, { ...colony, ...change });
}

function empty({ boxes }: Telling, { box: id, slot }: FramePlace): void {
  const box = boxes.get(id);
  if (box) boxes.set(id, { ...box, emptySlots: [...new Set([...(box.emptySlots ?? []), slot])].sort() });
}

function fill({ boxes }: Telling, id: string, slot: string): void {
  const box = boxes.get(id);
  if (box?.emptySlots?.includes(slot))
    boxes.set(id, { ...box, emptySlots: box.emptySlots.filter((each) => each !== slot) });
}
