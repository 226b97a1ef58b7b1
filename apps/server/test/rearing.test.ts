import { randomUUID } from 'node:crypto';
import type { Entry, PastSeason, RearingSeason } from '@yellow-cell/contract';
import { plusDays } from '@yellow-cell/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { logEntries } from '../src/services/logEntries.ts';
import { rebuild } from '../src/services/rebuild.ts';
import { entry, freshServer, type Ground, ground, readRows, storyOfBox, TODAY } from './bench.test.kit.ts';

let server: Awaited<ReturnType<typeof freshServer>>;
let place: Ground;
beforeAll(async () => {
  server = await freshServer();
  place = await ground(server.context);
});
afterAll(() => server.close());

const log = (...entries: Entry[]) => logEntries(server.context, entries);
const seasonOn = async (on: string): Promise<RearingSeason> =>
  (await server.app.inject({ url: `/api/rearing?on=${on}` })).json();

describe('a season of rearing', () => {
  const round = randomUUID();
  const lot = randomUUID();
  const plan = (graftOn: string) =>
    entry('roundPlanned', '2026-04-10', { round, number: 1, donor: 'Sable', graftOn, grafts: 30 });

  it('has its plans, moved and made true, with what became of their cells', async () => {
    await log(plan('2026-04-28'));
    expect((await seasonOn('2026-04-11')).rounds).toMatchObject([{ planned: true, graftedOn: '2026-04-28' }]);
    await log({ ...plan('2026-04-30'), occurredAt: '2026-04-11T08:00:00.000Z' });
    await log(entry('grafted', '2026-04-30', { round, number: 1, donor: 'Sable', grafts: 28 }));
    await log(entry('cellsAccepted', '2026-05-01', { round, accepted: 21 }));
    const [fact] = (await seasonOn('2026-05-01')).rounds;
    expect(fact).toMatchObject({ graftedOn: '2026-04-30', grafts: 28, accepted: { cells: 21 } });
    expect(fact?.plan).toEqual({ graftOn: '2026-04-30', grafts: 30 });

    const boxes = ['R1', 'R2', 'R3'].map((label) => storyOfBox(place, '2026-05-10', label));
    for (const { entries } of boxes)
      await log(
        ...entries.map((each) =>
          each.kind === 'cellGiven' ? { ...each, payload: { ...each.payload, round } } : each,
        ),
      );
    const [one, two] = boxes;
    if (!one || !two) throw new Error('no boxes');
    await log(
      entry('eggsSeen', '2026-05-24', one.of),
      entry('queenTaken', '2026-05-28', { ...one.of, to: 'sold', beesRemain: true }),
      entry('failed', '2026-05-20', { ...two.of, reason: 'virginLost' }),
    );
    const season = await seasonOn('2026-05-31');
    expect(season.outcomes).toEqual([{ round, given: 3, takes: 1, taken: 1, misses: 1 }]);
    expect(season.record).toEqual({ takes: 1, tried: 2 });
    expect(season.accepted).toEqual({ cells: 21, grafts: 28 });
    // Three boxes of three rooms: two given back, one still with its cell, six never stocked.
    const free = season.rooms.map(({ freeFrom }) => freeFrom);
    expect(free).toHaveLength(9);
    expect(free.filter((day) => day > '2026-05-31')).toHaveLength(1);
    expect(free).toContain('2026-05-28');
    expect(free).toContain('2026-05-20');
  });

  it('has the lots that are wanted, as they were said last', async () => {
    const wanted = (day: string, queens: number) =>
      entry('lotWanted', day, { lot, name: 'Order', queens, by: '2026-07-01' });
    await log(wanted('2026-05-01', 10));
    const more = wanted('2026-05-02', 12);
    await log(more);
    expect((await seasonOn('2026-05-31')).lots).toEqual([
      { id: lot, name: 'Order', queens: 12, by: '2026-07-01' },
    ]);
    await log(entry('withdrawn', '2026-05-03', {}, { corrects: more.id }));
    expect((await seasonOn('2026-05-31')).lots).toMatchObject([{ queens: 10 }]);
    await log(entry('lotDropped', '2026-05-04', { lot }));
    expect((await seasonOn('2026-05-31')).lots).toEqual([]);
  });

  it('knows the queens that stand in banks, and those that were handed over for a lot', async () => {
    const { entries, of } = storyOfBox(place, '2026-05-10', 'K1');
    const [built, placed, stocked] = entries;
    if (!built || !placed || !stocked) throw new Error('no box');
    const { box, colony } = of;
    const wanted = randomUUID();
    const [first, second] = [randomUUID(), randomUUID()];
    const bankIn = (queen: string, on: string) =>
      entry('queenGiven', on, { box, colony, queen, what: 'mated', caged: true });
    const handed = entry('queenTaken', '2026-05-27', {
      box,
      colony,
      queen: first,
      to: 'sold',
      beesRemain: true,
      lot: wanted,
    });
    await log(
      built,
      placed,
      stocked,
      entry('roleSet', '2026-05-11', { box, role: 'bank' }),
      bankIn(first, '2026-05-14'),
      bankIn(second, '2026-05-16'),
      entry('lotWanted', '2026-05-01', { lot: wanted, name: 'Valley', queens: 2, by: '2026-07-01' }),
    );
    expect(await seasonOn('2026-05-31')).toMatchObject({
      banked: [{ since: '2026-05-14' }, { since: '2026-05-16' }],
      lots: [{ name: 'Valley', queens: 2 }],
    });
    await log(handed);
    const after = await seasonOn('2026-05-31');
    expect(after.banked).toEqual([{ since: '2026-05-16' }]);
    expect(after.lots).toEqual([{ id: wanted, name: 'Valley', queens: 2, by: '2026-07-01', handedOver: 1 }]);
    await log(entry('withdrawn', '2026-05-28', {}, { corrects: handed.id }));
    expect((await seasonOn('2026-05-31')).banked).toHaveLength(2);
    await log(entry('lotDropped', '2026-05-29', { lot: wanted }));
  });

  it('has the weather of the yard: months that are known, and the last days one by one', async () => {
    const day = (date: string, flying_h: number | null) => ({
      date,
      min_C: 8,
      max_C: 20,
      wind_ms: 2,
      rain_mm: 0,
      flying_h,
    });
    const days = [
      day('2026-04-01', 5),
      day('2026-05-20', 2),
      day('2026-05-21', 1.9),
      day('2026-05-22', null),
    ];
    await log(entry('weatherRecorded', '2026-05-23', { yard: place.yard.id, days }));
    const { flown } = await seasonOn('2026-05-25');
    expect(flown.months).toEqual([
      { month: 4, known: 1, flew: 1 },
      { month: 5, known: 2, flew: 1 },
    ]);
    expect(flown.days).toEqual([
      { on: '2026-05-20', flies: true },
      { on: '2026-05-21', flies: false },
    ]);
    // Of what comes after the day that is asked for nothing is known.
    expect((await seasonOn('2026-05-21')).flown.months.at(-1)).toEqual({ month: 5, known: 1, flew: 1 });
  });

  it('is told once it is over, with all that was done and wanted in it and nothing else', async () => {
    const pastOf = async (from: string, to: string): Promise<PastSeason> =>
      (await server.app.inject({ url: `/api/rearing/past?from=${from}&to=${to}` })).json();
    const late = randomUUID();
    await log(
      entry('lotWanted', '2026-05-01', { lot: late, name: 'Late', queens: 4, by: '2026-12-31', worth: 40 }),
    );
    const past = await pastOf('2026-01-01', '2026-12-31');
    expect(past.rounds).toMatchObject([{ id: round, graftedOn: '2026-04-30' }]);
    expect(past.outcomes).toMatchObject([{ round, given: 3, takes: 1, taken: 1 }]);
    expect(past.lots).toEqual([{ id: late, name: 'Late', queens: 4, by: '2026-12-31', worth: 40 }]);
    expect(past.rooms).toBe(3);
    expect(past.flown.days.map(({ on }) => on)).toEqual(['2026-04-01', '2026-05-20', '2026-05-21']);
    expect(await pastOf('2026-05-01', '2026-12-30')).toMatchObject({ rounds: [], lots: [], rooms: 3 });
    expect(await pastOf('2025-01-01', '2025-12-31')).toMatchObject({ rounds: [], lots: [], rooms: 0 });
    await log(entry('lotDropped', '2026-05-04', { lot: late }));
  });

  it('is a file of rounds with what became of each', async () => {
    const answer = await server.app.inject({ url: '/api/rounds.csv' });
    expect(answer.headers['content-disposition']).toContain('rounds.csv');
    const [columns = '', first = ''] = answer.body.split('\r\n');
    const read = Object.fromEntries(
      columns.split(',').map((column, index) => [column, first.split(',')[index]]),
    );
    const { rounds, outcomes } = await seasonOn(TODAY);
    const outcome = outcomes.find((each) => each.round === rounds[0]?.id);
    expect(read).toMatchObject({
      round: '1',
      state: 'grafted',
      grafted_on: '2026-04-30',
      planned_for: '2026-04-30',
      grafts: '28',
      accepted: '21',
      cells_given: '3',
      laying: String(outcome?.takes),
    });
  });

  it('stands the same after all is told again', async () => {
    const rows = await readRows(server.context);
    const season = await seasonOn(plusDays('2026-05-31', 1));
    await server.context.within((store) => rebuild(store, server.context.breeder));
    expect(await readRows(server.context)).toEqual(rows);
    expect(await seasonOn(plusDays('2026-05-31', 1))).toEqual(season);
  });
});
