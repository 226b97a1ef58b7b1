import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { familyDesign } from '@yellow-cell/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { buildApp } from '../src/app.ts';
import { failures } from '../src/http/errors.ts';
import { openDatabase } from '../src/store/database.ts';
import { latestMigration } from '../src/store/migrate.ts';
import { listYards } from '../src/store/yards.ts';
import { entry, freshDatabase, freshServer, type Ground, ground, storyOfBox } from './bench.test.kit.ts';

let server: Awaited<ReturnType<typeof freshServer>>;
let place: Ground;
beforeAll(async () => {
  server = await freshServer();
  place = await ground(server.context);
});
afterAll(() => server.close());

const post = (
  url: string,
  body: string | object,
  headers: Record<string, string> = { 'content-type': 'application/json' },
) =>
  server.app.inject({
    method: 'POST',
    url,
    payload: typeof body === 'string' ? body : JSON.stringify(body),
    headers,
  });

describe('the computation over HTTP', () => {
  it('answers', async () => {
    const answer = await post('/api/compute/gap', { gap_mm: 4.2 });
    expect([answer.statusCode, answer.json()]).toEqual([
      200,
      { verdict: 'excluder', passes: ['air', 'worker'] },
    ]);
  });
  it.each([
    ['gap', '{"gap_mm":-1}', 'gap_mm'],
    ['gap', '{', ''],
    ['gap', '', ''],
    ['nothing', '{}', ''],
  ])('%s %s is 422 with problems', async (subject, body, path) => {
    const answer = await post(`/api/compute/${subject}`, body);
    expect(answer.statusCode).toBe(422);
    expect(answer.headers['content-type']).toContain('application/problem+json');
    expect(answer.json()).toMatchObject({
      status: 422,
      title: 'Cannot be',
      problems: [{ path, sentence: expect.any(String) }],
    });
  });
});

describe('bad requests', () => {
  it('name every problem of an entry', async () => {
    const { entries } = storyOfBox(place, '2026-05-10');
    const bad = { ...entries[3], occurredAt: 'yesterday', zone: 'Mars/Base', extra: 1 };
    const answer = await post('/api/events', { entries: [bad] });
    expect(answer.statusCode).toBe(422);
    expect(
      answer
        .json()
        .problems.map(({ path }: { path: string }) => path)
        .sort(),
    ).toEqual(['entries.0.extra', 'entries.0.occurredAt', 'entries.0.zone']);
  });
  it.each([
    ['not JSON', '/api/events', '{', 400],
    ['empty', '/api/events', '', 400],
    ['too large', '/api/events', `{"entries":"${'x'.repeat(2_200_000)}"}`, 413],
    ['at no address', '/api/nothing', '{}', 404],
  ])('%s gets a sentence', async (_, url, body, status) => {
    const answer = await post(url, body);
    expect(answer.statusCode).toBe(status);
    expect(answer.json()).toMatchObject({ status, detail: expect.stringMatching(/\.$/) });
  });
  it('in another format gets a sentence', async () => {
    expect(
      (await post('/api/events', 'a=b', { 'content-type': 'application/x-www-form-urlencoded' })).statusCode,
    ).toBe(415);
  });
  it('with control characters or over-long notes are refused', async () => {
    const { entries, box } = storyOfBox(place, '2026-05-10', 'B2');
    await post('/api/events', { entries });
    const note = (text: string) =>
      post('/api/events', { entries: [{ ...entry('noted', '2026-05-11', { box }), note: text }] });
    expect((await note('x'.repeat(5_001))).statusCode).toBe(422);
    expect((await note('a\u0000b')).statusCode).toBe(422);
    expect((await note('Grüße 🐝 שלום')).statusCode).toBe(200);
  });
  it('each kind of failure has its own status and title', () => {
    expect(new Set(Object.values(failures).map(({ title, status }) => `${status} ${title}`)).size).toBe(
      Object.keys(failures).length,
    );
  });
});

