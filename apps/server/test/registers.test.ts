import { randomUUID } from 'node:crypto';
import { METRIC, withCompartments, withSizes } from '@yellow-cell/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Conflict } from '../src/services/conflict.ts';
import { createDesign, saveVersion } from '../src/services/designs.ts';
import { changeSettings } from '../src/services/settings.ts';
import { changeYard, createYard } from '../src/services/yards.ts';
import { freshServer, threeWay } from './bench.test.kit.ts';

let server: Awaited<ReturnType<typeof freshServer>>;
beforeAll(async () => {
  server = await freshServer();
});
afterAll(() => server.close());

async function conflict(write: Promise<unknown>): Promise<Conflict> {
  const error = await write.then(
    () => undefined,
    (failed: unknown) => failed,
  );
  if (!(error instanceof Conflict)) throw new Error(`no conflict but ${error}`);
  return error;
}

describe('designs', () => {
  it('keep every version as it was saved', async () => {
    const first = threeWay();
    await createDesign(server.context, first);
    const content = withCompartments(first.version.content, [5, 5], { mm: 6, typed: '6' });
    const design = await saveVersion(server.context, first.id, {
      basedOn: 1,
      name: 'Two-way',
      version: { id: randomUUID(), content, note: 'Fewer' },
    });
    expect(design.name).toBe('Two-way');
    expect(design.versions.map(({ number, content: each }) => [number, each])).toEqual([
      [1, first.version.content],
      [2, content],
    ]);
  });

  it('repeat harmlessly', async () => {
    const first = threeWay();
    const next = {
      basedOn: 1,
      name: first.name,
      version: { ...first.version, id: randomUUID(), note: 'again' },
    };
    await createDesign(server.context, first);
    expect((await createDesign(server.context, first)).versions).toHaveLength(1);
    await saveVersion(server.context, first.id, next);
    expect((await saveVersion(server.context, first.id, next)).versions).toHaveLength(2);
  });

  it('refuse a stale version with what changed', async () => {
    const first = threeWay();
    await createDesign(server.context, first);
    const theirs = {
      ...first.version,
      id: randomUUID(),
      content: withSizes(first.version.content, 'body-1', { insideWidth: { mm: 375 } }),
    };
    await saveVersion(server.context, first.id, { basedOn: 1, name: first.name, version: theirs });
    const stale = await conflict(
      saveVersion(server.context, first.id, {
        basedOn: 1,
        name: first.name,
        version: { ...first.version, id: randomUUID() },
      }),
    );
    expect(stale.changed[0]).toBe('The inside width: 373 mm became 375 mm.');
    expect(stale.current).toMatchObject({ number: 2 });
  });

  it('saved by two at once become one version and one conflict', async () => {
    const first = threeWay();
    await createDesign(server.context, first);
    const save = () =>
      saveVersion(server.context, first.id, {
        basedOn: 1,
        name: first.name,
        version: { ...first.version, id: randomUUID() },
      });
    const results = await Promise.allSettled([save(), save(), save()]);
    expect(results.filter(({ status }) => status === 'fulfilled')).toHaveLength(1);
  });
});

describe('settings and yards', () => {
  it('refuse a stale write with what changed, and repeat harmlessly', async () => {
    const fields = { person: 'Ann', measures: { ...METRIC, length: 'inch' as const }, constants: {} };
    expect(await changeSettings(server.context, { ...fields, version: 1 })).toEqual({
      ...fields,
      version: 2,
    });
    expect(await changeSettings(server.context, { ...fields, version: 1 })).toEqual({
      ...fields,
      version: 2,
    });
    const stale = await conflict(changeSettings(server.context, { ...fields, measures: METRIC, version: 1 }));
    expect(stale.changed).toEqual(['Lengths: mm became inch.']);
  });

  it('refuse constants out of range, by name', async () => {
    const bad = changeSettings(server.context, {
      person: 'Ann',
      measures: { ...METRIC, length: 'inch' as const },
      constants: { [randomUUID()]: { eggsFrom_d: 900 } },
      version: 2,
    });
    await expect(bad).rejects.toThrow(/outside 8 to 20/);
  });

  it('of a yard likewise', async () => {
    const id = randomUUID();
    const fields = { name: 'Meadow', latitude_deg: 48, longitude_deg: 13, zone: 'Europe/Vienna' };
    await createYard(server.context, { id, ...fields });
    await createYard(server.context, { id, ...fields });
    await changeYard(server.context, id, { ...fields, name: 'Upper meadow', version: 1 });
    expect((await conflict(changeYard(server.context, id, { ...fields, version: 1 }))).changed).toEqual([
      'Name: Meadow became Upper meadow.',
    ]);
  });
});
