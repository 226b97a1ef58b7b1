import compress from '@fastify/compress';
import helmet from '@fastify/helmet';
import swagger from '@fastify/swagger';
import { Health } from '@yellow-cell/contract';
import { fastify } from 'fastify';
import { jsonSchemaTransform, type ZodTypeProvider } from 'fastify-type-provider-zod';
import { sql } from 'kysely';
import { guardAccess } from './http/access.ts';
import { BARE_HEADERS, refuseBroken } from './http/broken.ts';
import { handleError, NotReady } from './http/errors.ts';
import { guardOrigin, type Place } from './http/ownPages.ts';
import { security } from './http/security.ts';
import { closeHalfSent, SILENT_MS } from './http/slowBodies.ts';
import { validate } from './http/validation.ts';
import { serveWeb } from './http/web.ts';
import { BREEDERS, openContext } from './prepare.ts';
import { archiveRoutes } from './routes/archive.ts';
import { calendarRoutes } from './routes/calendar.ts';
import { computeRoutes } from './routes/compute.ts';
import { designFileRoutes } from './routes/designFiles.ts';
import { designRoutes } from './routes/designs.ts';
import { eventRoutes } from './routes/events.ts';
import { paperRoutes } from './routes/paper.ts';
import { reportRoutes } from './routes/reports.ts';
import { sensorRoutes } from './routes/sensors.ts';
import { sessionRoutes } from './routes/session.ts';
import { standingRoutes } from './routes/standing.ts';
import { workshopRoutes } from './routes/workshop.ts';
import { yardRoutes } from './routes/yards.ts';
import type { Tell } from './services/archive/manifest.ts';
import { restore as restoreArchive } from './services/archive/restore.ts';
import { realClock } from './services/clock.ts';
import type { Context } from './services/context.ts';
import { moveDemoClock } from './services/demoClock.ts';
import { firstAnswers } from './services/firstAnswers.ts';
import type { SensorFeed } from './services/sensors.ts';
import type { Database } from './store/database.ts';
import { migrationLevel } from './store/migrate.ts';
import { openPool, type Pool } from './work/pool.ts';

export interface AppOptions {
  database: Database;
  webDir?: string | undefined;
  logLevel?: string;
  /** Set once the database is migrated and loaded. */
  ready: { context?: Context };
  feed?: SensorFeed | undefined;
  place?: Place;
  pool?: Pool;
  real?: () => Date;
  /** Until a request that falls silent is closed. */
  silentMs?: number;
}

const BODY_BYTES = 2 * 1024 * 1024;
/** No request takes longer to be sent, not even an archive over a slow net; one that falls silent is closed long before. */
const WHOLE_REQUEST_MS = 3_600_000;
/** Fast enough to compress as it is sent, and still close to the best. */
const BROTLI_QUALITY = 5;

export async function buildApp({
  database,
  webDir,
  logLevel = 'silent',
  ready,
  feed,
  place = { host: '127.0.0.1', origins: [] },
  pool = openPool(),
  real = realClock(),
  silentMs = SILENT_MS,
}: AppOptions) {
  const app = fastify({
    logger: { level: logLevel },
    bodyLimit: BODY_BYTES,
    forceCloseConnections: 'idle',
    requestTimeout: WHOLE_REQUEST_MS,
    http: { headersTimeout: silentMs, connectionsCheckingInterval: 1_000 },
    clientErrorHandler: refuseBroken,
    frameworkErrors: (error, request, reply) => {
      for (const [name, value] of Object.entries(BARE_HEADERS)) reply.header(name, value);
      handleError(error, request as never, reply as never);
    },
  }).withTypeProvider<ZodTypeProvider>();
  // Nothing but JSON is taken, so that no page elsewhere can send anything without asking first.
  app.removeContentTypeParser('text/plain');
  app.setValidatorCompiler(validate as never);
  // Answers are typed where they are made; checking them again would only cost time.
  app.setSerializerCompiler(() => JSON.stringify);
  app.setErrorHandler((error, request, reply) => handleError(error as never, request, reply));
  app.addHook('onClose', () => pool.close());
  await app.register(helmet, security);
  closeHalfSent(app as never, silentMs);
  guardOrigin(app as never, place);
  guardAccess(app as never, () => 'owner');
  await app.register(compress, { threshold: 1_024, brotliOptions: { params: { 1: BROTLI_QUALITY } } });
  await app.register(swagger, {
    openapi: {
      info: {
        title: 'Yellow Cell',
        version: '0.1.0',
        description: 'The workbench and the memory of a queen breeder.',
      },
    },
    transform: jsonSchemaTransform,
  });
  const context = () => {
    if (!ready.context) throw new NotReady('The database is being prepared; try again in a moment.');
    return ready.context;
  };
  const restore = async (file: string, tell: Tell) => {
    await restoreArchive(database, file, BREEDERS, tell);
    ready.context = await openContext(database, real, true);
  };
  const moveDemo = async (day: string) => {
    ready.context = await moveDemoClock(database, context(), real, day);
  };
  app.get(
    '/api/health',
    { schema: { summary: 'Whether all is up', response: { 200: Health, 503: Health } } },
    async (_, reply) => {
      const health = await healthOf(database, ready);
      return reply.status(health.database === 'up' && health.loaded ? 200 : 503).send(health);
    },
  );
  await app.register(
    async (api) => {
      await api.register(computeRoutes, { pool });
      await api.register(designFileRoutes);
      await api.register(sessionRoutes, { context, moveDemo });
      for (const routes of [
        designRoutes,
        yardRoutes,
        standingRoutes,
        eventRoutes,
        reportRoutes,
        workshopRoutes,
      ])
        await api.register(routes, { context });
      await api.register(calendarRoutes, { context, pool });
      await api.register(paperRoutes, { context, pool, place });
      await api.register(sensorRoutes, { context, feed });
      await api.register(archiveRoutes, { context, restore });
      api.get('/openapi.json', { schema: { hide: true } }, () => app.swagger());
    },
    { prefix: '/api' },
  );
  await serveWeb(app as never, webDir, async (page) => firstAnswers(context(), page));
  return app;
}

async function healthOf(database: Database, ready: AppOptions['ready']): Promise<Health> {
  try {
    await sql`select 1`.execute(database);
    return {
      process: 'up',
      database: 'up',
      migration: await migrationLevel(database),
      loaded: ready.context !== undefined,
    };
  } catch {
    return { process: 'up', database: 'down', migration: null, loaded: ready.context !== undefined };
  }
}
