import { randomUUID } from 'node:crypto';
import type { Entry } from '@yellow-cell/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { logEntries } from '../src/services/logEntries.ts';
import { rebuild } from '../src/services/rebuild.ts';
import { unsettled } from '../src/services/standing.ts';
import { seasonLog } from '../src/services/yardLog.ts';
import { entry, freshServer, type Ground, ground, storyOfBox, TODAY } from './bench.test.kit.ts';

/** What concerns a yard: its blooms, trials and weather, corrected and settled by the rule that holds for boxes. */
let server: Awaited<ReturnType<typeof freshServer>>;
let place: Ground;
beforeAll(async () => {
  server = await freshServer();
  place = await ground(server.context);
});
afterAll(() => server.close());

const log = (entries: Entry[], synced = false) => logEntries(server.context, entries, synced);
const undo = (id: string) => entry('withdrawn', TODAY, {}, { corrects: id });
const season = async () =>
  (await seasonLog(server.context, place.yard.id)).map(({ payload }) =>
    'plant' in payload ? payload.plant : '?',
  );
const bloom = (plant: string, yard = place.yard.id) =>
  entry('bloomSeen', '2026-05-10', { yard, plant, what: 'begins' });

it('an undo of an undo of a bloom shows it again', async () => {
  const seen = bloom('willow');
  const undone = undo(seen.id);
  await log([seen]);
  expect(await season()).toEqual(['willow']);
  await log([undone]);
  expect(await season()).toEqual([]);
  await log([undo(undone.id)]);
  expect(await season()).toEqual(['willow']);
});

it('an undo of an undo of a day’s weather tells it again', async () => {
  const day = { date: '2026-05-12', min_C: 5, max_C: 20, wind_ms: 1, rain_mm: 0, flying_h: 4 };
  const told = entry('weatherRecorded', '2026-05-12', { yard: place.yard.id, days: [day] });
  const days = () =>
    server.context.within((store) => store.selectFrom('weather_day').select('flying_h').execute());
  const undone = undo(told.id);
  await log([told]);
  await log([undone]);
  expect(await days()).toEqual([]);
  await log([undo(undone.id)]);
  expect(await days()).toEqual([{ flying_h: 4 }]);
});

describe('what cannot be', () => {
  const trial = randomUUID();
  const impossible: readonly (readonly [string, () => Entry])[] = [
    ['a bloom of no yard', () => bloom('lime', randomUUID())],
    [
      'weather of no yard',
      () =>
        entry('weatherRecorded', '2026-05-12', {
          yard: randomUUID(),
          days: [{ date: '2026-05-12', min_C: 5, max_C: 20, wind_ms: 1, rain_mm: 0, flying_h: 4 }],
        }),
    ],
    [
      'the end of no trial',
      () => entry('trialEnded', '2026-05-12', { trial, yard: place.yard.id, answer: 'no' }),
    ],
    [
      'more cells accepted than grafted',
      () =>
        entry('grafted', '2026-05-12', {
          round: randomUUID(),
          number: 9,
          donor: 'D',
          grafts: 5,
          countedAtOnce: 6,
        }),
    ],
  ];
  it.each(impossible)('%s is refused live, and waits for a person where it was synced', async (_, make) => {
    await expect(log([make()])).rejects.toThrow();
    const kept = make();
    const { toSettle } = await log([kept], true);
    expect(toSettle).toHaveLength(1);
    const waits = async () =>
      (await unsettled(server.context, { limit: 50 })).items.map(({ event }) => event.id);
    expect(await waits()).toContain(kept.id);
    await server.context.within((store) => rebuild(store, server.context.breeder));
    expect(await waits()).toContain(kept.id);
    await log([undo(kept.id)]);
    expect(await waits()).not.toContain(kept.id);
  });

  it('a trial is begun once and ended once', async () => {
    const about = { trial: randomUUID(), yard: place.yard.id };
    const begin = () =>
      entry('trialBegun', '2026-05-10', {
        ...about,
        question: 'q',
        measured: 'm',
        boxesIn: [randomUUID()],
        boxesAgainst: [randomUUID()],
      });
    const end = () => entry('trialEnded', '2026-05-20', { ...about, answer: 'yes' });
    await log([begin()]);
    await expect(log([begin()])).rejects.toThrow(/already begun/);
    await log([end()]);
    await expect(log([end()])).rejects.toThrow(/ended already/);
  });
});

