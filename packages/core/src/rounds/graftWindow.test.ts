import { describe, expect, it } from 'vitest';
import { fold } from '../yard/fold.ts';
import { known, told } from '../yard/story.test.kit.ts';
import { graftWindow } from './graftWindow.ts';

const ROUND = 'r';
const planned = told('roundPlanned', '2026-05-01', {
  round: ROUND,
  number: 4,
  donor: 'Sable',
  graftOn: '2026-05-08',
  grafts: 30,
});
const comb = (at: string) => ({ ...told('combToDonor', at.slice(0, 10), { round: ROUND }), occurredAt: at });
const grafted = told('grafted', '2026-05-08', { round: ROUND, number: 4, donor: 'Sable', grafts: 28 });

describe('the hours of a graft', () => {
  it('are those in which the oldest larvae of her comb are 12 to 24 hours old, eggs hatching on the third day', () => {
    expect(graftWindow({ comb: { at: '2026-05-04T18:30:00.000Z' } })).toEqual([
      '2026-05-08T06:30:00.000Z',
      '2026-05-08T18:30:00.000Z',
    ]);
    expect(graftWindow({})).toBeUndefined();
  });
  it('follow the last comb that she was given, stay when the plan is moved and made true, and are no more afterwards', () => {
    const of = (...events: Parameters<typeof fold>[1]) => {
      const { rounds, toSettle } = fold(known, events);
      return { at: rounds.get(ROUND)?.comb?.at, settle: toSettle.map(({ sentence }) => sentence) };
    };
    const [first, second] = [comb('2026-05-04T06:00:00.000Z'), comb('2026-05-05T06:00:00.000Z')];
    expect(of(planned, first, second).at).toBe('2026-05-05T06:00:00.000Z');
    const moved = { ...planned, id: 'moved', occurredAt: '2026-05-06T06:00:00.000Z' };
    expect(of(planned, first, moved).at).toBe('2026-05-04T06:00:00.000Z');
    expect(of(planned, first, grafted).at).toBe('2026-05-04T06:00:00.000Z');
    expect(of(planned, grafted, comb('2026-05-09T06:00:00.000Z')).settle).toEqual([
      'Round 4 is grafted already: its comb was given before.',
    ]);
    expect(of(first).settle).toEqual(['There is no such round.']);
  });
});

describe('an incubator that is read', () => {
  const carried = told('cellsMoved', '2026-05-10', { round: ROUND, cells: 9, to: 'incubator' });
  const read = told('incubatorRead', '2026-05-11', { round: ROUND, temperature_C: 34.2, humidity_pct: 61 });
  it('is that of cells that were carried there', () => {
    const { rounds, toSettle } = fold(known, [planned, grafted, carried, read]);
    expect(toSettle).toEqual([]);
    expect(rounds.get(ROUND)?.incubated).toEqual({
      at: read.occurredAt,
      temperature_C: 34.2,
      humidity_pct: 61,
    });
    const after = (to: 'incubator' | 'finisher' | 'discarded', where?: string) =>
      fold(known, [
        planned,
        grafted,
        carried,
        read,
        told('cellsMoved', '2026-05-12', { round: ROUND, cells: 2, to, ...(where ? { where } : {}) }),
      ]).rounds.get(ROUND)?.incubated;
    // Carried on, they lie where nobody has looked yet; more beside them, or some thrown away, changes nothing.
    expect([after('incubator', 'Cellar'), after('finisher')]).toEqual([undefined, undefined]);
    expect(after('discarded')).toBeDefined();
    expect(after('incubator')).toBeDefined();
    const settle = (...events: Parameters<typeof fold>[1]) =>
      fold(known, events).toSettle.map(({ sentence }) => sentence);
    expect(settle(planned, grafted, read)).toEqual(['No cells of round 4 were carried to an incubator.']);
    expect(settle(planned, read)).toEqual(['That round was not grafted yet.']);
  });
});
