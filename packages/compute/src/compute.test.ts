import { spawnSync } from 'node:child_process';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute, computeText } from './compute.ts';
import { subjects } from './subjects.ts';

const problems = (subject: string, asked: unknown) => {
  const result = compute(subject, asked);
  if (result.ok) throw new Error(`answered ${JSON.stringify(result.answer)}`);
  return result.problems;
};
const threeWay = {
  insideWidth_mm: 373,
  pitch_mm: 34.9,
  frames: [3, 3, 3],
  dividers: [{ thickness_mm: 9.5 }, { thickness_mm: 9.5 }],
};

describe('the published examples', () => {
  it('gap', () => {
    expect(compute('gap', { gap_mm: 4.2, where: 'slot' })).toEqual({
      ok: true,
      answer: { verdict: 'excluder', passes: ['air', 'worker'] },
    });
  });
  it('fit', () => {
    expect(compute('fit', threeWay)).toMatchObject({
      ok: true,
      answer: {
        compartments: [
          {
            width_mm: 118,
            frames: 3,
            slack_mm: expect.closeTo(13.3, 9),
            verdict: 'right',
            oneMoreFits: false,
          },
          {},
          {},
        ],
        dividers: [{ at_mm: 118 }, { at_mm: 245.5 }],
      },
    });
  });
  it('cells', () => {
    expect(compute('cells', { queens: 20, rate: 0.75, confidence: 0.9 })).toEqual({
      ok: true,
      answer: { cells: 31, probability: expect.closeTo(0.9356, 4) },
    });
  });
});

describe('problems', () => {
  it('are all listed, each with its place and value', () => {
    const list = problems('fit', {
      insideWidth_mm: 'x',
      pitch_mm: -1,
      frames: [3, 2.5],
      dividers: [{ thickness_mm: -2 }, { thickness_mm: 3 }],
      colour: 'red',
    });
    expect(list.map(({ path }) => path).sort()).toEqual(
      ['colour', 'dividers.0.thickness_mm', 'frames', 'frames.1', 'insideWidth_mm', 'pitch_mm'].sort(),
    );
    expect(list.find(({ path }) => path === 'dividers.0.thickness_mm')).toEqual({
      path: 'dividers.0.thickness_mm',
      value: -2,
      sentence: "A divider's thickness must be above 0 mm.",
    });
  });

  it.each([
    ['gap', {}, 'gap_mm', 'missing'],
    ['gap', { gap_mm: '4' }, 'gap_mm', 'not text'],
    ['gap', { gap_mm: null }, 'gap_mm', 'not null'],
    ['gap', { gap_mm: -0.1 }, 'gap_mm', '0 mm or more'],
    ['gap', { gap_mm: 4, where: 'roof' }, 'where', 'slot, joint'],
    ['gap', [], '', 'not a list'],
    ['fit', { ...threeWay, insideWidth_mm: 0 }, 'insideWidth_mm', 'above 0'],
    ['fit', { ...threeWay, insideWidth_mm: 1e9 }, 'insideWidth_mm', 'no hive'],
    ['fit', { ...threeWay, frames: [] }, 'frames', 'compartment'],
    ['cells', { queens: 0, rate: 0.5, confidence: 0.9 }, 'queens', 'At least 1'],
    ['cells', { queens: 5, rate: 1.5, confidence: 0.9 }, 'rate', 'at most 1'],
    ['cells', { queens: 5, rate: 0.5, confidence: 1 }, 'confidence', 'below 1'],
    ['cells', { queens: 5, takes: 1, tried: 2, prior: [0, 1], confidence: 0.5 }, 'prior.0', 'above 0'],
    ['nothing', {}, '', 'no subject'],
    ['constructor', {}, '', 'no subject'],
  ] as const)('%s %j', (subject, asked, path, words) => {
    expect(problems(subject, asked)).toEqual(
      expect.arrayContaining([expect.objectContaining({ path, sentence: expect.stringContaining(words) })]),
    );
  });

  it('take JSON numbers beyond a double as none', async () => {
    expect(await computeText('gap', '{"gap_mm":1e999}')).toMatchObject({
      ok: false,
      problems: [{ path: 'gap_mm' }],
    });
    expect(await computeText('gap', '{"gap_mm":NaN}')).toMatchObject({
      ok: false,
      problems: [{ path: '', sentence: 'The question is not JSON.' }],
    });
  });

  it('never become an exception, whatever is asked', () => {
    fc.assert(
      fc.property(fc.constantFrom(...Object.keys(subjects)), fc.jsonValue(), (subject, asked) => {
        const result = compute(subject, asked);
        if (!result.ok) for (const { sentence } of result.problems) expect(sentence).toMatch(/\S/);
      }),
    );
    const shape = fc.record({
      insideWidth_mm: fc.jsonValue(),
      pitch_mm: fc.jsonValue(),
      frames: fc.jsonValue(),
      dividers: fc.jsonValue(),
    });
    fc.assert(
      fc.property(shape, (asked) => {
        expect(typeof compute('fit', asked).ok).toBe('boolean');
      }),
    );
  });

  it('come with an answer that fits its schema, or alone', () => {
    const question = fc.record({
      insideWidth_mm: fc.integer({ min: -5, max: 900 }),
      pitch_mm: fc.constantFrom(0, 35),
      frames: fc.array(fc.integer({ min: -1, max: 5 })),
      dividers: fc.array(fc.record({ thickness_mm: fc.integer({ min: 0, max: 30 }) })),
    });
    fc.assert(
      fc.property(question, (asked) => {
        const result = compute('fit', asked);
        if (result.ok) expect(subjects.fit.answer.safeParse(result.answer).success).toBe(true);
        else expect(result.problems.length).toBeGreaterThan(0);
      }),
    );
  });
});

describe('the shell command', () => {
  const yc = (subject: string, question: string) =>
    spawnSync(process.execPath, ['--import', 'tsx', new URL('./yc.ts', import.meta.url).pathname, subject], {
      input: question,
      encoding: 'utf8',
    });

  it('answers on standard output with exit 0', () => {
    const { status, stdout, stderr } = yc('gap', '{"gap_mm":6}');
    expect({ status, stderr, answer: JSON.parse(stdout) }).toEqual({
      status: 0,
      stderr: '',
      answer: { verdict: 'beeSpace', passes: ['air', 'worker', 'queen', 'drone'] },
    });
  });
  it('lists problems on standard error with exit 2', () => {
    const { status, stdout, stderr } = yc('gap', '{');
    expect({ status, stdout, answer: JSON.parse(stderr) }).toEqual({
      status: 2,
      stdout: '',
      answer: { problems: [{ path: '', sentence: 'The question is not JSON.' }] },
    });
  });
  it('gives a large answer whole', () => {
    const many = {
      insideWidth_mm: 9_999,
      pitch_mm: 34.9,
      frames: new Array(200).fill(1),
      dividers: new Array(199).fill({ thickness_mm: 3 }),
    };
    expect(JSON.parse(yc('fit', JSON.stringify(many)).stdout).compartments).toHaveLength(200);
  });
});
