import type { Attempt, LogEvent } from '@yellow-cell/contract';
import { apart, chronicle, fold, type Known, type Whole } from '@yellow-cell/core';
import { addBeside, boxesThatMayHold } from '../store/beside.ts';
import type { Store } from '../store/database.ts';
import { eventsAbout } from '../store/events.ts';
import {
  boxesWithAttemptsIn,
  changeBoxRows,
  replaceRoundRows,
  replaceToSettle,
  replaceWeatherRows,
} from '../store/readTables.ts';
import { type ToldRow, toldBoxes } from '../store/standing.ts';
import { yardIds } from '../store/yards.ts';
import { reckonYard } from './reckon.ts';
import { EPOCH, newRecent, retell, sign, type Unsettled } from './retell.ts';
import { lastOf, roundRows, rowsOf, toSettleRows, weatherRows } from './rows.ts';
import { ROUND_KINDS, SEASON_KINDS, type Touched } from './story.ts';
import { stateOf, surroundings } from './surroundings.ts';

/** Brings all read rows of what was touched up to the log, in the caller's transaction; says what cannot be. */
export async function refresh(store: Store, breeder: string, touched: Touched): Promise<Unsettled[]> {
  const around = await refreshAround(store, breeder, touched);
  const boxes = new Set([...touched.boxes, ...(await boxesWithAttemptsIn(store, [...touched.rounds]))]);
  const toSettle = boxes.size === 0 ? [] : await retell(store, breeder, boxes, touched.fresh);
  const days = [...(touched.weatherDays ?? [])].sort();
  const [first, last] = [days[0], days.at(-1)];
  for (const yard of touched.yards)
    await reckonYard(store, breeder, yard, first && last ? { first, last } : undefined);
  return [...around, ...toSettle];
}

/** Rounds, weather and seasons, which boxes are told with, and which are told without them. */
export async function refreshAround(
  store: Store,
  breeder: string,
  { rounds, yards, seasons, weatherDays }: Omit<Touched, 'boxes' | 'fresh'>,
): Promise<Unsettled[]> {
  const others = new Set([...rounds, ...yards, ...seasons]);
  if (others.size === 0) return [];
  const known: Known = { designs: new Map(), yards: await yardIds(store) };
  const state = fold(known, [
    ...(await eventsAbout(store, [...rounds], ROUND_KINDS)),
    ...(await eventsAbout(store, [...yards], ['weatherRecorded'])),
    ...(await eventsAbout(store, [...seasons], SEASON_KINDS)),
  ]);
  await replaceToSettle(
    store,
    [...others],
    toSettleRows(breeder, state, ({ kind, id }) => kind !== 'box' && others.has(id)),
  );
  await replaceRoundRows(store, [...rounds], roundRows(breeder, state, rounds));
  const isTouched = ({ day }: { day: string }) => !weatherDays || weatherDays.includes(day);
  await replaceWeatherRows(
    store,
    [...yards],
    weatherRows(breeder, state, yards).filter(isTouched),
    weatherDays,
  );
  return [...state.toSettle];
}

/**
 * Goes on telling from the boxes as they stand, where these events come after all that is known of them: one append
 * costs the same however long their story is. Undefined where a story must be told again: a correction, a late
 * arrival, weather or a graft, or a box that is new.
 */
