import type { FastifyInstance } from 'fastify';

/** Of text that is JSON already, and is sent as it stands. */
export const JSON_TYPE = 'application/json; charset=utf-8';

/** JSON that is taken as its text, for whoever reads it to say what is wrong with it; nothing but JSON is taken. */
export function takeAsText(app: FastifyInstance): void {
  app.removeAllContentTypeParsers();
  app.addContentTypeParser('application/json', { parseAs: 'string' }, (_, text, done) => done(null, text));
  app.setValidatorCompiler(() => (sent: unknown) => ({ value: sent }));
}
