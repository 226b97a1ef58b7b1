import type { Queen } from '@yellow-cell/contract';
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
export interface FamilyRow {
  queen: Queen;
  label: string | null;
  pattern_pct: number | null;
  /** Where she was mated: the box, and what its compartment was called. */
  mated_in: string | null;
  compartment: string | null;
}
/** Queens, newest first, with the box that they live in, or lived in last, and how they were scored. */
const relatives = (store: Store) =>
  store
    .selectFrom('queen_state as queen')
    .leftJoin('box_state as box', 'box.box_id', 'queen.box_id')
    .leftJoin('attempt_state as attempt', 'attempt.attempt_id', 'queen.queen_id')
    .select([
      'queen.told as queen',
      'box.label',
      'attempt.pattern_pct',
      'attempt.box_id as mated_in',
      'attempt.compartment',
    ])
    .$castTo<FamilyRow>()
    .orderBy('queen.since', 'desc')
    .limit(MOST);

/** Queens of the same round, or of the same mother where she is known by name or in the record. */
export async function sistersOf(store: Store, queen: Queen): Promise<FamilyRow[]> {
  const { mother, round } = queen;
  if (!mother && !round) return [];
  return relatives(store)
    .where('queen.queen_id', '!=', queen.id)
    .where((where) =>
      where.or([
        ...(round ? [where('queen.round_id', '=', round)] : []),
        ...(mother && 'queen' in mother ? [where('queen.mother_id', '=', mother.queen)] : []),
        ...(mother && 'name' in mother ? [where('queen.mother', '=', mother.name)] : []),
      ]),
    )
    .execute();
}

export async function daughtersOf(store: Store, { id, name }: Queen): Promise<FamilyRow[]> {
  return relatives(store)
    .where((where) =>
      where.or([where('queen.mother_id', '=', id), ...(name ? [where('queen.mother', '=', name)] : [])]),
    )
    .execute();
}
