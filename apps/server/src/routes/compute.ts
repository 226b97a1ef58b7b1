import { computeText, subjects } from '@yellow-cell/compute';
import { ProblemDetails } from '@yellow-cell/contract';
import type { FastifyPluginAsync, FastifyReply } from 'fastify';
import { failInvalid } from '../http/errors.ts';

/**
 * Every subject of the computation; one route each, so that the published description shows its schemas.
 * The question goes in as its text: whatever is wrong with it, not being JSON among it, comes back as the
 * same problems that the shell command gives.
 */
export const computeRoutes: FastifyPluginAsync = async (app) => {
  app.removeAllContentTypeParsers();
  app.addContentTypeParser('*', { parseAs: 'string' }, (_, text, done) => done(null, text));
  app.setValidatorCompiler(() => (sent: unknown) => ({ value: sent }));
  const answer = async (reply: FastifyReply, subject: string, asked: unknown) => {
    const result = await computeText(subject, typeof asked === 'string' ? asked : '');
    return result.ok ? reply.send(result.answer) : failInvalid(reply, result.problems);
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
