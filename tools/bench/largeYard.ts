import { randomUUID } from 'node:crypto';
import { DEMO_BREEDER } from '@yellow-cell/demo';
import pg from 'pg';
import type { Stage } from '../stage.ts';

/** A yard as large as the largest breeder's: boxes in three, each with a long story. */
export interface LargeYard {
  yard: string;
  /** One of its boxes, and a colony that lives in it. */
  box: string;
  colony: string;
}

export const LARGE = { boxes: 2_000, compartments: 6_000, events: 500_000 } as const;
const EVENTS_EACH = LARGE.events / LARGE.boxes;
const LAST_AT = '2026-05-30T18:00:00Z';
const BOXES_AT_ONCE = 250;

interface Told {
  colonies: { id: string; ended?: unknown }[];
}
interface Model {
  box_id: string;
  yard_id: string;
  design_id: string;
  design_version: number;
  told: string;
  shown: string;
}

/**
 * Every box stands as the demo's fullest one that is in three, with ids of its own, and has a story of feeding over
 * five seasons; all put straight into the tables, since what is measured is reading and one append more.
 */
export async function fillLargeYard(stage: Stage): Promise<LargeYard> {
  const admin = new pg.Client({ connectionString: stage.cluster.adminUrl.replace(/[^/]+$/, 'yellow_cell') });
  await admin.connect();
  try {
    const yard = randomUUID();
    await admin.query("insert into yard values ($1, $2, 'Large', 48, 13, 'Europe/Vienna', 1)", [
      DEMO_BREEDER,
      yard,
    ]);
    const model = await modelBox(admin);
    const boxes = Array.from({ length: LARGE.boxes }, (_, n) => boxLike(model, yard, n));
    for (let at = 0; at < boxes.length; at += BOXES_AT_ONCE)
      await admin.query('insert into box_state select * from json_populate_recordset(null::box_state, $1)', [
        JSON.stringify(boxes.slice(at, at + BOXES_AT_ONCE)),
      ]);
    await fillAround(admin, yard, model.box_id);
    await fillLog(admin, yard);
    // Else the database tidies up after the filling while it is measured.
    await admin.query('vacuum analyze');
    await admin.query('checkpoint');
    const [first] = boxes;
    const living = first?.told.colonies.find(({ ended }) => !ended);
    return { yard, box: first?.box_id ?? '', colony: living?.id ?? '' };
  } finally {
    await admin.end();
  }
}

async function modelBox(admin: pg.Client): Promise<Model> {
  const { rows } = await admin.query<Model>(
    `select box_id, yard_id, design_id, design_version, told::text as told, shown::text as shown from box_state box
     where (select count(*) from compartment_state c where c.box_id = box.box_id and c.status <> 'empty') = 3
     order by length(shown::text) desc limit 1`,
  );
  if (!rows[0]) throw new Error('No box of the demo stands in three.');
  return rows[0];
}

const UUID = /[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}/g;

/** The same box with every id its own, but for the design's, the rounds' and the breeder's. */
function boxLike(model: Model, yard: string, n: number) {
  const own = new Map([
    [model.yard_id, yard],
    [model.design_id, model.design_id],
    [DEMO_BREEDER, DEMO_BREEDER],
  ]);
  const renamed = (text: string) =>
    text.replace(UUID, (id) => {
      const found = own.get(id) ?? randomUUID();
      own.set(id, found);
      return found;
    });
  const box_id = renamed(model.box_id);
  return {
    breeder_id: DEMO_BREEDER,
    box_id,
    label: `L${n}`,
    label_key: `L${String(n).padStart(10, '0')}`,
    design_id: model.design_id,
    design_version: model.design_version,
    yard_id: yard,
    stand: String(n),
    built_on: '2022-04-01',
    taken_apart_on: null,
    told: JSON.parse(renamed(model.told)) as Told,
    shown: JSON.parse(renamed(model.shown)) as object,
    last_at: LAST_AT,
  };
}

/** Compartments and work of the model for each box; of every fourth, something is due. */
async function fillAround(admin: pg.Client, yard: string, model: string): Promise<void> {
  await admin.query(
    `insert into compartment_state
     select box.breeder_id, box.box_id, c.position, c.name, c.frames, c.status, c.since, c.due, c.due_from, c.due_expected, c.due_to
     from box_state box, compartment_state c where box.yard_id = $1 and c.box_id = $2`,
    [yard, model],
  );
  await admin.query(
    `insert into due_state
     select box.breeder_id, box.box_id, position, kind, $1, date '2026-05-31' + (row_number() over (order by box.label_key) % 12)::int - 3,
       date '2026-06-02' + (row_number() over (order by box.label_key) % 12)::int - 3, false
     from box_state box, generate_series(0, 2) position, unnest(array['scorePattern', 'refillFeed']) kind
     where box.yard_id = $1`,
    [yard],
  );
}

async function fillLog(admin: pg.Client, yard: string): Promise<void> {
  await admin.query('alter table event disable trigger append_only');
  await admin.query(
    `create temp table story as
     select md5(box.box_id || '-' || n)::uuid as id, box.box_id, colony.id as colony,
       timestamptz '2022-04-01' + n * interval '6 days' as at, n
     from box_state box, lateral (select (told -> 'colonies' -> 0 ->> 'id')::uuid as id) colony, generate_series(1, $2) n
     where box.yard_id = $1`,
    [yard, EVENTS_EACH],
  );
  await admin.query(
    `insert into event select $1::uuid, id, 'fed', 1, at, 'Europe/Vienna', at, 'Wilma Feldspat', 'large', n, null, null,
       json_build_object('box', box_id, 'colony', colony, 'feed', 'syrup11', 'amount_kg', 0.5)
     from story`,
    [DEMO_BREEDER],
  );
  await admin.query(
    `insert into event_subject select $1::uuid, box_id, id, 'box' from story union all select $1::uuid, colony, id, 'colony' from story`,
    [DEMO_BREEDER],
  );
  await admin.query('alter table event enable trigger append_only');
}
