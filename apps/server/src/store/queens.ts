import type { Queen } from '@yellow-cell/contract';
import type { Store } from './database.ts';

const queens = (store: Store) => store.selectFrom('queen_state').select('told').$castTo<{ told: Queen }>();

export async function findQueen(store: Store, id: string): Promise<Queen | undefined> {
  return (await queens(store).where('queen_id', '=', id).executeTakeFirst())?.told;
}

const MOST = 60;
/** Queens of the same round, or of the same mother where she is known by name or in the record. */
export async function sistersOf(store: Store, queen: Queen): Promise<Queen[]> {
  const { mother, round } = queen;
  if (!mother && !round) return [];
  const rows = await queens(store)
    .where('queen_id', '!=', queen.id)
    .where((where) =>
      where.or([
        ...(round ? [where('round_id', '=', round)] : []),
        ...(mother && 'queen' in mother ? [where('mother_id', '=', mother.queen)] : []),
        ...(mother && 'name' in mother ? [where('mother', '=', mother.name)] : []),
      ]),
    )
    .orderBy('since', 'desc')
    .limit(MOST)
    .execute();
  return rows.map(({ told }) => told);
}

export async function daughtersOf(store: Store, { id, name }: Queen): Promise<Queen[]> {
  const rows = await queens(store)
    .where((where) => where.or([where('mother_id', '=', id), ...(name ? [where('mother', '=', name)] : [])]))
    .orderBy('since', 'desc')
    .limit(MOST)
    .execute();
  return rows.map(({ told }) => told);
}
