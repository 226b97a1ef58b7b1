import { createWriteStream, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PassThrough, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { ProblemsError } from '@yellow-cell/core';
import type { FastifyPluginAsync } from 'fastify';
import { backup } from '../services/archive/backup.ts';
import type { Tell } from '../services/archive/manifest.ts';
import { checkArchive, NotEmpty } from '../services/archive/restore.ts';
import type { RouteOptions } from './options.ts';

interface ArchiveOptions extends RouteOptions {
  /** Writes an archive into this empty place, and works on with what is in it. */
  restore: (file: string, tell: Tell) => Promise<void>;
}

/** No archive of ours is larger. */
const MOST_BYTES = 4e9;
const GZIP = 'application/gzip';

/** All that a breeder has, out as one file and back in. */
export const archiveRoutes: FastifyPluginAsync<ArchiveOptions> = async (app, { context, restore }) => {
  app.addContentTypeParser(GZIP, { bodyLimit: MOST_BYTES }, (_, payload, done) => done(null, payload));
  app.get(
    '/backup',
    { schema: { tags: ['archive'], summary: 'All that this breeder has, as one archive' }, compress: false },
    (_, reply) => {
      const name = `yellow-cell-${context().clock.realNow().slice(0, 10)}.tar.gz`;
      return reply
        .type(GZIP)
        .header('content-disposition', `attachment; filename="${name}"`)
        .send(backup(context()));
    },
  );
  app.post(
    '/restore',
    {
      schema: {
        tags: ['archive'],
        summary:
          'An archive into an empty place; checked before anything is written, told line by line as it goes on',
      },
      compress: false,
      bodyLimit: MOST_BYTES,
      validatorCompiler: () => (sent: unknown) => ({ value: sent }),
    },
    async (request, reply) => {
      const dir = mkdtempSync(join(tmpdir(), 'yellow-cell-restore-'));
      const file = join(dir, 'archive.tar.gz');
      try {
        await pipeline(request.body as Readable, createWriteStream(file, { mode: 0o600 }));
        await checkArchive(file);
      } catch (error) {
        rmSync(dir, { recursive: true, force: true });
        throw error;
      }
      const told = new PassThrough();
      const say = (line: object) => void told.write(`${JSON.stringify(line)}\n`);
      restore(file, say)
        .then(() => say({ restored: true }))
        .catch((error: Error) => {
          const isSaid = error instanceof NotEmpty || error instanceof ProblemsError;
          if (!isSaid) request.log.error({ err: error }, 'restore');
          say({
            problem: isSaid ? error.message : 'The archive could not be written; nothing of it was kept.',
          });
        })
        .finally(() => {
          told.end();
          rmSync(dir, { recursive: true, force: true });
        });
      return reply.type('application/x-ndjson').send(told);
    },
  );
};
