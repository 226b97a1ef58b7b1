import { createHash } from 'node:crypto';
import type { LogEvent } from '@yellow-cell/contract';
import { apart, type Beside, chronicle, type Known, type YardState } from '@yellow-cell/core';
import { addBeside, besideOf, boxesThatMayHold, clearBeside, signsOf } from '../store/beside.ts';
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
 * they make something else than they did. `fresh` are entries that were not told yet: where their things are is looked for.
 */
export async function retell(
  store: Store,
  breeder: string,
  boxes: ReadonlySet<string>,
  fresh: ReadonlySet<string>,
): Promise<Unsettled[]> {
  const own = new Set(boxes);
  const log = new Map<string, LogEvent>();
  for (let more = [...own]; ; ) {
    for (const event of await eventsOfBoxes(store, more)) log.set(event.id, event);
    const { run, known, recent, toSettle, wanted } = await tellAnew(store, breeder, own, [...log.values()]);
    const missing = run.missing.filter(({ event }) => fresh.has(event.id));
    more = [...new Set([...wanted, ...(await boxesThatMayHold(store, missing))])].filter(
      (box) => !own.has(box),
    );
    for (const box of more) own.add(box);
    if (more.length > 0) continue;
    await keepBeside(store, breeder, [...own], run.beside);
    const wholes = [...own].flatMap((box) => run.wholeOf(box) ?? []);
    const last = [...own].flatMap((box) => recent.of(box));
    const around = await surroundings(store, breeder, wholes, last);
    await replaceBoxRows(
      store,
      [...own],
      rowsOf({
        breeder,
        boxes: own,
        state: { ...stateOf(wholes, around), toSettle },
        known,
        constantsFor: around.constantsFor,
        recentOf: recent.of,
        lastAt: (box) => run.told.get(box) ?? EPOCH,
      }),
    );
    return toSettle.filter(({ event }) => log.has(event.id));
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
  const byEvent = new Map<string, Beside[]>();
  for (const each of kept) byEvent.set(each.event, [...(byEvent.get(each.event) ?? []), each]);
  const run = apart({
    known,
    isOwn: (box) => own.has(box),
    besideOf: (event) => byEvent.get(event) ?? [],
    sign,
  });
  const recent = newRecent();
  const toSettle: Unsettled[] = [];
  const all = new Map([...rounds, ...events].map((event) => [event.id, event]));
  for (const { event, on } of chronicle([...all.values()])) {
    const sentence = run.tell(event, on);
    if (sentence === undefined) recent.add(event);
    else toSettle.push({ event, sentence });
  }
  // What was told with another box before, and is not any more, is missing in that one.
  const left = kept.filter((each) => !run.asked.has(each)).map(({ box }) => box);
  return { run, known, recent, toSettle, wanted: [...run.wanted, ...left] };
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

/** What happened last in each box. */
export interface Recent {
  add(event: LogEvent): void;
  of(box: string): ReturnType<typeof lastOf>;
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
    of: (box) => lastOf(events.get(box) ?? []),
  };
}
const LATEST = 12;
