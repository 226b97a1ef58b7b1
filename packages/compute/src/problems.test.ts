import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { problemsOf } from './problems.ts';

const Box = z.strictObject({
  label: z.string().max(3, 'At most 3 characters fit here.'),
  width_mm: z.number().gt(0, 'The width must be above 0 mm.'),
  kind: z.enum(['tight', 'open']),
  parts: z
    .array(z.strictObject({ count: z.number().int('Counted in whole numbers.') }))
    .min(1, 'At least one part is needed.'),
});

function told(asked: unknown): Record<string, string> {
  const parsed = Box.safeParse(asked);
  if (parsed.success) return {};
  return Object.fromEntries(problemsOf(parsed.error, asked).map(({ path, sentence }) => [path, sentence]));
}
const right = { label: 'B7', width_mm: 373, kind: 'tight', parts: [{ count: 1 }] };

describe('what is wrong with a question', () => {
  it('is nothing where nothing is', () => {
    expect(told(right)).toEqual({});
  });

  it('is said for every field at once, each at its place', () => {
    expect(
      told({ label: 'B7000', width_mm: -1, kind: 'ajar', parts: [{ count: 1.5 }, {}], roof: true }),
    ).toEqual({
      label: 'At most 3 characters fit here.',
      width_mm: 'The width must be above 0 mm.',
      kind: 'One of tight, open is needed here.',
      'parts.0.count': 'Counted in whole numbers.',
      'parts.1.count': 'This field is missing.',
      roof: 'There is no field “roof” here.',
    });
  });

  it.each([
    ['373', 'A number is needed here, not text.'],
    [null, 'A number is needed here, not null.'],
    [[373], 'A number is needed here, not a list.'],
    [{}, 'A number is needed here, not an object.'],
    [true, 'A number is needed here, not a boolean.'],
    [Number.POSITIVE_INFINITY, 'The number is too large to be one.'],
  ])('%j where a number belongs is called what it is', (width_mm, sentence) => {
    expect(told({ ...right, width_mm })).toEqual({ width_mm: sentence });
  });

  it.each([
    ['text', 'An object is needed here, not text.'],
    [[], 'An object is needed here, not a list.'],
    [undefined, 'This field is missing.'],
  ])('%j in place of the whole is said of the whole', (asked, sentence) => {
    expect(told(asked)).toEqual({ '': sentence });
  });

  it('carries the value that was sent', () => {
    const asked = { ...right, parts: [{ count: 0.5 }] };
    const parsed = Box.safeParse(asked);
    expect(parsed.success ? [] : problemsOf(parsed.error, asked)).toEqual([
      { path: 'parts.0.count', value: 0.5, sentence: 'Counted in whole numbers.' },
    ]);
  });

  it('names a list that is too short', () => {
    expect(told({ ...right, parts: [] })).toEqual({ parts: 'At least one part is needed.' });
  });
});
