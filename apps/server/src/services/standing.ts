import type { DesignVersion, LogEvent, QueenStory, Unsettled } from '@yellow-cell/contract';
import { clashesWith, plusDays } from '@yellow-cell/core';
import type { Store } from '../store/database.ts';
import { eventsAbout, findEvents } from '../store/events.ts';
import { daughtersOf, findQueen, sistersOf } from '../store/queens.ts';
import {
  attemptById,
  boxLabels,
  roundsById,
  roundsSince,
  type ShownRow,
  shownBoxQuery,
  shownDueQuery,
  shownPageQuery,
  unsettledRows,
  weatherSince,
} from '../store/standing.ts';
import { findYard } from '../store/yards.ts';
import { NotFound } from './conflict.ts';
import type { Context } from './context.ts';
import { designsOf } from './designCache.ts';

/** A page of a yard's boxes as they stand, as text: what was stored is sent as it is. */
export const yardStanding = (
  context: Context,
  yard: string,
  after: string | undefined,
  limit: number,
): Promise<string> =>
  context.within(async (store) => {
    if (!(await findYard(store, yard))) throw new NotFound('There is no such yard.');
    const rows = await shownPageQuery(store, yard, after, limit).execute();
    const next = rows.length > limit ? (rows[limit - 1]?.key ?? null) : null;
    return textOf(context, store, yard, rows.slice(0, limit), next);
  });

/** Boxes of a yard with work due on a day, the most pressing first. */
export const yardDue = (context: Context, yard: string, on: string, limit: number): Promise<string> =>
  context.within(async (store) => {
    if (!(await findYard(store, yard))) throw new NotFound('There is no such yard.');
    return textOf(context, store, yard, await shownDueQuery(store, yard, on, limit).execute(), null);
  });

export const boxStanding = (context: Context, box: string): Promise<string> =>
  context.within(async (store) => {
    const row = await shownBoxQuery(store, box).executeTakeFirst();
    if (!row) throw new NotFound('There is no such box.');
    return textOf(context, store, row.yard, [row], null);
  });

/** How far back weather and rounds bear on what is shown: the longest that an attempt may take, and some more. */
export const AROUND_D = 75;
export const dayBefore = (day: string, days: number): string => plusDays(day, -days);

async function textOf(
  { breeder, clock }: Context,
  store: Store,
  yard: string | null,
  rows: readonly ShownRow[],
  next: string | null,
): Promise<string> {
  const from = dayBefore(clock.now().slice(0, 10), AROUND_D);
  const designs = await designsOf(store, breeder, [...new Set(rows.map(({ design }) => design))]);
  const used = new Set(rows.map(({ design, version }) => `${design} ${version}`));
  const weather = yard === null ? [] : await weatherSince(store, yard, from);
  const rounds = await roundsSince(store, from);
  const texts = designs.map(({ id, name, versions }) => {
    const shown = versions.filter(({ number }) => used.has(`${id} ${number}`)).map(versionText);
    return `{"id":${JSON.stringify(id)},"name":${JSON.stringify(name)},"versions":[${shown.join(',')}]}`;
  });
  return `{"boxes":[${rows.map(({ text }) => text).join(',')}],"designs":[${texts.join(',')}],"rounds":${JSON.stringify(rounds)},"weather":${JSON.stringify(weather)},"next":${JSON.stringify(next)}}`;
}

/** Saved versions never change: their text is made once. */
const texts = new WeakMap<DesignVersion, string>();
function versionText(version: DesignVersion): string {
  const known = texts.get(version) ?? JSON.stringify(version);
  texts.set(version, known);
  return known;
}

/** All that waits for a person to settle it, newest first, each with what it clashes with. */
export const unsettled = (context: Context): Promise<Unsettled[]> =>
  context.within(async (store) => {
    const rows = await unsettledRows(store);
    const events = await findEvents(store, [...new Set(rows.map(({ event_id }) => event_id))]);
    const labels = new Map((await boxLabels(store, subjectsIn(events, 'box'))).map((box) => [box.id, box]));
    const around = await eventsAbout(store, [...new Set(events.flatMap(mostSpecific))]);
    return events
      .map((event): Unsettled => {
        const against = clashesWith(event, around);
        return {
          event,
          sentence: rows.find(({ event_id }) => event_id === event.id)?.sentence ?? '',
          ...(against ? { against } : {}),
          boxes: subjectsIn([event], 'box').flatMap((id) => labels.get(id) ?? []),
        };
      })
      .sort((a, b) => (a.event.occurredAt < b.event.occurredAt ? 1 : -1));
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
  context.within(async (store) => {
    const queen = await findQueen(store, id);
    if (!queen) throw new NotFound('There is no such queen.');
    const [box] = await boxLabels(store, [queen.box]);
    const [round] = queen.round ? await roundsById(store, [queen.round]) : [];
    const events = await eventsAbout(store, [queen.id]);
    return {
      queen,
      box: box ?? null,
      attempt: (await attemptById(store, queen)) ?? null,
      round: round ?? null,
      sisters: await sistersOf(store, queen),
      daughters: await daughtersOf(store, queen),
      events: events.sort((a, b) => Date.parse(a.occurredAt) - Date.parse(b.occurredAt)),
    };
  });
