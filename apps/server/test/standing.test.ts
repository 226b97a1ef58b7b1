import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import type {
  Around,
  Entry,
  Found,
  QueenStory,
  Standing,
  UnsettledPage,
  YardLog,
} from '@yellow-cell/contract';
import { seededRandom } from '@yellow-cell/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { logEntries } from '../src/services/logEntries.ts';
import { entry, freshServer, type Ground, ground, storyOfBox } from './bench.test.kit.ts';

let server: Awaited<ReturnType<typeof freshServer>>;
let place: Ground;
beforeAll(async () => {
  server = await freshServer();
  place = await ground(server.context);
});
afterAll(() => server.close());

const log = (...entries: Entry[]) => logEntries(server.context, entries);
async function get<T>(path: string): Promise<T> {
  const answer = await server.app.inject({ url: `/api${path}` });
  expect({ path, status: answer.statusCode }).toEqual({ path, status: 200 });
  return answer.json() as T;
}

const poppler = (tool: string, input: Buffer): string =>
  execFileSync(tool, ['-layout', '-', '-'], { input, encoding: 'utf8' });

describe('boxes as they stand', () => {
  it('come with what lives in them, their designs, rounds and weather, page by page', async () => {
    const stories = ['S1', 'S2', 'S3'].map((label) => storyOfBox(place, '2026-05-10', label));
    for (const { entries } of stories) await log(...entries);
    const round = randomUUID();
    await log(
      entry('grafted', '2026-04-30', { round, number: 3, donor: 'Sable', grafts: 20, countedAtOnce: 12 }),
      entry('weatherRecorded', '2026-05-20', {
        yard: place.yard.id,
        days: [{ date: '2026-05-20', min_C: 5, max_C: 20, wind_ms: 2, rain_mm: 0, flying_h: 4 }],
      }),
    );
    const first = await get<Standing>(`/yards/${place.yard.id}/standing?limit=2`);
    expect(first.boxes.map(({ box }) => box.label)).toEqual(['S1', 'S2']);
    expect(first.boxes[0]?.colonies).toMatchObject([{ status: 'cellGiven' }]);
    expect(first.boxes[0]?.recent.at(-1)?.kind).toBe('cellGiven');
    const around = await get<Around>(`/yards/${place.yard.id}/around`);
    expect(around.designs).toMatchObject([{ id: place.design.id, name: 'Three-way' }]);
    expect(around.rounds).toMatchObject([{ id: round, graftedOn: '2026-04-30' }]);
    expect(around.weather).toMatchObject([{ date: '2026-05-20', flying_h: 4 }]);
    const next = await get<Standing>(
      `/yards/${place.yard.id}/standing?limit=2&after=${encodeURIComponent(first.next ?? '')}`,
    );
    expect(next.boxes.map(({ box }) => box.label)).toEqual(['S3']);
    expect(next.next).toBeNull();
    expect((await get<Standing>(`/boxes/${stories[0]?.box}`)).boxes).toHaveLength(1);
  });

  it('with something due come alone, most pressing first, and not what has lapsed', async () => {
    const late = storyOfBox(place, '2026-05-04', 'D1');
    await log(...late.entries, entry('cellOpened', '2026-05-07', late.of));
    const due = async (on: string) =>
      (await get<Standing>(`/yards/${place.yard.id}/due?on=${on}`)).boxes.map(({ box }) => box.label);
    // S1’s cell was never looked at: that is late for longer than D1’s eggs are.
    const pressing = await due('2026-05-31');
    expect(pressing.indexOf('S1')).toBeLessThan(pressing.indexOf('D1'));
    expect(await due('2026-04-22')).not.toContain('D1');
    await log(entry('failed', '2026-05-30', { ...late.of, reason: 'robbed' }));
    expect(await due('2026-05-31')).not.toContain('D1');
  });

  it('tell their stories page by page, each box once, the yard’s weather with the first page', async () => {
    const story = (query: string) => get<YardLog>(`/yards/${place.yard.id}/log?${query}`);
    const first = await story('limit=2');
    expect(first.of).toHaveLength(2);
    expect(first.events.filter(({ kind }) => kind === 'weatherRecorded')).toHaveLength(1);
    const rest = await story(`limit=50&after=${encodeURIComponent(first.next ?? '')}`);
    expect(rest.next).toBeNull();
    expect(rest.events.some(({ kind }) => kind === 'weatherRecorded')).toBe(false);
    const all = await story('limit=50');
    expect([...first.of, ...rest.of]).toEqual(all.of);
    expect(new Set([...first.events, ...rest.events].map(({ id }) => id))).toEqual(
      new Set(all.events.map(({ id }) => id)),
    );
  });

  it('end a page of stories where a reader would wait too long, but not before the first box', async () => {
    const [long, short] = ['W1', 'W2'].map((label) => storyOfBox(place, '2026-05-10', label));
    if (!long || !short) throw new Error('No boxes.');
    await log(...long.entries, ...short.entries);
    const notes = Array.from({ length: 800 }, () => entry('noted', '2026-05-20', { box: long.box }));
    await log(...notes);
    const page = await get<YardLog>(
      `/yards/${place.yard.id}/log?after=${encodeURIComponent(`V~${randomUUID()}`)}`,
    );
    expect(page.of).toEqual([long.box]);
    const next = await get<YardLog>(
      `/yards/${place.yard.id}/log?after=${encodeURIComponent(page.next ?? '')}`,
    );
    expect(next.of).toEqual([short.box]);
    expect(next.next).toBeNull();
  });

  it('answer on paper: three cards on a page, each with its rooms and their marks', async () => {
    const { boxes } = await get<Standing>(`/yards/${place.yard.id}/standing`);
    const pages: Record<string, string[]> = {};
    for (const what of ['cards', 'day', 'plan']) {
      const answer = await server.app.inject({ url: `/api/yards/${place.yard.id}/paper.pdf?what=${what}` });
      expect(answer.headers['content-type']).toBe('application/pdf');
      pages[what] = poppler('pdftotext', answer.rawPayload).split('\f').slice(0, -1);
    }
    expect(pages.cards).toHaveLength(Math.ceil(boxes.length / 3));
    boxes.forEach(({ box }, index) => {
      const page = pages.cards?.[Math.floor(index / 3)] ?? '';
      expect(page).toContain(box.label);
      for (const room of ['West', 'Middle', 'East']) expect(page).toContain(`${room}: `);
    });
    expect(pages.cards?.[0]).toMatch(/mark: the \w+, \w+/);
    expect(pages.plan?.join()).toContain('North is up');
    expect(pages.day?.join()).toContain('Veil and gloves');
  });
});

