import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { rebuild } from '../src/services/rebuild.ts';
import { entry, freshServer, readRows } from './bench.test.kit.ts';

let server: Awaited<ReturnType<typeof freshServer>>;
beforeAll(async () => {
  server = await freshServer({ demo: true });
});
afterAll(() => server.close());

const get = async (url: string) => (await server.app.inject({ method: 'GET', url })).json();
const move = (day: string) => server.app.inject({ method: 'PUT', url: '/api/demo/clock', payload: { day } });

it('lives on through its story from the screen, and never back; what stands in its way waits to be settled', async () => {
  expect((await get('/api/session')).demoDays).toEqual(['2026-10-20', '2027-02-10']);
  for (const day of ['2026-05-31', '2026-11-01', '2026-05-01']) {
    const refused = await move(day);
    expect([day, refused.statusCode]).toEqual([day, 422]);
    expect(refused.body).toContain('the days of its story alone');
  }
  // Somebody takes a box apart that lives on in the story.
  const [yard] = await get('/api/yards');
  const { boxes } = await get(`/api/yards/${yard.id}/standing`);
  const lived = boxes.find(({ box }: { box: { label: string } }) => box.label === 'N3');
  const empty = {
    ...entry('failed', '2026-05-31', {
      box: lived.box.id,
      colony: lived.colonies[0].id,
      reason: 'absconded',
    }),
    id: randomUUID(),
  };
  const posted = await server.app.inject({
    method: 'POST',
    url: '/api/events',
    payload: { entries: [empty], synced: true },
  });
  expect(posted.statusCode).toBe(200);

  expect((await move('2026-10-20')).statusCode).toBe(200);
  const session = await get('/api/session');
  expect([session.now.slice(0, 10), session.demoClock, session.demoDays]).toEqual([
    '2026-10-20',
    true,
    ['2027-02-10'],
  ]);
  const waiting = await get('/api/to-settle');
  expect(waiting.count).toBeGreaterThan(0);
  // Nothing but what is of that box stands in the way.
  for (const { boxes: of } of waiting.items)
    expect(of.map(({ label }: { label: string }) => label)).toContain('N3');
  const after = await get(`/api/yards/${yard.id}/standing`);
  const b1 = after.boxes.find(({ box }: { box: { label: string } }) => box.label === 'B1');
  expect(b1.colonies.find(({ ended }: { ended?: object }) => !ended).strength).toMatchObject({ seams: 5 });

  expect((await move('2026-10-20')).statusCode).toBe(422);
  expect((await move('2027-02-10')).statusCode).toBe(200);
  expect((await get('/api/session')).demoDays).toEqual([]);
  const { context } = server.ready;
  if (!context) throw new Error('No context.');
  const before = await readRows(context);
  await context.writing((store) => rebuild(store, context.breeder));
  expect(await readRows(context)).toEqual(before);
}, 120_000);
