import type { Problem, ProblemDetails } from '@yellow-cell/contract';
import { ProblemsError } from '@yellow-cell/core';
import type { FastifyError, FastifyReply, FastifyRequest } from 'fastify';
import { Conflict, NotFound } from '../services/conflict.ts';
import { isDatabaseGone } from '../store/database.ts';
import { AskerGone, TookTooLong, TooMuchWork } from '../work/pool.ts';
import { NotAllowed } from './access.ts';
import { NotOurs } from './ownPages.ts';

/** Every way a request can fail: status and title of its problem details (RFC 9457). */
export const failures = {
  notJson: { status: 400, title: 'Not JSON' },
  badAddress: { status: 400, title: 'Not an address' },
  notAllowed: { status: 403, title: 'Not for you' },
  notOurs: { status: 403, title: 'Not from here' },
  notFound: { status: 404, title: 'Not found' },
  tooSlow: { status: 408, title: 'Stopped half-way' },
  conflict: { status: 409, title: 'Changed in between' },
  tooLarge: { status: 413, title: 'Too large' },
  wrongType: { status: 415, title: 'Not JSON' },
  noSuchPart: { status: 416, title: 'No such part' },
  invalid: { status: 422, title: 'Cannot be' },
  tookTooLong: { status: 422, title: 'Took too long' },
  unexpected: { status: 500, title: 'Something went wrong' },
  databaseGone: { status: 503, title: 'The database does not answer' },
  notReady: { status: 503, title: 'Not ready yet' },
  busy: { status: 503, title: 'Busy' },
} as const;
export type Failure = keyof typeof failures;

type Further = Partial<Pick<ProblemDetails, 'problems' | 'changed' | 'current'>>;

export function fail(
  reply: FastifyReply,
  failure: Failure,
  detail: string,
  further: Further = {},
): FastifyReply {
  const { status, text } = problemOf(failure, detail, further);
  if (status === 503) reply.header('retry-after', RETRY_AFTER_S);
  return reply.status(status).type('application/problem+json').send(text);
}
/** What is away for a moment is asked again so soon. */
const RETRY_AFTER_S = 2;

export function problemOf(
  failure: Failure,
  detail: string,
  further: Further = {},
): { status: number; text: string } {
  const { status, title } = failures[failure];
  const details: ProblemDetails = { type: `/problems/${failure}`, title, status, detail, ...further };
  return { status, text: JSON.stringify(details) };
}

export function failInvalid(reply: FastifyReply, problems: readonly Problem[]): FastifyReply {
  return fail(reply, 'invalid', problems.map(({ sentence }) => sentence).join(' '), {
    problems: [...problems],
  });
}

/** The program does not know its data yet. */
export class NotReady extends Error {}

export function handleError(error: FastifyError, request: FastifyRequest, reply: FastifyReply): FastifyReply {
  if (error instanceof ProblemsError) return failInvalid(reply, error.problems);
  if (error instanceof NotFound) return fail(reply, 'notFound', error.message);
  if (error instanceof Conflict)
    return fail(reply, 'conflict', error.message, { changed: [...error.changed], current: error.current });
  if (error instanceof NotOurs) return fail(reply, 'notOurs', error.message);
  if (error instanceof NotAllowed) return fail(reply, 'notAllowed', error.message);
  if (error instanceof TookTooLong) return fail(reply, 'tookTooLong', error.message);
  if (error instanceof TooMuchWork) return fail(reply, 'busy', error.message);
  if (error instanceof NotReady) return fail(reply, 'notReady', error.message);
  // Nobody reads the answer; it only ends the request.
  if (error instanceof AskerGone) return fail(reply, 'busy', error.message);
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
  if (error.statusCode === 416) return fail(reply, 'noSuchPart', 'The file has no such part.');
  if (error.statusCode !== undefined && error.statusCode >= 400 && error.statusCode < 500)
    return fail(reply, 'badAddress', 'This request cannot be read; its address or its headers are damaged.');
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
