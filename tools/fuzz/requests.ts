import { randomUUID } from 'node:crypto';
import { bayIdsOf, METRIC, type Random, standardDesign } from '@yellow-cell/core';
import type { Json } from './hostile.ts';

/** A request that is right, before anything of it is spoiled. */
export interface Right {
  method: 'GET' | 'POST' | 'PUT';
  path: string;
  query?: Record<string, string>;
  body?: Json;
}

/** What is there to be asked about. */
export interface World {
  yard: string;
  box: string;
  colony: string;
  queen: string;
  design: string;
}

const content = standardDesign({
  format: 'langstroth-deep',
  thickness: { mm: 9.5 },
  frames: [3, 3, 3],
}) as unknown as Json;
const faces = [
  { between: ['a', 'outside'], area_m2: 0.1, kind: 'wall', layers: [{ thickness_mm: 19, lambda_WmK: 0.12 }] },
];

/** A question for every subject, small enough to be answered at once. */
const questions: Readonly<Record<string, Json>> = {
  gap: { gap_mm: 4.2, where: 'slot' },
  fit: {
    insideWidth_mm: 373,
    pitch_mm: 34.9,
    frames: [3, 3, 3],
    dividers: [{ thickness_mm: 9.5 }, { thickness_mm: 9.5 }],
  },
  layouts: {
    insideWidth_mm: 373,
    pitch_mm: 34.9,
    thicknesses_mm: [3.2, 9.5],
    compartments: { min: 2, max: 4 },
    framesEach: { min: 2, max: 5 },
    slack_mm: { min: 3, max: 24 },
  },
  reach: {
    spaces: ['a', 'b'],
    passages: [{ between: ['a', 'b'], gap_mm: 4.2 }],
    occupants: [{ in: 'a', what: 'queen' }],
    entrances: [{ to: ['b'], state: 'open' }],
  },
  air: {
    outside_C: 22,
    ua_WK: 1.1,
    bees_kg: 0.5,
    heat_Wkg: 12,
    openings: [{ area_cm2: 4.91, height_m: 0.02 }],
    comb_kg: 3,
    limits_C: [36, 38],
    constants: {},
  },
  warmth: {
    outside_C: -5,
    spaces: [{ name: 'a', heat_W: 6 }],
    faces,
    flows: [{ between: ['a', 'outside'], flow_m3s: 0.0001 }],
  },
  winter: { bees_kg: 2, ua_WK: 2.5, outside_C: -5, days: 30, brood: false },
  moisture: {
    outside_C: -1,
    outside_RH: 0.85,
    inside_C: 6,
    flow_m3s: 0.0000766,
    stores_kgDay: 0.075,
    surfaces: [{ name: 'cover', surface_C: 4.2 }],
  },
  cells: { queens: 20, takes: 14, tried: 20, prior: [1, 1], confidence: 0.9 },
  nest: {
    sheet: { width_mm: 2440, height_mm: 1220 },
    kerf_mm: 3,
    parts: [{ name: 'side', width_mm: 501, height_mm: 244, count: 6, turn: true }],
  },
  parts: { design: content },
  check: { design: content },
  export: { design: content, format: 'svg', name: 'Box' },
};

/** Ids from a small stock: what is kept stays small, so that the last request meets the same server as the first. */
const STOCK = Array.from({ length: 400 }, () => randomUUID());
let seq = 0;
const fromStock = (): string => STOCK[++seq % STOCK.length] ?? '';
const entry = (kind: string, payload: Json): Json => ({
  id: fromStock(),
  kind,
  kindVersion: 1,
  occurredAt: '2026-05-31T06:00:00.000Z',
  zone: 'Europe/Vienna',
  person: 'F',
  device: 'fuzz',
  deviceSeq: seq,
  payload,
  note: 'n',
});

