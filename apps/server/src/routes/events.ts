import { PostEntries, PostedEntries, ProblemDetails } from '@yellow-cell/contract';
import { raised } from '@yellow-cell/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { logEntries } from '../services/logEntries.ts';
import type { RouteOptions } from './options.ts';

/** What a device sends that runs an older version of the program is raised before it is held to the contract. */
function raiseAll(body: unknown): void {
  const { entries } = (body ?? {}) as { entries?: unknown };
  if (!Array.isArray(entries)) return;
  entries.forEach((entry, index) => {
    const isEntry = typeof entry?.kind === 'string' && Number.isInteger(entry.kindVersion);
    if (isEntry && typeof entry.payload === 'object' && entry.payload) entries[index] = raised(entry);
  });
}

export const eventRoutes: FastifyPluginAsyncZod<RouteOptions> = async (app, { context }) => {
  app.addHook('preValidation', async ({ body }) => raiseAll(body));
  app.post(
    '/events',
    {
      schema: {
        tags: ['events'],
        summary: 'Log entries, all or none',
        body: PostEntries,
        response: { 200: PostedEntries, 422: ProblemDetails },
      },
    },
    ({ body }) => logEntries(context(), body.entries, body.synced),
  );
};
