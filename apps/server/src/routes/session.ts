import { Session, Settings } from '@yellow-cell/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { NotFound } from '../services/conflict.ts';
import { changeSettings, settingsOf } from '../services/settings.ts';
import { findBreeder } from '../store/breeders.ts';
import type { RouteOptions } from './options.ts';

export const sessionRoutes: FastifyPluginAsyncZod<RouteOptions> = async (app, { context }) => {
  app.get(
    '/session',
    {
      schema: {
        tags: ['session'],
        summary: 'Who works here, and what day it is',
        response: { 200: Session },
      },
    },
    async () => {
      const { breeder, clock, within } = context();
      const row = await within(findBreeder);
      if (!row) throw new NotFound('There is no such breeder.');
      return {
        breeder: { id: breeder, name: row.name },
        now: clock.now(),
        demoClock: clock.isDemo,
        realNow: clock.realNow(),
        settings: settingsOf(row),
      };
    },
  );
  app.put(
    '/settings',
    {
      schema: {
        tags: ['session'],
        summary: 'Change the settings',
        body: Settings,
        response: { 200: Settings },
      },
    },
    ({ body }) => changeSettings(context(), body),
  );
};
