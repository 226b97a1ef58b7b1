import { ClockInstant, Id, text } from '@yellow-cell/contract';
import { z } from 'zod';

const KEY = /^[^~]*~[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/** A page by instant and id, newest first. */
export const newestAfter = text(80)
  .refine((key) => {
    const [at, id] = key.split('~');
    return ClockInstant.safeParse(at).success && Id.safeParse(id).success;
  }, 'A page key is the `next` of the page before.')
  .optional();

/** A page by key: `after` is the `next` of the page before. */
export const page = {
  after: text(200).regex(KEY, 'A page key is the `next` of the page before.').optional(),
  limit: z.coerce.number().int().min(1).max(200).default(50),
};
