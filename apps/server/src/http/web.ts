import { existsSync } from 'node:fs';
import { join } from 'node:path';
import fastifyStatic from '@fastify/static';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import { fail } from './errors.ts';

const YEAR_S = 31_536_000;

/**
 * The built web application: files named by their content are kept for good, the page itself is always asked for.
 * `wanted` gives the paths of what a page will ask for, so that a browser asks before the program is there.
 */
export async function serveWeb(
  app: FastifyInstance,
  webDir: string | undefined,
  wanted: (page: string) => Promise<readonly string[]>,
): Promise<void> {
  const page = webDir !== undefined && existsSync(join(webDir, 'index.html'));
  if (page) {
    await app.register(fastifyStatic, {
      root: webDir,
      cacheControl: false,
      preCompressed: true,
      setHeaders(reply, path) {
        const hashed = path.includes('/assets/');
        reply.setHeader('cache-control', hashed ? `public, max-age=${YEAR_S}, immutable` : 'no-cache');
      },
    });
  }
  const sendPage = async ({ url }: FastifyRequest, reply: FastifyReply) => {
    const paths = await wanted(url).catch(() => []);
    if (paths.length > 0) reply.header('link', paths.map(preload).join(', '));
    return reply.sendFile('index.html');
  };
  if (page) app.get('/', { schema: { hide: true } }, sendPage);
  app.setNotFoundHandler((request, reply) => {
    const isPage =
      page &&
      request.method === 'GET' &&
      !request.url.startsWith('/api/') &&
      !/\.\w+(\?|$)/.test(request.url);
    return isPage
      ? sendPage(request, reply)
      : fail(reply, 'notFound', `There is nothing at ${request.url.split('?')[0]}.`);
  });
}

/** As the program's own requests are: of this origin, with what the browser knows of it. */
const preload = (path: string): string => `<${path}>; rel=preload; as=fetch; crossorigin=anonymous`;
