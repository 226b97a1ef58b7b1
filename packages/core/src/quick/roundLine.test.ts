import type { Round } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { readRoundLine } from './roundLine.ts';

const TODAY = '2026-05-31';
const round = (number: number, graftedOn: string, more: Partial<Round> = {}): Round => ({
  id: `id-${number}`,
  number,
  donor: 'Sable',
  graftedOn,
  grafts: 40,
  ...more,
});
const counted = (cells: number) => ({ accepted: { on: '2026-05-24', cells } });
const rounds = [
  round(1, '2026-05-01', counted(30)),
  round(2, '2026-05-23', { ...counted(26), donor: 'Thistle' }),
  round(3, '2026-05-29', { donorQueen: 'queen' }),
  round(4, '2026-06-02', { planned: true, donor: 'Thistle' }),
];
const read = (line: string, of: readonly Round[] = rounds, given = 0) =>
  readRoundLine(line, {
    rounds: of,
    outcomes: [{ round: 'id-2', given, takes: 0, taken: 0, misses: 0 }],
    today: TODAY,
    fresh: () => 'fresh',
  });
const entryOf = (line: string, of?: readonly Round[], given?: number) => {
  const answer = read(line, of, given);
  return answer?.is === 'entry' ? [answer.words, answer.entry] : answer;
};

describe('a line of a round', () => {
  it.each([
    'graft 45 from Sable',
    'Grafted 45 larvae of sable',
    '45 grafts from SABLE',
    '  graft  45   from Sable ',
  ])('“%s” is a new round from a donor that is known', (line) => {
    expect(entryOf(line)).toEqual([
      'Round 5: 45 grafts from “Sable”',
      {
        kind: 'grafted',
        payload: { round: 'fresh', number: 5, donor: 'Sable', grafts: 45, donorQueen: 'queen' },
      },
    ]);
  });
  it('is the round that was planned for about that day, and says so; a donor that is new is called new', () => {
    expect(entryOf('graft 38 from Thistle')).toEqual([
      'Round 4: 38 grafts from “Thistle”, planned for 2 Jun',
      { kind: 'grafted', payload: { round: 'id-4', number: 4, donor: 'Thistle', grafts: 38 } },
    ]);
    const far = [round(4, '2026-06-04', { planned: true, donor: 'Thistle' })];
    expect(entryOf('graft 38 from Thistle', far)).toMatchObject([
      'Round 5: 38 grafts from “Thistle”',
      { payload: { round: 'fresh' } },
    ]);
    expect(entryOf('graft 1 from Wren 2')).toMatchObject([
      'Round 5: 1 graft from “Wren 2”, a donor not grafted from before',
      { payload: { donor: 'Wren 2' } },
    ]);
  });
  it.each([
    'accepted 32',
    '32 accepted',
    '32 cells taken on',
    'accepted 32 of round 3',
    'r3 accepted 32',
    'taken on 32 r3',
  ])('“%s” counts the round that waits to be counted', (line) => {
    expect(entryOf(line)).toEqual([
      'Round 3: 32 cells of 40 grafts taken on',
      { kind: 'cellsAccepted', payload: { round: 'id-3', accepted: 32 } },
    ]);
  });
  it('carries cells on: all that are left, or so many, to a place that has a name', () => {
    expect(entryOf('cells to finisher F2', rounds.slice(0, 2))).toEqual([
      'Round 2: 26 cells to the finisher, F2',
      { kind: 'cellsMoved', payload: { round: 'id-2', cells: 26, to: 'finisher', where: 'F2' } },
    ]);
    expect(entryOf('12 cells into the incubator of round 2', rounds, 4)).toEqual([
      'Round 2: 12 cells to the incubator',
      { kind: 'cellsMoved', payload: { round: 'id-2', cells: 12, to: 'incubator' } },
    ]);
    expect(entryOf('cells to bin r2', rounds, 20)).toEqual([
      'Round 2: 6 cells discarded',
      { kind: 'cellsMoved', payload: { round: 'id-2', cells: 6, to: 'discarded' } },
    ]);
  });
  it('asks where it could be of several rounds, of none, or cannot be', () => {
    const two = [...rounds, round(6, '2026-05-30')];
    expect(read('accepted 20', two)).toEqual({
      is: 'question',
      question: 'Of which round are these counted?',
      choices: [
        { says: 'Round 3, Sable', line: 'accepted 20 of round 3' },
        { says: 'Round 6, Sable', line: 'accepted 20 of round 6' },
      ],
    });
    const questionOf = (line: string, of?: readonly Round[], given?: number) => {
      const answer = read(line, of, given);
      return answer?.is === 'question' ? answer.question : answer;
    };
    expect(questionOf('accepted 20', [])).toBe('No round waits for that now: name it, as “round 5”.');
    expect(questionOf('accepted 41')).toBe('Round 3 has 40 grafts: 41 cannot be taken on.');
    expect(questionOf('accepted 20 of round 9')).toBe('There is no round 9 that is grafted.');
    expect(questionOf('accepted 20 of round 4')).toBe('There is no round 4 that is grafted.');
    expect(questionOf('graft 0 from Sable')).toContain('from 1 to 1000');
    expect(questionOf('27 cells to bank of round 2')).toBe(
      'Of round 2 26 cells are left: 27 cannot be carried on.',
    );
    expect(read('cells to finisher')).toMatchObject({
      is: 'question',
      choices: [{ says: 'Round 2, Thistle' }, { says: 'Round 3, Sable' }],
    });
  });
  it.each([
    'b7 w eggs',
    'cell given',
    'graft',
    'graft 45',
    'accepted',
    'cells',
    '3 cells',
    'accepted 20 in b7',
    'cells to finisher F2 and more',
    'queen cells to bank now please',
  ])('“%s” is none of a round', (line) => expect(read(line)).toBeUndefined());
});
