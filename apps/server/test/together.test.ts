import { afterAll, beforeAll, expect, it } from 'vitest';
import { Conflict } from '../src/services/conflict.ts';
import { logEntries } from '../src/services/logEntries.ts';
import { rebuild } from '../src/services/rebuild.ts';
import { changeSettings, settingsOf } from '../src/services/settings.ts';
import { findBreeder } from '../src/store/breeders.ts';
import { entry, freshServer, type Ground, ground, readRows, storyOfBox, TODAY } from './bench.test.kit.ts';

/** Writers at once, while somebody changes the figures that all boxes are reckoned with. */
const whole = process.env.YC_ALL === '1';
const WRITERS = 20;
const [APPENDS, SAVES] = whole ? [500, 200] : [160, 40];

let server: Awaited<ReturnType<typeof freshServer>>;
let place: Ground;
beforeAll(async () => {
  server = await freshServer();
  place = await ground(server.context);
});
afterAll(() => server.close());

const rows = () => readRows(server.context);

it('nothing that was acknowledged is missing in the rows shown, and a rebuild changes nothing', async () => {
  const { context } = server;
  const boxes = Array.from({ length: WRITERS }, (_, n) => storyOfBox(place, '2026-05-10', `T${n}`));
  for (const { entries } of boxes) await logEntries(context, entries);
  let left = APPENDS;
  const write = async ({ of }: (typeof boxes)[number]): Promise<void> => {
    for (let n = 0; left > 0; n++) {
      left -= 1;
      const more = { hour: 5 + (n % 12) };
      await logEntries(context, [
        n % 3 === 0
          ? entry('strengthSeen', TODAY, { ...of, seams: n % 7 }, more)
          : entry('fed', TODAY, { ...of, feed: 'syrup11', amount_kg: 0.5 }, more),
      ]);
    }
  };
  const save = async (): Promise<void> => {
    for (let saved = 0; saved < SAVES; ) {
      const row = await context.within(findBreeder);
      if (!row) throw new Error('no breeder');
      const { version, ...fields } = settingsOf(row);
      const constants = { [place.yard.id]: { eggsFrom_d: 8 + (saved % 6) } };
      try {
        await changeSettings(context, { ...fields, constants, version });
        saved += 1;
      } catch (error) {
        if (!(error instanceof Conflict)) throw error;
      }
    }
  };
  await Promise.all([...boxes.map(write), save(), save()]);

  const log = await context.within((store) =>
    store
      .selectFrom('event')
      .select((eb) => eb.fn.countAll<string>().as('count'))
      .executeTakeFirstOrThrow(),
  );
  expect(Number(log.count)).toBe(APPENDS + WRITERS * 4);
  const live = await rows();
  for (const { box } of boxes) {
    const shown = (live.box_state as { row: { box_id: string; shown: { recent: unknown[] } } }[]).find(
      ({ row }) => row.box_id === box,
    );
    expect(shown?.row.shown.recent).toHaveLength(5);
  }
  await context.within((store) => rebuild(store, context.breeder));
  expect(await rows()).toEqual(live);
});
