import type { EventKind, LogEvent } from '@yellow-cell/contract';
import { kindVersionOf, subjectFields } from '@yellow-cell/contract/subjects';
import { describe, expect, it } from 'vitest';
import { fold } from './fold.ts';
import { begun, known, told } from './story.test.kit.ts';
import { isKnown, raised, upcasts } from './upcast.ts';

const kinds = Object.keys(subjectFields) as EventKind[];
const as = (event: LogEvent, more: object): LogEvent => ({ ...event, ...more }) as LogEvent;
const graft = { round: 'r9', number: 9, donor: 'Sable', grafts: 30 };

describe('entries of earlier versions', () => {
  it('are raised by one step for each version that came since', () => {
    for (const kind of kinds)
      expect([kind, kindVersionOf(kind)]).toEqual([kind, 1 + (upcasts[kind]?.length ?? 0)]);
  });

  it('a graft that told its count tells the same as one counted later that day', () => {
    const first = as(told('grafted', '2026-05-01', graft), {
      kindVersion: 1,
      payload: { ...graft, accepted: 24 },
    });
    const now = fold(known, [raised(first)]);
    expect(now.rounds.get('r9')).toEqual({
      id: 'r9',
      number: 9,
      donor: 'Sable',
      grafts: 30,
      graftedOn: '2026-05-01',
      accepted: { on: '2026-05-01', cells: 24 },
    });
    const apart = fold(known, [
      told('grafted', '2026-05-01', graft),
      told('cellsAccepted', '2026-05-01', { round: 'r9', accepted: 24 }),
    ]);
    expect(apart.rounds).toEqual(now.rounds);
  });

  it('stay what they are where nothing changed, and once they are raised', () => {
    const today = told('grafted', '2026-05-01', graft);
    expect(raised(today)).toBe(today);
    const [built] = begun('2026-05-10');
    expect(built && raised(built)).toBe(built);
  });
});

describe('entries of a newer program', () => {
  it.each([
    ['of a kind that is not known', { kind: 'danceSeen' }],
    ['called like something every object has', { kind: 'toString' }],
    ['of a newer version of a known kind', { kindVersion: 99 }],
  ])('%s are kept as they are, say so, and change nothing else', (_, more) => {
    const story = begun('2026-05-10');
    const odd = as(told('noted', '2026-05-12', { box: 'box-1' }), more);
    expect(isKnown(odd)).toBe(false);
    expect(raised(odd)).toBe(odd);
    const [plain, beside] = [fold(known, story), fold(known, [...story, odd])];
    expect(beside.toSettle).toEqual([{ event: odd, sentence: expect.stringContaining('newer version') }]);
    expect(beside.colonies).toEqual(plain.colonies);
    expect(beside.boxes).toEqual(plain.boxes);
  });
});

describe('the cells of a round', () => {
  const round = (...events: LogEvent[]) => fold(known, [told('grafted', '2026-05-01', graft), ...events]);
  it('are counted after the graft, the last count holding, and carried on', () => {
    const { rounds, toSettle } = round(
      told('cellsAccepted', '2026-05-02', { round: 'r9', accepted: 26 }),
      told('cellsAccepted', '2026-05-03', { round: 'r9', accepted: 25 }),
      told('cellsMoved', '2026-05-04', { round: 'r9', cells: 25, to: 'finisher', where: 'F2' }),
    );
    expect(toSettle).toEqual([]);
    expect(rounds.get('r9')).toMatchObject({
      accepted: { on: '2026-05-03', cells: 25 },
      moved: [{ on: '2026-05-04', cells: 25, to: 'finisher', where: 'F2' }],
    });
  });

  it.each([
    ['more accepted than grafted', () => told('cellsAccepted', '2026-05-02', { round: 'r9', accepted: 31 })],
    ['cells of no round', () => told('cellsAccepted', '2026-05-02', { round: 'other', accepted: 1 })],
    [
      'more moved than there are',
      () => told('cellsMoved', '2026-05-02', { round: 'r9', cells: 31, to: 'bank' }),
    ],
    [
      'moved before they were grafted',
      () => told('cellsMoved', '2026-04-30', { round: 'r9', cells: 1, to: 'bank' }),
    ],
  ] as const)('%s cannot be', (_, make) => {
    expect(round(make()).toSettle).toHaveLength(1);
  });
});
