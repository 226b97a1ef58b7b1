import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { whenGone } from '../http/gone.ts';
import { calendarTask } from '../services/calendar.ts';
import type { Pool } from '../work/pool.ts';
import type { RouteOptions } from './options.ts';

interface CalendarOptions extends RouteOptions {
  pool: Pool;
}

export const calendarRoutes: FastifyPluginAsyncZod<CalendarOptions> = async (app, { context, pool }) => {
  app.get(
    '/calendar.ics',
    {
      schema: {
        tags: ['yards'],
        summary: 'All that is expected of all yards and rounds, with alarms, as an iCalendar file',
      },
    },
    async (_request, reply) => {
      const text = await pool.calendar(await calendarTask(context()), whenGone(reply));
      return reply
        .type('text/calendar; charset=utf-8')
        .header('content-disposition', 'attachment; filename="yellow-cell.ics"')
        .send(text);
    },
  );
};
