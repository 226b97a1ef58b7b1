import { describe, expect, it } from 'vitest';
import { lengthsIn } from './units.ts';

describe('a sentence of core', () => {
  it('is read in the units that the breeder chose', () => {
    const sentence = 'A queen can walk under the divider: 9.5 mm. The inside width is 190.5 mm.';
    expect(lengthsIn(sentence, 'mm')).toBe(sentence);
    expect(lengthsIn(sentence, 'inch')).toBe(
      'A queen can walk under the divider: 3/8 in. The inside width is 7 1/2 in.',
    );
    expect(lengthsIn('Frames are numbered from the left.', 'inch')).toBe(
      'Frames are numbered from the left.',
    );
  });
});
