import { DailyWeight, SensorReport, text } from '@yellow-cell/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { type SensorFeed, scaleOf, sensorReport } from '../services/sensors.ts';
import type { RouteOptions } from './options.ts';

interface SensorOptions extends RouteOptions {
  feed: SensorFeed | undefined;
}

export const sensorRoutes: FastifyPluginAsyncZod<SensorOptions> = async (app, { context, feed }) => {
  app.get(
    '/sensors',
    {
      schema: {
        tags: ['sensors'],
        summary: 'What scales and probes say of each box, and what was set aside',
        response: { 200: SensorReport },
      },
    },
    () => sensorReport(context(), feed, new Date()),
  );
  app.get(
    '/sensors/weights',
    {
      schema: {
        tags: ['sensors'],
        summary: 'What a box weighed day by day over the last year, by readings that can be trusted',
        querystring: z.object({ box: text(40) }),
        response: { 200: z.array(DailyWeight) },
      },
    },
    ({ query: { box } }) => scaleOf(context(), box, new Date()),
  );
};
