import type { FastifyInstance } from 'fastify';

/** Who may ask: a guest looks, a helper logs, the owner changes what all is reckoned with. Everybody is the owner yet. */
export type Role = 'guest' | 'helper' | 'owner';
const RANK: Readonly<Record<Role, number>> = { guest: 0, helper: 1, owner: 2 };

/** Every route of the API, and the least that one must be to ask it. A route that is not here is not served. */
export const access: Readonly<Record<string, Role>> = {
  'GET /api/health': 'guest',
  'GET /api/openapi.json': 'guest',
  'GET /api/session': 'guest',
  'GET /api/workshop': 'helper',
  'GET /api/design.schema.json': 'guest',
  'GET /api/designs': 'guest',
  'GET /api/designs/:id': 'guest',
  'GET /api/designs/:id/boxes': 'guest',
  'GET /api/yards': 'guest',
  'GET /api/yards/:id/boxes': 'guest',
  'GET /api/yards/:id/log': 'guest',
  'GET /api/yards/:id/standing': 'guest',
  'GET /api/yards/:id/due': 'guest',
  'GET /api/yards/:id/around': 'guest',
  'GET /api/yards/:id/season': 'guest',
  'GET /api/calendar.ics': 'guest',
  'GET /api/yards/:id/paper.pdf': 'guest',
  'GET /api/boxes': 'guest',
  'GET /api/boxes/:id': 'guest',
  'GET /api/boxes/:id/log': 'guest',
  'GET /api/queens/:id': 'guest',
  'GET /api/search': 'guest',
  'GET /api/takes': 'guest',
  'GET /api/rearing': 'guest',
  'GET /api/rearing/past': 'guest',
  'GET /api/rounds.csv': 'guest',
  'GET /api/years/:year': 'guest',
  'GET /api/sensors': 'guest',
  'GET /api/sensors/weights': 'guest',
  'GET /api/to-settle': 'guest',
  'POST /api/compute/:subject': 'guest',
  'POST /api/designs/read': 'guest',
  'POST /api/events': 'helper',
  'POST /api/designs': 'owner',
  'POST /api/designs/:id/versions': 'owner',
  'POST /api/yards': 'owner',
  'PUT /api/yards/:id': 'owner',
  'PUT /api/settings': 'owner',
  'PUT /api/workshop': 'owner',
  'PUT /api/demo/clock': 'owner',
  'GET /api/backup': 'owner',
  'POST /api/restore': 'owner',
};

export class NotAllowed extends Error {}

/** Holds every route of the API to the table: one that is missing in it stops the start, not a request. */
export function guardAccess(app: FastifyInstance, roleOf: () => Role): void {
  app.addHook('onRoute', ({ method, url }) => {
    if (!url.startsWith('/api/')) return;
    for (const one of [method].flat())
      if (one !== 'HEAD' && one !== 'OPTIONS' && !neededFor(one, url))
        throw new Error(`${one} ${url} does not say who may ask it (http/access.ts).`);
  });
  app.addHook('onRequest', async ({ method, routeOptions: { url } }) => {
    const needed = url ? neededFor(method === 'HEAD' ? 'GET' : method, url) : undefined;
    if (needed && RANK[roleOf()] < RANK[needed])
      throw new NotAllowed(`This is for the ${needed}; you may look, and ask the owner.`);
  });
}

/** The subjects of the computation are one route in the table. */
const neededFor = (method: string, url: string): Role | undefined =>
  access[`${method} ${url.replace(/^\/api\/compute\/.+/, '/api/compute/:subject')}`];
