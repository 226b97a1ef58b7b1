import { apart, dayAt, standingAmong, type Whole } from '@yellow-cell/core';
import { ahead } from '../store/ahead.ts';
import { addBeside } from '../store/beside.ts';
import { markFolded } from '../store/breeders.ts';
import { lockLog, type Store } from '../store/database.ts';
import { correctingEvents, eventPages, subjectsOfKind } from '../store/events.ts';
import { clearReadTables, fillBoxRows } from '../store/readTables.ts';
import type { ReadRows } from '../store/tables.ts';
import { yardIds } from '../store/yards.ts';
import { allDesigns } from './designCache.ts';
import { refreshAround } from './refresh.ts';
import { EPOCH, newRecent, type Recent, sign, type Unsettled } from './retell.ts';
import { rowsOf } from './rows.ts';
import { stateOf, surroundings } from './surroundings.ts';

/** Raised whenever the same log would give other read rows: where theirs is another, they are made anew at the start. */
export const FOLD_VERSION = 16;

/** Recomputes every read table of the breeder from the log. Must give the rows that stood there. */
export async function rebuild(
  store: Store,
  breeder: string,
  tell: (done: number) => void = () => undefined,
): Promise<{ boxes: number }> {
  await lockLog(store);
  const yards = new Set(await subjectsOfKind(store, 'yard'));
  await clearReadTables(store);
  await refreshAround(store, breeder, {
    rounds: new Set(await subjectsOfKind(store, 'round')),
    yards,
    seasons: yards,
  });
  const boxes = await tellAll(store, breeder, tell);
  await markFolded(store, FOLD_VERSION);
  return { boxes };
}

/** Tells the whole log once, in its order, each box apart; only what boxes are like at the end is held in memory. */
async function tellAll(store: Store, breeder: string, tell: (done: number) => void): Promise<number> {
  const known = { designs: await allDesigns(store, breeder), yards: await yardIds(store) };
  const run = apart({
    known,
    isOwn: () => true,
    besideOf: () => NONE,
    sign,
  });
  const stands = standingAmong(await correctingEvents(store));
  const recent = newRecent();
  const toSettle: Unsettled[] = [];
  let done = 0;
  let kept: Promise<void> = Promise.resolve();
  for await (const events of eventPages(store, EVENTS_AT_ONCE)) {
    for (const event of events) {
      if (!stands(event)) continue;
      const sentence = run.tell(event, dayAt(Date.parse(event.occurredAt), event.zone));
      if (sentence === undefined) recent.add(event);
      else toSettle.push({ event, sentence });
    }
    await kept;
    kept = ahead(addBeside(store, breeder, run.beside.splice(0)));
    // Every box is told here: what is missing is nowhere.
    run.missing.length = 0;
    done += events.length;
    tell(done);
  }
  await kept;
  const waiting = bySubject(toSettle);
  const boxes = [...run.told.keys()];
  for (let at = 0; at < boxes.length; at += BOXES_AT_ONCE) {
    const some = boxes.slice(at, at + BOXES_AT_ONCE).map(
      (box): Stood => ({
        box,
        whole: run.wholeOf(box),
        recent: recent.of(box),
        lastAt: run.told.get(box) ?? EPOCH,
        toSettle: waiting.get(box) ?? [],
      }),
    );
    await fillFrom(store, breeder, some);
  }
  return boxes.length;
}
const NONE: readonly never[] = [];
const EVENTS_AT_ONCE = 1_000;
const BOXES_AT_ONCE = 40;

/** A box at the end of its story. */
interface Stood {
  box: string;
  whole: Whole | undefined;
  recent: ReturnType<Recent['of']>;
  lastAt: string;
  toSettle: Unsettled[];
}

async function fillFrom(store: Store, breeder: string, boxes: readonly Stood[]): Promise<void> {
  const wholes = boxes.flatMap(({ whole }) => whole ?? []);
  const around = await surroundings(
    store,
    breeder,
    wholes,
    boxes.flatMap(({ recent }) => recent),
  );
  const all: ReadRows = { boxes: [], compartments: [], attempts: [], queens: [], due: [], toSettle: [] };
  // Each by itself: what lives in one is looked for among what lives in it.
  for (const { box, whole, recent, lastAt, toSettle } of boxes) {
    const state = { ...stateOf(whole ? [whole] : [], around), toSettle };
    const rows = rowsOf({
      breeder,
      boxes: new Set([box]),
      ...around,
      state,
      recentOf: () => recent,
      lastAt: () => lastAt,
    });
    for (const [kind, list] of Object.entries(rows)) all[kind as keyof ReadRows].push(...(list as never[]));
  }
  await fillBoxRows(store, all);
}

function bySubject(toSettle: readonly Unsettled[]): Map<string, Unsettled[]> {
  const found = new Map<string, Unsettled[]>();
  for (const each of toSettle)
    for (const { kind, id } of each.event.subjects)
      if (kind === 'box') found.set(id, [...(found.get(id) ?? []), each]);
  return found;
}
