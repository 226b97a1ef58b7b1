import type { FitQuestion } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ProblemsError } from '../problems.ts';
import { fit, fitCountProblems, fitProblems, framesWidth } from './fit.ts';

const evenly = (
  insideWidth_mm: number,
  pitch_mm: number,
  frames: number[],
  thickness_mm: number,
): FitQuestion => ({
  insideWidth_mm,
  pitch_mm,
  frames,
  dividers: frames.slice(1).map(() => ({ thickness_mm })),
});

describe('the worked figures of the handbook', () => {
  it.each([
    ['three-way', evenly(373, 34.9, [3, 3, 3], 9.5), 13.3, 'right'],
    ['four-way, thin dividers', evenly(373, 34.9, [3, 2, 2, 3], 3.2), 3.6 - 0, 'tight'],
    ['four-way, thick dividers', evenly(373, 34.9, [3, 2, 2, 3], 9.5), -4.5 / 4, 'impossible'],
    ['two-way', evenly(373, 34.9, [4, 4], 19), 37.4, 'board'],
    ['two-way with one more each', evenly(373, 34.9, [5, 5], 19), 2.5, 'jams'],
    ['two-way, thin', evenly(373, 34.9, [5, 5], 6), 9, 'right'],
    ['two-way nucleus', evenly(190.5, 34.9, [2, 2], 4), 23.45, 'loose'],
    ['two-way of six at 35', evenly(222, 35, [3, 3], 4), 4, 'tight'],
  ] as const)('%s', (_, question, slack, verdict) => {
    const { compartments } = fit({ ...question });
    for (const compartment of compartments) {
      expect(compartment.slack_mm).toBeCloseTo(slack, 1);
      expect(compartment.verdict).toBe(verdict);
    }
  });

  it('says where one more frame fits', () => {
    expect(fit(evenly(373, 34.9, [4, 4], 19)).compartments[0]?.oneMoreFits).toBe(false);
    expect(fit(evenly(373 + 1, 34.9, [4, 4], 19)).compartments[0]?.oneMoreFits).toBe(true);
  });

  it('gives hung frames their bar and a bee space at both sides', () => {
    expect(framesWidth(10, { pitch_mm: 37.5, hung: true })).toBe(374.5);
    expect(framesWidth(8, { pitch_mm: 36, hung: true, barWidth_mm: 25 })).toBe(289);
    expect(framesWidth(0, { pitch_mm: 36, hung: true })).toBe(0);
  });
});

const sizes = fc.record({
  insideWidth_mm: fc.double({ min: 100, max: 1_200, noNaN: true }),
  pitch_mm: fc.double({ min: 30, max: 40, noNaN: true }),
  frames: fc.array(fc.integer({ min: 0, max: 6 }), { minLength: 1, maxLength: 8 }),
  thickness_mm: fc.double({ min: 1, max: 25, noNaN: true }),
  hung: fc.boolean(),
});

describe('any box', () => {
  it('is filled exactly: compartments and dividers add up to the inside width, and all slacks are equal', () => {
    fc.assert(
      fc.property(sizes, ({ hung, ...size }) => {
        const question = {
          ...evenly(size.insideWidth_mm, size.pitch_mm, size.frames, size.thickness_mm),
          hung,
        };
        fc.pre(fitProblems(question).length === 0);
        const { compartments, dividers } = fit(question);
        const total = [
          ...compartments.map(({ width_mm }) => width_mm),
          ...dividers.map(({ thickness_mm }) => thickness_mm),
        ].reduce((sum, each) => sum + each, 0);
        expect(total).toBeCloseTo(size.insideWidth_mm, 6);
        for (const { slack_mm } of compartments)
          expect(slack_mm).toBeCloseTo(compartments[0]?.slack_mm ?? 0, 6);
      }),
    );
  });

  it('gives the same answer when the places it chose are given back', () => {
    fc.assert(
      fc.property(sizes, ({ insideWidth_mm, pitch_mm, frames, thickness_mm }) => {
        const question = evenly(insideWidth_mm, pitch_mm, frames, thickness_mm);
        fc.pre(fitProblems(question).length === 0);
        const answer = fit(question);
        const again = fit({ ...question, dividers: answer.dividers });
        again.compartments.forEach(({ slack_mm }, index) => {
          expect(slack_mm).toBeCloseTo(answer.compartments[index]?.slack_mm ?? Number.NaN, 6);
        });
      }),
    );
  });

  it('mirrors when it is turned round', () => {
    fc.assert(
      fc.property(sizes, ({ insideWidth_mm, pitch_mm, frames, thickness_mm }) => {
        const question = evenly(insideWidth_mm, pitch_mm, frames, thickness_mm);
        fc.pre(fitProblems(question).length === 0);
        const turned = fit({ ...question, frames: [...frames].reverse() });
        const widths = fit(question).compartments.map(({ width_mm }) => width_mm);
        turned.compartments.reverse().forEach(({ width_mm }, index) => {
          expect(width_mm).toBeCloseTo(widths[index] ?? Number.NaN, 6);
        });
      }),
    );
  });
});

describe('what cannot be', () => {
  const at = (...places: number[]): FitQuestion => ({
    ...evenly(373, 34.9, [3, 3, 3], 9.5),
    dividers: places.map((at_mm) => ({ thickness_mm: 9.5, at_mm })),
  });

  it('says by how much', () => {
    expect(fitProblems(at(118, 370))).toEqual([
      expect.objectContaining({
        path: 'dividers.1.at_mm',
        value: 370,
        sentence: expect.stringContaining('6.5 mm outside'),
      }),
    ]);
    expect(fitProblems(at(118, 120))[0]?.sentence).toContain('overlaps the one before it by 7.5 mm');
    expect(fitProblems(at(0, 200))[0]?.sentence).toContain('no width');
    expect(fitProblems(at(100, 363.5))[0]?.sentence).toContain('Compartment 3 would have no width');
  });

  it('lists a wrong count and bad places together', () => {
    const problems = fitProblems({ ...at(118, 400), frames: [3, 3] });
    expect(problems.map(({ path }) => path)).toEqual(['frames', 'dividers.1.at_mm']);
  });

  it('wants every place or none', () => {
    const mixed = { ...at(118, 245), dividers: [{ thickness_mm: 9.5, at_mm: 118 }, { thickness_mm: 9.5 }] };
    expect(fitProblems(mixed).map(({ path }) => path)).toEqual(['dividers.1.at_mm']);
  });

  it('is thrown by fit with all its problems', () => {
    expect(() => fit(at(118, 400))).toThrow(ProblemsError);
    expect(() => fit(evenly(373, 34.9, [3, 3, 3], 190))).toThrow(/no width/);
  });
});

describe('frames for compartments', () => {
  it('are asked for as many times as there are compartments', () => {
    const sentence = (frames: number[], dividers: number[]) =>
      fitCountProblems({ frames, dividers }).map((each) => each.sentence);
    expect(sentence([3, 3], [9])).toEqual([]);
    expect(sentence([3], [9])).toEqual(['1 divider makes 2 compartments, but frames are given for 1.']);
    expect(sentence([3], [9, 9])).toEqual(['2 dividers make 3 compartments, but frames are given for 1.']);
  });
});
