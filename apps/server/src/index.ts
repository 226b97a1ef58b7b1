export { buildApp } from './app.ts';
export { prepare } from './prepare.ts';
export { realClock } from './services/clock.ts';
export type { Context } from './services/context.ts';
export { rebuild } from './services/rebuild.ts';
export { boxPage, boxPageQuery } from './store/boxes.ts';
export { type Database, openDatabase } from './store/database.ts';
export { latestMigration, migrate, migrationLevel } from './store/migrate.ts';
export { shownBoxQuery, shownDueQuery, shownPageQuery } from './store/standing.ts';
