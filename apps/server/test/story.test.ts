import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { logEntries } from '../src/services/logEntries.ts';
import { boxLog, yardLog } from '../src/services/yardLog.ts';
import { createYard } from '../src/services/yards.ts';
import { boxPage } from '../src/store/boxes.ts';
import { toldBoxes } from '../src/store/standing.ts';
import { entry, freshServer, type Ground, ground, storyOfBox, TODAY } from './bench.test.kit.ts';

/** Entries that bear on more than one box: the rows of all that they touch must follow, and of no others. */
let server: Awaited<ReturnType<typeof freshServer>>;
let place: Ground;
beforeAll(async () => {
  server = await freshServer();
});
beforeEach(async () => {
  place = await ground(server.context);
});
afterAll(() => server.close());

const log = (...entries: Parameters<typeof logEntries>[1]) => logEntries(server.context, entries);
const rows = async () => {
  const { boxes } = await server.context.within((store) =>
    boxPage(store, { yard: place.yard.id, limit: 200 }),
  );
  return new Map(boxes.map((box) => [box.label, box.compartments.map(({ status }) => status)]));
};
const attemptsOf = (round: string) =>
  server.context.within(async (store) => {
    const found = await store
      .selectFrom('attempt_state')
      .select(['attempt_id', 'round_id'])
      .where('round_id', '=', round)
      .execute();
    return found.map(({ attempt_id }) => attempt_id);
  });

describe('combining across boxes', () => {
  it('changes the rows of both, and taking it back changes both again', async () => {
    const [from, into] = [storyOfBox(place, '2026-05-10', 'A1'), storyOfBox(place, '2026-05-10', 'A2')];
    await log(...from.entries, ...into.entries, entry('eggsSeen', '2026-05-24', into.of));
    const combined = entry('combined', '2026-05-26', {
      box: from.box,
      colony: from.of.colony,
      intoBox: into.box,
      into: into.of.colony,
    });
    await log(combined);
    expect((await rows()).get('A1')).toEqual(['empty', 'empty', 'empty']);
    expect((await rows()).get('A2')).toEqual(['laying', 'empty', 'empty']);
    await log(entry('withdrawn', TODAY, {}, { corrects: combined.id }));
    expect((await rows()).get('A1')?.[0]).toBe('cellGiven');
  });

  it('cannot be with bees that are not there', async () => {
    const [from, into] = [storyOfBox(place, '2026-05-10', 'A3'), storyOfBox(place, '2026-05-10', 'A4')];
    await log(...from.entries, ...into.entries);
    const wrong = entry('combined', '2026-05-26', {
      box: from.box,
      colony: from.of.colony,
      intoBox: into.box,
      into: randomUUID(),
    });
    await expect(log(wrong)).rejects.toThrow(/not there/);
  });

  it('is told of one box with what the other was like, and not with its story', async () => {
    const [from, into] = [storyOfBox(place, '2026-05-10', 'A5'), storyOfBox(place, '2026-05-10', 'A6')];
    await log(...from.entries, ...into.entries);
    const combined = entry('combined', '2026-05-26', {
      box: from.box,
      colony: from.of.colony,
      intoBox: into.box,
      into: into.of.colony,
    });
    await log(combined);
    const own = await boxLog(server.context, from.box);
    expect(new Set(own.events.map(({ id }) => id))).toEqual(
      new Set([...from.entries, combined].map(({ id }) => id)),
    );
    expect(own.beside.map(({ event, box }) => [event, box])).toEqual([[combined.id, into.box]]);
  });
});

describe('boxes that share a giver', () => {
  /** Which boxes' rows were written since they were last asked for. */
  const watch = async () => {
    const versions = () =>
      server.context.within(async (store) => {
        const { rows } = await sql<{ box: string; version: string }>`
          select label as box, xmin::text as version from box_state where label like 'G%'`.execute(store);
        return new Map(rows.map(({ box, version }) => [box, version]));
      });
    const before = await versions();
    return async () =>
      [...(await versions())].flatMap(([box, now]) => (before.get(box) === now ? [] : [box]));
  };

  it('are not told anew for what comes late to one of them, or is taken back', async () => {
    const giver = storyOfBox(place, '2026-05-10', 'G0');
    const takers = Array.from({ length: 12 }, (_, index) => storyOfBox(place, '2026-05-10', `G${index + 1}`));
    const stocked = takers.map(({ box, of }, index) =>
      entry('stocked', `2026-05-${String(12 + index)}`, {
        box,
        colony: of.colony,
        bays: place.bays.slice(0, 1),
        frames: { sealedBrood: 1, stores: 0, drawn: 0 },
        shakes: 0,
        openBrood: false,
        giver: { box: giver.box, colony: giver.of.colony },
      }),
    );
    await log(...giver.entries, ...takers.flatMap(({ entries }) => entries), ...stocked);
    const [first, last] = [takers[0], takers.at(-1)];
    if (!first || !last) throw new Error('No takers.');

    const late = await watch();
    await log(entry('strengthSeen', '2026-05-11', { box: first.box, colony: first.of.colony, seams: 2 }));
    expect(await late()).toEqual(['G1']);

    const back = await watch();
    const taken = entry('withdrawn', TODAY, {}, { corrects: stocked.at(-1)?.id ?? '' });
    await log(taken);
    expect((await back()).sort()).toEqual(['G0', 'G12']);
    const gaveOn = await server.context.within(async (store) => {
      const [row] = await toldBoxes(store, [giver.box]);
      return row?.told.colonies[0]?.gaveOn;
    });
    expect(gaveOn).toBe('2026-05-22');
  });
});

