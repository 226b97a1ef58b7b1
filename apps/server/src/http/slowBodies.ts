import type { FastifyInstance } from 'fastify';
import { problemOf } from './errors.ts';

/** Nothing more of a request for so long: whoever sent it has gone, or never meant to end it. */
export const SILENT_MS = 10_000;

/** Closes requests whose bodies stop half-way, so that they hold neither a connection nor memory. */
export function closeHalfSent(app: FastifyInstance, silentMs: number): void {
  app.addHook('onRequest', async ({ raw }, reply) => {
    if (!('setTimeout' in raw)) return; // a request made without a connection, by a test
    if (raw.headers['content-length'] === undefined && raw.headers['transfer-encoding'] === undefined) return;
    raw.setTimeout(silentMs, () => {
      if (raw.complete || reply.raw.headersSent) return;
      const { status, text } = problemOf('tooSlow', 'The request stopped half-way; send it again.');
      reply.hijack();
      reply.raw.writeHead(status, {
        ...reply.getHeaders(),
        'content-type': 'application/problem+json',
        connection: 'close',
      } as Record<string, string>);
      reply.raw.end(text, () => raw.destroy());
    });
    raw.once('end', () => raw.setTimeout(0));
  });
}
