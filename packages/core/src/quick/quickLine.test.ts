import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { QuickAnswer } from './answer.ts';
import { yard } from './quick.test.kit.ts';
import { readQuickLine } from './quickLine.ts';

const read = (line: string, chosen?: { box: string; compartment?: number }): QuickAnswer =>
  readQuickLine(line, { ...yard, chosen }, () => 'new');
const acts = (line: string, chosen?: { box: string; compartment?: number }) => {
  const answer = read(line, chosen);
  return answer.is === 'entry' ? answer.acts : answer;
};
const west = { box: 'b7', colony: 'c1' };
const attempt = { ...west, attempt: 'a1' };

describe('the quick line', () => {
  it('tells nothing of bees before they were there, from the day on which they were stocked', () => {
    const since = (stockedOn: string) => {
      const boxes = yard.boxes.map((box) => ({
        ...box,
        compartments: box.compartments.map((each) => (each.colony === 'c3' ? { ...each, stockedOn } : each)),
      }));
      return (line: string) => readQuickLine(line, { ...yard, boxes }, () => 'new');
    };
    for (const line of ['B2 west fed 1 kg fondant 28 may', 'B2 east united into west 28 may']) {
      expect(since('2026-05-28')(line)).toMatchObject({ is: 'entry', acts: [{ on: '2026-05-28' }] });
      expect(since('2026-05-29')(line)).toMatchObject({
        is: 'ask',
        question: 'The bees of B2 West are there since 29 May, not yet on 28 May.',
      });
    }
    const note = since('2026-05-29')('28 may B2 west note lid cracked');
    expect(note).toMatchObject({ is: 'entry', acts: [{ kind: 'noted', payload: { box: 'b2' } }] });
    expect(note.is === 'entry' && note.acts[0]?.payload).not.toHaveProperty('colony');
  });

  it.each([
    [
      'B7 west eggs 85',
      [
        { kind: 'eggsSeen', payload: attempt },
        { kind: 'patternScored', payload: { ...attempt, pattern_pct: 85 } },
      ],
    ],
    ['B7 west cell r12', [{ kind: 'cellGiven', payload: { ...west, attempt: 'new', round: 'round-12' } }]],
    ['B7 west cell opened', [{ kind: 'cellOpened', payload: attempt }]],
    [
      'B7 west virgin loose r11',
      [
        {
          kind: 'queenGiven',
          payload: { ...west, queen: 'new', what: 'virgin', caged: false, round: 'round-11' },
        },
      ],
    ],
    [
      'B7 west vent note wasps',
      [
        { kind: 'entranceSet', payload: { box: 'b7', entrance: 'West-low', state: 'vent' }, note: 'wasps' },
        { kind: 'entranceSet', payload: { box: 'b7', entrance: 'West-high', state: 'vent' } },
      ],
    ],
    [
      'B2 east united into west',
      [{ kind: 'combined', payload: { box: 'b2', colony: 'c4', intoBox: 'b2', into: 'c3' } }],
    ],
    [
      'B2 east combine with B7 w',
      [{ kind: 'combined', payload: { box: 'b2', colony: 'c4', intoBox: 'b7', into: 'c1' } }],
    ],
    ['B7 note lid, cracked', [{ kind: 'noted', payload: { box: 'b7' }, note: 'lid, cracked' }]],
    ['B7 w note calm', [{ kind: 'noted', payload: west, note: 'calm' }]],
    ['B7 w cover off', [{ kind: 'coverSet', payload: { ...west, on: false } }]],
    ['B7 w q seen', [{ kind: 'queenSeen', payload: { ...west, seen: true, queen: 'q1' } }]],
    ['B7 w q not seen', [{ kind: 'queenSeen', payload: { ...west, seen: false } }]],
    [
      'B7 w marked blue 17',
      [
        {
          kind: 'queenMarked',
          payload: { ...west, queen: 'q1', colour: 'blue', number: '17', clipped: false },
        },
      ],
    ],
    ['B7 w q sold', [{ kind: 'queenTaken', payload: { ...attempt, to: 'sold', beesRemain: true } }]],
    ['B7 w virgin lost', [{ kind: 'failed', payload: { ...attempt, reason: 'virginLost' } }]],
    ['B7 hefted 10 kg', [{ kind: 'weighed', payload: { box: 'b7', weight_kg: 10, felt: true } }]],
    ['B7 pull divider 2', [{ kind: 'dividerSet', payload: { box: 'b7', board: 'board-2', stands: false } }]],
    ['N1 inside 68 F', [{ kind: 'temperatureRead', payload: { box: 'n1', colony: 'c5', inside_C: 20 } }]],
    [
      'B7 w strips Formo in until 12 july',
      [{ kind: 'stripsPut', payload: { ...west, product: 'Formo', outBy: '2026-07-12' } }],
    ],
    [
      'B7 e stocked 1 brood 1 open brood 1 stores 2 shakes',
      [
        {
          kind: 'stocked',
          payload: {
            box: 'b7',
            colony: 'new',
            bays: ['East-bay'],
            frames: { sealedBrood: 2, stores: 1, drawn: 0 },
            shakes: 2,
            openBrood: true,
          },
        },
      ],
    ],
    [
      'B7 w brood 1 yesterday',
      [{ kind: 'strengthSeen', payload: { ...west, broodFrames: 1 }, on: '2026-05-30' }],
    ],
  ])('%s makes the very entries that a form would', (line, expected) => {
    expect(acts(line)).toEqual(expected);
  });

  it('means what is on screen where the line names nothing, and another box where it names one', () => {
    const here = { box: 'b7', compartment: 1 };
    const of = (line: string) => {
      const answer = read(line, here);
      return answer.is === 'entry' ? answer.words : answer.is;
    };
    expect(of('eggs')).toBe('B7 Middle: eggs seen');
    expect(of('west eggs')).toBe('B7 West: eggs seen');
    expect(of('N1 eggs')).toBe('N1: eggs seen');
    expect(of('pull divider 2')).toBe('B7: divider 2 pulled');
    expect(of('85%')).toBe('B7 Middle: pattern 85 %');
    expect(of('west B2 eggs')).toBe('B2 West: eggs seen');
    expect(of('eggs, west failed')).toBe('ask');
    expect(of('B2 eggs')).toBe('ask');
    for (const looked of ['zzz', 'meadow', '12', 'middle', '']) expect(of(looked)).toBe('search');
  });

  it('offers answers that leave the rest of the line as it is', () => {
    const after = (line: string, says: string): string => {
      const answer = read(line);
      if (answer.is !== 'ask') throw new Error(`“${line}” is not asked about.`);
      const choice = answer.choices.find((each) => each.says === says);
      if (!choice) throw new Error(`${says} is not offered: ${answer.choices.map((each) => each.says)}`);
      return choice.line;
    };
    expect(after('B7 west hached note late', 'hatched')).toBe('B7 west hatched note late');
    expect(after('B7 eggs note few', 'West')).toBe('B7 West eggs note few');
    expect(after('B7 middle fed 2 syrup', 'fed 2 lb')).toBe('B7 middle fed 2 lb');
    expect(after('B7 w eggs 5/6 3 seams', '5 June')).toBe('B7 w eggs 5 June 3 seams');
    expect(after('B7 w eggs yesterday, m failed', 'yesterday for all')).toBe(
      'yesterday B7 w eggs , m failed',
    );
    expect(after('B7 w 3-4 seams', 'note 3-4 seams')).toBe('B7 w note 3-4 seams');
    expect(after('B7 w 3-4 seams note calm', 'note 3-4 seams')).toBe('B7 w note 3-4 seams calm');
    expect(after('B7 middle strips Oxstrip out 12 Jul', 'strips Oxstrip until 12 Jul')).toBe(
      'B7 middle strips Oxstrip until 12 Jul',
    );
  });

  it('shows each part of a line as what it was understood, where it stands', () => {
    const line = 'B7 w yesterday 3 seams, cover';
    const answer = read(line);
    expect(
      answer.is === 'ask' &&
        answer.chips.map(({ start, end, says, is }) => [line.slice(start, end), says, is]),
    ).toEqual([
      ['B7', 'B7', 'place'],
      ['w', 'West', 'place'],
      ['yesterday', '30 May', 'day'],
      ['3 seams', '3 seams of bees', 'said'],
      ['cover', 'cover?', 'question'],
    ]);
  });
});

