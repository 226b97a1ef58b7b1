import { DemoDay, Session, Settings } from '@yellow-cell/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { NotFound } from '../services/conflict.ts';
import { daysAhead } from '../services/demoClock.ts';
import { changeSettings, settingsOf } from '../services/settings.ts';
import { findBreeder } from '../store/breeders.ts';
import type { RouteOptions } from './options.ts';

interface SessionOptions extends RouteOptions {
  /** Moves the demo's clock on, and works on with what its people did until then. */
  moveDemo: (day: string) => Promise<void>;
}

export const sessionRoutes: FastifyPluginAsyncZod<SessionOptions> = async (app, { context, moveDemo }) => {
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
        demoDays: daysAhead(context(), row.demo_anchor),
        realNow: clock.realNow(),
        settings: settingsOf(row),
      };
    },
  );
  app.put(
    '/demo/clock',
    {
      schema: {
        tags: ['session'],
        summary: 'Move the demo’s clock on to a day of its story',
        body: DemoDay,
        response: { 200: DemoDay },
      },
    },
    async ({ body }) => {
      await moveDemo(body.day);
      return body;
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
