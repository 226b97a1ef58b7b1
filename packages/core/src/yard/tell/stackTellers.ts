import type { BoxState, Colony, DesignContent } from '@yellow-cell/contract';
import { designProblems } from '../../box/designProblems.ts';
import { bayPartedBy, withHandPlaces } from '../../box/handPlace.ts';
import { withBody, withPart } from '../../box/parts.ts';
import {
  hasBody,
  idsIn,
  type Layer,
  namesFor,
  renamed,
  withLayerAt,
  withoutLayer,
} from '../../box/stackMoves.ts';
import type { Day } from '../../calendar/days.ts';
import { designOf, drawnDesign, livingIn } from '../compartments.ts';
import { regroup, settleRooms } from '../regroup.ts';
import { withBay } from '../roomsOf.ts';
import { present, standingBox, type Tellers, type Telling, wholly } from './telling.ts';

type StackKind = 'layerPut' | 'layerTaken' | 'floorSet' | 'roofSet' | 'cheeksSet' | 'boardAdded';

/** A box as it stands is a stack of things: each move of the drawing board, on the live box (decision 17). */
export const stackTellers: Tellers<StackKind> = {
  layerPut(telling, { payload }, on) {
    const box = standingBox(telling.boxes, payload.box, on);
    if (typeof box === 'string') return box;
    const design = drawnDesign(telling.known.designs, box);
    if (!design) return unknownDrawing(box);
    if (payload.from === undefined) {
      if (idsIn(payload.layer).some((id) => design.layers.flatMap(idsIn).includes(id)))
        return `A part of that name stands in box ${box.label} already.`;
      return stand(telling, box, withLayerAt(design, payload.layer, payload.at), on);
    }
    const giver = standingBox(telling.boxes, payload.from, on);
    if (typeof giver === 'string') return giver;
    const found = giver.off?.find(({ layer }) => layer.id === payload.layer.id);
    if (!found) return `That part does not lie beside box ${giver.label}.`;
    return wholly(telling, () => {
      telling.boxes.set(giver.id, { ...giver, off: (giver.off ?? []).filter((each) => each !== found) });
      return carry(telling, giver.id, box.id, found.layer, payload.at, on);
    });
  },

  layerTaken(telling, { payload }, on) {
    const box = standingBox(telling.boxes, payload.box, on);
    if (typeof box === 'string') return box;
    const design = drawnDesign(telling.known.designs, box);
    const layer = design?.layers.find(({ id }) => id === payload.layer);
    if (!design || !layer) return `Box ${box.label} has no such part in its stack.`;
    const rest = withoutLayer(design, layer.id);
    if (payload.to) {
      if (payload.to.box === box.id) return `That part stands in box ${box.label} already.`;
      const to = standingBox(telling.boxes, payload.to.box, on);
      if (typeof to === 'string') return to;
      const { to: target, parted } = payload;
      return wholly(telling, () => {
        telling.boxes.set(box.id, { ...box, changed: rest });
        const problem = carry(telling, box.id, to.id, layer, target.at, on, parted);
        return problem ?? leaveBehind(telling, box.id, on);
      });
    }
    if (!hasBody(rest)) return `Box ${box.label} would be without a body: take it apart instead.`;
    const bays = baysIn(layer);
    if (livingIn(telling.colonies, box).some(({ home }) => home.every((bay) => bays.includes(bay))))
      return `Bees of box ${box.label} live in it: set it on another box, or build a box of it.`;
    const problem = stand(telling, { ...box, off: [...(box.off ?? []), { layer, since: on }] }, rest, on);
    return problem;
  },

  floorSet: (telling, { payload }, on) =>
    change(telling, payload.box, on, (design) => ({ ...design, floor: payload.floor })),
  roofSet: (telling, { payload }, on) =>
    change(telling, payload.box, on, (design) => ({ ...design, roof: payload.roof })),
  cheeksSet: (telling, { payload }, on) =>
    change(telling, payload.box, on, (design, box) =>
      design.layers.some(({ id, kind }) => id === payload.body && kind === 'body')
        ? withPart(design, payload.body, { cheeks: payload.cheeks })
        : `Box ${box.label} has no such body.`,
    ),

  boardAdded(telling, { payload }, on) {
    const { body, board, at_mm, framesLeft, bay } = payload;
    let parted: string | undefined;
    const problem = change(
      telling,
      payload.box,
      on,
      (design, box) => {
        if (!design.layers.some(({ id, kind }) => id === body && kind === 'body'))
          return `Box ${box.label} has no such body.`;
        if (design.layers.flatMap(idsIn).some((id) => id === board.id || id === board.groove || id === bay))
          return `A part of that name stands in box ${box.label} already.`;
        const fitted = withBody(design, body, (now) => ({ ...now, boards: [...now.boards, board] }));
        const place = { board: board.id, groove: board.groove, bay, at_mm, framesLeft };
        const found = bayPartedBy(fitted, place);
        if ('problem' in found) return `Box ${box.label}: ${found.problem}`;
        parted = found.bay;
        return withHandPlaces(fitted, [place]);
      },
      (box) => {
        for (const colony of livingIn(telling.colonies, box))
          if (parted !== undefined && colony.bays.includes(parted))
            telling.colonies.set(colony.id, withBay(colony, parted, bay));
      },
    );
    return problem;
  },
};

