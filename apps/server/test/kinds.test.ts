import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { type EventKind, Family as Families, type Family, payloads, Standing } from '@yellow-cell/contract';
import { subjectFields } from '@yellow-cell/contract/subjects';
import { bayIdsOf, bodiesOf, buildSteps, defaultConstants, familyDesign, sheetsOf } from '@yellow-cell/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { backup } from '../src/services/archive/backup.ts';
import { rebuild } from '../src/services/rebuild.ts';
import { entry, freshServer, readRows, TODAY } from './bench.test.kit.ts';
import { type PickId, type Variant, variantsOf } from './variants.test.kit.ts';

/**
 * Every kind of event in every variant of its schema, through HTTP into the real database, in a box of each family:
 * answered, never broken, and the same after a rebuild. The short run tries each kind and variant in one family.
 */
const whole = process.env.YC_ALL === '1';
const TIMEOUT_MS = 1_200_000;
const kinds = Object.keys(payloads) as EventKind[];

let server: Awaited<ReturnType<typeof freshServer>>;
const designs = new Map<Family, string>();
beforeAll(async () => {
  server = await freshServer();
  for (const family of Families.options) {
    const design = {
      id: randomUUID(),
      name: family,
      version: { id: randomUUID(), content: familyDesign(family), note: '' },
    };
    expect((await post('/api/designs', design)).statusCode).toBe(200);
    designs.set(family, design.id);
  }
});
afterAll(() => server.close());

const post = (url: string, payload: object) => server.app.inject({ method: 'POST', url, payload });
type Entries = ReturnType<typeof entry>[];
const log = (entries: Entries, synced: boolean) => post('/api/events', { entries, synced });

/** How far the colony of a box is when entries of a kind are tried. */
const QUEENLESS: readonly EventKind[] = ['cellGiven', 'queenGiven', 'combined'];
const WITH_CELL: readonly EventKind[] = ['cellOpened', 'eggsSeen'];
const OF_RUN: readonly EventKind[] = ['stepTicked', 'stepSkipped', 'stepMarked', 'playbookEnded'];

/** A box of a family with a story that gives entries of a kind something to be about, and the ids that are in it. */
async function boxFor(kind: EventKind, family: Family): Promise<PickId> {
  const ids = Object.fromEntries(
    ['box', 'colony', 'attempt', 'round', 'queen', 'frame', 'trial', 'suspicion', 'other', 'cell', 'run'].map(
      (name) => [name, randomUUID()],
    ),
  ) as Record<string, string>;
  const content = familyDesign(family);
  const [bodies, sheets, bays] = [bodiesOf(content), sheetsOf(content), bayIdsOf(content)];
  const parts: Record<string, string[]> = {
    board: bodies.flatMap(({ boards }) => boards.map(({ id }) => id)),
    groove: bodies.flatMap(({ grooves }) => grooves.map(({ id }) => id)),
    slot: bodies.flatMap((body) => body.bays.flatMap(({ frames }) => frames.map(({ id }) => id))),
    entrance: bodies.flatMap(({ entrances }) => entrances.map(({ id }) => id)),
    vent: bodies.flatMap(({ vents }) => vents.map(({ id }) => id)),
    hole: sheets.flatMap(({ holes }) => holes.map(({ id }) => id)),
    bays: bays.slice(-1),
    step: buildSteps(content, 'butt', defaultConstants).map(({ key }) => key),
  };
  const {
    box = '',
    colony = '',
    attempt = '',
    round = '',
    queen = '',
    frame = '',
    trial = '',
    suspicion = '',
  } = ids;
  const of = { box, colony };
  // A yard of its own: weather is told to all boxes of its yard.
  const yard = randomUUID();
  const where = { latitude_deg: 48, longitude_deg: 13, zone: 'Europe/Vienna' };
  expect((await post('/api/yards', { id: yard, name: `${kind} ${family}`, ...where })).statusCode).toBe(200);
  const spot = { yard, stand: '1', east_m: 1, north_m: 1, bearing_deg: 180 };
  const frames = { sealedBrood: 1, stores: 1, drawn: 0 };
  const built = (id: string, label: string) => [
    entry('boxBuilt', '2026-04-01', { box: id, label, design: designs.get(family) ?? '', version: 1 }),
    entry('boxPlaced', '2026-04-02', { box: id, ...spot }),
  ];
  const stocked = (id: string, colonyId: string) =>
    entry('stocked', '2026-04-20', {
      box: id,
      colony: colonyId,
      bays: bays.slice(0, 1),
      frames,
      shakes: 1,
      openBrood: true,
    });
  const story: Entries = [
    ...built(box, 'B1'),
    ...built(ids.other ?? '', 'B2'),
    stocked(box, colony),
    stocked(ids.other ?? '', ids.cell ?? ''),
    entry('grafted', '2026-04-20', { round, number: 1, donor: 'D', grafts: 9, countedAtOnce: 8 }),
    entry('trialBegun', '2026-04-20', {
      trial,
      yard,
      question: 'q',
      measured: 'm',
      boxesIn: [box],
      boxesAgainst: [box],
    }),
    entry('frameAudited', '2026-04-21', {
      ...of,
      frame,
      slot: parts.slot?.[0] ?? 'x',
      sides: [{ eggs: 0.2 }, {}],
    }),
    entry('stripsPut', '2026-04-22', { ...of, product: 'p', outBy: '2026-06-01' }),
    entry('suspected', '2026-04-22', { ...of, suspicion, what: 's' }),
    entry('outingLeft', '2026-04-23', { ...of, place: 'p', backBy: '2026-04-24T10:00:00Z' }),
  ];
  if (!QUEENLESS.includes(kind)) story.push(entry('cellGiven', '2026-04-30', { ...of, attempt, round }));
  if (!QUEENLESS.includes(kind) && !WITH_CELL.includes(kind))
    story.push(
      entry('eggsSeen', '2026-05-14', { ...of, attempt }),
      entry('queenMarked', '2026-05-15', { ...of, queen: attempt, colour: 'white', clipped: false }),
    );
  if (OF_RUN.includes(kind)) {
    parts.step = ['search'];
    story.push(
      entry('playbookBegun', '2026-05-16', {
        box,
        run: ids.run ?? '',
        playbook: 'bank',
        bays: bays.slice(0, 1),
      }),
    );
  }
  expect((await log(story, true)).statusCode).toBe(200);
  ids.queen = QUEENLESS.includes(kind) ? queen : attempt;
  const meant: Record<string, string | undefined> = {
    ...ids,
    yard,
    design: designs.get(family),
    onto: ids.other,
    intoBox: ids.other,
    toBox: ids.other,
    into: ids.cell,
    donorQueen: attempt,
  };
  // What a family does not have is asked for all the same, so that each is tried as often as the schema says.
  return (field) => [field in parts ? (parts[field]?.[0] ?? 'none-here') : (meant[field] ?? randomUUID())];
}

