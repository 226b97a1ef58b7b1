import type { Queen, Relative } from '@yellow-cell/contract';
import type { Store } from './database.ts';

export async function findQueen(store: Store, id: string): Promise<Queen | undefined> {
  const row = await store
    .selectFrom('queen_state')
    .select('told')
    .$castTo<{ told: Queen }>()
    .where('queen_id', '=', id)
    .executeTakeFirst();
  return row?.told;
}

const MOST = 60;
/** Queens, newest first, with where they live and how they were scored. */
const relatives = (store: Store) =>
  store
    .selectFrom('queen_state as queen')
    .leftJoin('box_state as box', 'box.box_id', 'queen.box_id')
    .leftJoin('attempt_state as attempt', 'attempt.attempt_id', 'queen.queen_id')
    .select(['queen.told as queen', 'box.label', 'attempt.compartment', 'attempt.pattern_pct'])
    .$castTo<{ queen: Queen; label: string | null; compartment: string | null; pattern_pct: number | null }>()
    .orderBy('queen.since', 'desc')
    .limit(MOST);

type Rows = Awaited<ReturnType<ReturnType<typeof relatives>['execute']>>;
const asRelatives = (rows: Rows): Relative[] =>
  rows.map(({ queen, label, compartment, pattern_pct }) => ({
    queen,
    place: label === null ? null : [label, compartment].filter(Boolean).join(' '),
    pattern_pct,
  }));

/** Queens of the same round, or of the same mother where she is known by name or in the record. */
export async function sistersOf(store: Store, queen: Queen): Promise<Relative[]> {
  const { mother, round } = queen;
  if (!mother && !round) return [];
  const rows = await relatives(store)
    .where('queen.queen_id', '!=', queen.id)
    .where((where) =>
      where.or([
        ...(round ? [where('queen.round_id', '=', round)] : []),
        ...(mother && 'queen' in mother ? [where('queen.mother_id', '=', mother.queen)] : []),
        ...(mother && 'name' in mother ? [where('queen.mother', '=', mother.name)] : []),
      ]),
    )
    .execute();
  return asRelatives(rows);
}

export async function daughtersOf(store: Store, { id, name }: Queen): Promise<Relative[]> {
  const rows = await relatives(store)
    .where((where) =>
      where.or([where('queen.mother_id', '=', id), ...(name ? [where('queen.mother', '=', name)] : [])]),
    )
    .execute();
  return asRelatives(rows);
}
