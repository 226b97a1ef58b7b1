import { isHeavy, subjects } from '@yellow-cell/compute';
import { ProblemDetails } from '@yellow-cell/contract';
import type { FastifyPluginAsync, FastifyReply } from 'fastify';
import { failInvalid } from '../http/errors.ts';
import { whenGone } from '../http/gone.ts';
import { JSON_TYPE, takeAsText } from '../http/text.ts';
import type { Pool } from '../work/pool.ts';
import { answerTo } from '../work/worker.ts';

/** A larger question of any subject is answered by another thread: it alone takes its time to read. */
const MOST_HERE = 16_384;

/**
 * Every subject of the computation; one route each, so that the published description shows its schemas.
 * The question goes in as its text: whatever is wrong with it, not being JSON among it, comes back as the
 * same problems that the shell command gives.
 */
export const computeRoutes: FastifyPluginAsync<{ pool: Pool }> = async (app, { pool }) => {
  takeAsText(app);
  const answer = async (reply: FastifyReply, subject: string, body: unknown) => {
    const question = typeof body === 'string' ? body : '';
    const elsewhere = isHeavy(subject) || question.length > MOST_HERE;
    const result = elsewhere
      ? await pool.compute(subject, question, whenGone(reply))
      : await answerTo(subject, question);
    return result.ok ? reply.type(JSON_TYPE).send(result.text) : failInvalid(reply, result.problems);
  };
  for (const [subject, { question, answer: answerSchema }] of Object.entries(subjects)) {
    const schema = {
      tags: ['compute'],
      summary: `Compute ${subject}`,
      body: question,
      response: { 200: answerSchema, 422: ProblemDetails },
    };
    app.post(`/compute/${subject}`, { schema }, (request, reply) => answer(reply, subject, request.body));
  }
  app.post<{ Params: { subject: string } }>(
    '/compute/:subject',
    { schema: { hide: true } },
    (request, reply) => answer(reply, request.params.subject, request.body),
  );
};
