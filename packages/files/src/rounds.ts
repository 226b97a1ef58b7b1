import type { RoundView } from '@yellow-cell/core';
import Papa from 'papaparse';

/**
 * The rounds as CSV, one line each, oldest first: what was planned, grafted, taken on and given, what became of it, and
 * the days that follow from the graft; of a window its first and last day.
 */
export function roundsCsv(views: readonly RoundView[]): string {
  const lines = views.map(({ round, days, outcome }) => {
    const { given = 0, takes = 0, taken = 0, misses = 0 } = outcome ?? {};
    return {
      round: round.number,
      donor: round.donor,
      state: round.planned ? 'planned' : 'grafted',
      planned_for: round.plan?.graftOn ?? '',
      grafted_on: round.planned ? '' : round.graftedOn,
      grafts: round.grafts,
      accepted: round.accepted?.cells ?? '',
      cells_given: given,
      laying: takes,
      queens_taken: taken,
      failed: misses,
      open: Math.max(0, given - takes - misses),
      sealed_from: days.sealed[0],
      ripe: days.ripe,
      emergence_from: days.emergence[0],
      emergence_to: days.emergence[1],
      eggs_from: days.eggs[0],
      eggs_to: days.eggs[1],
      ready_from: days.take[0],
      ready_to: days.take[1],
    };
  });
  // A cell that begins like a formula would be one in a spreadsheet.
  return Papa.unparse({ fields: FIELDS, data: lines }, { escapeFormulae: true });
}

const FIELDS = [
  'round',
  'donor',
  'state',
  'planned_for',
  'grafted_on',
  'grafts',
  'accepted',
  'cells_given',
  'laying',
  'queens_taken',
  'failed',
  'open',
  'sealed_from',
  'ripe',
  'emergence_from',
  'emergence_to',
  'eggs_from',
  'eggs_to',
  'ready_from',
  'ready_to',
];