const unknownDrawing = ({ label }: BoxState): string => `Nothing is known of how box ${label} is drawn.`;
const baysIn = (layer: Layer): string[] => (layer.kind === 'body' ? layer.bays.map(({ id }) => id) : []);

/** Changes the stack of one box. */
function change(
  telling: Telling,
  id: string,
  on: Day,
  make: (design: DesignContent, box: BoxState) => DesignContent | string,
  before?: (box: BoxState) => void,
): string | undefined {
  const box = standingBox(telling.boxes, id, on);
  if (typeof box === 'string') return box;
  const design = drawnDesign(telling.known.designs, box);
  const next = design && make(design, box);
  if (next === undefined) return unknownDrawing(box);
  return typeof next === 'string' ? next : stand(telling, box, next, on, before);
}

/** The box with this stack; who lives with whom then, or why it cannot stand so. */
function stand(
  telling: Telling,
  box: BoxState,
  stack: DesignContent,
  on: Day,
  before?: (box: BoxState) => void,
): string | undefined {
  // Places set by hand are part of the stack from now on.
  const { places: _, ...rest } = box;
  const next: BoxState = { ...rest, changed: stack };
  const problem = cannotStand(telling, next);
  if (problem) return problem;
  telling.boxes.set(box.id, next);
  before?.(next);
  regroup(telling, next, on);
  settleRooms(telling, telling.boxes.get(box.id) ?? next, on);
  return undefined;
}

function cannotStand({ known }: Telling, box: BoxState): string | undefined {
  const design = designOf(known.designs, box);
  const [problem] = design ? designProblems(design) : [];
  return problem && `Box ${box.label} cannot stand so. ${problem.sentence}`;
}

/** After its last body went to another box, a box is no box any more. */
function leaveBehind(telling: Telling, id: string, on: Day): undefined {
  const box = telling.boxes.get(id);
  if (box?.changed && !hasBody(box.changed)) {
    const { changed: _, ...rest } = box;
    telling.boxes.set(id, { ...rest, takenApartOn: on });
  }
  return undefined;
}

/** Layers of one box make a new one, on its own floor and under its own roof. */
export function madeOf(
  telling: Telling,
  box: BoxState,
  of: { box: string; layers: readonly string[] },
  on: Day,
  parted: string | undefined,
): string | undefined {
  const giver = standingBox(telling.boxes, of.box, on);
  if (typeof giver === 'string') return giver;
  const own = drawnDesign(telling.known.designs, box);
  const design = drawnDesign(telling.known.designs, giver);
  const layers = design?.layers.filter(({ id }) => of.layers.includes(id)) ?? [];
  if (!own || !design || layers.length < of.layers.length || !layers.some(({ kind }) => kind === 'body'))
    return `Box ${giver.label} has no such body to build a box of.`;
  telling.boxes.set(box.id, { ...box, changed: { ...own, layers: [] } });
  for (const [at, layer] of layers.entries()) {
    const now = telling.boxes.get(giver.id) ?? giver;
    const stack = drawnDesign(telling.known.designs, now) ?? design;
    telling.boxes.set(giver.id, { ...now, changed: withoutLayer(stack, layer.id) });
    const problem = carry(telling, giver.id, box.id, layer, at, on, parted);
    if (problem) return problem;
  }
  return leaveBehind(telling, giver.id, on);
}

/** A layer that left one box onto another, with its frames, bees and queens; its parts are called anew where the other has such names. */
function carry(
  telling: Telling,
  fromId: string,
  toId: string,
  layer: Layer,
  at: number,
  on: Day,
  parted?: string,
): string | undefined {
  const { boxes, known } = telling;
  const [from, to] = [boxes.get(fromId), boxes.get(toId)];
  const design = to && (drawnDesign(known.designs, to) ?? to.changed);
  if (!from || !to || !design) return 'Nothing is known of how that box is drawn.';
  const names = from.id === to.id ? new Map<string, string>() : namesFor(layer, design, from.id.slice(0, 8));
  const own = new Set(idsIn(layer));
  const id = (old: string): string => names.get(old) ?? old;
  const { places: _, ...target } = to;
  const moved: BoxState = {
    ...target,
    ...takenDeltas(from, to, own, id),
    changed: withLayerAt(design, renamed(layer, names), at),
  };
  const problem = cannotStand(telling, moved);
  if (problem) return problem;
  boxes.set(to.id, moved);
  if (from.id !== to.id) {
    boxes.set(from.id, { ...from, ...leftDeltas(from, own) });
    for (const colony of livingIn(telling.colonies, from))
      carryColony(telling, colony, moved, own, id, on, parted);
    for (const frame of telling.frames.values())
      if (frame.at?.box === from.id && own.has(frame.at.slot))
        telling.frames.set(frame.id, { ...frame, at: { box: to.id, slot: id(frame.at.slot) } });
  }
  for (const each of [boxes.get(from.id), boxes.get(to.id)]) {
    if (!each || (each.changed && !hasBody(each.changed))) continue;
    const wrong = cannotStand(telling, each);
    if (wrong) return wrong;
    regroup(telling, each, on);
    settleRooms(telling, boxes.get(each.id) ?? each, on);
  }
  return undefined;
}

