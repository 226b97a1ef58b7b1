import { randomUUID } from 'node:crypto';
import { Agent, request as ask } from 'node:http';
import { createBrotliDecompress } from 'node:zlib';
import {
  boxPageQuery,
  HOME_BREEDER,
  openDatabase,
  shownBoxQuery,
  shownDueQuery,
  shownPageQuery,
} from '@yellow-cell/server';
import pg from 'pg';
import type { Stage } from '../stage.ts';
import { type Figure, medianMs } from './figure.ts';
import { administer, type LargeYard } from './largeYard.ts';

interface CompiledQuery {
  sql: string;
  parameters: readonly unknown[];
}

const REQUESTS = 60;
const MOST_RATIO = 1.5;
const MOST_MORE_MS = 2;
const MOST_MS = 20;
const TODAY = '2026-05-31';
const A_YEAR_AGO = '2025-06-20';
const MAP_PAGE = 50;
const DUE_PAGE = 60;
const WRITERS = 20;

/** A colony that lives in the yard now, and one that lived a year ago, with the boxes that they are in. */
interface Bees {
  box: string;
  colony: string;
}

/** Reading and writing a large yard over HTTP: reads against their own SQL sent straight through pg, writes against their limits. */
export async function serverFigures(stage: Stage, large: LargeYard): Promise<Figure[]> {
  const agent = new Agent({ keepAlive: true, maxSockets: WRITERS + 4 });
  const door = doorTo(stage, agent);
  const { yard } = large;
  const living = await beesOf(
    stage,
    `select box_id as box, told->'colonies'->-1->>'id' as colony from box_state
     where told->'colonies'->-1->>'ended' is null and label ~ '-[1-9]$' order by label_key limit 200`,
  );
  const [first] = living as [Bees, ...Bees[]];
  const pageOfLog = await door.get(`/yards/${yard}/log?limit=50`);
  const figures = [
    ...sizeFigures(large),
    ...(await readFigures(stage, door, large, first.box)),
    await limited('search of notes', 30, REQUESTS, () => door.get('/search?find=nervous')),
    await limited('search of queens', 30, REQUESTS, () => door.get('/search?find=42')),
    await limited('to settle, a page', 100, REQUESTS, () => door.get('/to-settle')),
    await limited('takes by box', 40, REQUESTS, () => door.get(`/takes?by=box&on=${TODAY}`)),
    await limited('takes by design', 40, REQUESTS, () => door.get(`/takes?by=design&on=${TODAY}`)),
    await limited(`log of 50 boxes, ${Math.round(pageOfLog.length / 1e3)} kB`, 50, 10, () =>
      door.get(`/yards/${yard}/log?limit=50`),
    ),
    await limited('log of one box', 50, REQUESTS, () => door.get(`/boxes/${first.box}/log`)),
    ...(await writeFigures(stage, door, large, living)),
  ];
  agent.destroy();
  return figures;
}

const sizeFigures = ({ events, boxes, rebuild_s, rebuild_MB, bytesAnEvent }: LargeYard): Figure[] => {
  const against = `the limit; ${boxes} boxes, ${events} events`;
  const figure = (what: string, ours: number, baseline: number, unit: string): Figure => ({
    what,
    ours,
    baseline,
    unit,
    against,
    holds: ours <= baseline,
    wanted: `at most ${baseline} ${unit}`,
  });
  return [
    figure('read rows of a breeder made anew', rebuild_s, 40, 's'),
    figure('memory for that', rebuild_MB, 300, 'MB'),
    figure('bytes an event, with all read rows', bytesAnEvent, 600, 'B'),
  ];
};

/** Each against its own SQL, sent by turns, so that both meet the same machine. */
async function readFigures(stage: Stage, door: Door, { yard }: LargeYard, box: string): Promise<Figure[]> {
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
    [HOME_BREEDER],
  );
  const read = async (what: string, path: string, { sql, parameters }: CompiledQuery): Promise<Figure> => {
    const bare: number[] = [];
    const asked: number[] = [];
    for (let time = 0; time < REQUESTS; time++) {
      bare.push(await medianMs(1, () => client.query(sql, [...parameters])));
      asked.push(await medianMs(1, () => door.get(path)));
    }
    const [baseline, ours] = [middle(bare), middle(asked)];
    return {
      what,
      ours,
      baseline,
      unit: 'ms',
      against: 'the same SQL through pg, by turns',
      holds: ours <= MOST_MS && (ours <= baseline * MOST_RATIO || ours <= baseline + MOST_MORE_MS),
      wanted: `1.5 × the SQL or ${MOST_MORE_MS} ms more, at most ${MOST_MS} ms with brotli`,
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
  ];
  await client.end();
  return figures;
}

const middle = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? Number.NaN;

