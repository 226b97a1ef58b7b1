import { problemsOf } from '@yellow-cell/compute';
import { ProblemsError } from '@yellow-cell/core';
import type { FastifySchemaCompiler } from 'fastify';
import type { z } from 'zod';

/** Requests are held to the contract's schemas; all that is wrong is said at once, as the product's own problems. */
export const validate: FastifySchemaCompiler<z.ZodType> =
  ({ schema }) =>
  (sent: unknown) => {
    const parsed = schema.safeParse(sent);
    return parsed.success
      ? { value: parsed.data }
      : { error: new ProblemsError(problemsOf(parsed.error, sent)) };
  };
