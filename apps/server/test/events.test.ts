import { randomUUID } from 'node:crypto';
import type { Entry } from '@yellow-cell/contract';
import { ProblemsError } from '@yellow-cell/core';
import { sql } from 'kysely';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { logEntries } from '../src/services/logEntries.ts';
import { boxPage } from '../src/store/boxes.ts';
import { entry, freshServer, type Ground, ground, storyOfBox, TODAY } from './bench.test.kit.ts';

let server: Awaited<ReturnType<typeof freshServer>>;
let place: Ground;
beforeAll(async () => {
  server = await freshServer();
  place = await ground(server.context);
});
afterAll(() => server.close());

const log = (entries: Entry[], synced = false) => logEntries(server.context, entries, synced);
const refusal = async (entries: Entry[]) => {
  const error = await log(entries).then(
    () => undefined,
    (failed: unknown) => failed,
  );
  if (!(error instanceof ProblemsError)) throw new Error(`was not refused: ${error}`);
  return error.problems;
};
const rowOf = async (box: string) => {
  const { boxes } = await server.context.within((store) =>
    boxPage(store, { yard: place.yard.id, limit: 200 }),
  );
  return boxes.find(({ id }) => id === box);
};
const countEvents = () =>
  server.context.within(
    async (store) =>
      (await store.selectFrom('event').select(sql<number>`count(*)::int`.as('n')).executeTakeFirstOrThrow())
        .n,
  );

describe('entries', () => {
  it('bring the read rows up to them in the same act', async () => {
    const { box, of, entries } = storyOfBox(place, '2026-05-10');
    await log(entries);
    expect(await rowOf(box)).toMatchObject({
      label: 'B1',
      compartments: [
        { name: 'West', status: 'cellGiven', due: 'checkOpening', dueFrom: '2026-05-12' },
        { status: 'empty' },
        { status: 'empty' },
      ],
    });
    await log([entry('cellOpened', '2026-05-12', of), entry('eggsSeen', '2026-05-24', of)]);
    expect((await rowOf(box))?.compartments[0]).toMatchObject({
      status: 'laying',
      since: '2026-05-24',
      due: 'scorePattern',
      dueFrom: '2026-06-02',
    });
  });

  it('sent twice change nothing', async () => {
    const { box, entries } = storyOfBox(place, '2026-05-10', 'B2');
    const first = await log(entries);
    const before = await countEvents();
    const again = await log(entries);
    expect(again).toEqual({ stored: [], repeated: first.stored, toSettle: [] });
    expect(await countEvents()).toBe(before);
    const twiceInOne = entry('noted', '2026-05-11', { box });
    expect(await log([twiceInOne, twiceInOne])).toMatchObject({ stored: [twiceInOne.id] });
  });

  it('sent by two devices at once are stored once', async () => {
    const { box, entries } = storyOfBox(place, '2026-05-10', 'B3');
    await log(entries);
    const note = entry('noted', '2026-05-11', { box });
    const answers = await Promise.all(Array.from({ length: 8 }, () => log([note])));
    expect(answers.flatMap(({ stored }) => stored)).toEqual([note.id]);
  });

  it('that reuse an id for something else are no repeat, in the log or in one request, in capitals or not', async () => {
    const { box, entries } = storyOfBox(place, '2026-05-10', 'B4');
    await log(entries);
    const id = entries[0]?.id ?? '';
    const note = (text: string, as = id) => ({
      ...entry('noted', '2026-05-11', { box }, { id: as }),
      note: text,
    });
    await expect(log([note('a')])).rejects.toMatchObject({ name: 'Conflict' });
    await expect(log([note('a')], true)).rejects.toMatchObject({ name: 'Conflict' });
    const fresh = randomUUID();
    await expect(log([note('a', fresh), note('b', fresh)])).rejects.toMatchObject({ name: 'Conflict' });
    expect((await log([note('a', fresh), note('a', fresh)])).stored).toEqual([fresh]);
    const answer = await server.app.inject({
      method: 'POST',
      url: '/api/events',
      payload: { entries: [note('b', fresh.toUpperCase())] },
    });
    expect([answer.statusCode, answer.json().changed]).toEqual([409, [expect.stringContaining('Entry 1')]]);
  });

  it('arriving out of order give the same rows', async () => {
    const forward = storyOfBox(place, '2026-05-10', 'B5');
    await log(forward.entries);
    const backward = storyOfBox(place, '2026-05-10', 'B6');
    for (const each of [...backward.entries].reverse()) await log([each], true);
    const strip = (row: Awaited<ReturnType<typeof rowOf>>) => row?.compartments;
    expect(strip(await rowOf(backward.box))).toEqual(strip(await rowOf(forward.box)));
  });

  it('backdated before later ones are folded in their place', async () => {
    const { box, of, entries } = storyOfBox(place, '2026-05-10', 'B7');
    await log([...entries, entry('eggsSeen', '2026-05-24', of)]);
    await log([entry('cellOpened', '2026-05-13', of)]);
    expect((await rowOf(box))?.compartments[0]).toMatchObject({ status: 'laying', since: '2026-05-24' });
  });

  it('withdrawn leave the rows as if never made', async () => {
    const { box, of, entries } = storyOfBox(place, '2026-05-10', 'B8');
    await log(entries);
    const before = await rowOf(box);
    const failed = entry('failed', '2026-05-13', { ...of, reason: 'cellNotOpened' });
    await log([failed]);
    expect((await rowOf(box))?.compartments[0]?.status).toBe('failed');
    await log([entry('withdrawn', TODAY, {}, { corrects: failed.id })]);
    expect(await rowOf(box)).toEqual(before);
  });

  it('corrected, and corrected again, are told once, as they were last', async () => {
    const { box, of, entries } = storyOfBox(place, '2026-05-10', 'B9');
    await log(entries);
    const before = await rowOf(box);
    const eggs = (on: string, corrects?: string) => entry('eggsSeen', on, of, corrects ? { corrects } : {});
    const first = eggs('2026-05-24');
    const second = eggs('2026-05-25', first.id);
    const third = eggs('2026-05-26', second.id);
    for (const each of [first, second, third]) await log([each]);
    const since = async () => (await rowOf(box))?.compartments[0]?.since;
    expect(await since()).toBe('2026-05-26');
    await log([entry('withdrawn', TODAY, {}, { corrects: third.id })]);
    expect(await since()).toBe('2026-05-25');
    await log([entry('withdrawn', TODAY, {}, { corrects: second.id })]);
    expect(await since()).toBe('2026-05-24');
    await log([entry('withdrawn', TODAY, {}, { corrects: first.id })]);
    expect(await rowOf(box)).toEqual(before);
  });
});

