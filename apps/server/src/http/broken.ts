import type { Socket } from 'node:net';
import { problemOf } from './errors.ts';
import { directives } from './security.ts';

/** Of answers that are given before the program's own hooks: an address or a request that cannot be read. */
export const BARE_HEADERS: Readonly<Record<string, string>> = {
  'content-security-policy': Object.entries(directives)
    .map(([name, values]) => `${name} ${values.join(' ')}`)
    .join(';'),
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'SAMEORIGIN',
  'referrer-policy': 'no-referrer',
};

/** A connection that speaks no HTTP, or stops in the middle of it. */
export function refuseBroken(error: NodeJS.ErrnoException, socket: Socket): void {
  if (error.code === 'ECONNRESET' || !socket.writable) {
    socket.destroy();
    return;
  }
  const late = error.code === 'ERR_HTTP_REQUEST_TIMEOUT';
  const { status, text } = late
    ? problemOf('tooSlow', 'The request stopped half-way; send it again.')
    : problemOf('badAddress', 'This request cannot be read; its address or its headers are damaged.');
  const headers = { ...BARE_HEADERS, 'content-type': 'application/problem+json', connection: 'close' };
  const lines = Object.entries({ ...headers, 'content-length': Buffer.byteLength(text) }).map(
    ([name, value]) => `${name}: ${value}\r\n`,
  );
  socket.end(
    `HTTP/1.1 ${status} ${late ? 'Request Timeout' : 'Bad Request'}\r\n${lines.join('')}\r\n${text}`,
  );
}