describe('the calendar file', () => {
  it('has all that is expected of every yard and of the rounds, each once, the same when it is asked again', async () => {
    const late = storyOfBox(place, '2026-05-24', 'CA1');
    const round = randomUUID();
    await log(
      ...late.entries,
      entry('roundPlanned', '2026-05-20', {
        round,
        number: 41,
        donor: 'Thistle',
        graftOn: '2099-05-08',
        grafts: 20,
      }),
    );
    const ask = () => server.app.inject({ url: '/api/calendar.ics' });
    const answer = await ask();
    expect(answer.headers['content-type']).toContain('text/calendar');
    const text = answer.body.replace(/\r\n[ \t]/g, '');
    expect(text.startsWith('BEGIN:VCALENDAR')).toBe(true);
    expect(text).toMatch(/SUMMARY:[^\r\n]*CA1/);
    expect(text).toContain('SUMMARY:Graft\\, round 41');
    expect(text).toContain('DTSTART;VALUE=DATE:20990508');
    const ids = [...text.matchAll(/UID:(.*)/g)].map(([, id]) => id);
    expect(new Set(ids).size).toBe(ids.length);
    const again = [...(await ask()).body.replace(/\r\n[ \t]/g, '').matchAll(/UID:(.*)/g)].map(([, id]) => id);
    expect(again).toEqual(ids);
  });
});

