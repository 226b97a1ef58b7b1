import { type Day, failByFrom, WEATHER_BEARS_D, type Weather } from '@yellow-cell/core';
import { ahead } from '../store/ahead.ts';
import { isDatabaseGone, type Store } from '../store/database.ts';
import {
  addWaiting,
  attemptsToReckon,
  changeFailBy,
  livedIn,
  type ReckonedRows,
  replaceReckonedRows,
  standingNow,
  takeWaiting,
} from '../store/reckoned.ts';
import type { Context } from './context.ts';
import { reckonedRows } from './rows.ts';
import { stateOf, type YardSurroundings, yardSurroundings } from './surroundings.ts';

/** So many boxes are read and reckoned at once; the server answers others in between. */
const BOXES_AT_ONCE = 50;
/** As many as a breeder has are brought up at once; of more, the others wait for turns of their own. */
const BOXES_AT_FIRST = 100;

/**
 * Brings what is reckoned of a yard up to other figures, or to other weather of some days, without telling a story
 * again: what is due, and by when attempts have failed. Only rows that come out otherwise are written. Of a large yard
 * a part is left waiting, which `reckonWaiting` brings up.
 */
export async function reckonYard(
  store: Store,
  breeder: string,
  yard: string,
  changed?: Changed,
): Promise<void> {
  const around = await yardSurroundings(store, breeder, yard);
  await reckonAttempts(store, around, yard, changed);
  const boxes = await livedIn(store, yard, changed, WEATHER_BEARS_D);
  await addWaiting(store, breeder, boxes.slice(BOXES_AT_FIRST));
  await reckonEach(store, breeder, around, boxes.slice(0, BOXES_AT_FIRST));
}

const running = new WeakMap<Context, Promise<void>>();

/**
 * Brings up the boxes that wait, some at a time and each time in a transaction of its own, so that others write in
 * between. What it cannot finish still waits, also for the next start; whoever calls meanwhile gets the same run.
 */
export function reckonWaiting(context: Context): Promise<void> {
  const going = running.get(context) ?? reckonAll(context).finally(() => running.delete(context));
  running.set(context, going);
  return going;
}

const RETRY_MS = 5_000;
/** The same where nobody waits for it; once more where the database went away. */
export function reckonLater(context: Context, retry_ms = RETRY_MS): void {
  reckonWaiting(context).catch((error) => {
    if (isDatabaseGone(error)) setTimeout(() => reckonLater(context, retry_ms), retry_ms).unref();
  });
}

async function reckonAll(context: Context): Promise<void> {
  while (await context.writing((store) => reckonSome(store, context.breeder))) {}
}

async function reckonSome(store: Store, breeder: string): Promise<boolean> {
  const waiting = await takeWaiting(store, BOXES_AT_FIRST);
  if (!waiting) return false;
  await reckonEach(store, breeder, await yardSurroundings(store, breeder, waiting.yard), waiting.boxes);
  return true;
}

async function reckonEach(
  store: Store,
  breeder: string,
  around: YardSurroundings,
  boxes: readonly string[],
): Promise<void> {
  const readFrom = (at: number) => ahead(standingNow(store, boxes.slice(at, at + BOXES_AT_ONCE)));
  for (let at = 0, next = readFrom(0); at < boxes.length; at += BOXES_AT_ONCE) {
    const standing = await next;
    // Read while these are reckoned.
    next = readFrom(at + BOXES_AT_ONCE);
    await reckonBoxes(store, breeder, around, standing);
  }
}

/** Days whose weather is other than it was, all or some of those from the first to the last. */
interface Changed {
  first: Day;
  last: Day;
}

async function reckonAttempts(
  store: Store,
  { weather, constantsIn }: YardSurroundings,
  yard: string,
  changed: Changed | undefined,
): Promise<void> {
  const days = weather.get(yard) ?? NO_WEATHER;
  const constants = constantsIn(yard);
  const attempts = await attemptsToReckon(store, yard, changed?.first);
  // Of thousands of attempts many were given on the same day.
  const byDay = new Map(
    [...new Set(attempts.map(({ cell_on }) => cell_on))].map((day) => [
      day,
      failByFrom(day, days, constants),
    ]),
  );
  await changeFailBy(
    store,
    attempts.flatMap(({ attempt_id, cell_on, fail_by }) => {
      const now = byDay.get(cell_on) ?? fail_by;
      return now === fail_by ? [] : [{ attempt_id, fail_by: now }];
    }),
  );
}
const NO_WEATHER: Weather = new Map();

/** What is due in these boxes, from what screens are shown of them. */
async function reckonBoxes(
  store: Store,
  breeder: string,
  around: YardSurroundings,
  { boxes, shown, before }: Awaited<ReturnType<typeof standingNow>>,
): Promise<void> {
  const now: ReckonedRows = { compartments: [], due: [] };
  // Each by itself: what lives in one is looked for among what lives in it.
  for (const each of shown) {
    const state = stateOf([each], around);
    const { compartments, due } = reckonedRows({ breeder, ...around, state, isNew: () => false });
    now.compartments.push(...compartments);
    now.due.push(...due);
  }
  const [sums, stood] = [now, before].map(({ compartments, due }) => sumsOf([...compartments, ...due]));
  const changed = boxes.filter((box) => sums?.get(box) !== stood?.get(box));
  const ofChanged = ({ box_id }: { box_id: string }) => changed.includes(box_id);
  await replaceReckonedRows(store, changed, {
    compartments: now.compartments.filter(ofChanged),
    due: now.due.filter(ofChanged),
  });
}

/** The rows of each box as one text, whatever their order and that of their columns. */
function sumsOf(rows: readonly { box_id: string }[]): Map<string, string> {
  const texts = new Map<string, string[]>();
  for (const row of rows) {
    const text = Object.entries(row)
      .map(([column, value]) => `${column} ${value}`)
      .sort()
      .join('; ');
    const own = texts.get(row.box_id);
    if (own) own.push(text);
    else texts.set(row.box_id, [text]);
  }
  return new Map([...texts].map(([box, own]) => [box, own.sort().join('\n')]));
}
