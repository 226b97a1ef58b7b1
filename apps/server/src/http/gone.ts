import type { FastifyReply } from 'fastify';

/** Ends what is worked out for an answer when whoever asked has hung up. */
export function whenGone(reply: FastifyReply): AbortSignal {
  const controller = new AbortController();
  reply.raw.once('close', () => {
    if (!reply.raw.writableFinished) controller.abort();
  });
  return controller.signal;
}