describe('a queen', () => {
  it('is told with her sisters and all that names her', async () => {
    const [one, other] = [
      storyOfBox(place, '2026-05-10', 'Q1'),
      storyOfBox(place, '2026-05-10', 'Q2'),
    ] as const;
    const round = randomUUID();
    await log(
      entry('grafted', '2026-04-30', { round, number: 8, donor: 'Thistle', grafts: 20, countedAtOnce: 12 }),
    );
    for (const { entries, of } of [one, other])
      await log(
        ...entries.map((each) =>
          each.kind === 'cellGiven' ? { ...each, payload: { ...each.payload, round } } : each,
        ),
        entry('cellOpened', '2026-05-13', of),
      );
    await log(
      entry('queenMarked', '2026-05-28', {
        box: one.box,
        colony: one.of.colony,
        queen: one.of.attempt,
        colour: 'white',
        number: '42',
        clipped: false,
      }),
    );
    const story = await get<QueenStory>(`/queens/${one.of.attempt}`);
    expect(story).toMatchObject({
      queen: { mother: { name: 'Thistle' }, mark: { number: '42' } },
      box: { label: 'Q1' },
      attempt: { givenOn: '2026-05-10' },
      sisters: [{ queen: { id: other.of.attempt }, place: 'Q2 West', is: 'virgin', pattern_pct: null }],
    });
    expect(story.events.map(({ kind }) => kind)).toEqual(['cellGiven', 'cellOpened', 'queenMarked']);
    // Eggs of her bees speak for her, though they do not name her.
    await log(entry('eggsSeen', '2026-05-29', { box: one.box, colony: one.of.colony }));
    const later = await get<QueenStory>(`/queens/${one.of.attempt}`);
    expect(later.events.at(-1)?.kind).toBe('eggsSeen');
    const found = await get<Found[]>('/search?find=42');
    expect(found).toMatchObject([{ kind: 'queen', id: one.of.attempt, box: one.box }]);
    // Where her sister lives now, and not where she was mated; of one that is gone the box alone.
    const moved = { colony: other.of.colony, toBox: one.box, bays: place.bays.slice(1, 2) };
    await log(entry('colonyMoved', '2026-05-30', { box: other.box, ...moved }, { hour: 8 }));
    const sister = async () => (await get<QueenStory>(`/queens/${one.of.attempt}`)).sisters[0];
    expect(await sister()).toMatchObject({ place: 'Q1 Middle', is: 'virgin' });
    const bees = { box: one.box, colony: other.of.colony };
    const sold = { ...bees, queen: other.of.attempt, to: 'sold', beesRemain: true } as const;
    await log(entry('eggsSeen', '2026-05-30', bees));
    expect(await sister()).toMatchObject({ is: 'laying' });
    await log(entry('queenTaken', '2026-05-31', sold, { hour: 7 }));
    expect(await sister()).toMatchObject({ place: 'Q1', is: null });
  });
});

describe('search', () => {
  it('finds boxes, stands, rounds, and the words of a note in any script; and means what is typed, not patterns', async () => {
    const { box, entries } = storyOfBox(place, '2026-05-10', 'Find-1');
    await log(...entries);
    const words = ['Drohnenbrütig?', 'מלכה', '🐝', "50% o'clock_ \\"];
    // No pattern in it: nothing that packs its like makes it short enough for an index.
    const random = seededRandom(3);
    const letter = () => String.fromCodePoint(0x4e00 + Math.floor(random() * 20_000));
    const endless = Array.from({ length: 5_000 }, letter).join('');
    for (const note of [...words, endless, 'Anhänger 7\u0301 voll'])
      await log({ ...entry('noted', '2026-05-12', { box }), note });
    const find = async (typed: string) =>
      (await get<Found[]>(`/search?find=${encodeURIComponent(typed)}`)).map(
        ({ kind, title }) => `${kind} ${title}`,
      );
    expect(await find('find-1')).toContain('box Find-1');
    expect(await find('drohnen')).toContain('note Drohnenbrütig?');
    expect(await find('מלכה')).toContain('note מלכה');
    expect((await find('thistle')).some((each) => each.startsWith('round'))).toBe(true);
    for (const odd of ['%', '_', "'", '\\', ':*', '&', '🐝', '50%']) await find(odd);
    expect(await find('%%')).toEqual([]);
    expect(await find('ANHÄNGER VO')).toEqual(['note Anhänger 7\u0301 voll']);
    expect(await find('7\u0301')).toEqual(['note Anhänger 7\u0301 voll']);
    expect(await find(endless.slice(0, 80))).toEqual([`note ${endless.slice(0, 120)}`]);
    expect(await find(endless.slice(0, 59))).toHaveLength(1);
    expect(await find(endless.slice(1, 59))).toEqual([]);
  });
});

describe('what waits to be settled', () => {
  it('is told with what stands in its way', async () => {
    const { box, of, entries } = storyOfBox(place, '2026-05-10', 'W1');
    await log(...entries);
    const again = entry('cellGiven', '2026-05-12', { box, colony: of.colony, attempt: randomUUID() });
    await logEntries(server.context, [again], true);
    const waiting = (await get<UnsettledPage>('/to-settle')).items.find(({ event }) => event.id === again.id);
    expect(waiting).toMatchObject({ against: { kind: 'cellGiven' }, boxes: [{ label: 'W1' }] });
    expect(waiting?.sentence).toContain('record what became of its queen');
    await log(entry('withdrawn', '2026-05-31', {}, { corrects: again.id }));
    expect((await get<UnsettledPage>('/to-settle')).items.some(({ event }) => event.id === again.id)).toBe(
      false,
    );
  });
});
