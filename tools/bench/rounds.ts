import { subjects } from '@yellow-cell/compute';
import type { OddsQuestion, SeasonQuestion } from '@yellow-cell/contract';
import { plusDays, seasonOdds } from '@yellow-cell/core';
import { type Figure, medianMs } from './figure.ts';

const TODAY = '2026-05-01';
const FLYING = [0, 0, 0.02, 0.2, 0.6, 0.65, 0.7, 0.65, 0.5, 0.1, 0, 0];

/** Twelve rounds of forty larvae for eight lots, ten thousand times. */
const odds: OddsQuestion = {
  today: TODAY,
  lots: Array.from({ length: 8 }, (_, at) => ({
    name: `lot ${at}`,
    queens: 25,
    by: plusDays('2026-06-15', 9 * at),
  })),
  rounds: Array.from({ length: 12 }, (_, at) => ({
    graft: plusDays('2026-04-20', 7 * at),
    grafts: at < 2 ? 0 : 40,
    cells: at < 2 ? 28 : 0,
    rooms: 40,
    queens: 0,
  })),
  record: { takes: 92, tried: 145 },
  accepted: { takes: 215, tried: 298 },
  flying: FLYING,
  known: [],
  laying_d: 14,
  plays: 10_000,
  seed: 1,
};

/** Twenty-six weeks, 200 rooms, 12 lots, and all that limits a season. */
const whole: SeasonQuestion = {
  from: '2026-04-01',
  to: '2026-09-29',
  lots: Array.from({ length: 12 }, (_, at) => ({
    name: `lot ${at}`,
    queens: 18 + ((at * 7) % 25),
    by: plusDays('2026-06-01', 11 * at),
    value: 24 + ((at * 5) % 13),
  })),
  compartments: [
    { count: 120, from: '2026-04-20', to: '2026-10-15' },
    { count: 80, from: '2026-05-25', to: '2026-10-15' },
  ],
  weekdays: [1, 2, 3, 4, 5],
  cells: { least: 5, most: 45 },
  rate: 0.65,
  take_d: 40,
  spells: [{ from: '2026-08-05', rate: 0.5, take_d: 42 }],
  bank: { days: 14, places: 40 },
  roomWait_d: 14,
  donors: { count: 2, days: 4 },
  starters: { count: 1, days: 2 },
  finishers: { cells: 96, days: 10 },
  incubator: { places: 40 },
  helpers: [
    { name: 'one', hours: 20, away: [{ from: '2026-07-06', to: '2026-07-19' }] },
    { name: 'other', hours: 8, away: [] },
  ],
  work: { round_h: 3, cell_h: 0.2, queen_h: 0.25 },
  cost: { round: 20, cell: 0.5, bankDay: 0.1 },
};
const GAP_PCT = 3;

export async function roundFigures(): Promise<Figure[]> {
  const started = performance.now();
  const { objective, bound } = await subjects.season.compute(whole);
  const took_s = (performance.now() - started) / 1_000;
  const gap = (100 * (bound - objective)) / bound;
  const played = await medianMs(3, () => seasonOdds(odds));
  return [
    {
      what: 'the odds of a season of twelve rounds, played 10,000 times',
      ours: played,
      baseline: 2_000,
      unit: 'ms',
      against: 'the bound',
      holds: played <= 2_000,
      wanted: 'within 2 s',
    },
    {
      what: '26 weeks, 200 rooms, 12 lots with all limits: how far the plan may lie from the best',
      ours: gap,
      baseline: GAP_PCT,
      unit: '%',
      against: 'the bound',
      holds: gap <= GAP_PCT,
      wanted: `within ${GAP_PCT} %`,
    },
    {
      what: 'the same, until it is told',
      ours: took_s,
      baseline: 10,
      unit: 's',
      against: 'the bound',
      holds: took_s <= 10,
      wanted: 'within 10 s',
    },
  ];
}
