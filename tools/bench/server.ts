import { randomUUID } from 'node:crypto';
import { Agent, request as ask } from 'node:http';
import { DEMO_BREEDER } from '@yellow-cell/demo';
import {
  boxPageQuery,
  openDatabase,
  shownBoxQuery,
  shownDueQuery,
  shownPageQuery,
} from '@yellow-cell/server';
import pg from 'pg';
import type { Stage } from '../stage.ts';
import { type Figure, medianMs } from './figure.ts';
import { fillLargeYard, LARGE } from './largeYard.ts';

interface CompiledQuery {
  sql: string;
  parameters: readonly unknown[];
}

const REQUESTS = 100;
const MOST_RATIO = 1.5;
const MOST_MORE_MS = 5;
const MOST_MS = 150;
const APPEND_MS = 15;
const WEATHER_MS = 500;
const TODAY = '2026-05-31';
const MAP_PAGE = 50;
const DUE_PAGE = 60;

/** Reading a large yard over HTTP, each against its own SQL sent straight through pg; and one append to a long story. */
export async function serverFigures(stage: Stage): Promise<Figure[]> {
  const { yard, box, colony } = await fillLargeYard(stage);
  const database = openDatabase(stage.cluster.url, () => undefined);
  const compiled = await database.connection().execute(async (connection) => ({
    list: boxPageQuery(connection as never, { yard, limit: 50 }).compile(),
    map: shownPageQuery(connection as never, yard, undefined, MAP_PAGE).compile(),
    today: shownDueQuery(connection as never, yard, TODAY, DUE_PAGE).compile(),
    box: shownBoxQuery(connection as never, box).compile(),
  }));
  await database.destroy();
  const client = new pg.Client({ connectionString: stage.cluster.url });
  await client.connect();
  await client.query(
    "select set_config('role', 'yellow_cell_app', false), set_config('app.breeder', $1, false)",
    [DEMO_BREEDER],
  );
  const agent = new Agent({ keepAlive: true });
  const read = async (what: string, path: string, { sql, parameters }: CompiledQuery): Promise<Figure> => {
    const bare = () => client.query(sql, [...parameters]);
    const request = () => send(`${stage.url}/api${path}`, agent);
    await medianMs(15, bare);
    await medianMs(15, request);
    const baseline = await medianMs(REQUESTS, bare);
    const ours = await medianMs(REQUESTS, request);
    return {
      what,
      ours,
      baseline,
      unit: 'ms',
      against: `the same SQL through pg; ${LARGE.boxes} boxes, ${LARGE.events} events`,
      holds: ours < MOST_MS && (ours <= baseline * MOST_RATIO || ours <= baseline + MOST_MORE_MS),
      wanted: `1.5 × the SQL or 5 ms more, under ${MOST_MS} ms`,
    };
  };
  const figures = [
    await read('GET of the yard list', `/yards/${yard}/boxes`, compiled.list),
    await read(
      'GET of the yard map, a page of 50',
      `/yards/${yard}/standing?limit=${MAP_PAGE}`,
      compiled.map,
    ),
    await read('GET of today', `/yards/${yard}/due?on=${TODAY}`, compiled.today),
    await read('GET of one box', `/boxes/${box}`, compiled.box),
    await appendFigure(stage, agent, box, colony),
    await weatherFigure(stage, agent, yard),
  ];
  agent.destroy();
  await client.end();
  return figures;
}

/** One entry more to a box with 250, with all its read rows. */
async function appendFigure(stage: Stage, agent: Agent, box: string, colony: string): Promise<Figure> {
  let seq = 0;
  const append = () => {
    seq += 1;
    const entry = {
      id: randomUUID(),
      kind: 'fed',
      kindVersion: 1,
      occurredAt: new Date(Date.parse(`${TODAY}T06:00:00Z`) + seq * 1_000).toISOString(),
      zone: 'Europe/Vienna',
      person: 'Wilma Feldspat',
      device: 'bench',
      deviceSeq: seq,
      payload: { box, colony, feed: 'syrup11', amount_kg: 0.5 },
    };
    return send(`${stage.url}/api/events`, agent, JSON.stringify({ entries: [entry] }));
  };
  await medianMs(15, append);
  const ours = await medianMs(REQUESTS, append);
  return {
    what: 'one entry appended, with its read tables',
    ours,
    baseline: APPEND_MS,
    unit: 'ms',
    against: `the limit; a box with a story of ${LARGE.events / LARGE.boxes} entries`,
    holds: ours <= APPEND_MS,
    wanted: `under ${APPEND_MS} ms`,
  };
}

/** A day's weather, which bears on what is due in every box of the yard. */
async function weatherFigure(stage: Stage, agent: Agent, yard: string): Promise<Figure> {
  let seq = 0;
  const record = () => {
    seq += 1;
    const date = `2026-05-${String(10 + seq).padStart(2, '0')}`;
    const day = { date, min_C: 5, max_C: 20, wind_ms: 1, rain_mm: 0, flying_h: seq % 2 };
    const entry = {
      id: randomUUID(),
      kind: 'weatherRecorded',
      kindVersion: 1,
      occurredAt: `${date}T18:00:00Z`,
      zone: 'Europe/Vienna',
      person: 'Wilma Feldspat',
      device: 'bench-weather',
      deviceSeq: seq,
      payload: { yard, days: [day] },
    };
    return send(`${stage.url}/api/events`, agent, JSON.stringify({ entries: [entry] }));
  };
  await record();
  const ours = await medianMs(5, record);
  return {
    what: `one weather day, yard of ${LARGE.boxes} boxes`,
    ours,
    baseline: WEATHER_MS,
    unit: 'ms',
    against: 'the limit',
    holds: ours <= WEATHER_MS,
    wanted: `under ${WEATHER_MS} ms`,
  };
}

/** Asked with the plainest client there is, so that the server is measured and not its asker. */
function send(url: string, agent: Agent, body?: string): Promise<string> {
  return new Promise((resolve, reject) => {
    const headers = body === undefined ? {} : { 'content-type': 'application/json' };
    const sent = ask(url, { agent, method: body === undefined ? 'GET' : 'POST', headers }, (answer) => {
      const parts: Buffer[] = [];
      answer.on('data', (part) => parts.push(part));
      answer.on('end', () => {
        const text = Buffer.concat(parts).toString();
        if (answer.statusCode === 200) resolve(text);
        else reject(new Error(`${url} answered ${answer.statusCode}: ${text.slice(0, 300)}`));
      });
    }).on('error', reject);
    sent.end(body);
  });
}