export async function goOn(
  store: Store,
  breeder: string,
  events: readonly LogEvent[],
): Promise<Unsettled[] | undefined> {
  if (events.some(({ kind, corrects }) => corrects || WHOLE_STORY.includes(kind))) return undefined;
  const rows = new Map<string, ToldRow>();
  const named = [...new Set(events.flatMap(boxesNamed))];
  if (named.length === 0 || !(await load(store, rows, named))) return undefined;
  if (!events.every((event) => isLater(event, rows))) return undefined;

  let going = await tellOn(store, breeder, events, rows);
  // Where things are that are not where an entry says is known only once they are missed.
  for (let asked = -1; going.run.missing.length !== asked || going.run.wanted.size > 0; ) {
    asked = going.run.missing.length;
    const beyond = [...going.run.wanted, ...(await boxesThatMayHold(store, going.run.missing))];
    const before = rows.size;
    if (!(await load(store, rows, beyond))) return undefined;
    if (rows.size === before) break;
    going = await tellOn(store, breeder, events, rows);
  }
  const { run, around, fresh, toSettle } = going;
  const earliest = Math.min(...events.map(({ occurredAt }) => Date.parse(occurredAt)));
  const isLate = (box: string) => Date.parse(rows.get(box)?.last_at ?? EPOCH) >= earliest;
  const touched = new Set(run.told.keys());
  if ([...touched].some((box) => !named.includes(box) && isLate(box))) return undefined;

  await addBeside(store, breeder, run.beside);
  const before = new Set<object>(
    [...rows.values()].flatMap(({ told }) => [...told.attempts, ...told.queens]),
  );
  const wholes = [...touched].flatMap((box) => run.wholeOf(box) ?? []);
  await changeBoxRows(
    store,
    [...touched],
    rowsOf({
      breeder,
      boxes: touched,
      state: { ...stateOf(wholes, around), toSettle },
      known: around.known,
      constantsFor: around.constantsFor,
      isNew: (thing) => !before.has(thing),
      recentOf: (box) => lastOf([...(rows.get(box)?.shown.recent ?? []), ...fresh.of(box)]),
      lastAt: (box) => run.told.get(box) ?? rows.get(box)?.last_at ?? EPOCH,
    }),
  );
  return toSettle;
}

/** Tells events on from the rows that are read, and what they are missing there. */
async function tellOn(
  store: Store,
  breeder: string,
  events: readonly LogEvent[],
  rows: ReadonlyMap<string, ToldRow>,
) {
  const told = [...rows.values()].map((row) => row.told);
  const around = await surroundings(store, breeder, told, events, told.flatMap(goingOn));
  const run = apart({
    known: around.known,
    rounds: around.rounds,
    from: told,
    isOwn: (box) => rows.has(box),
    besideOf: () => [],
    sign,
  });
  const fresh = newRecent();
  const toSettle: Unsettled[] = [];
  for (const { event, on } of chronicle(events)) {
    const sentence = run.tell(event, on);
    if (sentence === undefined) fresh.add(event);
    else toSettle.push({ event, sentence });
  }
  return { run, around, fresh, toSettle };
}

/** Reads boxes as they stand, those not read yet; false where one is not told yet, or they are too many. */
async function load(store: Store, rows: Map<string, ToldRow>, boxes: readonly string[]): Promise<boolean> {
  const wanted = [...new Set(boxes)].filter((id) => !rows.has(id));
  if (rows.size + wanted.length > MOST_BOXES) return false;
  const found = await toldBoxes(store, wanted);
  for (const row of found) rows.set(row.box_id, row);
  return found.length === wanted.length;
}
const MOST_BOXES = 60;

const boxesNamed = ({ subjects }: LogEvent): string[] =>
  subjects.flatMap(({ kind, id }) => (kind === 'box' ? [id] : []));

/** Whether an event comes after all that is known of the boxes that it names. */
const isLater = (event: LogEvent, rows: ReadonlyMap<string, ToldRow>): boolean =>
  boxesNamed(event).every(
    (box) => Date.parse(event.occurredAt) > Date.parse(rows.get(box)?.last_at ?? EPOCH),
  );

/** Attempts that an entry can still change: of bees that live, and of queens that are not gone. */
function goingOn({ colonies, attempts, queens }: Whole): Attempt[] {
  const held = new Set([
    ...colonies.flatMap(({ ended, attempt }) => (ended ? [] : (attempt ?? []))),
    ...queens.flatMap(({ id, gone }) => (gone ? [] : [id])),
  ]);
  return attempts.filter(({ id }) => held.has(id));
}

const WHOLE_STORY: readonly LogEvent['kind'][] = [
  'boxBuilt',
  'boxPlaced',
  'boxStacked',
  'boxTakenApart',
  'weatherRecorded',
  'roundPlanned',
  'roundDropped',
  'grafted',
  'withdrawn',
];