describe('an entry of a device whose clock ran wild', () => {
  it.each(['2027-06-01T09:00:00.000Z', '9999-12-31T23:00:00.000Z'])(
    'dated %s waits for a person, changes nothing, and corrects nothing',
    async (occurredAt) => {
      const { box, of, entries } = storyOfBox(place, '2026-05-10', `W${occurredAt.slice(0, 4)}`);
      await log(entries);
      const wild = (made: Entry): Entry => ({ ...made, occurredAt });
      const given = entries[3]?.id ?? '';
      const odd = [wild(entry('eggsSeen', TODAY, of)), wild(undo(given))];
      expect((await log(odd, true)).toSettle.map(({ sentence }) => sentence)).toEqual([
        expect.stringContaining('device'),
        expect.stringContaining('device'),
      ]);
      const status = async () =>
        server.context.within((store) =>
          store
            .selectFrom('compartment_state')
            .select('status')
            .where('box_id', '=', box)
            .where('position', '=', 0)
            .executeTakeFirst(),
        );
      expect(await status()).toEqual({ status: 'cellGiven' });
      await log([entry('cellOpened', '2026-05-14', of)]);
      expect(await status()).toEqual({ status: 'virgin' });
      await server.context.within((store) => rebuild(store, server.context.breeder));
      expect(await status()).toEqual({ status: 'virgin' });
      expect(
        (await unsettled(server.context, { limit: 50 })).items.filter(({ event }) =>
          odd.some(({ id }) => id === event.id),
        ),
      ).toHaveLength(2);
      await expect(log([wild(entry('eggsSeen', TODAY, of))])).rejects.toThrow(/more than a day ahead/);
    },
  );
});

describe('entries of other versions of the program', () => {
  it('an older device’s graft is raised as it comes in', async () => {
    const { round, ...rest } = { round: randomUUID(), number: 3, donor: 'D', grafts: 30 };
    const made = {
      ...entry('grafted', '2026-05-01', { round, ...rest }),
      kindVersion: 1,
      payload: { round, ...rest, accepted: 20 },
    };
    const post = (entries: object[]) =>
      server.app.inject({ method: 'POST', url: '/api/events', payload: { entries } });
    expect((await post([made])).json()).toMatchObject({ stored: [made.id] });
    expect((await post([made])).json()).toMatchObject({ repeated: [made.id] });
    const year = await server.app.inject(`/api/years/2026?yard=${place.yard.id}`);
    expect(year.json().rounds).toContainEqual(expect.objectContaining({ id: round, accepted: 20 }));
    expect((await post([{ ...made, id: randomUUID(), kindVersion: 9 }])).statusCode).toBe(422);
  });

  it('what only a newer program can tell stays in the log, is shown, and breaks nothing', async () => {
    const { box, entries } = storyOfBox(place, '2026-05-10', 'NEW');
    await log(entries);
    const id = randomUUID();
    await server.context.within(async (store) => {
      const [row] = await store.selectFrom('event').selectAll().limit(1).execute();
      if (!row) throw new Error('no event');
      const payload = JSON.stringify({ box, rounds: 3 });
      await store
        .insertInto('event')
        .values({ ...row, id, kind: 'danceSeen', kind_version: 4, payload, corrects: null })
        .execute();
      await store
        .insertInto('event_subject')
        .values({ breeder_id: row.breeder_id, subject_id: box, event_id: id, kind: 'box' })
        .execute();
    });
    await server.context.within((store) => rebuild(store, server.context.breeder));
    for (const path of [
      `/boxes/${box}`,
      `/boxes/${box}/log`,
      '/to-settle',
      `/yards/${place.yard.id}/standing`,
    ])
      expect((await server.app.inject(`/api${path}`)).statusCode).toBe(200);
    const { items: waiting } = await unsettled(server.context, { limit: 50 });
    expect(waiting.find(({ event }) => event.id === id)?.sentence).toContain('newer version');
    await log([entry('weighed', '2026-05-20', { box, weight_kg: 20, felt: true })]);
  });
});

it('what waits is paged, newest first, each once, and counted whole', async () => {
  const { box, entries } = storyOfBox(place, '2026-05-10', 'PAGES');
  await log(entries);
  const odd = Array.from({ length: 23 }, (_, n) =>
    entry(
      'combined',
      '2026-05-12',
      { box, colony: randomUUID(), intoBox: box, into: randomUUID() },
      { hour: n % 20 },
    ),
  );
  for (const each of odd) await log([each], true);
  const get = async (query: string) => (await server.app.inject(`/api/to-settle?${query}`)).json();
  const seen: { id: string; at: string }[] = [];
  for (let after = ''; ; ) {
    const page = await get(`box=${box}&limit=10${after && `&after=${encodeURIComponent(after)}`}`);
    expect(page.count).toBe(23);
    for (const { event } of page.items) seen.push({ id: event.id, at: event.occurredAt });
    if (!page.next) break;
    after = page.next;
  }
  expect(seen.map(({ id }) => id).sort()).toEqual(odd.map(({ id }) => id).sort());
  expect(seen.map(({ at }) => at)).toEqual(
    seen
      .map(({ at }) => at)
      .sort()
      .reverse(),
  );
  expect((await get('limit=1')).count).toBeGreaterThanOrEqual(23);
  expect((await get(`box=${randomUUID()}`)).count).toBe(0);
});
