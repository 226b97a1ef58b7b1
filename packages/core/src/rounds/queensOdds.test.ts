import { describe, expect, it } from 'vitest';
import { betaDrawn, seededRandom } from '../random.ts';
import { queensOdds } from './queensOdds.ts';
import { roundFor } from './rearing.ts';

const season = { record: { takes: 92, tried: 145 }, accepted: { cells: 215, grafts: 298 } };

describe('the odds of each number of queens of a round', () => {
  it('fall as more are wanted, and each is the most that is as sure', () => {
    const odds = queensOdds(45, season);
    expect(odds).toHaveLength(5);
    for (const [at, { queens, chance }] of odds.entries()) {
      expect(chance).toBeGreaterThanOrEqual([0.95, 0.9, 0.8, 0.5, 0.2][at] ?? 1);
      if (at > 0) expect(queens).toBeGreaterThan(odds[at - 1]?.queens ?? 0);
    }
  });
  it('are as often so as they say, drawn one by one', () => {
    const random = seededRandom(7);
    const counts: number[] = [];
    const some = (tries: number, share: number) => {
      let hits = 0;
      for (let at = 0; at < tries; at++) if (random() < share) hits++;
      return hits;
    };
    for (let play = 0; play < 20_000; play++)
      counts.push(some(some(45, betaDrawn(216, 84, random)), betaDrawn(93, 54, random)));
    for (const { queens, chance } of queensOdds(45, season)) {
      const share = counts.filter((count) => count >= queens).length / counts.length;
      expect(Math.abs(share - chance)).toBeLessThan(0.012);
    }
  });
  it('know little where nothing is counted, and name no number twice', () => {
    const nothing = { record: { takes: 0, tried: 0 }, accepted: { cells: 0, grafts: 0 } };
    // Of one graft a queen comes of one in four: a half takes, a half of those is taken on.
    expect(queensOdds(1, nothing)).toEqual([{ queens: 1, chance: expect.closeTo(0.25, 12) }]);
    const few = queensOdds(4, season).map(({ queens }) => queens);
    expect(new Set(few).size).toBe(few.length);
    expect(queensOdds(1, { ...nothing, record: { takes: 0, tried: 99 } })).toEqual([]);
  });
  it('are in so many rooms those of a round that was sized for them, about as sure as was wanted', () => {
    const { cells, grafts } = roundFor(20, 0.9, season);
    const [first] = queensOdds(grafts, season, cells).filter(({ chance }) => chance < 0.95);
    expect(first?.queens).toBe(20);
    // Nine in ten with all cells there, which is so nine times in ten; seldom much less without.
    expect(first?.chance).toBeGreaterThan(0.88);
    expect(first?.chance).toBeLessThan(0.91);
    expect(queensOdds(40, season, 3).at(-1)?.queens).toBe(3);
  });
});
