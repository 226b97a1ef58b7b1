import type {
  Attempt,
  BoxState,
  Colony,
  Entry,
  EventKind,
  Frame,
  Payload,
  Queen,
  Round,
  WeatherDay,
} from '@yellow-cell/contract';
import type { Day } from '../../calendar/days.ts';
import { showDay } from '../../calendar/showDay.ts';
import type { Known, TrialState } from '../state.ts';
import { firstOf } from '../things.ts';

/** The story so far, while it is being told. */
export interface Telling {
  known: Known;
  boxes: Map<string, BoxState>;
  colonies: Map<string, Colony>;
  attempts: Map<string, Attempt>;
  queens: Map<string, Queen>;
  frames: Map<string, Frame>;
  rounds: Map<string, Round>;
  weather: Map<string, Map<Day, WeatherDay>>;
  trials: Map<string, TrialState>;
}

/** Adds one event to the story, or says in a sentence why it cannot be. */
export type Teller<K extends EventKind> = (
  telling: Telling,
  event: Extract<Entry, { kind: K }>,
  on: Day,
) => string | undefined;
export type Tellers<K extends EventKind> = { [Kind in K]: Teller<Kind> };

type About<Field extends string> = {
  [K in EventKind]: Payload<K> extends Record<Field, string> ? K : never;
}[EventKind];

/** A teller of events that change one standing box; a sentence in place of the box refuses. */
export function ofBox<K extends About<'box'>>(
  change: (box: BoxState, payload: Payload<K>, on: Day, telling: Telling) => BoxState | string,
): Teller<K> {
  return (telling, event, on) => {
    const { payload } = event as unknown as { payload: Payload<K> & { box: string } };
    const box = standingBox(telling.boxes, payload.box, on);
    const next = typeof box === 'string' ? box : change(box, payload, on, telling);
    if (typeof next === 'string') return next;
    telling.boxes.set(next.id, next);
    return undefined;
  };
}

/** A teller of events that change one living colony but not its status; a sentence in place of the colony refuses. */
export function ofColony<K extends About<'colony'>>(
  change: (
    colony: Colony,
    payload: Payload<K>,
    on: Day,
    telling: Telling,
    entry: { id: string; zone: string },
  ) => Colony | string,
): Teller<K> {
  return (telling, event, on) => {
    const entry = event as unknown as Entry;
    const { payload } = event as unknown as { payload: Payload<K> & { box: string; colony: string } };
    const colony = livingColony(telling, payload, on);
    const next = typeof colony === 'string' ? colony : change(colony, payload, on, telling, entry);
    if (typeof next === 'string') return next;
    telling.colonies.set(next.id, next);
    return undefined;
  };
}

export function standingBox(boxes: ReadonlyMap<string, BoxState>, id: string, on: Day): BoxState | string {
  const box = boxes.get(id);
  if (!box) return 'That box does not exist, or was not built yet on this day.';
  if (box.takenApartOn) return `Box ${box.label} was taken apart on ${showDay(box.takenApartOn, on)}.`;
  return box;
}

/** Why a box cannot go: another stands on it. */
export function stillUpon({ boxes }: Telling, id: string): string | undefined {
  const upon = firstOf(boxes, ({ onto }) => onto === id);
  return upon && `Box ${upon.label} still stands on it.`;
}

/** The colony of an entry, alive and in that box, or why the entry cannot be. */
export function livingColony(
  { boxes, colonies }: Telling,
  payload: { box: string; colony: string },
  on: Day,
): Colony | string {
  const box = standingBox(boxes, payload.box, on);
  if (typeof box === 'string') return box;
  const colony = colonies.get(payload.colony);
  if (!colony || colony.box !== box.id)
    return `There were no such bees in box ${box.label} on ${showDay(on)}.`;
  if (colony.ended)
    return `The bees of that compartment of box ${box.label} were gone since ${showDay(colony.ended.on, on)}.`;
  return colony;
}

/** Tells something of several steps whole or not at all: where a step cannot be, all is as it was before. */
export function wholly(telling: Telling, tellIt: () => string | undefined): string | undefined {
  const { boxes, colonies, queens, frames } = telling;
  const before = [boxes, colonies, queens, frames].map((map) => [...map]);
  const sentence = tellIt();
  if (sentence !== undefined)
    [boxes, colonies, queens, frames].forEach((map, index) => {
      map.clear();
      for (const [id, value] of before[index] ?? []) (map as Map<string, unknown>).set(id, value);
    });
  return sentence;
}

/** The colony with its queen, or cell, known to be in the room of a bay, where one is named that it lives in. */
export const inRoom = (colony: Colony, bay: string | undefined): Colony =>
  bay !== undefined && colony.bays.includes(bay) ? { ...colony, queenIn: bay } : colony;

/** The same without a field. */
export function without<T extends object, F extends keyof T>(value: T, field: F): Omit<T, F> {
  const { [field]: _, ...rest } = value;
  return rest;
}

/** Fields that are there; `exactOptionalPropertyTypes` keeps absent and undefined apart. */
export function present<T extends object>(fields: T): { [K in keyof T]?: NonNullable<T[K]> } {
  const there: { [K in keyof T]?: NonNullable<T[K]> } = {};
  for (const field in fields) {
    const value = fields[field];
    if (value !== undefined) there[field] = value as NonNullable<typeof value>;
  }
  return there;
}
