import { afterAll, beforeAll, expect, it, vi } from 'vitest';
import { prepare } from '../src/prepare.ts';
import { realClock } from '../src/services/clock.ts';
import { logEntries } from '../src/services/logEntries.ts';
import { rebuild } from '../src/services/rebuild.ts';
import { reckonLater, reckonWaiting, reckonYard } from '../src/services/reckon.ts';
import { entry, freshServer, type Ground, ground, readRows, storyOfBox, TODAY } from './bench.test.kit.ts';

/** More than are reckoned at first. */
const BOXES = 130;
const AT_FIRST = 100;

let server: Awaited<ReturnType<typeof freshServer>>;
let place: Ground;
let boxes: ReturnType<typeof storyOfBox>[];
beforeAll(async () => {
  server = await freshServer();
  place = await ground(server.context);
  boxes = Array.from({ length: BOXES }, (_, n) => storyOfBox(place, '2026-05-10', `R${n}`));
  await logEntries(
    server.context,
    boxes.flatMap(({ entries }) => entries),
  );
});
afterAll(() => server.close());

const rainy = (date: string) =>
  entry('weatherRecorded', date, {
    yard: place.yard.id,
    days: [{ date, min_C: 5, max_C: 12, wind_ms: 2, rain_mm: 8, flying_h: 0 }],
  });
const waiting = async () => (await readRows(server.context)).reckon_wait?.length;
/** What is due in each box, as one text. */
async function dueIn(): Promise<Map<string, string>> {
  const due = (await readRows(server.context)).due_state as { row: { box_id: string } }[];
  const found = new Map<string, string>();
  for (const { row } of due) found.set(row.box_id, (found.get(row.box_id) ?? '') + JSON.stringify(row));
  return found;
}

it('of a large yard a part waits for turns of its own, and comes out as if all had been told anew', async () => {
  const { context } = server;
  const before = await dueIn();
  expect(before.size).toBe(BOXES);
  await logEntries(
    context,
    ['2026-05-16', '2026-05-17', '2026-05-18'].map((day) => rainy(day)),
  );
  await reckonWaiting(context);
  expect(await waiting()).toBe(0);
  const after = await dueIn();
  expect([...after].filter(([box, due]) => due !== before.get(box))).toHaveLength(BOXES);
  const live = await readRows(context);
  await context.within((store) => rebuild(store, context.breeder));
  expect(await readRows(context)).toEqual(live);
});

it('others write in between, and what a stopped program left waiting is done at its next start', async () => {
  const { context } = server;
  const [first] = boxes;
  if (!first) throw new Error('no box');
  await context.writing((store) => reckonYard(store, context.breeder, place.yard.id));
  expect(await waiting()).toBe(BOXES - AT_FIRST);
  await logEntries(context, [entry('strengthSeen', TODAY, { ...first.of, seams: 3 })]);
  expect(await waiting()).toBe(BOXES - AT_FIRST);
  await reckonWaiting(await prepare(server.database, realClock(TODAY), true));
  expect(await waiting()).toBe(0);
  const live = await readRows(context);
  await context.within((store) => rebuild(store, context.breeder));
  expect(await readRows(context)).toEqual(live);
});

it('goes on by itself once a database that went away is back', async () => {
  const { context } = server;
  await context.writing((store) => reckonYard(store, context.breeder, place.yard.id));
  let gone = 2;
  const shaky: typeof context = {
    ...context,
    writing: (work) =>
      gone-- > 0
        ? Promise.reject(Object.assign(new Error('shut down'), { code: '57P01' }))
        : context.writing(work),
  };
  reckonLater(shaky, 5);
  await vi.waitFor(async () => expect(await waiting()).toBe(0), { timeout: 20_000 });
  expect(gone).toBeLessThan(0);
});
