import { randomUUID } from 'node:crypto';
import { bodiesOf, familyDesign, usualWorkshop } from '@yellow-cell/core';
import { sql } from 'kysely';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { asBreeder } from '../src/store/database.ts';
import { workshopOutOfSettings } from '../src/store/workshop.ts';
import { freshServer } from './bench.test.kit.ts';

let server: Awaited<ReturnType<typeof freshServer>>;
beforeAll(async () => {
  server = await freshServer();
});
afterAll(() => server.close());

let count = 0;
const entry = (kind: string, payload: object) => ({
  id: randomUUID(),
  kind,
  kindVersion: 1,
  occurredAt: '2026-05-20T10:00:00Z',
  zone: 'Europe/Vienna',
  person: 'Ann',
  device: 'bench',
  deviceSeq: ++count,
  payload,
});
const post = (url: string, payload: object) => server.app.inject({ method: 'POST', url, payload });

describe('a box in the workshop', () => {
  it('is found by its design before it stands anywhere, and its ticks are its story', async () => {
    const design = randomUUID();
    const box = randomUUID();
    const made = await post('/api/designs', {
      id: design,
      name: 'Built',
      version: { id: randomUUID(), content: familyDesign('nucleus'), note: '' },
    });
    expect(made.statusCode).toBe(200);
    const logged = await post('/api/events', {
      entries: [
        entry('boxBuilt', { box, label: 'W1', design, version: 1 }),
        entry('buildTicked', { box, step: 'cut', done: true }),
      ],
    });
    expect(logged.json().problems ?? []).toEqual([]);
    const { boxes } = (await server.app.inject(`/api/designs/${design}/boxes`)).json();
    expect(boxes).toMatchObject([{ id: box, label: 'W1', yard: null }]);
    const { events } = (await server.app.inject(`/api/boxes/${box}/log`)).json();
    expect(events.map(({ kind }: { kind: string }) => kind).sort()).toEqual(['boxBuilt', 'buildTicked']);
    expect((await server.app.inject(`/api/designs/${randomUUID()}/boxes`)).json().boxes).toEqual([]);
  });

  it('keeps the climate of a yard with the settings, and refuses one that cannot be, by its place', async () => {
    const { settings } = (await server.app.inject('/api/session')).json();
    const yard = randomUUID();
    const months = Array.from({ length: 12 }, (_, month) => (month === 6 ? null : { min_C: -3.5, max_C: 6 }));
    const put = (own: unknown) =>
      server.app.inject({
        method: 'PUT',
        url: '/api/settings',
        payload: { ...settings, climates: { [yard]: { months: own } } },
      });
    const hotter = await put(months.with(2, { min_C: 7, max_C: 6 }));
    expect([hotter.statusCode, hotter.json().problems[0].sentence]).toEqual([
      422,
      'The minimum of a month is not above its maximum.',
    ]);
    expect((await put(months.slice(1))).json().problems[0].sentence).toBe('A climate has twelve months.');
    expect((await put(months.with(2, { min_C: -90, max_C: 6 }))).statusCode).toBe(422);
    expect((await put(months)).statusCode).toBe(200);
    const after = (await server.app.inject('/api/session')).json().settings;
    expect(after.climates).toEqual({ [yard]: { months } });
    // And lets it go again.
    const { climates: _, ...without } = after;
    expect(
      (await server.app.inject({ method: 'PUT', url: '/api/settings', payload: without })).statusCode,
    ).toBe(200);
    expect((await server.app.inject('/api/session')).json().settings.climates).toBeUndefined();
  });

  it('keeps stock and register in versions of their own, and refuses an absurd price by its place', async () => {
    const usual = (await server.app.inject('/api/workshop')).json();
    expect(usual).toEqual({ ...usualWorkshop, version: 0 });
    const workshop = {
      currency: '€',
      kerf_mm: 3,
      stock: [
        {
          id: randomUUID(),
          name: 'Ply',
          material: 'plywood',
          thickness_mm: 9.5,
          width_mm: 2440,
          height_mm: 1220,
          atHand: null,
          price: 60,
        },
      ],
      fittings: { disc: 1.2 },
      printer: null,
      plastic: null,
      register: [
        {
          id: randomUUID(),
          kind: 'frame',
          name: 'Deep frames',
          count: 40,
          finish: '',
          condition: 'good',
          place: 'loft',
          missing: '',
        },
      ],
    };
    const put = (version: number, more: object = {}) =>
      server.app.inject({ method: 'PUT', url: '/api/workshop', payload: { ...workshop, version, ...more } });
    expect((await put(0, { fittings: { disc: -5 } })).json().problems).toMatchObject([
      { path: 'fittings.disc', sentence: 'A price cannot be below 0.' },
    ]);
    const twice = [...workshop.register, ...workshop.register];
    expect((await put(0, { register: twice })).json().problems).toMatchObject([
      { path: 'register', sentence: 'Two lines of the register bear one id.' },
    ]);
    expect((await put(0)).json()).toEqual({ ...workshop, version: 1 });
    expect((await server.app.inject('/api/workshop')).json()).toEqual({ ...workshop, version: 1 });
    // Whoever wrote by what is no longer so is told what it is now, and nothing of theirs is kept.
    for (const version of [0, 2]) {
      const late = await put(version, { stock: [] });
      expect([late.statusCode, late.json().changed[0], late.json().current.version]).toEqual([
        409,
        expect.stringContaining('Stock'),
        1,
      ]);
    }
    const printer = {
      width_mm: 220,
      length_mm: 220,
      height_mm: 250,
      nozzle_mm: 0.4,
      layer_mm: 0.2,
      speed_mms: 50,
    };
    const deep = { ...workshop.register[0], format: 'langstroth-deep', comb: 'drawn' };
    const more = { printer, plastic: 22.5, stock: [], register: [deep] };
    expect((await put(1, more)).statusCode).toBe(200);
    expect((await server.app.inject('/api/workshop')).json()).toEqual({ ...workshop, ...more, version: 2 });
  });

  it('is not in the way of settings that name a figure which is none any more', async () => {
    const yard = { id: randomUUID() };
    await post('/api/yards', {
      ...yard,
      name: 'Bank',
      latitude_deg: -41,
      longitude_deg: 174,
      zone: 'Pacific/Auckland',
    });
    await server.context.within((store) =>
      sql`update breeder set settings = jsonb_set(settings::jsonb, '{constants}', ${JSON.stringify({
        [yard.id]: { kerf_mm: 4, eggsFrom_d: 11, eggsTo_d: 9_999 },
      })}::jsonb)::json`.execute(store),
    );
    const { settings } = (await server.app.inject('/api/session')).json();
    expect(settings.constants).toEqual({ [yard.id]: { eggsFrom_d: 11 } });
    const put = await server.app.inject({
      method: 'PUT',
      url: '/api/settings',
      payload: { ...settings, person: 'Ann' },
    });
    expect([put.statusCode, put.json().person]).toEqual([200, 'Ann']);
  });

  it('moves what was in the settings of before to where it belongs now, once', async () => {
    const { database, context } = server;
    const workshop = { ...usualWorkshop, currency: 'kr', fittings: { disc: 3 } };
    await asBreeder(database, context.breeder, async (store) => {
      await store.deleteFrom('workshop').execute();
      await store.deleteFrom('stock_sheet').execute();
      await store.deleteFrom('equipment').execute();
      await sql`update breeder set settings = (settings::jsonb || ${JSON.stringify({ workshop })}::jsonb)::json`.execute(
        store,
      );
      await workshopOutOfSettings(store);
      await workshopOutOfSettings(store);
    });
    expect((await server.app.inject('/api/workshop')).json()).toEqual({ ...workshop, version: 1 });
    expect((await server.app.inject('/api/session')).json().settings.workshop).toBeUndefined();
  });
});

