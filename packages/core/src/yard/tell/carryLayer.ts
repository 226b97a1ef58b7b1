import type { BoxState, Colony } from '@yellow-cell/contract';
import { designProblems } from '../../box/designProblems.ts';
import { hasBody, idsIn, type Layer, namesFor, renamed, withLayerAt } from '../../box/stackMoves.ts';
import type { Day } from '../../calendar/days.ts';
import { designOf, drawnDesign, livingIn } from '../compartments.ts';
import { regroup, settleRooms } from '../regroup.ts';
import { isTheirs } from './queensIn.ts';
import { present, type Telling } from './telling.ts';

/** Why a box cannot stand with the stack that it has. */
export function cannotStand({ known }: Telling, box: BoxState): string | undefined {
  const design = designOf(known.designs, box);
  const [problem] = design ? designProblems(design) : [];
  return problem && `Box ${box.label} cannot stand so. ${problem.sentence}`;
}

/** A layer that left one box onto another, with its frames, bees and queens; its parts are called anew where the other has such names. */
export function carry(
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
  if (parted !== undefined && telling.colonies.has(parted)) return 'That colony stands elsewhere.';
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
    if (queen.colony === colony.id && isTheirs(queen))
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
