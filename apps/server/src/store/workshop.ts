import type { KeptWorkshop, Workshop } from '@yellow-cell/contract';
import { sql } from 'kysely';
import { currentBreeder, type Store } from './database.ts';
import { OUT_OF_SETTINGS } from './migrations/011-workshop.ts';

/** What the shed has and pays, as it was saved last; undefined where it never was. */
export async function findWorkshop(store: Store): Promise<KeptWorkshop | undefined> {
  const shop = await store.selectFrom('workshop').selectAll().executeTakeFirst();
  if (!shop) return undefined;
  const stock = await store.selectFrom('stock_sheet').selectAll().orderBy('place').execute();
  const register = await store.selectFrom('equipment').selectAll().orderBy('place').execute();
  const { version, currency, kerf_mm, printer, plastic, fittings } = shop;
  return {
    version,
    currency,
    kerf_mm,
    printer: printer as Workshop['printer'],
    plastic,
    fittings: fittings as Workshop['fittings'],
    stock: stock.map(
      ({ id, name, material, thickness_mm, width_mm, height_mm, at_hand, price }) =>
        ({ id, name, material, thickness_mm, width_mm, height_mm, atHand: at_hand, price }) as StockLine,
    ),
    register: register.map(
      ({ id, kind, name, count, finish, condition, kept_at, missing, format, comb, slot_mm }) =>
        ({
          ...{ id, kind, name, count, finish, condition, place: kept_at, missing },
          ...(format === null ? {} : { format }),
          ...(comb === null ? {} : { comb }),
          ...(slot_mm === null ? {} : { slot_mm }),
        }) as RegisterLine,
    ),
  };
}
type StockLine = Workshop['stock'][number];
type RegisterLine = Workshop['register'][number];

/** False where it is no longer the version given: somebody else wrote in between. Its lists are written anew. */
export async function replaceWorkshop(
  store: Store,
  { stock, register, printer, fittings, currency, kerf_mm, plastic }: Workshop,
  version: number,
): Promise<boolean> {
  const of = { currency, kerf_mm, plastic, fittings: JSON.stringify(fittings) };
  const row = { ...of, printer: printer && JSON.stringify(printer), version: version + 1 };
  const written =
    version === 0
      ? await store
          .insertInto('workshop')
          .values({ breeder_id: currentBreeder, ...row })
          .onConflict((conflict) => conflict.doNothing())
          .executeTakeFirst()
      : await store.updateTable('workshop').set(row).where('version', '=', version).executeTakeFirst();
  const count = 'numUpdatedRows' in written ? written.numUpdatedRows : written.numInsertedOrUpdatedRows;
  if (!count) return false;
  await store.deleteFrom('stock_sheet').execute();
  await store.deleteFrom('equipment').execute();
  if (stock.length > 0)
    await store
      .insertInto('stock_sheet')
      .values(
        stock.map(({ atHand, ...sheet }, place) => ({
          ...sheet,
          at_hand: atHand,
          place,
          breeder_id: currentBreeder,
        })),
      )
      .execute();
  if (register.length > 0)
    await store
      .insertInto('equipment')
      .values(
        register.map(({ place: kept_at, format = null, comb = null, slot_mm = null, ...line }, place) => ({
          ...{ ...line, kept_at, format, comb, slot_mm },
          place,
          breeder_id: currentBreeder,
        })),
      )
      .execute();
  return true;
}

/** Of a backup that was made before the workshop had tables of its own. */
export const workshopOutOfSettings = (store: Store): Promise<unknown> =>
  sql.raw(OUT_OF_SETTINGS).execute(store);