/** Every route, each as often as it is likely to be attacked. */
export function rightRequest(random: Random, { yard, box, colony, queen, design }: World): Right {
  const of = { box, colony };
  const from = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const entries = (): Json => [
    from([
      () => entry('noted', { box }),
      () => entry('fed', { ...of, feed: 'syrup11', amount_kg: 0.5 }),
      () => entry('strengthSeen', { ...of, seams: 3, broodFrames: 1 }),
      () =>
        entry('queenGiven', {
          ...of,
          queen: randomUUID(),
          what: 'mated',
          caged: true,
          mother: { name: 'M' },
          bornOn: '2026-05-01',
        }),
      () =>
        entry('stocked', {
          box,
          colony: randomUUID(),
          bays: bayIdsOf(content as never).slice(1, 2),
          frames: { sealedBrood: 1, stores: 1, drawn: 1 },
          shakes: 1,
          openBrood: false,
          queen: 'unknown',
        }),
      () => entry('frameAudited', { ...of, frame: randomUUID(), slot: 'slot-1', sides: [{ eggs: 0.2 }, {}] }),
      () => entry('boxPlaced', { box, yard, stand: '1', east_m: 1, north_m: 1, bearing_deg: 180 }),
      () => entry('outingLeft', { ...of, place: 'p', backBy: '2026-06-01T10:00:00Z' }),
      () => entry('workPutOff', { ...of, work: 'refillFeed', until: '2026-06-20' }),
      () =>
        entry('weatherRecorded', {
          yard,
          days: [{ date: '2026-05-30', min_C: 5, max_C: 20, wind_ms: 1, rain_mm: 0, flying_h: 4 }],
        }),
      () =>
        entry('boardPlaced', {
          box,
          board: 'board-1',
          at_mm: 100,
          framesLeft: 1,
          groove: randomUUID(),
          bay: randomUUID(),
        }),
      () => ({ ...(entry('withdrawn', {}) as object), corrects: randomUUID() }) as Json,
    ])(),
  ];
  const [subject, question] = from(Object.entries(questions));
  const fields = { name: 'Y', latitude_deg: 48, longitude_deg: 13, zone: 'Europe/Vienna' };
  return from<() => Right>([
    ...new Array(6).fill(() => ({
      method: 'POST',
      path: '/api/events',
      body: { entries: entries(), synced: random() < 0.5 },
    })),
    ...new Array(6).fill(() => ({ method: 'POST', path: `/api/compute/${subject}`, body: question })),
    () => ({ method: 'POST', path: '/api/designs/read', body: { yellowCell: 'design', name: 'x', content } }),
    () => ({
      method: 'POST',
      path: '/api/designs',
      body: { id: design, name: 'D', version: { id: fromStock(), content, note: '' } },
    }),
    () => ({
      method: 'POST',
      path: `/api/designs/${design}/versions`,
      body: { basedOn: 1, name: 'D', version: { id: fromStock(), content, note: '' } },
    }),
    () => ({ method: 'POST', path: '/api/yards', body: { id: yard, ...fields } }),
    () => ({ method: 'PUT', path: `/api/yards/${yard}`, body: { ...fields, version: 1 } }),
    () => ({
      method: 'PUT',
      path: '/api/settings',
      body: { person: 'F', measures: METRIC, constants: { [yard]: { eggsFrom_d: 10 } }, version: 1 },
    }),
    () => ({ method: 'GET', path: '/api/session' }),
    () => ({ method: 'GET', path: '/api/yards' }),
    () => ({ method: 'GET', path: '/api/designs' }),
    () => ({ method: 'GET', path: `/api/designs/${design}` }),
    () => ({ method: 'GET', path: `/api/designs/${design}/boxes` }),
    () => ({ method: 'GET', path: `/api/yards/${yard}/boxes`, query: { limit: '5', after: `B1~${box}` } }),
    () => ({ method: 'GET', path: `/api/yards/${yard}/standing`, query: { limit: '5' } }),
    () => ({ method: 'GET', path: `/api/yards/${yard}/due`, query: { on: '2026-05-31', limit: '5' } }),
    () => ({ method: 'GET', path: `/api/yards/${yard}/around` }),
    () => ({ method: 'GET', path: `/api/yards/${yard}/season` }),
    () => ({ method: 'GET', path: `/api/boxes/${box}` }),
    () => ({ method: 'GET', path: '/api/boxes', query: { find: 'b', limit: '5' } }),
    () => ({ method: 'GET', path: `/api/queens/${queen}` }),
    () => ({
      method: 'GET',
      path: '/api/to-settle',
      query: { after: `2026-05-31T06:00:00.000Z~${box}`, limit: '5', box },
    }),
    () => ({ method: 'GET', path: '/api/search', query: { find: 'fr', limit: '5' } }),
    () => ({ method: 'GET', path: '/api/takes', query: { by: 'box', on: '2026-05-31', from: '2026-01-01' } }),
    () => ({ method: 'GET', path: '/api/years/2026', query: { yard } }),
    () => ({ method: 'GET', path: '/api/sensors/weights', query: { box: 'B1' } }),
    () => ({ method: 'GET', path: '/yard' }),
    () => ({ method: 'GET', path: '/index.html' }),
  ])();
}
