import { designFileSchema, readDesignFile } from '@yellow-cell/compute';
import { DesignFile, ProblemDetails } from '@yellow-cell/contract';
import type { FastifyPluginAsync } from 'fastify';
import { failInvalid } from '../http/errors.ts';
import { takeAsText } from '../http/text.ts';

/** Reading a design file: nothing is stored; it comes back in today's schema, or every problem does. */
export const designFileRoutes: FastifyPluginAsync = async (app) => {
  takeAsText(app);
  const schema = {
    tags: ['designs'],
    summary: 'Read a design file',
    body: DesignFile,
    response: { 200: DesignFile, 422: ProblemDetails },
  };
  app.post('/designs/read', { schema }, (request, reply) => {
    const read = readDesignFile(typeof request.body === 'string' ? request.body : '');
    return read.ok ? reply.send(read.file) : failInvalid(reply, read.problems);
  });
  app.get(
    '/design.schema.json',
    { schema: { tags: ['designs'], summary: 'The JSON Schema of design files' } },
    () => designFileSchema(),
  );
};
