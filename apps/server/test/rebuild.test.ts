import { Around, QueenStory, RearingSeason, Standing, TakesBy, UnsettledPage } from '@yellow-cell/contract';
import {
  compassPoint,
  fold,
  type Known,
  METRIC,
  outcomeOf,
  plusDays,
  seededRandom,
  verdictOn,
} from '@yellow-cell/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { z } from 'zod';
import { prepare } from '../src/prepare.ts';
import { realClock } from '../src/services/clock.ts';
import { logEntries } from '../src/services/logEntries.ts';
import { rebuild } from '../src/services/rebuild.ts';
import { changeSettings } from '../src/services/settings.ts';
import { takeReport } from '../src/services/takes.ts';
import { boxPage } from '../src/store/boxes.ts';
import { markFolded } from '../src/store/breeders.ts';
import { loadDesigns } from '../src/store/designs.ts';
import { eventsAbout, subjectsOfKind } from '../src/store/events.ts';
import { yardIds } from '../src/store/yards.ts';
import { entry, freshServer, readRows, TODAY } from './bench.test.kit.ts';

let server: Awaited<ReturnType<typeof freshServer>>;
beforeAll(async () => {
  server = await freshServer({ demo: true });
});
afterAll(() => server.close());

async function allEvents() {
  return server.context.within(async (store) => {
    const ids = [
      ...(await subjectsOfKind(store, 'box')),
      ...(await subjectsOfKind(store, 'round')),
      ...(await subjectsOfKind(store, 'yard')),
    ];
    const designs = await loadDesigns(store);
    const known: Known = {
      designs: new Map(designs.map((design) => [design.id, design])),
      yards: await yardIds(store),
    };
    return { events: await eventsAbout(store, ids), known };
  });
}

describe('what is stored to be shown', () => {
  it('is as its schemas say, of every box, queen, round and season of the demo', async () => {
    const ask = async (url: string) => (await server.app.inject(`/api${url}`)).json();
    const issues = (schema: z.ZodType, answer: unknown) => schema.safeParse(answer).error?.issues;
    const yards: { id: string }[] = await ask('/yards');
    for (const { id } of yards) {
      for (let next: string | null = ''; next !== null; ) {
        const page: Standing = await ask(
          `/yards/${id}/standing?limit=20${next && `&after=${encodeURIComponent(next)}`}`,
        );
        expect(issues(Standing, page)).toBeUndefined();
        for (const queen of page.boxes.flatMap(({ queens }) => queens.slice(0, 1)))
          expect(issues(QueenStory, await ask(`/queens/${queen.id}`))).toBeUndefined();
        next = page.next;
      }
      expect(issues(Around, await ask(`/yards/${id}/around`))).toBeUndefined();
    }
    expect(issues(RearingSeason, await ask('/rearing?on=2026-05-31'))).toBeUndefined();
    expect(issues(UnsettledPage, await ask('/to-settle'))).toBeUndefined();
  });
});

