import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MM_PER_INCH, parseLength, showLength, showLengthBare } from './length.ts';

const mm = (typed: string, units: 'mm' | 'inch' = 'mm') => {
  const parsed = parseLength(typed, units);
  if (!parsed.ok) throw new Error(parsed.sentence);
  return parsed.length.mm;
};
const sentence = (typed: string) => {
  const parsed = parseLength(typed, 'mm');
  if (parsed.ok) throw new Error(`${typed} was read as ${parsed.length.mm}`);
  return parsed.sentence;
};

describe('a typed length', () => {
  it.each([
    ['190', 190],
    [' 190 mm ', 190],
    ['190,5', 190.5],
    ['190.5mm', 190.5],
    ['19 cm', 190],
    ['0.19 m', 190],
    ['7 1/2"', 190.5],
    ['7-1/2 in', 190.5],
    ['7½”', 190.5],
    ['7.5in', 190.5],
    ['7.5 in.', 190.5],
    ['3/8"', 9.525],
    ['1\' 3"', 381],
    ["1' 3", 381],
    ['1 ft 3 1/2 in', 393.7],
    ['.5 cm', 5],
    ['18 inches', 457.2],
  ])('%s is %d mm', (typed, expected) => {
    expect(mm(typed)).toBeCloseTo(expected, 9);
  });

  it('is in the unit chosen where none is typed', () => {
    expect(mm('7 1/2', 'inch')).toBeCloseTo(190.5, 9);
    expect(mm('190 mm', 'inch')).toBe(190);
  });

  it('keeps what was typed beside its millimetres', () => {
    expect(parseLength('7 1/2"', 'mm')).toEqual({ ok: true, length: { mm: 190.5, typed: '7 1/2"' } });
  });

  it.each([
    '',
    'wide',
    '12 parsecs',
    '1/0',
    '7 1/2 1/2',
    '3 in 1 ft',
    '-5',
    '1e400',
    'NaN',
    '190 mm wide',
    '½½',
  ])('says why “%s” is none', (typed) => {
    expect(sentence(typed)).toMatch(/\.$/);
  });

  it('asks where a separator can be read in two ways', () => {
    expect(sentence('1,250')).toContain('two ways');
    expect(sentence('1.234,5')).toContain('two ways');
  });
});

describe('a shown length', () => {
  it('is to a tenth of a millimetre, or to the nearest sixteenth of an inch', () => {
    expect(showLength(13.3000001, 'mm')).toBe('13.3 mm');
    expect(showLength(190.5, 'inch')).toBe('7 1/2 in');
    expect(showLength(9.5, 'inch')).toBe('3/8 in');
    expect(showLengthBare(0, 'inch')).toBe('0');
    expect(showLength(-4.5, 'mm')).toBe('−4.5 mm');
  });

  it('reads back to what was shown', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 5_000, noNaN: true }), (value) => {
        expect(Math.abs(mm(showLength(value, 'mm')) - value)).toBeLessThanOrEqual(0.05 + 1e-9);
        expect(Math.abs(mm(showLength(value, 'inch')) - value)).toBeLessThanOrEqual(MM_PER_INCH / 32 + 1e-9);
      }),
    );
  });

  it('never fails on any text', () => {
    fc.assert(
      fc.property(fc.string(), (typed) => {
        expect(typeof parseLength(typed, 'mm').ok).toBe('boolean');
      }),
    );
  });
});
