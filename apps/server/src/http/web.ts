import { existsSync } from 'node:fs';
import { join } from 'node:path';
import fastifyStatic from '@fastify/static';
import type { FastifyInstance } from 'fastify';
import { fail } from './errors.ts';

const YEAR_S = 31_536_000;

/** The built web application: files named by their content are kept for good, the page itself is always asked for. */
export async function serveWeb(app: FastifyInstance, webDir: string | undefined): Promise<void> {
  const page = webDir !== undefined && existsSync(join(webDir, 'index.html'));
  if (page) {
    await app.register(fastifyStatic, {
      root: webDir,
      cacheControl: false,
      setHeaders(reply, path) {
        const hashed = path.includes('/assets/');
        reply.setHeader('cache-control', hashed ? `public, max-age=${YEAR_S}, immutable` : 'no-cache');
      },
    });
  }
  app.setNotFoundHandler((request, reply) => {
    const isPage =
      page &&
      request.method === 'GET' &&
      !request.url.startsWith('/api/') &&
      !/\.\w+(\?|$)/.test(request.url);
    return isPage
      ? reply.sendFile('index.html')
      : fail(reply, 'notFound', `There is nothing at ${request.url.split('?')[0]}.`);
  });
}
