import type { LayoutsQuestion } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fit } from '../box/fit.ts';
import { layouts, layoutsProblems } from './layouts.ts';

const tenFrame: LayoutsQuestion = {
  insideWidth_mm: 373,
  pitch_mm: 34.9,
  thicknesses_mm: [3.2, 9.5],
  compartments: { min: 2, max: 4 },
  framesEach: { min: 2, max: 5 },
  slack_mm: { min: 3, max: 24 },
};

/** Every row of frames there is, tried one by one with `fit`. */
function plainly(question: LayoutsQuestion): string[] {
  const { compartments, framesEach, slack_mm, thicknesses_mm } = question;
  const found = new Set<string>();
  const tryRow = (frames: number[]) => {
    for (const thickness_mm of thicknesses_mm) {
      const asked = { ...question, frames, dividers: frames.slice(1).map(() => ({ thickness_mm })) };
      const slack = slackOr(() => fit(asked).compartments[0]?.slack_mm);
      if (slack === undefined || slack < slack_mm.min - 1e-9 || slack > slack_mm.max + 1e-9) continue;
      const [larger] = [frames.join('/'), [...frames].reverse().join('/')].sort().reverse();
      found.add(`${thickness_mm} ${larger}`);
    }
  };
  const grow = (frames: number[]) => {
    if (frames.length >= compartments.min) tryRow(frames);
    if (frames.length === compartments.max) return;
    for (let each = framesEach.min; each <= framesEach.max; each++) grow([...frames, each]);
  };
  grow([]);
  return [...found].sort();
}

function slackOr(work: () => number | undefined): number | undefined {
  try {
    return work();
  } catch {
    return undefined; // a compartment without width
  }
}

const told = (question: LayoutsQuestion) =>
  layouts(question).layouts.map(({ thickness_mm, frames }) => `${thickness_mm} ${frames.join('/')}`);

describe('the layouts of a body', () => {
  it('hold the handbook’s three-way and four-way', () => {
    expect(told(tenFrame)).toContain('9.5 3/3/3');
    expect(told(tenFrame)).toContain('3.2 3/2/2/3');
    expect(told(tenFrame)).not.toContain('9.5 3/2/2/3');
  });

  it('are all there are, each once, of mirror images the larger: the same as trying every row', () => {
    const range = (most: number) =>
      fc
        .tuple(fc.integer({ min: 0, max: most }), fc.integer({ min: 0, max: most }))
        .map(([a, b]) => ({ min: Math.min(a, b), max: Math.max(a, b) }));
    const question = fc.record({
      insideWidth_mm: fc.integer({ min: 100, max: 500 }),
      pitch_mm: fc.constantFrom(32, 34.9, 36),
      thicknesses_mm: fc.uniqueArray(fc.constantFrom(3.2, 9.5, 19), { minLength: 1 }),
      compartments: range(3).map(({ min, max }) => ({ min: min + 1, max: max + 1 })),
      framesEach: range(5),
      slack_mm: range(40),
      hung: fc.boolean(),
    });
    fc.assert(
      fc.property(question, (asked) => {
        expect([...told(asked)].sort()).toEqual(plainly(asked));
      }),
      { numRuns: 150 },
    );
  });

  it('give no compartment without width', () => {
    const exact = {
      ...tenFrame,
      insideWidth_mm: 2 * 34.9 + 19,
      thicknesses_mm: [19],
      framesEach: { min: 0, max: 2 },
      slack_mm: { min: 0, max: 0 },
    };
    expect(told({ ...exact, compartments: { min: 2, max: 2 } })).toEqual(['19 1/1']);
  });

  it('come best first, each with its score and its reason', () => {
    const { layouts: list } = layouts(tenFrame);
    list.slice(1).forEach(({ score }, index) => {
      expect(score).toBeLessThanOrEqual(list[index]?.score ?? 0);
    });
    for (const { score, why } of list) {
      expect(score).toBeGreaterThanOrEqual(0);
      expect(score).toBeLessThanOrEqual(1);
      expect(why).toMatch(/^slack .* mm each, .*\.$/);
    }
  });

  it('ask the same divider thickness twice only once', () => {
    expect(told({ ...tenFrame, thicknesses_mm: [9.5, 9.5] })).toEqual(
      told({ ...tenFrame, thicknesses_mm: [9.5] }),
    );
  });

  it('are none, at once, where no sum of frames meets narrow bounds', () => {
    const none = {
      ...tenFrame,
      insideWidth_mm: 5_000,
      compartments: { min: 20, max: 24 },
      framesEach: { min: 0, max: 8 },
      slack_mm: { min: 12, max: 12.0001 },
    };
    expect(told(none)).toEqual([]);
  });
});

describe('a question that cannot be answered', () => {
  it('names bounds the wrong way round', () => {
    expect(
      layoutsProblems({ ...tenFrame, framesEach: { min: 5, max: 2 }, slack_mm: { min: 9, max: 3 } }).map(
        ({ path }) => path,
      ),
    ).toEqual(['framesEach.max', 'slack_mm.max']);
  });
  it('says that too many fit, without walking them', () => {
    const many = {
      ...tenFrame,
      insideWidth_mm: 10_000,
      compartments: { min: 1, max: 24 },
      framesEach: { min: 0, max: 100 },
      slack_mm: { min: 0, max: 1_000 },
    };
    expect(layoutsProblems(many)[0]?.sentence).toContain('More than 200,000');
  });
});
