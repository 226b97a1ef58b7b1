import { Id } from '@yellow-cell/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { whenGone } from '../http/gone.ts';
import { addressOf, type Place } from '../http/ownPages.ts';
import { yardPaper } from '../services/yardPaper.ts';
import type { Pool } from '../work/pool.ts';
import type { RouteOptions } from './options.ts';

interface PaperOptions extends RouteOptions {
  pool: Pool;
  place: Place;
}

export const paperRoutes: FastifyPluginAsyncZod<PaperOptions> = async (app, { context, pool, place }) => {
  app.get(
    '/yards/:id/paper.pdf',
    {
      schema: {
        tags: ['yards'],
        summary: 'Box cards, the list of the day, or the plan, as PDF',
        params: z.object({ id: Id }),
        querystring: z.object({
          what: z.enum(['cards', 'day', 'plan']),
          paper: z.enum(['A4', 'Letter']).default('A4'),
          box: Id.optional(),
        }),
      },
    },
    async (request, reply) => {
      const { params, query } = request;
      const task = await yardPaper(context(), params.id, { ...query, address: addressOf(request, place) });
      const bytes = await pool.paper(task, whenGone(reply));
      return reply
        .type('application/pdf')
        .header('content-disposition', `inline; filename="${query.what}.pdf"`)
        .send(Buffer.from(bytes));
    },
  );
};
