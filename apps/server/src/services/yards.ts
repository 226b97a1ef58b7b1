import type { ChangedYard, NewYard, Yard } from '@yellow-cell/contract';
import { addYard, findYard, listYards, replaceYard } from '../store/yards.ts';
import { Conflict, fieldChanges, NotFound } from './conflict.ts';
import type { Context } from './context.ts';

const FIELD_NAMES = { name: 'Name', latitude_deg: 'Latitude', longitude_deg: 'Longitude', zone: 'Time zone' };

export async function createYard(context: Context, { id, ...fields }: NewYard): Promise<Yard[]> {
  return context.within(async (store) => {
    await addYard(store, id, fields);
    return listYards(store);
  });
}

export async function changeYard(
  context: Context,
  id: string,
  { version, ...fields }: ChangedYard,
): Promise<Yard[]> {
  return context.within(async (store) => {
    const current = await findYard(store, id);
    if (!current) throw new NotFound('There is no such yard.');
    const differing = fieldChanges(fields, current, FIELD_NAMES);
    const replaced = await replaceYard(store, id, version, fields);
    // The same change sent twice finds its own work already done.
    if (!replaced && differing.length > 0)
      throw new Conflict('The yard was changed in between.', differing, current);
    return listYards(store);
  });
}
