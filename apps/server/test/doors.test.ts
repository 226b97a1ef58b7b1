import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { request } from 'node:http';
import { type AddressInfo, connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { type AppOptions, buildApp } from '../src/app.ts';
import { access } from '../src/http/access.ts';
import { openPool } from '../src/work/pool.ts';
import { freshServer } from './bench.test.kit.ts';

/** Who comes in and how, over real connections: strangers, half-sent requests, work without end, a database that goes. */
const SILENT_MS = 400;
let server: Awaited<ReturnType<typeof freshServer>>;
let port: number;
let webDir: string;
const started: { close(): Promise<unknown> }[] = [];
async function listening(more: Partial<AppOptions> = {}): Promise<number> {
  const { database, ready } = server;
  const app = await buildApp({ database, ready, webDir, silentMs: SILENT_MS, ...more });
  started.push(app);
  await app.listen({ port: 0, host: '127.0.0.1' });
  return (app.server.address() as AddressInfo).port;
}
beforeAll(async () => {
  server = await freshServer();
  webDir = mkdtempSync(join(tmpdir(), 'yellow-cell-web-'));
  mkdirSync(join(webDir, 'assets'));
  writeFileSync(join(webDir, 'index.html'), '<p>page</p>');
  port = await listening();
});
afterAll(async () => {
  for (const app of started) await app.close();
  await server.close();
});

interface Answer {
  status: number;
  headers: Record<string, string | string[] | undefined>;
  body: string;
}
/** Node's own client: it sends any header, and any address. */
const ask = (path: string, headers: Record<string, string> = {}, body?: string, at = port): Promise<Answer> =>
  new Promise((resolve, reject) => {
    const method = body === undefined ? 'GET' : 'POST';
    const sent = request({ host: '127.0.0.1', port: at, path, method, headers }, (answer) => {
      let text = '';
      answer.on('data', (part) => (text += part));
      answer.on('end', () =>
        resolve({ status: answer.statusCode ?? 0, headers: answer.headers, body: text }),
      );
    });
    sent.on('error', reject);
    sent.end(body);
  });
const JSON_BODY = { 'content-type': 'application/json' };

describe('only the program’s own pages', () => {
  it.each([
    ['a script', {}, 200],
    ['its own page', { origin: 'OWN', 'sec-fetch-site': 'same-origin' }, 200],
    ['an address typed by hand', { 'sec-fetch-site': 'none' }, 200],
    ['another site', { origin: 'https://elsewhere.example', 'sec-fetch-site': 'cross-site' }, 403],
    ['another port of this machine', { origin: 'http://127.0.0.1:1', 'sec-fetch-site': 'same-site' }, 403],
    ['a page without an origin', { origin: 'null' }, 403],
    ['a name that is made to point here', { host: 'evil.example' }, 403],
    ['the same with a port', { host: 'evil.example:80' }, 403],
    ['this machine by its other name', { host: 'localhost:99' }, 200],
  ] as const)('%s', async (_, headers, status) => {
    const own = Object.fromEntries(
      Object.entries(headers).map(([name, value]) => [
        name,
        value === 'OWN' ? `http://127.0.0.1:${port}` : value,
      ]),
    );
    for (const [path, body] of [['/api/health'], ['/api/compute/gap', '{"gap_mm":6}']] as const)
      expect((await ask(path, { ...own, ...JSON_BODY }, body)).status).toBe(status);
  });

  it('reached by a name of its own, where it was started with that', async () => {
    const proxied = await listening({ place: { host: '0.0.0.0', origins: ['https://yard.example'] } });
    const from = (host: string, origin: string) => ask('/api/health', { host, origin }, undefined, proxied);
    expect((await from('yard.example', 'https://yard.example')).status).toBe(200);
    expect((await from('yard.example', 'https://other.example')).status).toBe(403);
    expect((await from('other.example', 'https://other.example')).status).toBe(403);
    expect((await from(`127.0.0.1:${proxied}`, `http://127.0.0.1:${proxied}`)).status).toBe(200);
  });

  it.each(['/api/compute/cells', '/api/events', '/api/designs/read', '/api/restore'])(
    'may write and ask %s in nothing but JSON',
    async (path) => {
      for (const type of ['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data'])
        expect((await ask(path, { 'content-type': type }, '{}')).status).toBe(415);
    },
  );
});

describe('who may ask', () => {
  it('is said of every route, and of no other', async () => {
    const served = new Set<string>();
    const app = await buildApp({ database: server.database, ready: server.ready });
    await app.ready();
    const paths = app.swagger().paths as Record<string, Record<string, unknown>>;
    for (const [path, methods] of Object.entries(paths))
      for (const method of Object.keys(methods))
        served.add(`${method.toUpperCase()} ${path.replaceAll(/\{(\w+)\}/g, ':$1')}`);
    const named = (route: string) => route.replace(/\/api\/compute\/.*/, '/api/compute/:subject');
    expect(new Set([...served, 'GET /api/openapi.json'].map(named))).toEqual(new Set(Object.keys(access)));
    await app.close();
  });
});

describe('what cannot be read', () => {
  it.each([
    ['/%', {}, 400],
    ['/api/%zz', {}, 400],
    ['/', { range: 'bytes=99-' }, 416],
    ['/index.html', { range: 'bytes=x' }, 416],
    ['/..%2f..%2fetc%2fpasswd.txt', {}, 404],
  ] as const)('%s %j answers %i with the headers that guard a page', async (path, headers, status) => {
    const answer = await ask(path, headers);
    expect(answer.status).toBe(status);
    expect(answer.headers['content-security-policy']).toContain("default-src 'self'");
    expect(answer.headers['x-content-type-options']).toBe('nosniff');
    if (status >= 400) {
      expect(answer.headers['content-type']).toContain('application/problem+json');
      expect(JSON.parse(answer.body)).toMatchObject({ status, detail: expect.stringMatching(/\.$/) });
    }
  });

  it.each([
    [
      'a body that stops',
      'POST /api/events HTTP/1.1\r\nhost: localhost\r\ncontent-type: application/json\r\ncontent-length: 99\r\n\r\n{"ent',
    ],
    ['headers that stop', 'POST /api/events HTTP/1.1\r\nhost: local'],
  ])('%s is closed, with a sentence', async (_, half) => {
    const said = await new Promise<string>((resolve) => {
      let text = '';
      const socket = connect(port, '127.0.0.1', () => socket.write(half));
      socket.on('data', (part) => (text += part));
      socket.on('close', () => resolve(text));
    });
    expect(said).toContain('HTTP/1.1 408');
    expect(said).toContain('stopped half-way');
  });

  it('JSON half a million levels deep, and names that objects are born with, are refused like any other', async () => {
    const deep = '['.repeat(500_000) + ']'.repeat(500_000);
    for (const [path, body] of [
      ['/api/compute/gap', deep],
      ['/api/compute/gap', `{"gap_mm":${deep}}`],
      ['/api/events', `{"entries":${deep}}`],
      ['/api/designs/read', `{"yellowCell":"design","content":${deep}}`],
      [
        '/api/compute/air',
        '{"outside_C":1,"ua_WK":1,"bees_kg":1,"heat_Wkg":1,"openings":[],"comb_kg":1,"limits_C":[],"constants":{"toString":1}}',
      ],
    ] as const) {
      const { status, body: said } = await ask(path, JSON_BODY, body);
      expect([path, status]).toEqual([path, 422]);
      expect(said.length).toBeLessThan(5_000);
    }
  });
});

describe('work without end', () => {
  const huge = JSON.stringify({
    insideWidth_mm: 10_000,
    pitch_mm: 1,
    thicknesses_mm: [1],
    compartments: { min: 1, max: 3 },
    framesEach: { min: 0, max: 70 },
    slack_mm: { min: 0, max: 10_000 },
  });
  it('is refused before it begins where a field or the whole says that it would be', async () => {
    const cells = await ask('/api/compute/cells', JSON_BODY, '{"queens":20,"rate":-1e9,"confidence":0.9}');
    expect(cells.status).toBe(422);
    const layouts = {
      ...JSON.parse(huge),
      framesEach: { min: 2, max: 1e9 },
      slack_mm: { min: 3, max: 1e308 },
    };
    expect((await ask('/api/compute/layouts', JSON_BODY, JSON.stringify(layouts))).status).toBe(422);
  });

  it('is done elsewhere, while others are answered', async () => {
    const long = ask('/api/compute/layouts', JSON_BODY, huge);
    let worst = 0;
    let over = false;
    void long.finally(() => {
      over = true;
    });
    while (!over) {
      const asked = performance.now();
      await ask('/api/compute/gap', JSON_BODY, '{"gap_mm":6}');
      worst = Math.max(worst, performance.now() - asked);
    }
    expect(JSON.parse((await long).body).layouts.length).toBeGreaterThan(100_000);
    expect(worst).toBeLessThan(5_000); // for what hangs; the bench measures
  });

  it('is stopped after its time, and when its asker has gone; the next question finds a thread', async () => {
    const pool = openPool({ mostMs: 300 });
    const at = await listening({ pool });
    const late = await ask('/api/compute/layouts', JSON_BODY, huge, at);
    expect([late.status, JSON.parse(late.body).title]).toEqual([422, 'Took too long']);
    await pool.close();

    const patient = openPool();
    const gone = new AbortController();
    const left = [1, 2, 3].map(() => patient.compute('layouts', huge, gone.signal));
    setTimeout(() => gone.abort(), 100);
    for (const each of left) await expect(each).rejects.toThrow(/Nobody waits/);
    const next = await patient.compute('gap', '{"gap_mm":6}', new AbortController().signal);
    expect(next.ok).toBe(true);
    await patient.close();
  });
});

describe('a database that goes', () => {
  it('is told with 503 and when to ask again, and the program works on when it is back', async () => {
    const admin = new pg.Client({ connectionString: inject('adminUrl') });
    await admin.connect();
    const name = new URL(server.url).pathname.slice(1);
    const kill = () =>
      admin.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = $1', [name]);
    for (let round = 0; round < 10; round++) {
      const asked = Array.from({ length: 12 }, () => ask('/api/designs'));
      await kill();
      for (const { status, headers, body } of await Promise.all(asked)) {
        expect([200, 503]).toContain(status);
        if (status !== 503) continue;
        expect(headers['retry-after']).toBe('2');
        expect(JSON.parse(body).detail).toContain('nothing was written');
      }
      await kill();
      expect([200, 503]).toContain((await ask('/api/designs')).status);
      const back = Date.now() + 10_000;
      while ((await ask('/api/designs')).status !== 200) expect(Date.now()).toBeLessThan(back);
    }
    await admin.end();
  });
});
