import { z } from 'zod';

/**
 * Something wrong with what was asked or entered, told so that it can stand beside its field.
 * `path` names the field with dots (`dividers.0.thickness_mm`; empty for the whole), `sentence` is
 * plain language and says what would be right.
 */
export const Problem = z.strictObject({
  path: z.string(),
  value: z.unknown().optional(),
  sentence: z.string(),
});
export type Problem = z.infer<typeof Problem>;

/** RFC 9457 problem details, with the problems of the single fields. */
export const ProblemDetails = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number().int(),
  detail: z.string(),
  problems: z.array(Problem).optional(),
  /** On 409 only: what changed since the version the writer had, one sentence each. */
  changed: z.array(z.string()).optional(),
  /** On 409 only: the version now in force. */
  current: z.unknown().optional(),
});
export type ProblemDetails = z.infer<typeof ProblemDetails>;