async function writeFigures(
  stage: Stage,
  door: Door,
  { yard }: LargeYard,
  living: readonly Bees[],
): Promise<Figure[]> {
  let turn = 0;
  const next = () => living[turn++ % living.length] as Bees;
  const fed = () => door.append('fed', TODAY, { ...next(), feed: 'syrup11', amount_kg: 0.5 });
  const past = await beesOf(
    stage,
    `select payload->>'box' as box, payload->>'colony' as colony from event
     where kind = 'strengthSeen' and occurred_at between '2025-06-01' and '2025-06-19' order by id limit 60`,
  );
  let late = 0;
  const strength = () =>
    door.append('strengthSeen', A_YEAR_AGO, { ...(past[late++ % past.length] as Bees), seams: 2 }, true);
  const corrected = await administer(
    stage,
    `select id, payload from event where kind = 'strengthSeen' and corrects is null
     and occurred_at between '2025-06-01' and '2025-06-19' order by id limit 60`,
  );
  let at = 0;
  const put = () => {
    const { id, payload } = corrected[at++ % corrected.length] as { id: string; payload: object };
    return door.append('strengthSeen', A_YEAR_AGO, { ...payload, seams: 1.5 }, true, id);
  };
  const given = await administer(
    stage,
    `select id from event where kind = 'stocked' and payload->'giver' is not null
     and occurred_at between '2025-05-01' and '2025-07-19' order by id limit 30`,
  );
  let taken = 0;
  const takeBack = () => door.append('withdrawn', TODAY, {}, true, String(given[taken++]?.id));
  let day = 0;
  const weather = () => {
    const date = `2026-05-${String(30 - (day % 20)).padStart(2, '0')}`;
    day += 1;
    const told = { date, min_C: 5, max_C: 20, wind_ms: 1, rain_mm: 0, flying_h: day % 2 };
    return door.append('weatherRecorded', date, { yard, days: [told] });
  };
  const figures = [
    await limited('one entry appended, another box each time', 12, REQUESTS, fed),
    await limited('a late entry, a year old', 100, 20, strength),
    await limited('a correction, a year old', 100, 20, put),
    await limited('bees of a giver taken back, a year old', 300, 10, takeBack),
    await limited('one weather day for the yard', 500, 5, weather),
  ];
  return [...figures, ...(await underWriters(door, fed, `/yards/${yard}/boxes`))];
}

/** Twenty devices write at once: how many entries a second, and what a reader waits meanwhile. */
async function underWriters(door: Door, write: () => Promise<unknown>, path: string): Promise<Figure[]> {
  const FOR_MS = 5_000;
  let over = false;
  let kept = 0;
  const writers = Array.from({ length: WRITERS }, async () => {
    while (!over) {
      await write();
      kept += 1;
    }
  });
  const started = performance.now();
  const waits: number[] = [];
  while (performance.now() - started < FOR_MS) waits.push(await medianMs(1, () => door.get(path)));
  const seconds = (performance.now() - started) / 1_000;
  over = true;
  await Promise.all(writers);
  const rate = kept / seconds;
  return [
    {
      what: `entries a second by ${WRITERS} writers of one breeder`,
      ours: rate,
      baseline: 100,
      unit: '/s',
      against: 'one after the other: a breeder has one log',
      holds: rate >= 100,
      wanted: 'at least 100 /s',
    },
    {
      what: `the yard list under ${WRITERS} writers`,
      ours: middle(waits),
      baseline: 50,
      unit: 'ms',
      against: 'the limit',
      holds: middle(waits) <= 50,
      wanted: 'at most 50 ms',
    },
  ];
}

async function limited(
  what: string,
  limit_ms: number,
  times: number,
  work: () => Promise<unknown>,
): Promise<Figure> {
  await work();
  const ours = await medianMs(times, work);
  return {
    what,
    ours,
    baseline: limit_ms,
    unit: 'ms',
    against: 'the limit',
    holds: ours <= limit_ms,
    wanted: `at most ${limit_ms} ms`,
  };
}

async function beesOf(stage: Stage, query: string): Promise<Bees[]> {
  const rows = await administer(stage, query);
  if (rows.length === 0) throw new Error('The large yard holds no such bees.');
  return rows as unknown as Bees[];
}

/** The plainest client there is, that takes what browsers take, so that the server is measured and not its asker. */
interface Door {
  get(path: string): Promise<string>;
  append(kind: string, on: string, payload: object, synced?: boolean, corrects?: string): Promise<string>;
}

function doorTo(stage: Stage, agent: Agent): Door {
  let seq = 0;
  const send = (path: string, body?: string) =>
    new Promise<string>((resolve, reject) => {
      const headers = {
        'accept-encoding': 'br',
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
      };
      const method = body === undefined ? 'GET' : 'POST';
      const sent = ask(`${stage.url}/api${path}`, { agent, method, headers }, (answer) => {
        const parts: Buffer[] = [];
        const packed = answer.headers['content-encoding'] === 'br';
        const text = packed ? answer.pipe(createBrotliDecompress()) : answer;
        text.on('data', (part) => parts.push(part));
        text.on('end', () => {
          const whole = Buffer.concat(parts).toString();
          if (answer.statusCode === 200) resolve(whole);
          else reject(new Error(`${path} answered ${answer.statusCode}: ${whole.slice(0, 300)}`));
        });
      }).on('error', reject);
      sent.end(body);
    });
  return {
    get: (path) => send(path),
    append(kind, on, payload, synced = false, corrects) {
      seq += 1;
      const entry = {
        id: randomUUID(),
        kind,
        kindVersion: kind === 'strengthSeen' ? 2 : 1,
        occurredAt: new Date(Date.parse(`${on}T05:00:00Z`) + seq * 500).toISOString(),
        zone: 'Europe/Vienna',
        person: 'Wilma Feldspat',
        device: 'bench',
        deviceSeq: seq,
        payload,
        ...(corrects === undefined ? {} : { corrects }),
      };
      return send('/events', JSON.stringify({ entries: [entry], synced }));
    },
  };
}
