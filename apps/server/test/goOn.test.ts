import { randomUUID } from 'node:crypto';
import type { Entry } from '@yellow-cell/contract';
import { fold, foldLog, seededRandom, wholeIn } from '@yellow-cell/core';
import { DESIGN, linkedStory, YARD } from '@yellow-cell/core/linkedStory';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { logEntries } from '../src/services/logEntries.ts';
import { rebuild } from '../src/services/rebuild.ts';
import { goOn } from '../src/services/refresh.ts';
import { boxLog } from '../src/services/yardLog.ts';
import { loadDesigns } from '../src/store/designs.ts';
import { eventsAbout, subjectsOfKind } from '../src/store/events.ts';
import { toldBoxes } from '../src/store/standing.ts';
import { yardIds } from '../src/store/yards.ts';
import { entry, freshServer, type Ground, ground, readRows } from './bench.test.kit.ts';

let server: Awaited<ReturnType<typeof freshServer>>;
let place: Ground;
beforeAll(async () => {
  server = await freshServer();
  place = await ground(server.context);
});
afterAll(() => server.close());

const rows = () => readRows(server.context);

/** Entries about three boxes of our own that share bees, queens, combs and storeys, each later than the one before; some cannot be. */
function storyBy(seed: number): Entry[] {
  const ids = new Map<string, string>();
  const idOf = (name: string): string => {
    const id = ids.get(name) ?? randomUUID();
    ids.set(name, id);
    return id;
  };
  return linkedStory(seed, idOf).map(({ breeder: _, recordedAt: __, subjects: ___, ...told }) => {
    const payload = JSON.stringify(told.payload)
      .replaceAll(`"${DESIGN}"`, `"${place.design.id}"`)
      .replaceAll(`"${YARD}"`, `"${place.yard.id}"`);
    return { ...told, id: randomUUID(), payload: JSON.parse(payload) } as Entry;
  });
}

describe('going on from the boxes as they stand', () => {
  it.each([1, 2])('gives the rows that the whole story gives, told anew (%i)', async (seed) => {
    const story = storyBy(seed);
    for (const each of story) await logEntries(server.context, [each], true);
    const live = await rows();
    expect(live.event_to_settle?.length).toBeGreaterThan(10);
    await server.context.within((store) => rebuild(store, server.context.breeder));
    expect(await rows()).toEqual(live);
  });

  it.each([11, 12])(
    'gives them too where entries arrive late, in parcels and any order, and some are taken back or put right (%i)',
    async (seed) => {
      const random = seededRandom(seed * 31);
      const story = storyBy(seed);
      const [built, placed, rest] = [0, 1, 2].map((part) =>
        story.filter(({ kind }) => (kind === 'boxBuilt' ? 0 : kind === 'boxPlaced' ? 1 : 2) === part),
      ) as [Entry[], Entry[], Entry[]];
      await logEntries(server.context, [...built, ...placed], true);
      const arriving = rest
        .map((each) => ({ each, at: random() }))
        .sort((a, b) => a.at - b.at)
        .map(({ each }) => each);
      for (let at = 0, size = 0; at < arriving.length; at += size) {
        size = 1 + Math.floor(random() * 3);
        const parcel = arriving.slice(at, at + size);
        await logEntries(server.context, parcel, true);
        const earlier = arriving[Math.floor(random() * at)];
        if (!earlier || random() > 0.4) continue;
        const again =
          random() < 0.5
            ? entry('withdrawn', '2026-07-01', {}, { corrects: earlier.id })
            : ({ ...parcel[0], id: randomUUID(), corrects: earlier.id } as Entry);
        await logEntries(server.context, [again], true);
      }
      const live = await rows();
      await server.context.within((store) => rebuild(store, server.context.breeder));
      expect(await rows()).toEqual(live);
    },
    60_000,
  );

  it('says what all boxes told together say', async () => {
    const { state, boxes, yards } = await server.context.within(async (store) => {
      const ids = await subjectsOfKind(store, 'box');
      const designs = await loadDesigns(store);
      const known = {
        designs: new Map(designs.map((design) => [design.id, design])),
        yards: await yardIds(store),
      };
      return {
        yards: known.yards,
        state: fold(known, await eventsAbout(store, ids)),
        boxes: await toldBoxes(store, ids),
      };
    });
    expect(boxes.length).toBeGreaterThanOrEqual(12);
    for (const { box_id, told } of boxes)
      expect(told, box_id).toEqual(JSON.parse(JSON.stringify(wholeIn(state, box_id))));
    for (const { box_id, told } of boxes) {
      const log = await boxLog(server.context, box_id);
      const alone = foldLog({ designs: new Map(log.designs.map((each) => [each.id, each])), yards }, [log]);
      expect(JSON.parse(JSON.stringify(wholeIn(alone, box_id))), box_id).toEqual(told);
    }
    const settled = await server.context.within((store) =>
      store.selectFrom('event_to_settle').select('event_id').distinct().execute(),
    );
    expect(new Set(settled.map(({ event_id }) => event_id))).toEqual(
      new Set(state.toSettle.map(({ event }) => event.id)),
    );
  });

  it('is refused for what is late, corrects, or is about a box that is not told yet', async () => {
    const [built, placed] = storyBy(9) as [Entry, Entry];
    await logEntries(server.context, [built, placed]);
    const { box } = built.payload as { box: string };
    const asEvent = (each: Entry) => ({
      ...each,
      breeder: '',
      recordedAt: each.occurredAt,
      subjects: [{ kind: 'box' as const, id: (each.payload as { box: string }).box }],
    });
    const went = (each: Entry) =>
      server.context.within(
        async (store) => (await goOn(store, server.context.breeder, [asEvent(each)])) !== undefined,
      );
    const weight = { box, weight_kg: 12, felt: false };
    expect(await went(entry('weighed', '2026-05-20', weight))).toBe(true);
    expect(await went(entry('weighed', '2026-04-01', weight))).toBe(false);
    expect(await went(entry('weighed', '2026-05-21', weight, { corrects: placed.id }))).toBe(false);
    expect(await went(entry('weighed', '2026-05-21', { ...weight, box: randomUUID() }))).toBe(false);
  });
});
