import { PostEntries, PostedEntries, ProblemDetails } from '@yellow-cell/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { logEntries } from '../services/logEntries.ts';
import type { RouteOptions } from './options.ts';

export const eventRoutes: FastifyPluginAsyncZod<RouteOptions> = async (app, { context }) => {
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
