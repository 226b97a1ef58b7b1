import type { KeptWorkshop } from '@yellow-cell/contract';
import { usualWorkshop } from '@yellow-cell/core';
import type { Store } from '../store/database.ts';
import { findWorkshop, replaceWorkshop } from '../store/workshop.ts';
import { Conflict, fieldChanges } from './conflict.ts';
import type { Context } from './context.ts';

const NAMES = {
  currency: 'Currency',
  kerf_mm: 'Saw cut',
  stock: 'Stock',
  fittings: 'Prices of fittings',
  printer: 'Printer',
  plastic: 'Price of plastic',
  register: 'Register',
};

/** What the shed has and pays; the usual until it is first saved. */
export const workshopOf = async (store: Store): Promise<KeptWorkshop> =>
  (await findWorkshop(store)) ?? { ...usualWorkshop, version: 0 };

export const changeWorkshop = (
  context: Context,
  { version, ...fields }: KeptWorkshop,
): Promise<KeptWorkshop> =>
  context.within(async (store) => {
    if (await replaceWorkshop(store, fields, version)) return { ...fields, version: version + 1 };
    const now = await workshopOf(store);
    throw new Conflict('The workshop was changed in between.', fieldChanges(fields, now, NAMES), now);
  });
