import { constantsWith, type Doing, defaultConstants } from '@yellow-cell/core';
import { describe, expect, it } from 'vitest';
import { doingWords } from './doingWords.ts';
import { showC, twoFigures } from './heat.ts';

const words = (does: Doing, share: number, heat_W = 8.34): string =>
  doingWords({ does, heat_W, share, warms_W: 0, fans_m3s: 0, water_kgs: 0 }, defaultConstants);

describe('what bees do, in words', () => {
  it('has a sentence for each, with no more figures than are known', () => {
    expect(words('clusters', 0.28)).toBe('They cluster and give 8.3 W, about 30 % of what they can keep up.');
    expect(words('warms', 0.152, 12.6)).toBe(
      'They hold brood at 34.5 °C among them with 13 W, about 15 % of what they can keep up.',
    );
    expect(words('fans', 0.01)).toContain('5 % of what they can');
    for (const does of ['chills', 'rests', 'carriesWater', 'overheats'] as const)
      expect(words(does, 1)).toMatch(/^[A-Z].*\.$/);
  });
  it('names the yard’s own limits', () => {
    const constants = constantsWith({ danger_C: 39 });
    expect(
      doingWords(
        { does: 'overheats', heat_W: 1, share: 1, warms_W: 0, fans_m3s: 0, water_kgs: 0 },
        constants,
      ),
    ).toContain('over 39 °C');
  });
});

describe('figures to what is known', () => {
  it('are of two figures, and temperatures whole', () => {
    expect([0, 0.0674, 0.234, 1.53, 9.96, 15.6, 1_288].map(twoFigures)).toEqual([
      '0',
      '0.07',
      '0.23',
      '1.5',
      '10',
      '16',
      '1288',
    ]);
    expect([-0.4, 0.4, 25.5, -7.6].map(showC)).toEqual(['0 °C', '0 °C', '26 °C', '−8 °C']);
  });
});
