import { KeptWorkshop } from '@yellow-cell/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { changeWorkshop, workshopOf } from '../services/workshop.ts';
import type { RouteOptions } from './options.ts';

export const workshopRoutes: FastifyPluginAsyncZod<RouteOptions> = async (app, { context }) => {
  app.get(
    '/workshop',
    {
      schema: {
        tags: ['workshop'],
        summary: 'What the shed has and pays: stock, prices, printer, register',
        response: { 200: KeptWorkshop },
      },
    },
    () => context().reading(workshopOf),
  );
  app.put(
    '/workshop',
    {
      schema: {
        tags: ['workshop'],
        summary: 'Change what the shed has and pays',
        body: KeptWorkshop,
        response: { 200: KeptWorkshop },
      },
    },
    ({ body }) => changeWorkshop(context(), body),
  );
};