describe('a box whose divider is pulled', () => {
  it('has a compartment less in the read tables, and all of them again once that is withdrawn', async () => {
    const [design, box, yard] = [randomUUID(), randomUUID(), randomUUID()];
    await post('/api/designs', {
      id: design,
      name: 'Three',
      version: { id: randomUUID(), content: familyDesign('threeWay'), note: '' },
    });
    await post('/api/yards', {
      id: yard,
      name: 'Live',
      latitude_deg: 48,
      longitude_deg: 15,
      zone: 'Europe/Vienna',
    });
    const board = bodiesOf(familyDesign('threeWay'))[0]?.boards[0]?.id ?? '';
    const place = { box, yard, stand: '1', east_m: 1, north_m: 1, bearing_deg: 180 };
    const standing = [entry('boxBuilt', { box, label: 'L1', design, version: 1 }), entry('boxPlaced', place)];
    const pulled = entry('dividerSet', { box, board, stands: false });
    const entries = [...standing, pulled];
    expect((await post('/api/events', { entries })).json().problems ?? []).toEqual([]);
    const compartments = async () =>
      (await server.app.inject(`/api/yards/${yard}/boxes`))
        .json()
        .boxes[0].compartments.map(({ frames }: { frames: number }) => frames);
    expect(await compartments()).toEqual([6, 3]);
    await post('/api/events', { entries: [{ ...entry('withdrawn', {}), corrects: pulled.id }] });
    expect(await compartments()).toEqual([3, 3, 3]);
  });
});
