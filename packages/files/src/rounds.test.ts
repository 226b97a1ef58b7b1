import type { Round } from '@yellow-cell/contract';
import { defaultConstants, roundViews } from '@yellow-cell/core';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { roundsCsv } from './rounds.ts';

const round = (more: Partial<Round>): Round => ({
  id: 'r1',
  number: 1,
  donor: 'Sable',
  graftedOn: '2026-05-08',
  grafts: 45,
  ...more,
});
const csvOf = (rounds: Round[], outcomes: Parameters<typeof roundViews>[0]['outcomes'] = []) =>
  roundsCsv(
    roundViews(
      { rounds, outcomes, accepted: { cells: 0, grafts: 0 }, flown: { months: [], days: [] } },
      defaultConstants,
      '2026-06-01',
    ),
  );
const read = (text: string) => Papa.parse<Record<string, string>>(text, { header: true }).data;

describe('rounds as CSV', () => {
  it('says what was grafted, what became of it, and on which days', () => {
    const [line] = read(
      csvOf(
        [round({ accepted: { on: '2026-05-09', cells: 33 }, plan: { graftOn: '2026-05-07', grafts: 40 } })],
        [{ round: 'r1', given: 30, takes: 18, taken: 4, misses: 5 }],
      ),
    );
    expect(line).toMatchObject({
      round: '1',
      donor: 'Sable',
      state: 'grafted',
      planned_for: '2026-05-07',
      grafted_on: '2026-05-08',
      grafts: '45',
      accepted: '33',
      cells_given: '30',
      laying: '18',
      queens_taken: '4',
      failed: '5',
      open: '7',
      // Handbook 5: ripe ten days after the graft, out on the twelfth.
      ripe: '2026-05-18',
      emergence_from: '2026-05-19',
    });
  });

  it('leaves open what is only planned, and takes no name for a formula', () => {
    const [line] = read(csvOf([round({ planned: true, donor: '=1+1' })]));
    expect(line).toMatchObject({ state: 'planned', grafted_on: '', accepted: '', cells_given: '0' });
    expect(line?.donor).toBe("'=1+1");
  });

  it('has its columns also where there is no round yet', () => {
    expect(csvOf([])).toMatch(/^round,donor,state,/);
  });
});
