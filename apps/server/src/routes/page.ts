import { z } from 'zod';

/** A page by key: `after` is the `next` of the page before. */
export const page = {
  after: z
    .string()
    .max(200)
    .regex(/^[^~]*~[0-9a-fA-F-]{36}$/, 'A page key is the `next` of the page before.')
    .optional(),
  limit: z.coerce.number().int().min(1).max(200).default(50),
};
