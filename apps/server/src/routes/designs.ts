import { Design, DesignSummary, Id, NewDesign, NextVersion } from '@yellow-cell/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { createDesign, designById, saveVersion } from '../services/designs.ts';
import { listDesigns } from '../store/designs.ts';
import type { RouteOptions } from './options.ts';

const tags = ['designs'];
const params = z.object({ id: Id });

export const designRoutes: FastifyPluginAsyncZod<RouteOptions> = async (app, { context }) => {
  app.get(
    '/designs',
    {
      schema: {
        tags,
        summary: 'The newest version of each design',
        response: { 200: z.array(DesignSummary) },
      },
    },
    () => context().within(listDesigns),
  );
  app.get(
    '/designs/:id',
    { schema: { tags, summary: 'A design with all its versions', params, response: { 200: Design } } },
    ({ params: { id } }) => context().within((store) => designById(store, id)),
  );
  app.post(
    '/designs',
    { schema: { tags, summary: 'Save a new design', body: NewDesign, response: { 200: Design } } },
    ({ body }) => createDesign(context(), body),
  );
  app.post(
    '/designs/:id/versions',
    {
      schema: {
        tags,
        summary: 'Save the next version of a design',
        params,
        body: NextVersion,
        response: { 200: Design },
      },
    },
    ({ params: { id }, body }) => saveVersion(context(), id, body),
  );
};
