import type { BoxReadings, DailyWeight, Measure, RearingSeason, Round } from '@yellow-cell/contract';
import { plusDays } from '../../calendar/days.ts';
import { takeRate } from '../../mating/takeRate.ts';
import { incubatorOf } from '../../rounds/incubator.ts';
import { oddsAsked } from '../../rounds/oddsAsked.ts';
import { lotStates, roomsFor, roundViews } from '../../rounds/rearing.ts';
import { HABITS, SUMMER_FLIES, seasonOf } from '../../rounds/season.test.kit.ts';
import { roundsOfPlan, seasonAsked } from '../../rounds/seasonAsked.ts';
import { seasonOdds } from '../../rounds/seasonOdds.ts';
import { scaleUse } from '../../sensors/scale.ts';
import { flyingShares } from '../../weather/flyingShares.ts';
import { estimatedWinter } from '../../winter/estimatedClimate.ts';
import type { Constants } from '../registry.ts';
import type { Reckonings } from './reckoning.test.kit.ts';

const TODAY = '2026-05-31';
const NOW = `${TODAY}T20:00:00.000Z`;
const season: RearingSeason = seasonOf({
  rounds: [
    {
      id: 'r',
      number: 1,
      donor: 'Sable',
      graftedOn: '2026-05-20',
      grafts: 40,
      accepted: { on: '2026-05-21', cells: 30 },
    },
  ],
  lots: [{ id: 'l', name: 'A', queens: 30, by: '2026-07-20' }],
  outcomes: [],
  record: { takes: 14, tried: 20 },
  accepted: { cells: 70, grafts: 98 },
  rooms: Array.from({ length: 60 }, () => ({ freeFrom: '2026-05-01' })),
});
const INCUBATORS = [31, 33, 34.2, 34.7, 35.5, 38].map(
  (temperature, index) => [temperature, 25 + 12 * index] as const,
);
const inIncubator = {
  graftedOn: '2026-05-21',
  grafts: 20,
  moved: [{ on: TODAY, to: 'incubator', cells: 20 }],
} satisfies Partial<Round>;
const probed = (temperature_C: number, humidity_pct: number): BoxReadings => ({
  box: 'Incubator',
  latest: Object.entries({ temperature_C, humidity_pct }).map(([measure, value]) => ({
    box: 'Incubator',
    measure: measure as Measure,
    at: `${TODAY}T08:00:00.000Z`,
    value,
    raw: '',
    flag: null,
  })),
  setAside: [],
  silentSince: null,
});
const planned: Round = {
  id: 'p',
  number: 2,
  donor: 'Sable',
  graftedOn: '2026-06-05',
  grafts: 30,
  planned: true,
};
const losing = (loss_kg: number): DailyWeight[] =>
  Array.from({ length: 20 }, (_, day) => ({
    date: plusDays('2026-11-02', day),
    weight_kg: 40 - day * loss_kg + (day > 6 ? 0.2 : 0),
  }));
const onScale = (loss_kg: number) => (constants: Constants) =>
  scaleUse(
    { bees_kg: 1.5, ua_WK: 1.5, stores_kg: 14, months: estimatedWinter() },
    losing(loss_kg),
    constants,
  );

export const rounds: Reckonings = {
  'incubators of many kinds': (constants) =>
    INCUBATORS.map(([temperature, humidity]) =>
      incubatorOf(inIncubator, 0, [probed(temperature, humidity)], constants, TODAY, NOW),
    ),
  'an incubator that was read, its probe silent': (constants) =>
    incubatorOf(
      { ...inIncubator, incubated: { at: `${TODAY}T09:00:00.000Z`, temperature_C: 34.5 } },
      0,
      [{ ...probed(34.5, 60), silentSince: `${TODAY}T08:00:00.000Z` }],
      constants,
      TODAY,
      NOW,
    ),
  'rounds and lots': (constants) => {
    const views = roundViews(season, constants, TODAY);
    return [views, lotStates(season, views, roomsFor(season, views, constants, TODAY), TODAY)];
  },
  'the season asked': (constants) =>
    seasonAsked(season, { constants, today: TODAY, habits: HABITS, flying: SUMMER_FLIES }),
  'days that fly in each month': (constants) =>
    flyingShares([{ month: 5, known: 10, flew: 4 }], undefined, 48, constants),
  'the odds of the season': (constants) =>
    seasonOdds(oddsAsked(season, [planned], SUMMER_FLIES, constants, TODAY, 100)),
  'rounds planned': (constants) =>
    roundsOfPlan(
      { rounds: [{ graft: '2026-06-10', take: '2026-07-10', cells: 20 } as never] },
      season,
      'Sable',
      () => 'new',
      constants,
    ),
  'a take rate': ({ intervalShare }) => takeRate(14, 6, intervalShare),
  'a scale that loses little': onScale(0.05),
  'a scale that loses much': onScale(0.6),
};