describe('the server', () => {
  it('is healthy only when migrated and loaded', async () => {
    expect((await server.app.inject('/api/health')).json()).toEqual({
      process: 'up',
      database: 'up',
      migration: latestMigration,
      loaded: true,
    });
    const { database } = await freshDatabase();
    const app = await buildApp({ database, ready: {} });
    const health = await app.inject('/api/health');
    expect([health.statusCode, health.json()]).toEqual([
      503,
      { process: 'up', database: 'up', migration: null, loaded: false },
    ]);
    expect((await app.inject('/api/yards')).statusCode).toBe(503);
    await app.close();
    await database.destroy();
  });

  it('says so when the database is away', async () => {
    const database = openDatabase('postgres://nobody@127.0.0.1:9/none', () => undefined);
    const app = await buildApp({
      database,
      ready: {
        context: {
          ...server.context,
          within: () => database.selectFrom('yard').selectAll().execute() as never,
          reading: () => database.selectFrom('yard').selectAll().execute() as never,
        },
      },
    });
    expect((await app.inject('/api/health')).json()).toMatchObject({ database: 'down' });
    const answer = await app.inject('/api/yards');
    expect([answer.statusCode, answer.json().detail]).toEqual([
      503,
      expect.stringContaining('nothing was written'),
    ]);
    await app.close();
    await database.destroy();
  });

  it('sends a strict content policy and no powered-by', async () => {
    const { headers } = await server.app.inject('/api/health');
    expect(headers['content-security-policy']).toContain("script-src 'self' 'wasm-unsafe-eval';");
    expect(headers['content-security-policy']).not.toContain("'unsafe-eval'");
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['x-powered-by']).toBeUndefined();
  });

  it('describes every route it has', async () => {
    const { paths } = (await server.app.inject('/api/openapi.json')).json();
    expect(Object.keys(paths).sort()).toEqual(
      [
        '/api/backup',
        '/api/boxes',
        '/api/boxes/{id}',
        '/api/boxes/{id}/log',
        '/api/compute/air',
        '/api/compute/breath',
        '/api/compute/calendar',
        '/api/compute/cells',
        '/api/compute/check',
        '/api/compute/export',
        '/api/compute/fit',
        '/api/compute/gap',
        '/api/compute/layouts',
        '/api/compute/moisture',
        '/api/compute/nest',
        '/api/compute/odds',
        '/api/compute/parts',
        '/api/compute/population',
        '/api/compute/quick',
        '/api/compute/rates',
        '/api/compute/reach',
        '/api/compute/reduce',
        '/api/compute/season',
        '/api/compute/shut',
        '/api/compute/warmth',
        '/api/compute/winter',
        '/api/compute/wintering',
        '/api/demo/clock',
        '/api/design.schema.json',
        '/api/designs',
        '/api/designs/read',
        '/api/designs/{id}',
        '/api/designs/{id}/boxes',
        '/api/designs/{id}/versions',
        '/api/events',
        '/api/health',
        '/api/queens/{id}',
        '/api/rearing',
        '/api/rearing/past',
        '/api/restore',
        '/api/rounds.csv',
        '/api/search',
        '/api/sensors',
        '/api/sensors/weights',
        '/api/session',
        '/api/settings',
        '/api/takes',
        '/api/to-settle',
        '/api/workshop',
        '/api/yards',
        '/api/yards/{id}',
        '/api/yards/{id}/around',
        '/api/yards/{id}/boxes',
        '/api/yards/{id}/due',
        '/api/yards/{id}/log',
        '/api/calendar.ics',
        '/api/yards/{id}/paper.pdf',
        '/api/yards/{id}/season',
        '/api/yards/{id}/standing',
        '/api/years/{year}',
      ].sort(),
    );
    expect(
      paths['/api/compute/fit'].post.requestBody.content['application/json'].schema.properties,
    ).toHaveProperty('insideWidth_mm');
  });

  it('reads a design file whole or not at all, and stores nothing', async () => {
    const file = { yellowCell: 'design', name: 'Copy', content: familyDesign('bank') };
    const read = (payload: unknown) =>
      server.app.inject({ method: 'POST', url: '/api/designs/read', payload: payload as object });
    expect((await read(file)).json()).toEqual(file);
    const damaged = await read({ ...file, content: { ...file.content, roof: null } });
    expect(damaged.statusCode).toBe(422);
    expect(damaged.json()).toMatchObject({ problems: [{ path: 'content.roof' }] });
    expect((await server.app.inject('/api/design.schema.json')).json().properties).toHaveProperty('content');
  });

  it('serves the page for its own addresses, and keeps hashed files for a year', async () => {
    const webDir = mkdtempSync(join(tmpdir(), 'yellow-cell-web-'));
    mkdirSync(join(webDir, 'assets'));
    writeFileSync(join(webDir, 'index.html'), '<p>page</p>');
    writeFileSync(join(webDir, 'assets', 'a-1.js'), 'let a;');
    const app = await buildApp({ database: server.database, ready: {}, webDir });
    expect((await app.inject('/yard/anything?on=2026-05-01')).body).toBe('<p>page</p>');
    expect((await app.inject('/')).headers['cache-control']).toBe('no-cache');
    expect((await app.inject('/assets/a-1.js')).headers['cache-control']).toContain('immutable');
    expect((await app.inject('/assets/gone.js')).statusCode).toBe(404);
    expect((await app.inject('/api/gone')).statusCode).toBe(404);
    await app.close();
  });

  it('names with a page what that will ask for first, and serves it all the same where nothing is ready', async () => {
    const webDir = mkdtempSync(join(tmpdir(), 'yellow-cell-web-'));
    writeFileSync(join(webDir, 'index.html'), '<p>page</p>');
    const { database, context } = server;
    const [first] = await context.reading(listYards);
    const { yard } = place;
    const app = await buildApp({ database, ready: { context }, webDir });
    const named = async (page: string) =>
      String((await app.inject(page)).headers.link ?? '')
        .split(', ')
        .map((link) => /^<(.*)>; rel=preload; as=fetch; crossorigin=anonymous$/.exec(link)?.[1]);
    const always = ['/api/session', '/api/yards'];
    const of = (id: string | undefined) => [
      ...always,
      `/api/yards/${id}/around`,
      `/api/yards/${id}/standing?limit=50`,
    ];
    expect(await named('/')).toEqual(of(first?.id));
    expect(await named('/yard?view=map')).toEqual(of(first?.id));
    expect(await named(`/yard/${yard.id}`)).toEqual(of(yard.id));
    expect(await named(`/yard/${yard.id}?on=2026-05-01`)).toEqual(of(yard.id).slice(0, 3));
    expect(await named('/yard/nowhere')).toEqual(always);
    expect(await named(`/yard/${yard.id}/walk`)).toEqual(always);
    expect(await named('/bench')).toEqual(always);
    for (const path of of(yard.id)) expect((await app.inject(path)).statusCode).toBe(200);
    await app.close();
    const early = await buildApp({ database, ready: {}, webDir });
    const page = await early.inject('/yard');
    expect([page.statusCode, page.body, page.headers.link]).toEqual([200, '<p>page</p>', undefined]);
    await early.close();
  });

  it('compresses what is large', async () => {
    const answer = await server.app.inject({
      url: '/api/openapi.json',
      headers: { 'accept-encoding': 'br' },
    });
    expect(answer.headers['content-encoding']).toBe('br');
  });
});
