import type { BoxBefore, LogEvent, WeatherDay } from '@yellow-cell/contract';
import type { Day } from '../calendar/days.ts';
import { type Apart, apart } from './apart.ts';
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

/** States of different boxes, each told by itself, as one. */
export function asOneYard(states: readonly YardState[]): YardState {
  const weather = new Map<string, Map<Day, WeatherDay>>();
  for (const [yard, days] of states.flatMap((state) => [...state.weather]))
    weather.set(yard, new Map([...(weather.get(yard) ?? []), ...days]));
  const toSettle = new Map(states.flatMap((state) => state.toSettle.map((each) => [each.event.id, each])));
  const story = new Map(states.flatMap((state) => state.story.map((event) => [event.id, event])));
  // What one box says cannot be is nothing to another that it only names.
  for (const id of toSettle.keys()) story.delete(id);
  return {
    boxes: joined(states.map(({ boxes }) => boxes)),
    colonies: joined(states.map(({ colonies }) => colonies)),
    attempts: joined(states.map(({ attempts }) => attempts)),
    queens: joined(states.map(({ queens }) => queens)),
    frames: joined(states.map(({ frames }) => frames)),
    rounds: joined(states.map(({ rounds }) => rounds)),
    trials: joined(states.map(({ trials }) => trials)),
    weather,
    story: [...story.values()].sort((a, b) => Date.parse(a.occurredAt) - Date.parse(b.occurredAt)),
    toSettle: [...toSettle.values()],
  };
}

const joined = <T>(maps: readonly ReadonlyMap<string, T>[]): Map<string, T> =>
  new Map(maps.flatMap((map) => [...map]));

/** What some logs tell, to be told event by event, and their events in order. */
export function readingOf(
  known: Known,
  logs: readonly BoxesLog[],
): { run: Apart; dated: ReturnType<typeof chronicle> } {
  const own = new Set(logs.flatMap(({ of }) => of));
  const events = [
    ...new Map(logs.flatMap((log) => log.events.map((event) => [event.id, event] as const))).values(),
  ];
  const beside = new Map<string, BoxBefore[]>();
  for (const each of logs.flatMap((log) => log.beside)) {
    const before = beside.get(each.event) ?? [];
    if (!before.some(({ box }) => box === each.box)) beside.set(each.event, [...before, each]);
  }
  const run = apart({
    known,
    isOwn: (box) => own.has(box),
    besideOf: (event) => beside.get(event) ?? NONE,
  });
  return { run, dated: chronicle(events) };
}

const NONE: readonly BoxBefore[] = [];
