import type { BoxState, LogEvent, WeatherDay } from '@yellow-cell/contract';
import {
  type Constants,
  chronicle,
  constantsWith,
  type Day,
  defaultConstants,
  fold,
  foldOn,
  type Known,
  plusDays,
  type YardState,
} from '@yellow-cell/core';
import { findBreeder } from '../store/breeders.ts';
import type { Store } from '../store/database.ts';
import { replaceBoxRows, replaceRoundRows, replaceWeatherRows, toSettleOf } from '../store/readTables.ts';
import {
  boxesOfSubjects,
  boxIdsIn,
  roundsById,
  type ToldRow,
  toldBoxes,
  weatherSince,
} from '../store/standing.ts';
import { yardIds } from '../store/yards.ts';
import { designsOf } from './designCache.ts';
import { lastOf, roundRows, rowsOf, weatherRows } from './rows.ts';
import { storyOf, type Touched } from './story.ts';

/** Folds the story of everything touched and brings its read rows up to it, in the caller's transaction. */
export async function refresh(store: Store, breeder: string, touched: Touched): Promise<YardState> {
  const { events, boxes, designIds } = await storyOf(store, touched);
  const known = await knownOf(store, breeder, designIds);
  const state = fold(known, events);
  const recent = recentBy(state.story);
  await replaceBoxRows(
    store,
    boxes,
    rowsOf({
      breeder,
      state,
      known,
      constantsFor: await constantsOf(store),
      recentOf: (box) => ({
        recent: lastOf(recent.get(box) ?? []),
        lastAt: recent.get(box)?.at(-1)?.occurredAt ?? EPOCH,
      }),
    }),
  );
  await replaceRoundRows(store, [...touched.rounds], roundRows(breeder, state, touched.rounds));
  await replaceWeatherRows(store, [...touched.yards], weatherRows(breeder, state, touched.yards));
  for (const yard of touched.yards) {
    const others = (await boxIdsIn(store, yard)).filter((id) => !boxes.includes(id));
    await reckonAnew(store, breeder, others);
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

  const known = await knownOf(store, breeder, [...new Set(rows.map(({ told }) => told.box.design))]);
  const before = await stateOf(store, rows, events);
  const state = foldOn(before, known, chronicle(events));
  const boxes = rows.map(({ box_id }) => box_id);
  const kept = new Map(rows.map(({ box_id, shown, last_at }) => [box_id, { recent: shown.recent, last_at }]));
  const fresh = recentBy(state.story);
  const settled = await toSettleOf(store, boxes);
  const told = rowsOf({
    breeder,
    state,
    known,
    constantsFor: await constantsOf(store),
    recentOf: (box) => ({
      recent: lastOf([...(kept.get(box)?.recent ?? []), ...(fresh.get(box) ?? [])]),
      lastAt: fresh.get(box)?.at(-1)?.occurredAt ?? kept.get(box)?.last_at ?? EPOCH,
    }),
  });
  await replaceBoxRows(store, boxes, { ...told, toSettle: [...settled, ...told.toSettle] });
  return state;
}

const WHOLE_STORY: readonly LogEvent['kind'][] = [
  'boxBuilt',
  'boxPlaced',
  'boxStacked',
  'boxTakenApart',
  'weatherRecorded',
  'grafted',
  'withdrawn',
];

/** The boxes that these events are about, and those that share a living thing with them; undefined where one is not told yet. */
async function rowsAround(store: Store, events: readonly LogEvent[]): Promise<ToldRow[] | undefined> {
  const subjects = events.flatMap((event) => event.subjects);
  const ids = (wanted: (kind: string) => boolean) =>
    subjects.filter(({ kind }) => wanted(kind)).map(({ id }) => id);
  const named = ids((kind) => kind === 'box');
  if (named.length === 0) return undefined;
  const shared = await boxesOfSubjects(
    store,
    ids((kind) => LIVING.includes(kind)),
  );
  const rows = new Map<string, ToldRow>();
  for (let wanted = [...new Set([...named, ...shared])]; wanted.length > 0; ) {
    const found = await toldBoxes(store, wanted);
    if (found.length < wanted.length) return undefined;
    for (const row of found) rows.set(row.box_id, row);
    wanted = [...new Set(found.flatMap(({ told }) => linked(told)))].filter((id) => !rows.has(id));
    if (rows.size > MOST_BOXES) return undefined;
  }
  return [...rows.values()];
}
const LIVING = ['colony', 'attempt', 'queen', 'frame'];
const MOST_BOXES = 60;

/** Boxes whose state is kept with this one too: where an attempt began that goes on here. */
const linked = ({ attempts }: ToldRow['told']): string[] => attempts.map(({ box }) => box);

/** Weather is wanted from the first cell on, and for the last weeks. */
const WEATHER_BACK_D = 30;

async function stateOf(
  store: Store,
  rows: readonly ToldRow[],
  events: readonly LogEvent[],
): Promise<YardState> {
  const each = rows.map(({ told }) => told);
  const byId = <T extends { id: string }>(list: readonly T[]) => new Map(list.map((one) => [one.id, one]));
  const attempts = byId(each.flatMap((told) => told.attempts));
  const rounds = [
    ...[...attempts.values()].flatMap(({ round }) => round ?? []),
    ...events.flatMap(({ subjects }) => subjects.filter(({ kind }) => kind === 'round').map(({ id }) => id)),
  ];
  return {
    boxes: byId(each.map(({ box }) => box)),
    colonies: byId(each.flatMap(({ colonies }) => colonies)),
    attempts,
    queens: byId(each.flatMap(({ queens }) => queens)),
    frames: byId(each.flatMap(({ frames }) => frames)),
    rounds: byId(await roundsById(store, [...new Set(rounds)])),
    weather: await weatherOf(store, each, events),
    story: [],
    toSettle: [],
  };
}

async function weatherOf(
  store: Store,
  told: readonly ToldRow['told'][],
  events: readonly LogEvent[],
): Promise<Map<string, Map<Day, WeatherDay>>> {
  const yards = new Set(told.flatMap(({ box }) => box.place?.yard ?? []));
  const given = told.flatMap(({ attempts }) => attempts.map(({ givenOn }) => givenOn));
  const latest = events.map(({ occurredAt }) => occurredAt.slice(0, 10));
  const recent = latest.map((day) => plusDays(day, -WEATHER_BACK_D));
  const from = [...given, ...recent].reduce((first, day) => (day < first ? day : first), '9999-12-31');
  const found = new Map<string, Map<Day, WeatherDay>>();
  for (const yard of yards)
    found.set(yard, new Map((await weatherSince(store, yard, from)).map((day) => [day.date, day])));
  return found;
}

/** Brings the rows of these boxes up to other figures or weather, without telling their story again. */
export async function reckonAnew(store: Store, breeder: string, boxes: readonly string[]): Promise<void> {
  for (let at = 0; at < boxes.length; at += BOXES_AT_ONCE)
    await reckonSome(store, breeder, boxes.slice(at, at + BOXES_AT_ONCE));
}
const BOXES_AT_ONCE = 200;

async function reckonSome(store: Store, breeder: string, wanted: readonly string[]): Promise<void> {
  const found = await toldBoxes(store, wanted);
  const around = await toldBoxes(
    store,
    found.flatMap(({ told }) => linked(told)).filter((id) => !wanted.includes(id)),
  );
  const rows = [...found, ...around];
  if (rows.length === 0) return;
  const boxes = rows.map(({ box_id }) => box_id);
  const known = await knownOf(store, breeder, [...new Set(rows.map(({ told }) => told.box.design))]);
  const state = await stateOf(
    store,
    rows,
    rows.flatMap(({ shown }) => shown.recent),
  );
  const kept = new Map(rows.map((row) => [row.box_id, row]));
  const told = rowsOf({
    breeder,
    state,
    known,
    constantsFor: await constantsOf(store),
    recentOf: (box) => ({
      recent: kept.get(box)?.shown.recent ?? [],
      lastAt: kept.get(box)?.last_at ?? EPOCH,
    }),
  });
  await replaceBoxRows(store, boxes, { ...told, toSettle: await toSettleOf(store, boxes) });
}

async function knownOf(store: Store, breeder: string, designIds: readonly string[]): Promise<Known> {
  const designs = await designsOf(store, breeder, designIds);
  return { designs: new Map(designs.map((design) => [design.id, design])), yards: await yardIds(store) };
}

async function constantsOf(store: Store): Promise<(box: BoxState) => Constants> {
  const overrides = (await findBreeder(store))?.settings.constants ?? {};
  return ({ place }) => (place ? constantsWith(overrides[place.yard]) : defaultConstants);
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
