import { z } from 'zod';

/**
 * Of what the fold of events says of boxes, and what lives in them, on a day: stored so in read rows, and sent so. Ids
 * are as the events gave them; what is not known is left out, never undefined.
 */
export const may = z.exactOptional;
export const list = <T extends z.ZodType>(each: T) => z.array(each).readonly();
export const pair = <T extends z.ZodType>(each: T) => z.tuple([each, each]).readonly();
