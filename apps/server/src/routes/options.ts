import type { Context } from '../services/context.ts';

/** What the routes are given. The context exists once the database is migrated and loaded; before, asking for it fails as not ready. */
export interface RouteOptions {
  context: () => Context;
}
