import { apart, dayAt, standingAmong, type Whole } from '@yellow-cell/core';
import { addBeside, allBoxesWith } from '../store/beside.ts';
import { markFolded } from '../store/breeders.ts';
import type { Store } from '../store/database.ts';
import { correctingEvents, eventPages, lockLog, subjectsOfKind } from '../store/events.ts';
import { clearReadTables, fillBoxRows } from '../store/readTables.ts';
import { yardIds } from '../store/yards.ts';
import { allDesigns } from './designCache.ts';
import { refreshAround } from './refresh.ts';
import { newRecent, type Recent, sign, toldBefore, type Unsettled } from './retell.ts';
import { rowsOf } from './rows.ts';
import { stateOf, surroundings } from './surroundings.ts';

/** Raised whenever the same log would give other read rows: where theirs is another, they are made anew at the start. */
export const FOLD_VERSION = 11;

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
    boxesWith: toldBefore(await allBoxesWith(store)),
    besideOf: () => undefined,
    sign,
  });
  const stands = standingAmong(await correctingEvents(store));
  const recent = newRecent();
  const toSettle: Unsettled[] = [];
  let done = 0;
  for await (const events of eventPages(store, EVENTS_AT_ONCE)) {
    for (const event of events) {
      if (!stands(event)) continue;
      const sentence = run.tell(event, dayAt(Date.parse(event.occurredAt), event.zone));
      if (sentence === undefined) recent.add(event);
      else toSettle.push({ event, sentence });
    }
    await addBeside(store, breeder, run.beside.splice(0));
    done += events.length;
    tell(done);
  }
  const boxes = [...run.told];
  for (let at = 0; at < boxes.length; at += BOXES_AT_ONCE) {
    const some = new Set(boxes.slice(at, at + BOXES_AT_ONCE));
    await fillFrom(store, breeder, some, {
      wholes: [...some].flatMap((box) => run.wholeOf(box) ?? []),
      recent,
      toSettle,
    });
  }
  return boxes.length;
}
const EVENTS_AT_ONCE = 4_000;
const BOXES_AT_ONCE = 40;

async function fillFrom(
  store: Store,
  breeder: string,
  boxes: ReadonlySet<string>,
  { wholes, recent, toSettle }: { wholes: Whole[]; recent: Recent; toSettle: Unsettled[] },
): Promise<void> {
  const last = [...boxes].flatMap((box) => recent.of(box).recent);
  const around = await surroundings(store, breeder, wholes, last);
  const state = { ...stateOf(wholes, around), toSettle };
  await fillBoxRows(
    store,
    rowsOf({
      breeder,
      boxes,
      state,
      known: around.known,
      constantsFor: around.constantsFor,
      recentOf: recent.of,
    }),
  );
}
