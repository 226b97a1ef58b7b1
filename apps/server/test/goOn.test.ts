import { randomUUID } from 'node:crypto';
import type { Entry } from '@yellow-cell/contract';
import { bodiesOf, fold, foldLog, plusDays, seededRandom, wholeIn } from '@yellow-cell/core';
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

const START = '2026-05-01';

/** Random entries about three boxes that share colonies, queens and frames, each later than the one before; many cannot be. */
function randomStory(seed: number): Entry[] {
  const random = seededRandom(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const body = place.design.versions.flatMap(({ content }) => bodiesOf(content))[0];
  const slots = body?.bays.flatMap(({ frames }) => frames.map(({ id }) => id)) ?? [];
  const boards = body?.boards.map(({ id }) => id) ?? [];
  const grooves = body?.grooves.map(({ id }) => id) ?? [];
  const boxes = [0, 1, 2].map(() => randomUUID());
  const [colonies, queens, frames] = [9, 6, 6].map((count) =>
    Array.from({ length: count }, () => randomUUID()),
  ) as [string[], string[], string[]];
  const entries: Entry[] = boxes.flatMap((box, index) => [
    entry('boxBuilt', '2026-04-01', { box, label: `G${seed}-${index}`, design: place.design.id, version: 1 }),
    entry('boxPlaced', '2026-04-02', {
      box,
      yard: place.yard.id,
      stand: '1',
      east_m: index,
      north_m: 1,
      bearing_deg: 180,
    }),
  ]);
  let colonyAt = 0;
  for (let step = 0; step < 160; step++) {
    const on = plusDays(START, Math.floor(step / 3));
    const box = pick(boxes);
    const of = { box, colony: pick(colonies) };
    const more = { hour: 6 + (step % 3) * 4 };
    const made = [
      () =>
        entry(
          'stocked',
          on,
          {
            box,
            colony: colonies[colonyAt++ % colonies.length] as string,
            bays: [pick(place.bays)],
            frames: { sealedBrood: 1, stores: 1, drawn: 1 },
            shakes: 1,
            openBrood: random() < 0.5,
            ...(random() < 0.5 ? { giver: { box: pick(boxes), colony: pick(colonies) } } : {}),
          },
          more,
        ),
      () => entry('cellGiven', on, { ...of, attempt: randomUUID() }, more),
      () => entry('eggsSeen', on, of, more),
      () => entry('patternScored', on, { ...of, pattern_pct: 80 }, more),
      () => entry('queenTaken', on, { ...of, to: 'aside', beesRemain: true, backBy: plusDays(on, 5) }, more),
      () =>
        entry(
          'queenGiven',
          on,
          { ...of, queen: pick(queens), what: pick(['virgin', 'mated']), caged: false },
          more,
        ),
      () => entry('queenSeen', on, { ...of, seen: random() < 0.5 }, more),
      () => entry('combined', on, { ...of, intoBox: pick(boxes), into: pick(colonies) }, more),
      () => entry('colonyMoved', on, { ...of, toBox: pick(boxes), bays: [pick(place.bays)] }, more),
      () => entry('dividerSet', on, { box, board: pick(boards), stands: random() < 0.5 }, more),
      () => entry('boardMoved', on, { box, board: pick(boards), groove: pick(grooves) }, more),
      () =>
        entry(
          'boardPlaced',
          on,
          {
            box,
            board: pick(boards),
            at_mm: Math.round(random() * 370),
            framesLeft: Math.floor(random() * 4),
            groove: randomUUID(),
            bay: randomUUID(),
          },
          more,
        ),
      () => entry('slotSet', on, { box, slot: pick(slots), holds: pick(['feeder', 'comb']) }, more),
      () => entry('strengthSeen', on, { ...of, seams: Math.round(random() * 5) }, more),
      () => entry('fed', on, { ...of, feed: 'syrup11', amount_kg: 0.5 }, more),
      () =>
        entry(
          'frameAudited',
          on,
          { ...of, frame: pick(frames), slot: pick(slots), sides: [{ sealed: 0.5 }, {}] },
          more,
        ),
      () =>
        entry(
          'framesMoved',
          on,
          {
            moves: [
              {
                frame: pick(frames),
                from: random() < 0.8 ? { box, slot: pick(slots) } : null,
                to: random() < 0.7 ? { box: pick(boxes), slot: pick(slots) } : null,
                turned: random() < 0.3,
              },
            ],
            purpose: 'equalise',
          },
          more,
        ),
    ];
    entries.push(pick(made)());
  }
  return entries;
}

describe('going on from the boxes as they stand', () => {
  it.each([1, 2, 3, 4, 5])('gives the rows that the whole story gives, told anew (%i)', async (seed) => {
    const story = randomStory(seed);
    for (const each of story) await logEntries(server.context, [each], true);
    const live = await rows();
    expect(live.event_to_settle?.length).toBeGreaterThan(10);
    await server.context.within((store) => rebuild(store, server.context.breeder));
    expect(await rows()).toEqual(live);
  });

  it.each([11, 12, 13, 14])(
    'gives them too where entries arrive late, in any order, and some are taken back or put right (%i)',
    async (seed) => {
      const random = seededRandom(seed * 31);
      const story = randomStory(seed);
      const [built, placed, rest] = [0, 1, 2].map((part) =>
        story.filter(({ kind }) => (kind === 'boxBuilt' ? 0 : kind === 'boxPlaced' ? 1 : 2) === part),
      ) as [Entry[], Entry[], Entry[]];
      await logEntries(server.context, [...built, ...placed], true);
      const arriving = rest
        .map((each) => ({ each, at: random() }))
        .sort((a, b) => a.at - b.at)
        .map(({ each }) => each);
      for (const [index, each] of arriving.entries()) {
        await logEntries(server.context, [each], true);
        const earlier = arriving[Math.floor(random() * index)];
        if (!earlier || random() > 0.25) continue;
        const again =
          random() < 0.5
            ? entry('withdrawn', '2026-07-01', {}, { corrects: earlier.id })
            : ({ ...each, id: randomUUID(), corrects: earlier.id } as Entry);
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
    expect(boxes.length).toBeGreaterThan(20);
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
    const [built, placed] = randomStory(9) as [Entry, Entry];
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
