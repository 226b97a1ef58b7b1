import { BoxPage, ChangedYard, Id, NewYard, text, Yard, YardLog } from '@yellow-cell/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { JSON_TYPE } from '../http/text.ts';
import { boxLog, yardLog } from '../services/yardLog.ts';
import { changeYard, createYard } from '../services/yards.ts';
import { boxPage } from '../store/boxes.ts';
import { listYards } from '../store/yards.ts';
import type { RouteOptions } from './options.ts';
import { page } from './page.ts';

const tags = ['yards'];
const params = z.object({ id: Id });
export const yardRoutes: FastifyPluginAsyncZod<RouteOptions> = async (app, { context }) => {
  app.get('/yards', { schema: { tags, summary: 'All yards', response: { 200: z.array(Yard) } } }, () =>
    context().reading(listYards),
  );
  app.post(
    '/yards',
    { schema: { tags, summary: 'Add a yard', body: NewYard, response: { 200: z.array(Yard) } } },
    ({ body }) => createYard(context(), body),
  );
  app.put(
    '/yards/:id',
    {
      schema: { tags, summary: 'Change a yard', params, body: ChangedYard, response: { 200: z.array(Yard) } },
    },
    ({ params: { id }, body }) => changeYard(context(), id, body),
  );
  app.get(
    '/yards/:id/boxes',
    {
      schema: {
        tags,
        summary: 'A page of the yard list, as things stand',
        params,
        querystring: z.object(page),
        response: { 200: BoxPage },
      },
    },
    ({ params: { id }, query }) =>
      context().reading((store) => boxPage(store, { yard: id, ...pageOf(query) })),
  );
  app.get(
    '/yards/:id/log',
    {
      schema: {
        tags,
        summary: 'The story of a page of boxes, to fold at any date',
        params,
        querystring: z.object(page),
        response: { 200: YardLog },
      },
    },
    // Stories are as they were kept: held to their schema when they came in, and not again for each reader.
    async ({ params: { id }, query: { after, limit } }, reply) =>
      reply.type(JSON_TYPE).send(JSON.stringify(await yardLog(context(), id, after, limit)) as never),
  );
  app.get(
    '/designs/:id/boxes',
    {
      schema: {
        tags,
        summary: 'Boxes built from a design, those being built among them',
        params,
        querystring: z.object(page),
        response: { 200: BoxPage },
      },
    },
    ({ params: { id }, query }) =>
      context().reading((store) => boxPage(store, { design: id, ...pageOf(query) })),
  );
  app.get(
    '/boxes/:id/log',
    { schema: { tags, summary: 'The story of one box', params, response: { 200: YardLog } } },
    async ({ params: { id } }, reply) =>
      reply.type(JSON_TYPE).send(JSON.stringify(await boxLog(context(), id)) as never),
  );
  app.get(
    '/boxes',
    {
      schema: {
        tags,
        summary: 'Boxes by label, or all of them',
        querystring: z.object({ ...page, find: text(40).optional() }),
        response: { 200: BoxPage },
      },
    },
    ({ query }) =>
      context().reading((store) =>
        boxPage(store, { ...(query.find === undefined ? {} : { find: query.find }), ...pageOf(query) }),
      ),
  );
};

const pageOf = ({ after, limit }: { after?: string | undefined; limit: number }) =>
  after === undefined ? { limit } : { after, limit };