/** Bees that live in the layer go along; those that live partly in it are parted, and keep the part of their queen. */
function carryColony(
  telling: Telling,
  colony: Colony,
  to: BoxState,
  own: ReadonlySet<string>,
  id: (old: string) => string,
  on: Day,
  parted: string | undefined,
): void {
  const inIt = colony.home.filter((bay) => own.has(bay));
  const rest = colony.home.filter((bay) => !own.has(bay));
  if (inIt.length === 0) return;
  const there = inIt.map(id);
  const goes = rest.length === 0 || (colony.queenIn !== undefined && own.has(colony.queenIn));
  const { queenIn, ...bees } = colony;
  const others = (box: string, home: readonly string[]): Colony | undefined =>
    parted === undefined
      ? undefined
      : {
          id: parted,
          box,
          bays: home,
          home,
          stockedOn: on,
          openBrood: false,
          status: 'unknown',
          since: on,
          beesOf: colony.id,
          ...present({ strips: colony.strips }),
        };
  const away: Colony = goes
    ? { ...bees, box: to.id, home: there, bays: there, ...present({ queenIn: queenIn && id(queenIn) }) }
    : { ...colony, home: rest, bays: rest };
  telling.colonies.set(colony.id, away);
  const left = rest.length === 0 ? undefined : goes ? others(colony.box, rest) : others(to.id, there);
  if (left) telling.colonies.set(left.id, left);
  if (!goes) return;
  for (const queen of telling.queens.values())
    if (queen.colony === colony.id && !queen.gone)
      telling.queens.set(queen.id, {
        ...queen,
        box: to.id,
        sightings: queen.sightings.map(({ slot, ...seen }) => ({
          ...seen,
          ...present({ slot: slot && id(slot) }),
        })),
      });
}

/** What stands otherwise than drawn of the parts that move, as the box that they come to has it. */
function takenDeltas(
  from: BoxState,
  to: BoxState,
  own: ReadonlySet<string>,
  id: (old: string) => string,
): Partial<BoxState> {
  if (from.id === to.id) return {};
  const list = (pick: (box: BoxState) => readonly string[] | undefined): string[] =>
    [...(pick(to) ?? []), ...(pick(from) ?? []).filter((each) => own.has(each)).map(id)].sort();
  const record = <V>(
    pick: (box: BoxState) => Readonly<Record<string, V>> | undefined,
  ): Record<string, V> => ({
    ...pick(to),
    ...Object.fromEntries(
      Object.entries(pick(from) ?? {}).flatMap(([part, value]) => (own.has(part) ? [[id(part), value]] : [])),
    ),
  });
  const roles = (from.roles ?? []).flatMap((role) =>
    role.bays?.some((bay) => own.has(bay)) ? [{ ...role, bays: role.bays.map(id) }] : [],
  );
  const grooves = record(({ grooves }) => grooves);
  return {
    pulled: list(({ pulled }) => pulled),
    ventsShut: list(({ ventsShut }) => ventsShut),
    emptySlots: list(({ emptySlots }) => emptySlots),
    grooves: Object.fromEntries(
      Object.entries(grooves).map(([board, groove]) => [board, own.has(groove) ? id(groove) : groove]),
    ),
    slots: record(({ slots }) => slots),
    entranceStates: record(({ entranceStates }) => entranceStates),
    holes: record(({ holes }) => holes),
    ...(roles.length > 0 ? { roles: [...(to.roles ?? []), ...roles] } : {}),
  };
}

/** And what the box keeps of them that they leave. */
function leftDeltas(from: BoxState, own: ReadonlySet<string>): Partial<BoxState> {
  const kept = (list: readonly string[] = []) => list.filter((each) => !own.has(each));
  const rest = <V>(record: Readonly<Record<string, V>> = {}): Record<string, V> =>
    Object.fromEntries(Object.entries(record).filter(([part]) => !own.has(part)));
  return {
    pulled: kept(from.pulled),
    ventsShut: kept(from.ventsShut),
    emptySlots: kept(from.emptySlots),
    grooves: rest(from.grooves),
    slots: rest(from.slots),
    entranceStates: rest(from.entranceStates),
    holes: rest(from.holes),
  };
}
