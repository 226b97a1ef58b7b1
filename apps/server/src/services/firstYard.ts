import type { Yard } from '@yellow-cell/contract';
import { type Constants, constantsWith } from '@yellow-cell/core';
import { findBreeder } from '../store/breeders.ts';
import type { Store } from '../store/database.ts';
import { listYards } from '../store/yards.ts';

/** Rounds are of no yard: they are told by the first one's time, weather and figures, as on their own page. */
export async function firstYard(store: Store): Promise<{ yard: Yard | undefined; constants: Constants }> {
  const [yard] = await listYards(store);
  const settings = (await findBreeder(store))?.settings;
  return { yard, constants: constantsWith(settings?.constants[yard?.id ?? '']) };
}