describe('rebuilding the read tables from the log', () => {
  it('gives the rows that stood there, after a season of entries and a hundred random withdrawals and late arrivals', async () => {
    const random = seededRandom(7);
    const { events } = await allEvents();
    const pick = () => events[Math.floor(random() * events.length)];
    for (let batch = 0; batch < 20; batch++) {
      const entries = Array.from({ length: 5 }, () => {
        const event = pick();
        if (event && random() < 0.7) return entry('withdrawn', TODAY, {}, { corrects: event.id });
        const yard = events.find(({ kind }) => kind === 'weatherRecorded')?.subjects[0]?.id ?? '';
        const date = plusDays('2026-05-01', Math.floor(random() * 29));
        return entry('weatherRecorded', date, {
          yard,
          days: [{ date, min_C: 5, max_C: 12, wind_ms: 3, rain_mm: 8, flying_h: 0 }],
        });
      });
      await logEntries(server.context, entries, true);
    }
    const live = await readRows(server.context);
    expect(live.event_to_settle?.length).toBeGreaterThan(0);
    await server.context.within((store) => rebuild(store, server.context.breeder));
    expect(await readRows(server.context)).toEqual(live);
  });

  it('also by itself, at the start, where the rows are of another fold', async () => {
    const live = await readRows(server.context);
    await server.context.within(async (store) => {
      await markFolded(store, 0);
      await store.deleteFrom('due_state').execute();
      await store.deleteFrom('queen_state').execute();
    });
    await prepare(server.database, realClock(TODAY), false);
    expect(await readRows(server.context)).toEqual(live);
  });

  it('also after a yard’s constants changed', async () => {
    const yard = (await server.context.within(yardIds)).values().next().value ?? '';
    await changeSettings(server.context, {
      person: 'P',
      measures: METRIC,
      constants: { [yard]: { eggsFrom_d: 10 } },
      version: 1,
    });
    const live = await readRows(server.context);
    await server.context.within((store) => rebuild(store, server.context.breeder));
    expect(await readRows(server.context)).toEqual(live);
  });
});

describe('the take rates', () => {
  it('count in SQL what the fold says, for each way of grouping and on many days', async () => {
    const { events, known } = await allEvents();
    const state = fold(known, events);
    const failBys = await server.context.within((store) =>
      store.selectFrom('attempt_state').select(['attempt_id', 'fail_by', 'frames']).execute(),
    );
    const rowOf = new Map(failBys.map((row) => [row.attempt_id, row]));
    for (const on of ['2025-05-20', '2025-07-01', '2025-12-31', '2026-05-15', TODAY]) {
      for (const by of TakesBy.options) {
        const report = await takeReport(server.context, by, on);
        const counted = new Map<string, Record<string, number>>();
        for (const attempt of state.attempts.values()) {
          if (attempt.givenOn > on) continue;
          const row = rowOf.get(attempt.id);
          const key =
            {
              design: state.boxes.get(attempt.box)?.design,
              box: attempt.box,
              frames: String(row?.frames),
              compartment: attempt.into?.compartment,
              flight:
                attempt.into?.entrance?.bearing_deg === undefined
                  ? ''
                  : compassPoint(attempt.into.entrance.bearing_deg),
              what: attempt.what,
              round: attempt.round,
              donor: attempt.round && state.rounds.get(attempt.round)?.donor,
              month: attempt.givenOn.slice(0, 7),
            }[by] ?? '';
          const verdict = verdictOn(outcomeOf(attempt), row?.fail_by ?? '', on);
          const group = counted.get(key) ?? { take: 0, miss: 0, open: 0 };
          counted.set(key, { ...group, [verdict]: (group[verdict] ?? 0) + 1 });
        }
        expect(
          Object.fromEntries(
            report.groups.map(({ key, takes, misses, open }) => [key, { take: takes, miss: misses, open }]),
          ),
        ).toEqual(Object.fromEntries(counted));
      }
    }
  });
});

describe('the yard list', () => {
  it('pages by key through every box once, in the order people count', async () => {
    const labels: string[] = [];
    let after: string | null = null;
    do {
      const page = await server.context.within((store) =>
        boxPage(store, { find: '', limit: 3, ...(after ? { after } : {}) }),
      );
      labels.push(...page.boxes.map(({ label }) => label));
      after = page.next;
    } while (after);
    expect(labels).toEqual([...labels].sort((a, b) => a.localeCompare(b, 'en', { numeric: true })));
    expect(new Set(labels).size).toBe(labels.length);
  });

  it('finds by part of a label, and takes signs as they are', async () => {
    const find = (text: string) =>
      server.context.within(async (store) =>
        (await boxPage(store, { find: text, limit: 50 })).boxes.map(({ label }) => label),
      );
    expect((await find('n')).every((label) => label.startsWith('N'))).toBe(true);
    expect(await find('%')).toEqual([]);
  });
});
