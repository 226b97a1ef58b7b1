import { describe, expect, it } from 'vitest';
import { compute } from './compute.ts';
import { crossProblems } from './crossChecks.ts';
import { subjects } from './subjects.ts';

const found = (path: string) => [{ path, sentence: 'No.' }];
const asked = { rate: -1e9, frames: [3, -1], sheet: { width_mm: 0 }, other: 1 };
/** A check that says what it was given. */
const seen = (...reads: string[]) => {
  const given: unknown[] = [];
  const check = {
    reads,
    problems: (question: never) => {
      given.push(question);
      return [];
    },
  };
  return { check, given };
};

describe('checks between fields', () => {
  it.each([
    ['rate', 'rate'],
    ['frames', 'frames.1'],
    ['frames.length', 'frames'],
    ['sheet', 'sheet.width_mm'],
    ['rate', ''],
  ])('that read %s are not asked where %j was refused', (reads, refused) => {
    const { check, given } = seen(reads);
    crossProblems([check], asked, found(refused));
    expect(given).toEqual([]);
  });

  it.each([
    [['other'], 'rate', { other: 1 }],
    [['frames.length'], 'frames.1', { frames: { length: 2 } }],
    [['other', 'sheet'], 'sheets', { other: 1, sheet: { width_mm: 0 } }],
  ])('that read %j are asked where %j was refused, and given that alone', (reads, refused, question) => {
    const { check, given } = seen(...reads);
    crossProblems([check], asked, found(refused));
    expect(given).toEqual([question]);
  });

  it('read fields that their questions have', () => {
    for (const [name, { question, checks }] of Object.entries(subjects))
      for (const field of checks.flatMap(({ reads }) => reads.map((read) => read.split('.')[0] ?? '')))
        expect([name, field in question.shape]).toEqual([name, true]);
  });

  it.each([
    ['cells', { queens: 20, rate: -1e9, confidence: 0.9 }, ['rate']],
    ['cells', { queens: -1, takes: 5, tried: 2, confidence: 0.9 }, ['queens', 'takes']],
    [
      'layouts',
      {
        insideWidth_mm: 373,
        pitch_mm: 34.9,
        thicknesses_mm: [3.2],
        compartments: { min: 4, max: 2 },
        framesEach: { min: 2, max: 1e9 },
        slack_mm: { min: 3, max: 1e308 },
      },
      ['framesEach.max', 'slack_mm.max', 'compartments.max'],
    ],
  ])(
    '%s: every problem of %j is listed, and none is looked for with a refused figure',
    (subject, question, paths) => {
      const result = compute(subject, question);
      expect(result.ok ? [] : result.problems.map(({ path }) => path).sort()).toEqual([...paths].sort());
    },
  );
});
