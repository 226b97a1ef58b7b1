import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { QuickAnswer } from './answer.ts';
import { yard } from './quick.test.kit.ts';
import { readQuickLine, withChoice } from './quickLine.ts';
import { editDistance } from './words.ts';

const read = (line: string, chosen?: { box: string; compartment?: number }): QuickAnswer =>
  readQuickLine(line, { ...yard, chosen }, () => 'new');
const acts = (line: string, chosen?: { box: string; compartment?: number }) => {
  const answer = read(line, chosen);
  return answer.is === 'entry' ? answer.acts : answer;
};
describe('the quick line', () => {
  it('makes the very entries that a form would', () => {
    expect(acts('B7 west eggs 85')).toEqual([
      { kind: 'eggsSeen', payload: { box: 'b7', colony: 'c1', attempt: 'a1' } },
      { kind: 'patternScored', payload: { box: 'b7', colony: 'c1', attempt: 'a1', pattern_pct: 85 } },
    ]);
    expect(acts('B7 west cell r12')).toEqual([
      { kind: 'cellGiven', payload: { box: 'b7', colony: 'c1', attempt: 'new', round: 'round-12' } },
    ]);
    expect(acts('B7 west vent note wasps')).toEqual([
      { kind: 'entranceSet', payload: { box: 'b7', entrance: 'West-low', state: 'vent' }, note: 'wasps' },
      { kind: 'entranceSet', payload: { box: 'b7', entrance: 'West-high', state: 'vent' } },
    ]);
    expect(acts('B2 east united into west')).toEqual([
      { kind: 'combined', payload: { box: 'b2', colony: 'c4', intoBox: 'b2', into: 'c3' } },
    ]);
    expect(acts('B7 note lid, cracked')).toEqual([
      { kind: 'noted', payload: { box: 'b7' }, note: 'lid, cracked' },
    ]);
  });

  it('knows names of several words, whole or as far as they tell', () => {
    for (const line of [
      'B5 no. 3 eggs',
      'B5 eggs No. 3 from west',
      'B5 no 3 eggs',
      'no. 3 from west B5 eggs',
    ])
      expect(read(line)).toMatchObject({ is: 'entry', words: 'B5 No. 3 from west: eggs seen' });
    expect(read('B5 no eggs no. 4')).toMatchObject({ words: 'B5 No. 4 from west: no eggs seen (a note)' });
    expect(read('S1 lower right eggs')).toMatchObject({ words: 'S1 Lower right: eggs seen' });
    expect(read('S1 lower eggs')).toMatchObject({ is: 'ask', choices: ['Lower left', 'Lower right'] });
    expect(read('S1 lower left combine upper')).toMatchObject({
      acts: [{ payload: { colony: 'e1', into: 'e3' } }],
    });
  });

  it('lets a choice take the place of what it answers, and keeps the note out of it', () => {
    const after = (line: string, choice: string): string => {
      const answer = read(line);
      if (answer.is !== 'ask') throw new Error(`“${line}” is not asked about.`);
      expect(answer.choices).toContain(choice);
      return withChoice(line, answer, choice);
    };
    expect(after('B7 west opend', 'opened')).toBe('B7 west opened');
    expect(after('B7 west cell r9 note late', '12')).toBe('B7 west cell 12 note late');
    expect(after('B7 eggs note few', 'West')).toBe('B7 eggs West note few');
    expect(after('B7 middle fed 2 syrup', '2 lb')).toBe('B7 middle fed 2 lb syrup');
    expect(read(after('B7 west combine east', 'Middle'))).toMatchObject({
      words: 'B7 West: combined into Middle',
    });
  });

  it('means what is on screen where the line names nothing, and another box where it names one', () => {
    const here = { box: 'b7', compartment: 1 };
    expect(acts('eggs', here)).toEqual([
      { kind: 'eggsSeen', payload: { box: 'b7', colony: 'c2', attempt: 'a2' } },
    ]);
    expect(acts('N1 eggs', here)).toEqual([
      { kind: 'eggsSeen', payload: { box: 'n1', colony: 'c5', attempt: 'a5' } },
    ]);
    expect(read('pull divider 2', here)).toMatchObject({ is: 'entry', words: 'B7: divider 2 pulled' });
    expect(read('B2 eggs', here)).toMatchObject({ is: 'ask' });
    for (const looked of ['zzz', 'meadow', '12', 'middle'])
      expect(read(looked, here)).toEqual({ is: 'search' });
    expect(read('85%', here)).toMatchObject({ is: 'entry', words: 'B7 Middle: pattern 85 %' });
  });

  it('reads the same whatever the order of its words, and never loses an amount', () => {
    const orders = (words: string[]): string[][] =>
      words.length < 2
        ? [words]
        : words.flatMap((word, index) => orders(words.toSpliced(index, 1)).map((rest) => [word, ...rest]));
    for (const words of orders(['B7', 'west', 'fed', '1.5kg', 'fondant']))
      expect(acts(words.join(' '))).toEqual([
        { kind: 'fed', payload: { box: 'b7', colony: 'c1', feed: 'fondant', amount_kg: 1.5 } },
      ]);
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 29 }),
        fc.integer({ min: 0, max: 99 }),
        fc.constantFrom('.', ','),
        (whole, part, point) => {
          const amount = Number(`${whole}.${part}`);
          expect(acts(`B7 west fed ${whole}${point}${part} kg syrup`)).toMatchObject([
            { payload: { amount_kg: amount } },
          ]);
        },
      ),
    );
  });

  it('never throws, whatever is typed, and never enters what it was not told', () => {
    const words = fc.constantFrom(
      'B7',
      'west',
      'eggs',
      'fed',
      '1',
      'kg',
      'syrup',
      'no',
      'cell',
      'r12',
      'strips',
      'out',
      '12',
      'Jul',
      'pull',
      'divider',
      'note',
      'vent',
      '85%',
      'combine',
      'east',
    );
    fc.assert(fc.property(fc.string({ unit: 'binary', maxLength: 60 }), (line) => void read(line)));
    fc.assert(
      fc.property(fc.array(words, { maxLength: 8 }), (list) => {
        const answer = read(list.join(' '));
        if (answer.is === 'entry') expect(list).toContain('B7');
      }),
      { numRuns: 500 },
    );
    expect(read('x'.repeat(20_000))).toEqual({ is: 'search' });
  });
});

describe('the distance of two words', () => {
  it('counts letters put in, left out, changed and swapped', () => {
    expect(editDistance('patern', 'pattern')).toBe(1);
    expect(editDistance('esat', 'east')).toBe(1);
    expect(editDistance('', 'abc')).toBe(3);
    fc.assert(
      fc.property(fc.string({ maxLength: 8 }), fc.string({ maxLength: 8 }), (a, b) => {
        expect(editDistance(a, b)).toBe(editDistance(b, a));
        expect(editDistance(a, b) === 0).toBe(a === b);
      }),
    );
  });
});