const noIds: PickId = (field) => [field];
const variantsIn = (kind: EventKind): Variant[] => variantsOf(payloads[kind], noIds);

const tried = { count: 0, stored: 0, refused: 0, settle: 0 };
async function tryVariant(kind: EventKind, payload: unknown): Promise<void> {
  const make = () => entry(kind, TODAY, payload as never, { hour: 8 });
  const live = make();
  const answer = await log([live], false);
  expect([kind, payload, [200, 409, 422].includes(answer.statusCode) || answer.body]).toEqual([
    kind,
    payload,
    true,
  ]);
  if (answer.statusCode === 200) {
    tried.stored += 1;
    const undo = entry('withdrawn', TODAY, {}, { corrects: live.id, hour: 8 });
    expect((await log([undo], false)).statusCode).toBe(200);
  } else {
    tried.refused += 1;
    const again = make();
    const late = await log([again], true);
    expect([kind, payload, late.statusCode === 200 || late.body]).toEqual([kind, payload, true]);
    if (late.json().toSettle.some(({ id }: { id: string }) => id === again.id)) tried.settle += 1;
  }
  tried.count += 1;
}

describe('every kind of event, in every variant of its schema', () => {
  it.each(kinds.map((kind, at) => [kind, at] as const))(
    '%s',
    async (kind, at) => {
      const families = whole ? Families.options : [Families.options[at % Families.options.length] as Family];
      for (const family of families) {
        const pick = await boxFor(kind, family);
        for (const { value } of variantsOf(payloads[kind], pick)) await tryVariant(kind, value);
        const box = pick('box')[0];
        const stands = await server.app.inject(`/api/boxes/${box}`);
        expect([stands.statusCode, Standing.safeParse(stands.json()).error?.issues]).toEqual([
          200,
          undefined,
        ]);
        expect((await server.app.inject(`/api/boxes/${box}/log`)).statusCode).toBe(200);
      }
    },
    TIMEOUT_MS,
  );

  it('was tried, as many as the schema has', () => {
    const variants = kinds.reduce((sum, kind) => sum + variantsIn(kind).length, 0);
    const families = whole ? Families.options.length : 1;
    process.stdout.write(
      `${kinds.length} kinds, ${variants} variants × ${families} of ${Families.options.length} families: ${tried.count} tried, ${tried.stored} stored and taken back, ${tried.refused} refused, of them ${tried.settle} kept to settle when synced\n`,
    );
    expect(tried.count).toBe(variants * families);
    expect(tried.stored).toBeGreaterThan(tried.count * 0.3);
  });

  it('leaves rows that the log gives again', async () => {
    const live = await readRows(server.context);
    await server.context.within((store) => rebuild(store, server.context.breeder));
    expect(await readRows(server.context)).toEqual(live);
  });
});

/** Keeps this log, with every kind in every variant, for test/storedLog.test.ts: of the version that the program has now. */
it.runIf(process.env.YC_WRITE_LOG)('is kept as a file', async () => {
  await pipeline(backup(server.context), createWriteStream(process.env.YC_WRITE_LOG ?? ''));
});

describe('what an event is about', () => {
  it('is said of every field that names a thing with a story, and of no other', () => {
    const NO_STORY = ['design', 'suspicion', 'strips', 'boxesIn', 'boxesAgainst', 'run', 'facts'];
    for (const kind of kinds) {
      const named = new Set<string>();
      const pick: PickId = (field) => {
        named.add(field);
        return [];
      };
      variantsOf(payloads[kind], pick);
      const declared = Object.keys(subjectFields[kind]).map((path) => path.split('.').at(-1) ?? '');
      const parts = ['board', 'groove', 'slot', 'entrance', 'vent', 'hole', 'bays', 'bay', 'step'].concat([
        'layer',
        'layers',
        'body',
        'id',
      ]);
      const wanted = [...named].filter((field) => !NO_STORY.includes(field) && !parts.includes(field));
      expect([kind, [...new Set(declared)].sort()]).toEqual([kind, wanted.sort()]);
    }
  });
});
