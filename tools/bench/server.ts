import { randomUUID } from 'node:crypto';
import { Agent, get } from 'node:http';
import { DEMO_BREEDER } from '@yellow-cell/demo';
import { boxPageQuery, openDatabase } from '@yellow-cell/server';
import pg from 'pg';
import type { Stage } from '../stage.ts';
import { type Figure, medianMs } from './figure.ts';

const BOXES = 5_000;
const REQUESTS = 150;
const MOST_RATIO = 1.5;
const MOST_MORE_MS = 5;

/** A page of a yard list with 5,000 boxes, over HTTP, against its own SQL sent straight through pg. */
export async function serverFigures(stage: Stage): Promise<Figure[]> {
  const yard = await fillYard(stage);
  const database = openDatabase(stage.cluster.url, () => undefined);
  const compiled = await database
    .connection()
    .execute(async (connection) => boxPageQuery(connection as never, { yard, limit: 50 }).compile());
  await database.destroy();
  const client = new pg.Client({ connectionString: stage.cluster.url });
  await client.connect();
  await client.query(
    "select set_config('role', 'yellow_cell_app', false), set_config('app.breeder', $1, false)",
    [DEMO_BREEDER],
  );
  const bare = () => client.query(compiled.sql, [...compiled.parameters]);
  const agent = new Agent({ keepAlive: true });
  const request = () => textOf(`${stage.url}/api/yards/${yard}/boxes`, agent);
  await medianMs(20, bare);
  await medianMs(20, request);
  const baseline = await medianMs(REQUESTS, bare);
  const ours = await medianMs(REQUESTS, request);
  agent.destroy();
  await client.end();
  const holds = ours <= baseline * MOST_RATIO || ours <= baseline + MOST_MORE_MS;
  return [
    {
      what: 'GET of the yard list',
      ours,
      baseline,
      unit: 'ms',
      against: `the same SQL through pg, ${BOXES.toLocaleString('en')} boxes`,
      holds,
      wanted: '1.5 × the SQL, or 5 ms more',
    },
  ];
}

/** Asked with the plainest client there is, so that the server is measured and not its asker. */
function textOf(url: string, agent: Agent): Promise<string> {
  return new Promise((resolve, reject) => {
    get(url, { agent }, (answer) => {
      const parts: Buffer[] = [];
      answer.on('data', (part) => parts.push(part));
      answer.on('end', () => resolve(Buffer.concat(parts).toString()));
    }).on('error', reject);
  });
}

/** A yard of its own, its boxes put straight into the read tables. */
async function fillYard(stage: Stage): Promise<string> {
  const yard = randomUUID();
  const admin = new pg.Client({ connectionString: stage.cluster.adminUrl.replace(/[^/]+$/, 'yellow_cell') });
  await admin.connect();
  await admin.query("insert into yard values ($1, $2, 'Large', 48, 13, 'Europe/Vienna', 1)", [
    DEMO_BREEDER,
    yard,
  ]);
  await admin.query(
    `insert into box_state select $1, gen_random_uuid(), 'L' || n, 'L' || lpad(n::text, 10, '0'), (select id from design limit 1), 1, $2, n::text, '2026-04-01', null
     from generate_series(1, ${BOXES}) n`,
    [DEMO_BREEDER, yard],
  );
  await admin.query(
    `insert into compartment_state select breeder_id, box_id, p, (array['West','Middle','East'])[p + 1], 3, 'laying', '2026-05-20', 'scorePattern', '2026-05-30', '2026-05-31', '2026-06-02'
     from box_state, generate_series(0, 2) p where yard_id = $1`,
    [yard],
  );
  await admin.query('analyze');
  await admin.end();
  return yard;
}
