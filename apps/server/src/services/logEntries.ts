import type { Entry, EventKind, LogEvent, PostedEntries, Problem, Subject } from '@yellow-cell/contract';
import { subjectsOf } from '@yellow-cell/contract/subjects';
import { futureProblem, ProblemsError, thingsOf } from '@yellow-cell/core';
import { boxesNaming, boxesTold } from '../store/beside.ts';
import type { Store } from '../store/database.ts';
import { appendEvents, findEvents, saysTheSame } from '../store/events.ts';
import { Conflict } from './conflict.ts';
import type { Context } from './context.ts';
import { reckonLater } from './reckon.ts';
import { goOn, refresh } from './refresh.ts';
import { SEASON_KINDS, type Touched } from './story.ts';

/**
 * Appends entries and brings the read tables up to them, all or nothing. A live entry that cannot be is
 * refused with its sentence; a synced one is kept and left to settle. An id seen before changes nothing.
 */
export async function logEntries(
  context: Context,
  entries: readonly Entry[],
  synced = false,
): Promise<PostedEntries> {
  const kept = await context.writing(async (store) => {
    const stored = new Map(
      (
        await findEvents(
          store,
          entries.map(({ id }) => id),
        )
      ).map((event) => [event.id, event]),
    );
    refuseReused(entries, stored);
    const fresh = firstOfEach(entries.filter(({ id }) => !stored.has(id)));
    const now = context.clock.now();
    if (!synced) refuseFuture(entries, fresh, now);
    const events = await asEvents(store, context.breeder, fresh, now);
    await appendEvents(store, events);
    const toSettle = await refreshFor(store, context.breeder, events);
    if (!synced) refuseImpossible(entries, toSettle);
    return {
      stored: events.map(({ id }) => id),
      repeated: entries.filter(({ id }) => stored.has(id)).map(({ id }) => id),
      toSettle,
    };
  });
  if (entries.some(({ kind, corrects }) => kind === 'weatherRecorded' || corrects)) reckonLater(context);
  return kept;
}

/** One id is one entry: a second that says something else is no repeat, in the log or in the same request. */
function refuseReused(entries: readonly Entry[], stored: ReadonlyMap<string, LogEvent>): void {
  const first = new Map<string, Entry>(stored);
  const reused = entries.flatMap((entry, index) => {
    const before = first.get(entry.id);
    if (!before) first.set(entry.id, entry);
    return before && !saysTheSame(entry, before) ? [{ index, before }] : [];
  });
  if (reused.length === 0) return;
  throw new Conflict(
    'This id was already used for another entry.',
    reused.map(({ index, before }) => `Entry ${index + 1} bears the id of one of ${before.occurredAt}.`),
    reused.map(({ before }) => before),
  );
}

function refuseFuture(entries: readonly Entry[], fresh: readonly Entry[], now: string): void {
  refuseWhere(entries, (entry) => (fresh.includes(entry) ? futureProblem(entry, now) : undefined));
}

function refuseImpossible(entries: readonly Entry[], toSettle: PostedEntries['toSettle']): void {
  refuseWhere(entries, ({ id }) => toSettle.find((each) => each.id === id)?.sentence);
}

function refuseWhere(entries: readonly Entry[], sentenceFor: (entry: Entry) => string | undefined): void {
  const problems = entries.flatMap((entry, index): Problem[] => {
    const sentence = sentenceFor(entry);
    return sentence === undefined ? [] : [{ path: `entries.${index}`, value: entry.id, sentence }];
  });
  if (problems.length > 0) throw new ProblemsError(problems);
}

const firstOfEach = (entries: readonly Entry[]): Entry[] =>
  [...new Map([...entries].reverse().map((entry) => [entry.id, entry])).values()].reverse();

/** Entries as they will stand in the log. A correction is also about whatever it corrects, so that both are found together. */
async function asEvents(
  store: Store,
  breeder: string,
  entries: readonly Entry[],
  recordedAt: string,
): Promise<LogEvent[]> {
  const correctedIds = entries.flatMap(({ corrects }) => corrects ?? []);
  const corrected = new Map(
    (await findEvents(store, correctedIds)).map((event) => [event.id, event.subjects]),
  );
  const events: LogEvent[] = [];
  entries.forEach((entry, index) => {
    const also = entry.corrects === undefined ? [] : corrected.get(entry.corrects);
    if (!also)
      throw new ProblemsError([
        {
          path: `entries.${index}.corrects`,
          value: entry.corrects,
          sentence: 'The entry to correct does not exist.',
        },
      ]);
    const event = { ...entry, breeder, recordedAt, subjects: distinct([...subjectsOf(entry), ...also]) };
    events.push(event);
    corrected.set(event.id, event.subjects);
  });
  return events;
}

const distinct = (subjects: readonly Subject[]): Subject[] => [
  ...new Map(subjects.map((subject) => [subject.id, subject])).values(),
];

async function refreshFor(
  store: Store,
  breeder: string,
  events: readonly LogEvent[],
): Promise<PostedEntries['toSettle']> {
  if (events.length === 0) return [];
  const unsettled =
    (await goOn(store, breeder, events)) ?? (await refresh(store, breeder, await touchedBy(store, events)));
  return unsettled.map(({ event, sentence }) => ({ id: event.id, sentence }));
}

/** All that these events correct, and what that corrected in its turn: an undo of an undo touches what was undone first. */
async function correctedBy(store: Store, events: readonly LogEvent[]): Promise<LogEvent[]> {
  const found: LogEvent[] = [];
  for (let last = events; last.length > 0; ) {
    const ids = last.flatMap(({ corrects }) => corrects ?? []);
    last = await findEvents(
      store,
      ids.filter((id) => !found.some((event) => event.id === id)),
    );
    found.push(...last);
  }
  return found;
}

async function touchedBy(store: Store, events: readonly LogEvent[]): Promise<Touched> {
  const ids = (kind: Subject['kind']) =>
    new Set(
      events.flatMap(({ subjects }) =>
        subjects.filter((subject) => subject.kind === kind).map(({ id }) => id),
      ),
    );
  const corrected = await correctedBy(store, events);
  const yardsOf = (isMeant: (kind: EventKind) => boolean) =>
    new Set(
      [...events, ...corrected]
        .filter(({ kind }) => isMeant(kind))
        .flatMap(({ subjects }) => subjects.filter(({ kind }) => kind === 'yard').map(({ id }) => id)),
    );
  // Boxes too of which others name its things, and that were told with what is corrected.
  const things = await boxesNaming(store, events.flatMap(thingsOf));
  const before = await boxesTold(
    store,
    corrected.map(({ id }) => id),
  );
  return {
    fresh: new Set(events.map(({ id }) => id)),
    boxes: new Set([...ids('box'), ...things, ...before]),
    rounds: ids('round'),
    yards: yardsOf((kind) => kind === 'weatherRecorded'),
    weatherDays: [...events, ...corrected].flatMap((event) =>
      event.kind === 'weatherRecorded' ? event.payload.days.map(({ date }) => date) : [],
    ),
    seasons: yardsOf((kind) => SEASON_KINDS.includes(kind)),
  };
}
