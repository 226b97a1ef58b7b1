import { METRIC } from '@yellow-cell/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshServer } from './bench.test.kit.ts';

/** The routes as the interface uses them, on the demo. */
let server: Awaited<ReturnType<typeof freshServer>>;
let yards: { id: string; name: string; boxes: number; compartments: number }[];
beforeAll(async () => {
  server = await freshServer({ demo: true });
  yards = (await server.app.inject('/api/yards')).json();
});
afterAll(() => server.close());

const get = async (path: string) => {
  const answer = await server.app.inject(`/api${path}`);
  return { status: answer.statusCode, body: answer.json() };
};

describe('the session', () => {
  it('tells who works here and what day it is', async () => {
    const { body } = await get('/session');
    expect(body).toMatchObject({
      breeder: { name: 'Feldspat queens' },
      demoClock: false,
      settings: { measures: METRIC, version: 1 },
    });
    expect(body.now.slice(0, 10)).toBe('2026-05-31');
  });
});

describe('the yards', () => {
  it('count their boxes and compartments', () => {
    expect(yards.map(({ boxes }) => boxes).reduce((sum, boxes) => sum + boxes, 0)).toBe(35);
    expect(
      yards.map(({ compartments }) => compartments).reduce((sum, count) => sum + count, 0),
    ).toBeGreaterThanOrEqual(45);
  });

  it('list their boxes by pages, and refuse a key that is none', async () => {
    const first = await get(`/yards/${yards[0]?.id}/boxes?limit=5`);
    expect(first.body.boxes).toHaveLength(5);
    const second = await get(
      `/yards/${yards[0]?.id}/boxes?limit=200&after=${encodeURIComponent(first.body.next)}`,
    );
    expect(first.body.boxes.length + second.body.boxes.length).toBe(yards[0]?.boxes);
    expect(second.body.next).toBeNull();
    expect(await get(`/yards/${yards[0]?.id}/boxes?after=nonsense`)).toMatchObject({
      status: 422,
      body: { problems: [{ path: 'after' }] },
    });
    expect((await get(`/yards/${yards[0]?.id}/boxes?limit=1000`)).status).toBe(422);
  });

  it('that do not exist are not found, and their names are refused where they are none', async () => {
    const nowhere = '00000000-0000-4000-8000-000000000000';
    expect((await get(`/yards/${nowhere}/log`)).status).toBe(404);
    expect((await get(`/years/2026?yard=${nowhere}`)).status).toBe(404);
    expect(await get('/yards/meadow/log')).toMatchObject({
      status: 422,
      body: { problems: [{ path: 'id', sentence: 'An id is a UUID.' }] },
    });
    expect((await get(`/years/26?yard=${nowhere}`)).status).toBe(422);
  });
});

describe('the year', () => {
  it('has a line of weather for each day up to yesterday, its rounds, and what is due', async () => {
    const { body } = await get(`/years/2026?yard=${yards[0]?.id}`);
    expect(body.days).toHaveLength(150);
    expect(body.days.at(-1).date).toBe('2026-05-30');
    expect(
      body.rounds.flatMap(({ number, planned }: { number: number; planned: boolean }) =>
        planned ? [] : [number],
      ),
    ).toEqual([1, 2, 3, 4]);
    for (const { date, count } of body.due) {
      expect(date.slice(0, 4)).toBe('2026');
      expect(count).toBeGreaterThan(0);
    }
    expect((await get(`/years/2025?yard=${yards[0]?.id}`)).body.rounds).toHaveLength(8);
  });
});

describe('the designs', () => {
  it('are listed with their newest version and the boxes built from them', async () => {
    const { body } = await get('/designs');
    expect(
      body
        .map(({ boxes }: { boxes: number }) => boxes)
        .reduce((sum: number, boxes: number) => sum + boxes, 0),
    ).toBe(35);
    const { body: one } = await get(`/designs/${body[0].id}`);
    expect(one.versions.at(-1)).toEqual(body[0].latest);
    expect((await get('/designs/00000000-0000-4000-8000-000000000000')).status).toBe(404);
  });
});

describe('take rates', () => {
  it('of every grouping add up to the same whole, and the intervals hold the rates', async () => {
    const reports = await Promise.all(
      ['design', 'box', 'frames'].map(async (by) => (await get(`/takes?by=${by}&on=2026-05-31`)).body),
    );
    const [first] = reports;
    for (const { groups, all } of reports) {
      expect(all).toEqual(first.all);
      for (const field of ['takes', 'misses', 'open'] as const)
        expect(
          groups.reduce((sum: number, group: Record<string, number>) => sum + (group[field] ?? 0), 0),
        ).toBe(all[field]);
      for (const { rate, low, high, takes, misses } of groups) {
        if (takes > 0 && misses > 0) expect(low < rate && rate < high).toBe(true);
      }
    }
    expect(first.reasons.reduce((sum: number, { count }: { count: number }) => sum + count, 0)).toBe(
      first.all.misses,
    );
  });

  it('before the first cell are none, and a day is needed', async () => {
    expect((await get('/takes?on=2024-01-01')).body).toMatchObject({
      groups: [],
      all: { takes: 0, rate: null },
    });
    expect((await get('/takes')).status).toBe(422);
    expect((await get('/takes?on=2026-05-31&by=moon')).status).toBe(422);
  });
});