describe('a round told after its cells were given', () => {
  it('makes the mother of too early eggs uncertain in the rows that follow', async () => {
    const { of, entries } = storyOfBox(place, '2026-05-10', 'R1');
    const round = randomUUID();
    const withRound = entries.map((each) =>
      each.kind === 'cellGiven' ? { ...each, payload: { ...each.payload, round } } : each,
    );
    await log(...withRound, entry('eggsSeen', '2026-05-20', of));
    expect(await attemptsOf(round)).toEqual([of.attempt]);
    await log(
      entry('grafted', '2026-05-05', { round, number: 4, donor: 'Sable', grafts: 20, countedAtOnce: 15 }),
    );
    const found = await server.context.within((store) =>
      store
        .selectFrom('round_state')
        .select(['number', 'grafted_on'])
        .where('round_id', '=', round)
        .execute(),
    );
    expect(found).toEqual([{ number: 4, grafted_on: '2026-05-05' }]);
    const { events } = await yardLog(server.context, place.yard.id, undefined, 50);
    expect(events.some((event) => event.kind === 'grafted' && event.payload.round === round)).toBe(true);
  });
});

describe('a box that moves to another yard', () => {
  it('is in the list and the log of the new one alone', async () => {
    const { box, entries } = storyOfBox(place, '2026-05-10', 'M1');
    const other = {
      id: randomUUID(),
      name: 'Other',
      latitude_deg: 48,
      longitude_deg: 13,
      zone: 'Europe/Vienna',
    };
    await createYard(server.context, other);
    await log(...entries);
    await log(
      entry('boxPlaced', '2026-05-20', {
        box,
        yard: other.id,
        stand: '9',
        east_m: 4,
        north_m: 4,
        bearing_deg: 90,
      }),
    );
    expect((await rows()).has('M1')).toBe(false);
    const moved = await server.context.within((store) => boxPage(store, { yard: other.id, limit: 10 }));
    expect(
      moved.boxes.map(({ label, compartments }) => [label, compartments.map(({ name }) => name)]),
    ).toEqual([['M1', ['South', 'Middle', 'North']]]);
    const { events } = await yardLog(server.context, other.id, undefined, 50);
    expect(events.filter(({ kind }) => kind === 'boxPlaced')).toHaveLength(2);
  });
});

describe('the log of a yard', () => {
  it('comes by pages that hold every box once', async () => {
    const made = ['L1', 'L2', 'L3', 'L10', 'L11'].map((label) => storyOfBox(place, '2026-05-10', label));
    for (const { entries } of made) await log(...entries);
    const seen: string[] = [];
    let after: string | undefined;
    do {
      const page = await yardLog(server.context, place.yard.id, after, 2);
      seen.push(...page.events.flatMap((event) => (event.kind === 'boxBuilt' ? [event.payload.label] : [])));
      after = page.next ?? undefined;
    } while (after);
    expect(seen.sort()).toEqual(['L1', 'L10', 'L11', 'L2', 'L3']);
  });

  it('stores an event’s bytes as they came, and indexes all its subjects', async () => {
    const { box, of, entries } = storyOfBox(place, '2026-05-10', 'S1');
    await log(...entries);
    const found = await server.context.within((store) =>
      sql<{
        payload: string;
        subjects: string[];
      }>`select payload::text as payload, (select array_agg(kind order by kind) from event_subject s where s.event_id = e.id) as subjects from event e where id = ${entries[3]?.id}`.execute(
        store,
      ),
    );
    expect(found.rows).toEqual([{ payload: JSON.stringify(of), subjects: ['attempt', 'box', 'colony'] }]);
    expect(box).toBe(of.box);
  });
});
