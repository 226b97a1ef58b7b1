import type { LogEvent } from '@yellow-cell/contract';
import { chronicle, fold, foldOn, type Known, type YardState } from '@yellow-cell/core';
import { findBreeder } from '../store/breeders.ts';
import type { Store } from '../store/database.ts';
import {
  replaceBoxRows,
  replaceReckonedRows,
  replaceRoundRows,
  replaceToSettle,
  replaceWeatherRows,
} from '../store/readTables.ts';
import { boxesOfSubjects, boxIdsIn, reckonedBoxes, type ToldRow, toldBoxes } from '../store/standing.ts';
import { yardIds } from '../store/yards.ts';
import { designsOf } from './designCache.ts';
import { lastOf, reckonedRows, roundRows, rowsOf, toSettleRows, weatherRows } from './rows.ts';
import { storyOf, type Touched } from './story.ts';
import { constantsBy, type Surroundings, surroundings } from './surroundings.ts';

/** Folds the story of everything touched and brings its read rows up to it, in the caller's transaction. */
export async function refresh(store: Store, breeder: string, touched: Touched): Promise<YardState> {
  const { events, boxes, designIds } = await storyOf(store, touched);
  const known: Known = {
    designs: new Map((await designsOf(store, breeder, designIds)).map((design) => [design.id, design])),
    yards: await yardIds(store),
  };
  const state = fold(known, events);
  const recent = recentBy(state.story);
  await replaceBoxRows(
    store,
    boxes,
    rowsOf({
      breeder,
      state,
      known,
      constantsFor: constantsBy((await findBreeder(store))?.settings.constants),
      recentOf: (box) => ({
        recent: lastOf(recent.get(box) ?? []),
        lastAt: recent.get(box)?.at(-1)?.occurredAt ?? EPOCH,
      }),
    }),
  );
  const others = new Set([...touched.rounds, ...touched.yards, ...touched.seasons]);
  await replaceToSettle(
    store,
    [...others],
    toSettleRows(breeder, state, ({ kind, id }) => kind !== 'box' && others.has(id)),
  );
  await replaceRoundRows(store, [...touched.rounds], roundRows(breeder, state, touched.rounds));
  await replaceWeatherRows(store, [...touched.yards], weatherRows(breeder, state, touched.yards));
  for (const yard of touched.yards) {
    const rest = (await boxIdsIn(store, yard)).filter((id) => !boxes.includes(id));
    await reckonAnew(store, breeder, rest);
  }
  return state;
}
const EPOCH = '1970-01-01T00:00:00.000Z';

/**
 * Goes on telling from the boxes as they stand, where these events come after all that is known of them: one append
 * costs the same however long their story is. Undefined where the whole story must be told again: a correction, a
 * late arrival, weather or a graft, or a box that is new.
 */
export async function goOn(
  store: Store,
  breeder: string,
  events: readonly LogEvent[],
): Promise<YardState | undefined> {
  if (events.some(({ kind, corrects }) => corrects || WHOLE_STORY.includes(kind))) return undefined;
  const rows = await rowsAround(store, events);
  if (!rows) return undefined;
  const since = Math.max(...rows.map(({ last_at }) => Date.parse(last_at)));
  if (events.some(({ occurredAt }) => Date.parse(occurredAt) <= since)) return undefined;

  const around = await surroundings(store, breeder, rows, events);
  const { known, constantsFor } = around;
  const state = foldOn(stateOf(rows, around), known, chronicle(events));
  const boxes = rows.map(({ box_id }) => box_id);
  const kept = new Map(rows.map(({ box_id, shown, last_at }) => [box_id, { recent: shown.recent, last_at }]));
  const fresh = recentBy(state.story);
  const told = rowsOf({
    breeder,
    state,
    known,
    constantsFor,
    recentOf: (box) => ({
      recent: lastOf([...(kept.get(box)?.recent ?? []), ...(fresh.get(box) ?? [])]),
      lastAt: fresh.get(box)?.at(-1)?.occurredAt ?? kept.get(box)?.last_at ?? EPOCH,
    }),
  });
  await replaceBoxRows(store, boxes, { ...told, toSettle: [...around.toSettle, ...told.toSettle] });
  return state;
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

/** The boxes that these events are about, and those that share a living thing with them; undefined where one is not told yet. */
async function rowsAround(store: Store, events: readonly LogEvent[]): Promise<ToldRow[] | undefined> {
  const subjects = events.flatMap((event) => event.subjects);
  const named = subjects.filter(({ kind }) => kind === 'box').map(({ id }) => id);
  if (named.length === 0) return undefined;
  const rows = new Map<string, ToldRow>();
  for (let wanted = [...new Set(named)]; wanted.length > 0; ) {
    const found = await toldBoxes(store, wanted);
    if (found.length < wanted.length) return undefined;
    for (const row of found) rows.set(row.box_id, row);
    if (rows.size > MOST_BOXES) return undefined;
    const here = new Set([...rows.values()].flatMap(({ told }) => livingIds(told)));
    const elsewhere = subjects.filter(({ kind, id }) => LIVING.includes(kind) && !here.has(id));
    const shared = await boxesOfSubjects(
      store,
      elsewhere.map(({ id }) => id),
    );
    wanted = [...new Set([...shared, ...found.flatMap(({ told }) => linked(told))])].filter(
      (id) => !rows.has(id),
    );
  }
  return [...rows.values()];
}
const LIVING = ['colony', 'attempt', 'queen', 'frame'];
const MOST_BOXES = 60;

/** All that is known to live, or to have lived, in a box. */
const livingIds = ({ colonies, attempts, queens, frames }: ToldRow['told']): string[] =>
  [colonies, attempts, queens, frames].flatMap((list) => list.map(({ id }) => id));

/** Boxes whose state is kept with this one too: where an attempt began that goes on here. */
const linked = ({ attempts }: ToldRow['told']): string[] => attempts.map(({ box }) => box);

function stateOf(rows: readonly Pick<ToldRow, 'told'>[], { rounds, weather }: Surroundings): YardState {
  const each = rows.map(({ told }) => told);
  const byId = <T extends { id: string }>(list: readonly T[]) => new Map(list.map((one) => [one.id, one]));
  return {
    boxes: byId(each.map(({ box }) => box)),
    colonies: byId(each.flatMap(({ colonies }) => colonies)),
    attempts: byId(each.flatMap(({ attempts }) => attempts)),
    queens: byId(each.flatMap(({ queens }) => queens)),
    frames: byId(each.flatMap(({ frames }) => frames)),
    rounds,
    weather,
    trials: new Map(),
    story: [],
    toSettle: [],
  };
}

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
    found.flatMap(({ told }) => linked(told)).filter((id) => !wanted.includes(id)),
  );
  const rows = [...found, ...begun];
  if (rows.length === 0) return;
  const boxes = rows.map(({ box_id }) => box_id);
  const happened = rows.map(({ first_at }) => ({ occurredAt: first_at }));
  const around = await surroundings(store, breeder, rows, happened);
  const state = stateOf(rows, around);
  const { known, constantsFor } = around;
  await replaceReckonedRows(store, boxes, reckonedRows({ breeder, state, known, constantsFor }));
}

/** The story of each box, in order. */
function recentBy(story: readonly LogEvent[]): Map<string, LogEvent[]> {
  const found = new Map<string, LogEvent[]>();
  for (const event of story)
    for (const { kind, id } of event.subjects)
      if (kind === 'box') found.set(id, [...(found.get(id) ?? []), event].slice(-LATEST));
  return found;
}
const LATEST = 12;
