import type { Problem, ProblemDetails } from '@yellow-cell/contract';
import { ProblemsError } from '@yellow-cell/core';
import type { FastifyError, FastifyReply, FastifyRequest } from 'fastify';
import { Conflict, NotFound } from '../services/conflict.ts';
import { isDatabaseGone } from '../store/database.ts';

/** Every way a request can fail: status and title of its problem details (RFC 9457). */
export const failures = {
  notJson: { status: 400, title: 'Not JSON' },
  notFound: { status: 404, title: 'Not found' },
  conflict: { status: 409, title: 'Changed in between' },
  tooLarge: { status: 413, title: 'Too large' },
  wrongType: { status: 415, title: 'Not JSON' },
  invalid: { status: 422, title: 'Cannot be' },
  unexpected: { status: 500, title: 'Something went wrong' },
  databaseGone: { status: 503, title: 'The database does not answer' },
  notReady: { status: 503, title: 'Not ready yet' },
} as const;
export type Failure = keyof typeof failures;

type Further = Partial<Pick<ProblemDetails, 'problems' | 'changed' | 'current'>>;

export function fail(
  reply: FastifyReply,
  failure: Failure,
  detail: string,
  further: Further = {},
): FastifyReply {
  const { status, title } = failures[failure];
  const details: ProblemDetails = { type: `/problems/${failure}`, title, status, detail, ...further };
  return reply.status(status).type('application/problem+json').send(JSON.stringify(details));
}

export function failInvalid(reply: FastifyReply, problems: readonly Problem[]): FastifyReply {
  return fail(reply, 'invalid', problems.map(({ sentence }) => sentence).join(' '), {
    problems: [...problems],
  });
}

export function handleError(error: FastifyError, request: FastifyRequest, reply: FastifyReply): FastifyReply {
  if (error instanceof ProblemsError) return failInvalid(reply, error.problems);
  if (error instanceof NotFound) return fail(reply, 'notFound', error.message);
  if (error instanceof Conflict)
    return fail(reply, 'conflict', error.message, { changed: [...error.changed], current: error.current });
  if (isDatabaseGone(error)) {
    request.log.warn({ err: error }, 'database gone');
    return fail(
      reply,
      'databaseGone',
      'The database does not answer; nothing was written. Try again in a moment.',
    );
  }
  const known = BY_CODE[error.code ?? ''];
  if (known) return fail(reply, ...known);
  request.log.error({ err: error }, 'unexpected');
  return fail(
    reply,
    'unexpected',
    'The program failed at this request; nothing was written. The log says more.',
  );
}

const BY_CODE: Readonly<Record<string, [Failure, string]>> = {
  FST_ERR_CTP_BODY_TOO_LARGE: ['tooLarge', 'The request is larger than 2 MB; send it in parts.'],
  FST_ERR_CTP_INVALID_JSON_BODY: ['notJson', 'The request is not JSON.'],
  FST_ERR_CTP_EMPTY_JSON_BODY: ['notJson', 'The request is empty; JSON is needed.'],
  FST_ERR_CTP_INVALID_MEDIA_TYPE: ['wrongType', 'The request is not JSON; send it as application/json.'],
};
