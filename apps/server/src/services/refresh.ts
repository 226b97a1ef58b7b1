import type { LogEvent } from '@yellow-cell/contract';
import { apart, chronicle, fold, type Known, thingsOf, type Whole } from '@yellow-cell/core';
import { addBeside, boxesWith } from '../store/beside.ts';
import type { Store } from '../store/database.ts';
import { eventsAbout } from '../store/events.ts';
import {
  boxesWithAttemptsIn,
  replaceBoxRows,
  replaceReckonedRows,
  replaceRoundRows,
  replaceToSettle,
  replaceWeatherRows,
} from '../store/readTables.ts';
import { boxIdsIn, reckonedBoxes, type ToldRow, toldBoxes } from '../store/standing.ts';
import { yardIds } from '../store/yards.ts';
import { newRecent, retell, sign, type Unsettled } from './retell.ts';
import { lastOf, reckonedRows, roundRows, rowsOf, toSettleRows, weatherRows } from './rows.ts';
import { ROUND_KINDS, SEASON_KINDS, type Touched } from './story.ts';
import { stateOf, surroundings } from './surroundings.ts';

/** Brings all read rows of what was touched up to the log, in the caller's transaction; says what cannot be. */
export async function refresh(store: Store, breeder: string, touched: Touched): Promise<Unsettled[]> {
  const around = await refreshAround(store, breeder, touched);
  const boxes = new Set([...touched.boxes, ...(await boxesWithAttemptsIn(store, [...touched.rounds]))]);
  const toSettle = boxes.size === 0 ? [] : await retell(store, breeder, boxes);
  for (const yard of touched.yards) {
    const rest = (await boxIdsIn(store, yard)).filter((id) => !boxes.has(id));
    await reckonAnew(store, breeder, rest);
  }
  return [...around, ...toSettle];
}

/** Rounds, weather and seasons, which boxes are told with, and which are told without them. */
export async function refreshAround(
  store: Store,
  breeder: string,
  { rounds, yards, seasons }: Pick<Touched, 'rounds' | 'yards' | 'seasons'>,
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
  await replaceWeatherRows(store, [...yards], weatherRows(breeder, state, yards));
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
  const found = await rowsAround(store, events);
  if (!found) return undefined;
  const { rows, together } = found;
  const since = Math.max(...rows.map(({ last_at }) => Date.parse(last_at)));
  if (events.some(({ occurredAt }) => Date.parse(occurredAt) <= since)) return undefined;

  const around = await surroundings(
    store,
    breeder,
    rows.map(({ told }) => told),
    events,
  );
  const kept = new Map(rows.map((row) => [row.box_id, row]));
  const run = apart({
    known: around.known,
    rounds: around.rounds,
    from: rows.map(({ told }) => told),
    isOwn: (box) => kept.has(box),
    boxesWith: (thing) => together.get(thing) ?? [],
    besideOf: () => undefined,
    sign,
  });
  const fresh = newRecent();
  const toSettle: Unsettled[] = [];
  for (const { event, on } of chronicle(events)) {
    const sentence = run.tell(event, on);
    if (sentence === undefined) fresh.add(event);
    else toSettle.push({ event, sentence });
  }
  if (run.wanted.size > 0) return undefined;
  await addBeside(store, breeder, run.beside);
  const told = rowsOf({
    breeder,
    boxes: run.told,
    state: {
      ...stateOf(
        [...run.told].flatMap((box) => run.wholeOf(box) ?? []),
        around,
      ),
      toSettle,
    },
    known: around.known,
    constantsFor: around.constantsFor,
    recentOf: (box) => {
      const before = kept.get(box);
      const { recent, lastAt } = fresh.of(box);
      return {
        recent: lastOf([...(before?.shown.recent ?? []), ...recent]),
        lastAt: recent.length > 0 || !before ? lastAt : before.last_at,
      };
    },
  });
  const waiting = around.toSettle.filter(({ subject_id }) => run.told.has(subject_id));
  await replaceBoxRows(store, [...run.told], { ...told, toSettle: [...waiting, ...told.toSettle] });
  return toSettle;
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

/** The boxes that events are told with, as they stand, and of their things which boxes those were in; undefined where one is not told yet. */
async function rowsAround(
  store: Store,
  events: readonly LogEvent[],
): Promise<{ rows: ToldRow[]; together: ReadonlyMap<string, string[]> } | undefined> {
  const named = events.flatMap(({ subjects }) =>
    subjects.flatMap(({ kind, id }) => (kind === 'box' ? [id] : [])),
  );
  if (named.length === 0) return undefined;
  const rows = new Map<string, ToldRow>();
  const load = async (boxes: readonly string[]): Promise<boolean> => {
    const wanted = [...new Set(boxes)].filter((id) => !rows.has(id));
    if (rows.size + wanted.length > MOST_BOXES) return false;
    const found = await toldBoxes(store, wanted);
    for (const row of found) rows.set(row.box_id, row);
    return found.length === wanted.length;
  };
  if (!(await load(named))) return undefined;
  const here = new Set([...rows.values()].flatMap(({ told }) => idsIn(told)));
  const elsewhere = [...new Set(events.flatMap(thingsOf))].filter((id) => !here.has(id));
  const together = new Map<string, string[]>();
  for (const { thing, box } of await boxesWith(store, elsewhere))
    together.set(thing, [...(together.get(thing) ?? []), box]);
  if (!(await load([...together.values()].flat()))) return undefined;
  if (!(await load([...rows.values()].flatMap(({ told }) => originsIn(told))))) return undefined;
  return { rows: [...rows.values()], together };
}
const MOST_BOXES = 60;

/** All that is known to live, or to have lived, in a box. */
const idsIn = ({ colonies, attempts, queens, frames }: Whole): string[] =>
  [colonies, attempts, queens, frames].flatMap((list) => list.map(({ id }) => id));

/** Boxes whose state is kept with this one too: where an attempt began that goes on here. */
const originsIn = ({ attempts }: Whole): string[] => attempts.map(({ box }) => box);

/** Brings the rows of these boxes up to other figures or weather, without telling their story again. */
export async function reckonAnew(store: Store, breeder: string, boxes: readonly string[]): Promise<void> {
  for (let at = 0; at < boxes.length; at += BOXES_AT_ONCE)
    await reckonSome(store, breeder, boxes.slice(at, at + BOXES_AT_ONCE));
}
/** So many are reckoned before others get their turn. */
const BOXES_AT_ONCE = 5;

/** What is due, and by when an attempt has failed, hang on weather and figures; what is told of the boxes does not. */
async function reckonSome(store: Store, breeder: string, wanted: readonly string[]): Promise<void> {
  const found = await reckonedBoxes(store, wanted);
  const begun = await reckonedBoxes(
    store,
    found.flatMap(({ told }) => originsIn(told)).filter((id) => !wanted.includes(id)),
  );
  const rows = [...found, ...begun];
  if (rows.length === 0) return;
  const boxes = rows.map(({ box_id }) => box_id);
  const happened = rows.map(({ first_at }) => ({ occurredAt: first_at }));
  const told = rows.map((row) => row.told);
  const around = await surroundings(store, breeder, told, happened);
  const state = stateOf(told, around);
  const { known, constantsFor } = around;
  await replaceReckonedRows(store, boxes, reckonedRows({ breeder, state, known, constantsFor }));
}
