import {
  Around,
  CalendarDate,
  Found,
  Id,
  LogEvent,
  QueenStory,
  Standing,
  text,
  UnsettledPage,
} from '@yellow-cell/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { JSON_TYPE } from '../http/text.ts';
import {
  boxStanding,
  queenStory,
  unsettled,
  yardAround,
  yardDue,
  yardStanding,
} from '../services/standing.ts';
import { seasonLog } from '../services/yardLog.ts';
import { search } from '../store/search.ts';
import type { RouteOptions } from './options.ts';
import { newestAfter, page } from './page.ts';

const tags = ['yards'];
const params = z.object({ id: Id });

export const standingRoutes: FastifyPluginAsyncZod<RouteOptions> = async (app, { context }) => {
  app.get(
    '/yards/:id/standing',
    {
      schema: {
        tags,
        summary: 'A page of boxes as they stand, with what lives in them',
        params,
        querystring: z.object(page),
        response: { 200: Standing },
      },
    },
    async ({ params: { id }, query: { after, limit } }, reply) =>
      reply.type(JSON_TYPE).send((await yardStanding(context(), id, after, limit)) as never),
  );
  app.get(
    '/yards/:id/due',
    {
      schema: {
        tags,
        summary: 'Boxes with work due on a day, most pressing first, as they stand',
        params,
        querystring: z.object({
          on: CalendarDate,
          limit: z.coerce.number().int().min(1).max(200).default(60),
        }),
        response: { 200: Standing },
      },
    },
    async ({ params: { id }, query: { on, limit } }, reply) =>
      reply.type(JSON_TYPE).send((await yardDue(context(), id, on, limit)) as never),
  );
  app.get(
    '/yards/:id/around',
    {
      schema: {
        tags,
        summary: 'What is needed beside the boxes of a yard: designs, weather, rounds',
        params,
        response: { 200: Around },
      },
    },
    async ({ params: { id } }, reply) =>
      reply.type(JSON_TYPE).send((await yardAround(context(), id)) as never),
  );
  app.get(
    '/boxes/:id',
    { schema: { tags, summary: 'One box as it stands', params, response: { 200: Standing } } },
    async ({ params: { id } }, reply) =>
      reply.type(JSON_TYPE).send((await boxStanding(context(), id)) as never),
  );
  app.get(
    '/yards/:id/season',
    {
      schema: {
        tags,
        summary: 'Blooms and trials of a yard, as they were logged',
        params,
        response: { 200: z.array(LogEvent) },
      },
    },
    ({ params: { id } }) => seasonLog(context(), id),
  );
  app.get(
    '/to-settle',
    {
      schema: {
        tags: ['events'],
        summary: 'A page of the entries that wait for a person, newest first',
        querystring: z.object({
          after: newestAfter,
          limit: z.coerce.number().int().min(1).max(50).default(10),
          /** Of one box alone. */
          box: Id.optional(),
        }),
        response: { 200: UnsettledPage },
      },
    },
    ({ query }) => unsettled(context(), query),
  );
  app.get(
    '/queens/:id',
    {
      schema: {
        tags: ['queens'],
        summary: 'One queen, her family and her story',
        params,
        response: { 200: QueenStory },
      },
    },
    ({ params: { id } }) => queenStory(context(), id),
  );
  app.get(
    '/search',
    {
      schema: {
        tags: ['search'],
        summary: 'Boxes, stands, queens, rounds and notes',
        querystring: z.object({
          find: text(80).trim().min(1, 'Something to look for is needed.'),
          limit: z.coerce.number().int().min(1).max(50).default(8),
        }),
        response: { 200: z.array(Found) },
      },
    },
    ({ query: { find, limit } }) => context().reading((store) => search(store, find, limit)),
  );
};
