import type { BoxBefore, LogEvent } from '@yellow-cell/contract';
import type { Day } from '../calendar/days.ts';
import { type Apart, type ApartOptions, apart, toldIn } from './apart.ts';
import { chronicle } from './fold.ts';
import type { Known, YardState } from './state.ts';

/** Stories of some boxes as they are sent: with what others were like, instead of their stories. */
export interface BoxesLog {
  of: readonly string[];
  events: readonly LogEvent[];
  beside: readonly BoxBefore[];
}

/** State of the boxes of some logs as of a day, as `fold` gives it of all boxes together. */
export function foldLog(known: Known, logs: readonly BoxesLog[], asOf?: Day): YardState {
  const { run, dated } = readingOf(known, logs);
  const story: LogEvent[] = [];
  const toSettle: YardState['toSettle'][number][] = [];
  for (const { event, on } of dated) {
    if (asOf !== undefined && on > asOf) continue;
    const sentence = run.tell(event, on);
    if (sentence === undefined) story.push(event);
    else toSettle.push({ event, sentence });
  }
  return { ...run.state(), story, toSettle };
}

/** What some logs tell, to be told event by event, and their events in order. */
export function readingOf(
  known: Known,
  logs: readonly BoxesLog[],
): { run: Apart; dated: ReturnType<typeof chronicle> } {
  const own = new Set(logs.flatMap(({ of }) => of));
  const events = [
    ...new Map(logs.flatMap((log) => log.events.map((event) => [event.id, event] as const))).values(),
  ];
  const before = new Map(
    logs.flatMap(({ beside }) => beside.map((each) => [`${each.event} ${each.box}`, each] as const)),
  );
  const toldHere = toldBefore(
    events.flatMap((event) => toldIn(event).map((each) => ({ ...each, first: event.occurredAt }))),
  );
  // What was told elsewhere of a thing is not here; that it was, is known by what is sent of the other box.
  const sent = new Map<string, string[]>();
  for (const { event, box } of before.values()) sent.set(event, [...(sent.get(event) ?? []), box]);
  const run = apart({
    known,
    isOwn: (box) => own.has(box),
    boxesWith: (thing, until) => [...toldHere(thing, until), ...(sent.get(until.id) ?? [])],
    besideOf: (event, box) => before.get(`${event} ${box}`),
  });
  return { run, dated: chronicle(events) };
}

/** A box in which a thing was told of, and when first. */
export interface ToldWith {
  thing: string;
  box: string;
  first: string;
}

/** Boxes that a thing was told of in until an event, by when each first was. */
export function toldBefore(told: readonly ToldWith[]): ApartOptions['boxesWith'] {
  const byThing = new Map<string, ToldWith[]>();
  for (const each of told) {
    const list = byThing.get(each.thing);
    if (list) list.push(each);
    else byThing.set(each.thing, [each]);
  }
  return (thing, { occurredAt }) =>
    (byThing.get(thing) ?? [])
      .filter(({ first }) => Date.parse(first) <= Date.parse(occurredAt))
      .map(({ box }) => box);
}
