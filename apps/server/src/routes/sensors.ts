import { SensorReport } from '@yellow-cell/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { type SensorFeed, sensorReport } from '../services/sensors.ts';
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
};
