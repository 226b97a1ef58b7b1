import { type RawBuilder, sql } from 'kysely';
import type { ArchiveKind } from '../services/archive/manifest.ts';
import { currentBreeder, type Store } from './database.ts';

interface Archived {
  table: string;
  /** All but the breeder's id, as they stand in a line. */
  columns: readonly string[];
  /** By what the rows are paged. */
  key: string;
}

/** Where each kind of an archive's lines stands. */
const ARCHIVED: Readonly<Record<ArchiveKind, Archived>> = {
  breeder: {
    table: 'breeder',
    key: 'stored.breeder_id',
    columns: [
      'name',
      'demo_anchor',
      'demo_loaded_at',
      'loaded',
      'settings',
      'settings_version',
      'fold_version',
    ],
  },
  workshop: {
    table: 'workshop',
    key: 'stored.breeder_id',
    columns: ['version', 'currency', 'kerf_mm', 'printer', 'plastic', 'fittings'],
  },
  stock: {
    table: 'stock_sheet',
    key: 'stored.id',
    columns: ['id', 'place', 'name', 'material', 'thickness_mm', 'width_mm', 'height_mm', 'at_hand', 'price'],
  },
  register: {
    table: 'equipment',
    key: 'stored.id',
    columns: [
      'id',
      'place',
      'kind',
      'name',
      'count',
      'finish',
      'condition',
      'kept_at',
      'missing',
      'format',
      'comb',
      'slot_mm',
    ],
  },
  designs: { table: 'design', key: 'stored.id', columns: ['id', 'name'] },
  versions: {
    table: 'design_version',
    key: 'stored.id',
    columns: ['design_id', 'number', 'id', 'content', 'note', 'saved_at', 'saved_by'],
  },
  yards: {
    table: 'yard',
    key: 'stored.id',
    columns: ['id', 'name', 'latitude_deg', 'longitude_deg', 'zone', 'version'],
  },
  events: {
    table: 'event',
    key: 'stored.id',
    columns: [
      'id',
      'kind',
      'kind_version',
      'occurred_at',
      'zone',
      'recorded_at',
      'person',
      'device',
      'device_seq',
      'corrects',
      'note',
      'payload',
    ],
  },
  readings: {
    table: 'sensor_reading',
    key: "stored.box || ' ' || stored.measure || ' ' || stored.at",
    columns: ['box', 'measure', 'at', 'value', 'raw', 'flag'],
  },
};

const listed = (columns: readonly string[]): RawBuilder<unknown> =>
  sql.join(columns.map((column) => sql.ref(column)));

/** The subjects of an event go with it, in its own line. */
const withSubjects = sql`, (select json_agg(json_build_object('kind', about.kind, 'id', about.subject_id) order by about.subject_id)
  from event_subject about where about.breeder_id = stored.breeder_id and about.event_id = stored.id) as subjects`;

/** Rows of a kind as lines of JSON, page by page; columns as they are stored, without the breeder's id. */
export async function* linesOf(store: Store, kind: ArchiveKind, atOnce: number): AsyncGenerator<string[]> {
  const { table, key, columns } = ARCHIVED[kind];
  const keyed = sql.raw(`(${key})::text collate "C"`);
  for (let after = ''; ; ) {
    const { rows } = await sql<{ key: string; line: string }>`
      select page.key, page.line from (
        select ${keyed} as key, row_to_json(line)::text as line from ${sql.table(table)} stored,
          lateral (select ${listed(columns)} ${kind === 'events' ? withSubjects : sql``}) line
        where ${keyed} > ${after} order by 1 limit ${atOnce}) page`.execute(store);
    if (rows.length === 0) return;
    yield rows.map((row) => row.line);
    after = rows.at(-1)?.key ?? '';
  }
}

export async function countLines(store: Store, kind: ArchiveKind): Promise<number> {
  const { rows } = await sql<{ count: number }>`
    select count(*)::int as count from ${sql.table(ARCHIVED[kind].table)}`.execute(store);
  return rows[0]?.count ?? 0;
}

/** Writes lines of a kind back as this breeder's; a breeder that stands there, still empty, becomes the one of the archive. */
export async function writeLines(store: Store, kind: ArchiveKind, lines: readonly string[]): Promise<void> {
  if (lines.length === 0) return;
  const { table, columns } = ARCHIVED[kind];
  const rows = `[${lines.join(',')}]`;
  const again =
    kind === 'breeder'
      ? sql`on conflict (breeder_id) do update set ${sql.join(columns.map((column) => sql`${sql.ref(column)} = excluded.${sql.ref(column)}`))}`
      : sql``;
  await sql`insert into ${sql.table(table)} (breeder_id, ${listed(columns)})
    select ${currentBreeder}, ${listed(columns)} from json_populate_recordset(null::${sql.table(table)}, ${rows}) ${again}`.execute(
    store,
  );
  if (kind !== 'events') return;
  await sql`insert into event_subject (breeder_id, subject_id, event_id, kind)
    select ${currentBreeder}, (about->>'id')::uuid, (line->>'id')::uuid, about->>'kind'
    from json_array_elements(${rows}::json) line, lateral json_array_elements(
      case json_typeof(line->'subjects') when 'array' then line->'subjects' else '[]' end) about`.execute(
    store,
  );
}