describe('whatever is typed', () => {
  const phrases = [
    'eggs',
    '3 seams',
    'brood 2',
    'pattern 85',
    'q seen',
    'cover off',
    'no wild cells',
    'fed 0.5 kg fondant',
    'wasps',
    'entrance vent',
    'marked blue',
    'strips in for 6 weeks',
  ] as const;
  const some = fc.uniqueArray(fc.constantFrom(...phrases), { minLength: 1, maxLength: 5 });
  const entriesOf = (line: string): string[] => {
    const answer = read(line);
    return answer.is === 'entry'
      ? answer.acts.map((each) => JSON.stringify(each)).sort()
      : [`${answer.is}: ${line}`];
  };
  const kindsOf = (phrase: string): string[] => entriesOf(`B7 w ${phrase}`);

  it('takes phrases in any order and anywhere about their place, none dropped, none doubled', () => {
    const alone = (phrase: string) => phrase !== '3 seams' && phrase !== 'brood 2';
    fc.assert(
      fc.property(some, fc.nat(5), fc.constantFrom(' ', ', ', ' and '), (said, at, between) => {
        const separate = said.filter(alone);
        const before = separate.slice(0, at);
        const line = [...before, 'B7 w', ...separate.slice(at)].join(between);
        fc.pre(separate.length > 0);
        expect(entriesOf(line)).toEqual(separate.flatMap(kindsOf).sort());
      }),
    );
    const both = { ...west, seams: 3, broodFrames: 2 };
    for (const line of ['B7 w 3 seams eggs brood 2', 'eggs brood 2 3 seams B7 w'])
      expect(acts(line)).toContainEqual({ kind: 'strengthSeen', payload: both });
  });

  it('keeps no line with a word more that nothing explains', () => {
    const strange = fc.stringMatching(/^[a-z]{2,9}$/).map((word) => `zx${word}q`);
    fc.assert(
      fc.property(some, fc.nat(20), strange, (said, at, word) => {
        const words = `B7 w ${said.filter((each) => !each.startsWith('strips')).join(' ')} eggs`.split(' ');
        const line = words.toSpliced(at % (words.length + 1), 0, word).join(' ');
        const answer = read(line);
        expect(answer.is === 'ask' && answer.unread.map(({ typed }) => typed)).toContain(word);
      }),
    );
  });

  it('reads a decimal the same with a point or a comma, and loses no gram', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 29 }),
        fc.integer({ min: 0, max: 99 }),
        fc.constantFrom('.', ','),
        (whole, part, point) => {
          expect(acts(`B7 west fed ${whole}${point}${part} kg fondant`)).toMatchObject([
            { payload: { amount_kg: Number(`${whole}.${part}`) } },
          ]);
        },
      ),
    );
  });

  it('never throws, nor enters what it was not told', () => {
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
      '1,250',
      '5/6',
      '½',
      '?',
      '🐝',
      'не',
    );
    fc.assert(fc.property(fc.string({ unit: 'binary', maxLength: 60 }), (line) => void read(line)));
    fc.assert(
      fc.property(fc.array(words, { maxLength: 9 }), (list) => {
        const answer = read(list.join(' '));
        if (answer.is === 'entry') expect(list).toContain('B7');
      }),
      { numRuns: 400 },
    );
    for (const long of ['x'.repeat(20_000), '3 '.repeat(5_000), '🐝'.repeat(5_000), 'eggs '.repeat(2_000)])
      expect(read(long).is).not.toBe('entry');
  });
});
