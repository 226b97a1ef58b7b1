import { createHash } from 'node:crypto';
import type { LogEvent } from '@yellow-cell/contract';
import {
  apart,
  type Beside,
  chronicle,
  type Known,
  type ToldWith,
  toldBefore,
  toldIn,
  type YardState,
} from '@yellow-cell/core';
import { addBeside, besideOf, boxesWith, clearBeside, signsOf } from '../store/beside.ts';
import type { Store } from '../store/database.ts';
import { eventsAbout, eventsOfBoxes } from '../store/events.ts';
import { replaceBoxRows } from '../store/readTables.ts';
import { yardIds } from '../store/yards.ts';
import { designsOf } from './designCache.ts';
import { lastOf, rowsOf } from './rows.ts';
import { ROUND_KINDS, subjectIds } from './story.ts';
import { stateOf, surroundings } from './surroundings.ts';

export type Unsettled = YardState['toSettle'][number];

/** Signs what became of a box: 128 bits are enough to tell any two apart. */
export const sign = (text: string): string => createHash('md5').update(text).digest('base64');

/**
 * Tells the stories of boxes anew from their first event, and brings their rows up to them; and of those others of which
 * they make something else than they did.
 */
export async function retell(
  store: Store,
  breeder: string,
  boxes: ReadonlySet<string>,
): Promise<Unsettled[]> {
  const own = new Set(boxes);
  const log = new Map<string, LogEvent>();
  for (let fresh = [...own]; ; ) {
    for (const event of await eventsOfBoxes(store, fresh)) log.set(event.id, event);
    const { run, events, known, recent, toSettle, wanted } = await tellAnew(store, breeder, own, [
      ...log.values(),
    ]);
    if (wanted.length === 0) {
      await keepBeside(store, breeder, [...own], run.beside);
      const wholes = [...own].flatMap((box) => run.wholeOf(box) ?? []);
      const around = await surroundings(
        store,
        breeder,
        wholes,
        [...own].flatMap((box) => recent.of(box).recent),
      );
      const told = rowsOf({
        breeder,
        boxes: own,
        state: { ...stateOf(wholes, around), toSettle },
        known,
        constantsFor: around.constantsFor,
        recentOf: (box) => recent.of(box),
      });
      await replaceBoxRows(store, [...own], told);
      return toSettle.filter(({ event }) => events.has(event.id));
    }
    for (const box of wanted) own.add(box);
    fresh = wanted;
  }
}

/** Writes what is new of what boxes were like before events, and takes out what is not told so any more. */
async function keepBeside(
  store: Store,
  breeder: string,
  own: readonly string[],
  beside: readonly Beside[],
): Promise<void> {
  const stored = await signsOf(store, own);
  const changed: Beside[] = [];
  for (const each of beside) {
    const key = `${each.event} ${each.box}`;
    const before =
      each.before === null ? '' : createHash('md5').update(JSON.stringify(each.before)).digest('hex');
    if (stored.get(key) === `${each.sign} ${before}`) stored.delete(key);
    else changed.push(each);
  }
  await clearBeside(store, [...stored.keys()]);
  await addBeside(store, breeder, changed);
}

async function tellAnew(
  store: Store,
  breeder: string,
  own: ReadonlySet<string>,
  events: readonly LogEvent[],
) {
  const rounds = await eventsAbout(store, subjectIds(events, 'round'), ROUND_KINDS);
  const kept = await besideOf(store, [...own]);
  const known = await knownFor(store, breeder, events, kept);
  const all = chronicle([...new Map([...rounds, ...events].map((event) => [event.id, event])).values()]);
  const told = (elsewhere: readonly ToldWith[]) => tellWith({ known, own, all, kept, events, elsewhere });
  const first = told([]);
  const elsewhere = (await boxesWith(store, first.missing)).filter(({ box }) => !own.has(box));
  return { ...(elsewhere.length === 0 ? first : told(elsewhere)), known };
}

interface Telling {
  known: Known;
  own: ReadonlySet<string>;
  all: ReturnType<typeof chronicle>;
  kept: readonly Beside[];
  events: readonly LogEvent[];
  elsewhere: readonly ToldWith[];
}

function tellWith({ known, own, all, kept, events, elsewhere }: Telling) {
  const asked = new Set<Beside>();
  /** Things that were not where an event says, and when it last was so. */
  const missing = new Map<string, string>();
  const besides = new Map(kept.map((each) => [`${each.event} ${each.box}`, each]));
  const before = toldBefore([...elsewhere, ...events.flatMap(toldHere)]);
  const run = apart({
    known,
    isOwn: (box) => own.has(box),
    boxesWith: (thing, until) => {
      missing.set(thing, until.occurredAt);
      return before(thing, until);
    },
    besideOf: (event, box) => {
      const found = besides.get(`${event} ${box}`);
      if (found) asked.add(found);
      return found;
    },
    sign,
  });
  const recent = newRecent();
  const toSettle: Unsettled[] = [];
  for (const { event, on } of all) {
    const sentence = run.tell(event, on);
    if (sentence === undefined) recent.add(event);
    else toSettle.push({ event, sentence });
  }
  // What was told with another box before, and is not any more, is missing in that one.
  const left = kept.filter((each) => !asked.has(each)).map(({ box }) => box);
  const wanted = [...new Set([...run.wanted, ...left])].filter((box) => !own.has(box));
  return { run, events: new Set(events.map(({ id }) => id)), recent, toSettle, wanted, missing };
}

async function knownFor(
  store: Store,
  breeder: string,
  events: readonly LogEvent[],
  beside: readonly Beside[],
): Promise<Known> {
  const designs = new Set([
    ...events.flatMap((event) => (event.kind === 'boxBuilt' ? [event.payload.design] : [])),
    ...beside.flatMap(({ before }) => before?.box.design ?? []),
  ]);
  return {
    designs: new Map((await designsOf(store, breeder, [...designs])).map((design) => [design.id, design])),
    yards: await yardIds(store),
  };
}

const toldHere = (event: LogEvent): ToldWith[] =>
  toldIn(event).map((each) => ({ ...each, first: event.occurredAt }));

/** What happened last in each box, and when. */
export interface Recent {
  add(event: LogEvent): void;
  of(box: string): { recent: ReturnType<typeof lastOf>; lastAt: string };
}

export const EPOCH = '1970-01-01T00:00:00.000Z';

export function newRecent(): Recent {
  const events = new Map<string, LogEvent[]>();
  return {
    add(event) {
      for (const { kind, id } of event.subjects)
        if (kind === 'box') {
          const list = events.get(id) ?? [];
          events.set(id, list);
          list.push(event);
          if (list.length > LATEST) list.shift();
        }
    },
    of(box) {
      const list = events.get(box) ?? [];
      return { recent: lastOf(list), lastAt: list.at(-1)?.occurredAt ?? EPOCH };
    },
  };
}
const LATEST = 12;
