import type { DesignVersion, LogEvent, QueenStory, Unsettled, UnsettledPage } from '@yellow-cell/contract';
import { clashesWith, dayOf, plusDays, WEATHER_BEARS_D } from '@yellow-cell/core';
import { eventsAbout, findEvents } from '../store/events.ts';
import { daughtersOf, findQueen, sistersOf } from '../store/queens.ts';
import {
  aroundOf,
  attemptById,
  boxLabels,
  roundsById,
  type ShownRow,
  shownBoxQuery,
  shownDueQuery,
  shownPageQuery,
  type UnsettledQuery,
  unsettledRows,
} from '../store/standing.ts';
import { findYard } from '../store/yards.ts';
import { NotFound } from './conflict.ts';
import type { Context } from './context.ts';
import { knownDesigns } from './designCache.ts';
import { withRooms } from './family.ts';

/** A page of a yard's boxes as they stand, as text: what was stored is sent as it is. */
export const yardStanding = (
  context: Context,
  yard: string,
  after: string | undefined,
  limit: number,
): Promise<string> =>
  context.reading(async (store) => {
    const rows = await shownPageQuery(store, yard, after, limit).execute();
    if (rows.length === 0 && !(await findYard(store, yard))) throw new NotFound('There is no such yard.');
    const next = rows.length > limit ? (rows[limit - 1]?.key ?? null) : null;
    return pageText(rows.slice(0, limit), next);
  });

/** Boxes of a yard with work due on a day, the most pressing first. */
export const yardDue = (context: Context, yard: string, on: string, limit: number): Promise<string> =>
  context.reading(async (store) => {
    const rows = await shownDueQuery(store, yard, on, limit).execute();
    if (rows.length === 0 && !(await findYard(store, yard))) throw new NotFound('There is no such yard.');
    return pageText(rows, null);
  });

export const boxStanding = (context: Context, box: string): Promise<string> =>
  context.reading(async (store) => {
    const row = await shownBoxQuery(store, box).executeTakeFirst();
    if (!row) throw new NotFound('There is no such box.');
    return pageText([row], null);
  });

const pageText = (rows: readonly ShownRow[], next: string | null): string =>
  `{"boxes":[${rows.map(({ text }) => text).join(',')}],"next":${JSON.stringify(next)}}`;

export const dayBefore = (day: string, days: number): string => plusDays(day, -days);

/** What is needed beside the boxes of a yard: the designs that they are built from, its weather, the rounds. */
export const yardAround = (context: Context, yard: string): Promise<string> =>
  context.reading(async (store) => {
    const from = dayBefore(context.clock.now().slice(0, 10), WEATHER_BEARS_D);
    const { designs, used, weather, rounds } = await aroundOf(store, yard, from);
    const known = await knownDesigns(store, context.breeder, designs);
    const shown = known.map(({ id, name, versions }) => {
      const own = versions.filter(({ number }) => used.includes(`${id} ${number}`)).map(versionText);
      return `{"id":${JSON.stringify(id)},"name":${JSON.stringify(name)},"versions":[${own.join(',')}]}`;
    });
    return `{"designs":[${shown.join(',')}],"rounds":${rounds},"weather":${weather}}`;
  });

/** Saved versions never change: their text is made once. */
const texts = new WeakMap<DesignVersion, string>();
function versionText(version: DesignVersion): string {
  const known = texts.get(version) ?? JSON.stringify(version);
  texts.set(version, known);
  return known;
}

/** What waits for a person to settle it, newest first, each with what it clashes with. */
export const unsettled = (context: Context, asked: UnsettledQuery): Promise<UnsettledPage> =>
  context.reading(async (store) => {
    const { limit } = asked;
    const { rows, count } = await unsettledRows(store, asked);
    const wanted = rows.slice(0, limit);
    const found = await findEvents(
      store,
      wanted.map(({ event_id }) => event_id),
    );
    const events = wanted.flatMap(({ event_id }) => found.find(({ id }) => id === event_id) ?? []);
    const labels = new Map((await boxLabels(store, subjectsIn(events, 'box'))).map((box) => [box.id, box]));
    const around = await eventsAbout(store, [...new Set(events.flatMap(mostSpecific))]);
    const items = events.map((event): Unsettled => {
      const against = clashesWith(event, around);
      return {
        event,
        sentence: wanted.find(({ event_id }) => event_id === event.id)?.sentence ?? '',
        ...(against ? { against } : {}),
        boxes: subjectsIn([event], 'box').flatMap((id) => labels.get(id) ?? []),
      };
    });
    const last = wanted.at(-1);
    return { items, next: rows.length > limit && last ? `${last.at}~${last.event_id}` : null, count };
  });

const subjectsIn = (events: readonly LogEvent[], wanted: string): string[] => [
  ...new Set(
    events.flatMap(({ subjects }) => subjects.filter(({ kind }) => kind === wanted).map(({ id }) => id)),
  ),
];

/** The smallest thing that an entry is about; the box itself where it is about no more. */
const mostSpecific = ({ subjects }: LogEvent): string[] => {
  const living = subjects.filter(({ kind }) => kind !== 'box' && kind !== 'yard').map(({ id }) => id);
  return living.length > 0 ? living : subjects.map(({ id }) => id);
};

export const queenStory = (context: Context, id: string): Promise<QueenStory> =>
  context.reading(async (store) => {
    const queen = await findQueen(store, id);
    if (!queen) throw new NotFound('There is no such queen.');
    const [box] = await boxLabels(store, [queen.box]);
    const [round] = queen.round ? await roundsById(store, [queen.round]) : [];
    // What is seen of her bees while she is with them speaks for her, though it does not name her.
    const seen = (await eventsAbout(store, [queen.colony], ['eggsSeen', 'patternScored'])).filter(
      ({ occurredAt, zone, payload }) =>
        dayOf(occurredAt, zone) >= queen.since &&
        (!('attempt' in payload) || payload.attempt === undefined || payload.attempt === queen.id),
    );
    const named = await eventsAbout(store, [queen.id]);
    const events = [...new Map([...named, ...seen].map((event) => [event.id, event])).values()].sort(
      (a, b) => Date.parse(a.occurredAt) - Date.parse(b.occurredAt),
    );
    return {
      queen,
      box: box ?? null,
      attempt: (await attemptById(store, queen)) ?? null,
      round: round ?? null,
      sisters: await withRooms(store, context.breeder, await sistersOf(store, queen)),
      daughters: await withRooms(store, context.breeder, await daughtersOf(store, queen)),
      events: events.sort((a, b) => Date.parse(a.occurredAt) - Date.parse(b.occurredAt)),
    };
  });
