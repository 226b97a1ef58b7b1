import { describe, expect, it } from 'vitest';
import { told } from '../yard/story.test.kit.ts';
import { isOpen, lotsOf, stillWanted } from './lotsOf.ts';

const wanted = (lot: string, queens: number, by: string, at = '2026-05-01') =>
  told('lotWanted', at, { lot, name: `For ${lot}`, queens, by });
const taken = (lot: string | undefined, at = '2026-06-02') =>
  told('queenTaken', at, { box: 'b', colony: 'c', to: 'sold', beesRemain: true, ...(lot ? { lot } : {}) });

describe('lots', () => {
  it('are told by the last word on each, by their days, with what was handed over for each', () => {
    const events = [
      wanted('l', 12, '2026-06-20'),
      wanted('e', 3, '2026-06-10'),
      wanted('d', 3, '2026-06-10'),
      taken('l'),
      taken('l'),
      taken(undefined),
      taken('never'),
      wanted('l', 10, '2026-06-25', '2026-06-03'),
      told('lotDropped', '2026-06-03', { lot: 'd' }),
      // Told late of a day before.
      wanted('e', 9, '2026-06-09', '2026-04-30'),
    ];
    expect(lotsOf(events)).toEqual([
      { id: 'e', name: 'For e', queens: 3, by: '2026-06-10' },
      { id: 'l', name: 'For l', queens: 10, by: '2026-06-25', handedOver: 2 },
    ]);
  });

  it('go on from those that are known, and lose what is taken back', () => {
    const known = [{ id: 'l', name: 'L', queens: 5, by: '2026-06-20', handedOver: 2 }];
    const one = taken('l');
    const undone = told('withdrawn', '2026-06-02', {}, { corrects: one.id });
    expect(lotsOf([one], known)).toEqual([{ ...known[0], handedOver: 3 }]);
    expect(lotsOf([one, undone], known)).toEqual(known);
    expect(lotsOf([told('lotDropped', '2026-06-03', { lot: 'l' })], known)).toEqual([]);
  });

  it('are open until all their queens are handed over, and no longer than 150 days after their day', () => {
    const lot = (queens: number, handedOver: number, by = '2026-06-20') => ({
      id: 'l',
      name: 'L',
      queens,
      by,
      handedOver,
    });
    expect([stillWanted(lot(5, 2)), stillWanted(lot(5, 5)), stillWanted(lot(5, 7))]).toEqual([3, 0, 0]);
    expect(isOpen(lot(5, 4), '2026-11-17')).toBe(true);
    expect(isOpen(lot(5, 4), '2026-11-18')).toBe(false);
    expect(isOpen(lot(5, 5), '2026-06-01')).toBe(false);
  });
});