describe('entries that cannot be', () => {
  it.each([
    [
      'for a box that does not exist',
      () => entry('noted', '2026-05-11', { box: randomUUID() }),
      'does not exist',
    ],
    [
      'more than a day in the future',
      () => entry('noted', '2026-06-03', { box: randomUUID() }),
      'more than a day ahead',
    ],
    [
      'correcting what does not exist',
      () => entry('withdrawn', '2026-05-11', {}, { corrects: randomUUID() }),
      'to correct does not exist',
    ],
  ] as const)('%s are refused with a sentence', async (_, make, words) => {
    const before = await countEvents();
    const [problem] = await refusal([make()]);
    expect(problem?.sentence).toContain(words);
    expect(await countEvents()).toBe(before);
  });

  it('before the box was built, or after it was taken apart, are refused', async () => {
    const box = randomUUID();
    await log([
      entry('boxBuilt', '2026-05-01', { box, label: 'X1', design: place.design.id, version: 1 }),
      entry('boxTakenApart', '2026-05-10', { box }),
    ]);
    expect((await refusal([entry('noted', '2026-04-20', { box })]))[0]?.sentence).toContain('not built yet');
    expect((await refusal([entry('noted', '2026-05-11', { box })]))[0]?.sentence).toContain(
      'taken apart on 10 May',
    );
  });

  it('take the whole group with them: all or none', async () => {
    const { entries, of } = storyOfBox(place, '2026-05-10', 'B9');
    const before = await countEvents();
    const problems = await refusal([
      ...entries,
      entry('queenTaken', '2026-05-11', { ...of, to: 'sold', beesRemain: true }),
    ]);
    expect(problems.map(({ path }) => path)).toEqual(['entries.4']);
    expect(await countEvents()).toBe(before);
  });

  it('are kept when they come from a device that was offline, and wait to be settled', async () => {
    const { box, of, entries } = storyOfBox(place, '2026-05-10', 'B10');
    await log(entries);
    const clash = entry('queenTaken', '2026-05-11', { ...of, to: 'sold', beesRemain: true });
    expect(await log([clash], true)).toEqual({
      stored: [clash.id],
      repeated: [],
      toSettle: [{ id: clash.id, sentence: expect.stringContaining('no queen in it') }],
    });
    expect((await rowOf(box))?.compartments[0]?.status).toBe('cellGiven');
    const flagged = await server.context.within((store) =>
      store.selectFrom('event_to_settle').select('sentence').where('event_id', '=', clash.id).execute(),
    );
    expect(flagged).toHaveLength(1);
    await log([entry('withdrawn', TODAY, {}, { corrects: clash.id })]);
    expect(
      await server.context.within((store) =>
        store.selectFrom('event_to_settle').select('sentence').where('event_id', '=', clash.id).execute(),
      ),
    ).toEqual([]);
  });
});

describe('weather', () => {
  it('recorded later moves the windows of those it bears on', async () => {
    const { box, of, entries } = storyOfBox(place, '2026-05-10', 'B11');
    await log([...entries, entry('cellOpened', '2026-05-13', of)]);
    expect((await rowOf(box))?.compartments[0]).toMatchObject({
      due: 'lookForEggs',
      dueExpected: '2026-05-24',
    });
    const rain = (date: string) => ({ date, min_C: 8, max_C: 12, wind_ms: 4, rain_mm: 6, flying_h: 0 });
    await log([
      entry('weatherRecorded', '2026-05-18', {
        yard: place.yard.id,
        days: [rain('2026-05-16'), rain('2026-05-17')],
      }),
    ]);
    expect((await rowOf(box))?.compartments[0]).toMatchObject({
      due: 'lookForEggs',
      dueExpected: '2026-05-26',
    });
  });
});
