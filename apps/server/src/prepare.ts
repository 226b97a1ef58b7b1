import { METRIC } from '@yellow-cell/core';
import { createDemo, DEMO_BREEDER, demoBreederName, demoPerson } from '@yellow-cell/demo';
import { breederClock, demoAnchor } from './services/clock.ts';
import { type Context, contextOf } from './services/context.ts';
import { createDesign } from './services/designs.ts';
import { logEntries } from './services/logEntries.ts';
import { FOLD_VERSION, rebuild } from './services/rebuild.ts';
import { reckonLater } from './services/reckon.ts';
import { createYard } from './services/yards.ts';
import { addBreeder, type BreederRow, findBreeder, markLoaded } from './store/breeders.ts';
import { asBreeder, type Database } from './store/database.ts';
import { migrate } from './store/migrate.ts';

/** The breeder of a database that was started empty. */
export const HOME_BREEDER = 'a0000000-0000-4000-8000-000000000001';
/** All whom this program knows, until there are accounts. */
export const BREEDERS: readonly string[] = [DEMO_BREEDER, HOME_BREEDER];
const EMPTY_SETTINGS = { person: 'Breeder', measures: METRIC, constants: {} } as const;
const BATCH = 1_000;

/** Migrates, finds whose database it is, and loads the demo into a new one unless it shall stay empty; `tell` hears how many entries are told again, where the read rows are of another fold. */
export async function prepare(
  database: Database,
  real: () => Date,
  empty: boolean,
  tell: (entries: number) => void = () => undefined,
): Promise<Context> {
  await migrate(database);
  const context = await openContext(database, real, empty);
  await context.writing(async (store) => {
    if ((await findBreeder(store))?.fold_version !== FOLD_VERSION)
      await rebuild(store, context.breeder, tell);
  });
  // What a stopped program left waiting.
  reckonLater(context);
  return context;
}

/** The context of the breeder whose database it is. */
export async function openContext(database: Database, real: () => Date, empty: boolean): Promise<Context> {
  const demo = await breederOf(database, DEMO_BREEDER);
  if (demo) return demoContext(database, demo, real);
  if (empty || (await breederOf(database, HOME_BREEDER))) return homeContext(database, real);
  const now = real().toISOString();
  const fresh: BreederRow = {
    breeder_id: DEMO_BREEDER,
    name: demoBreederName,
    demo_anchor: demoAnchor(now),
    demo_loaded_at: now,
    loaded: false,
    settings: { ...EMPTY_SETTINGS, person: demoPerson },
    settings_version: 1,
    fold_version: FOLD_VERSION,
  };
  await asBreeder(database, DEMO_BREEDER, (store) => addBreeder(store, fresh));
  return demoContext(database, fresh, real);
}

function breederOf(database: Database, id: string): Promise<BreederRow | undefined> {
  return asBreeder(database, id, findBreeder);
}

async function homeContext(database: Database, real: () => Date): Promise<Context> {
  const context = contextOf(database, HOME_BREEDER, breederClock(real));
  await context.within((store) =>
    addBreeder(store, {
      breeder_id: HOME_BREEDER,
      name: 'My yards',
      demo_anchor: null,
      demo_loaded_at: null,
      loaded: true,
      settings: EMPTY_SETTINGS,
      settings_version: 1,
      fold_version: FOLD_VERSION,
    }),
  );
  return context;
}

/** A demo half loaded by a process that was stopped is loaded to its end: its ids are always the same, and repeats change nothing. */
async function demoContext(
  database: Database,
  { demo_anchor, demo_loaded_at, loaded }: BreederRow,
  real: () => Date,
): Promise<Context> {
  const anchor = demo_anchor ?? real().toISOString();
  const context = contextOf(
    database,
    DEMO_BREEDER,
    breederClock(real, { anchor, loadedAt: demo_loaded_at ?? anchor }),
  );
  if (!loaded) await loadDemo(context, anchor);
  return context;
}

async function loadDemo(context: Context, anchor: string): Promise<void> {
  const { yards, designs, entries } = createDemo(anchor);
  for (const yard of yards) await createYard(context, yard);
  for (const design of designs) await createDesign(context, design);
  for (let at = 0; at < entries.length; at += BATCH) await logEntries(context, entries.slice(at, at + BATCH));
  await context.within(markLoaded);
}
