import {
  CalendarDate,
  Id,
  PastSeason,
  RearingSeason,
  TakeReport,
  TakesBy,
  Year,
  YearRibbon,
} from '@yellow-cell/contract';
import { seasonYear } from '@yellow-cell/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { NotFound } from '../services/conflict.ts';
import { pastSeason, rearingSeason } from '../services/rearing.ts';
import { roundsFile } from '../services/roundsFile.ts';
import { takeReport } from '../services/takes.ts';
import { seasonBetween } from '../store/season.ts';
import { findYard } from '../store/yards.ts';
import type { RouteOptions } from './options.ts';

export const reportRoutes: FastifyPluginAsyncZod<RouteOptions> = async (app, { context }) => {
  app.get(
    '/takes',
    {
      schema: {
        tags: ['ledger'],
        summary: 'Take rates with their intervals',
        querystring: z.object({
          by: TakesBy.default('design'),
          on: CalendarDate,
          from: CalendarDate.optional(),
        }),
        response: { 200: TakeReport },
      },
    },
    ({ query: { by, on, from } }) => takeReport(context(), by, on, from),
  );
  app.get(
    '/rearing',
    {
      schema: {
        tags: ['rounds'],
        summary: 'Rounds, plans and lots, what became of cells, the record, and when rooms are free',
        querystring: z.object({ on: CalendarDate }),
        response: { 200: RearingSeason },
      },
    },
    ({ query: { on } }) => rearingSeason(context(), on),
  );
  app.get(
    '/rearing/past',
    {
      schema: {
        tags: ['rounds'],
        summary: 'A season that is over: what was wanted and done, its weather, and its rooms',
        querystring: z.object({ from: CalendarDate, to: CalendarDate }),
        response: { 200: PastSeason },
      },
    },
    ({ query: { from, to } }) => pastSeason(context(), from, to),
  );
  app.get(
    '/rounds.csv',
    { schema: { tags: ['rounds'], summary: 'All rounds and what became of them, as CSV' } },
    async (_request, reply) =>
      reply
        .type('text/csv; charset=utf-8')
        .header('content-disposition', 'attachment; filename="rounds.csv"')
        .send(await roundsFile(context())),
  );
  app.get(
    '/years/:year',
    {
      schema: {
        tags: ['ribbon'],
        summary: 'What the ribbon shows of a year at a yard, which in the south begins in July',
        params: z.object({ year: Year }),
        querystring: z.object({ yard: Id }),
        response: { 200: YearRibbon },
      },
    },
    ({ params: { year }, query: { yard } }) =>
      context().reading(async (store) => {
        const place = await findYard(store, yard);
        if (!place) throw new NotFound('There is no such yard.');
        const { latitude_deg, longitude_deg } = place;
        const { from, to } = seasonYear(Number(year), latitude_deg);
        return {
          latitude_deg,
          longitude_deg,
          ...(await seasonBetween(store, yard, from, to)),
        };
      }),
  );
};
