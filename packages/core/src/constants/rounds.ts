import { constant } from './constant.ts';

const estimate = 'Our estimate';

/** What a season of rounds is planned and played with. */
export const roundConstants = {
  roundLeast: constant(5, 'cells', 'Our estimate', [1, 60], 'Fewer ripe cells are not worth a round’s bees'),
  roundSurely: constant(
    0.8,
    'share',
    'Our estimate',
    [0.5, 0.99],
    'How surely as many larvae are taken on as a planned round has cells',
  ),
  lotSurely: constant(
    0.9,
    'share',
    'Our estimate',
    [0.5, 0.99],
    'More cells are proposed until a lot is this sure to be ready',
  ),
  incubatorLeast_C: constant(34, '°C', 'Giving cells', [32, 35], 'Cells in an incubator want at least'),
  incubatorMost_C: constant(35, '°C', 'Giving cells', [34, 37], 'Cells in an incubator bear at most'),
  incubatorLeast_pct: constant(50, '%', 'Giving cells', [30, 70], 'Air of an incubator, moist at least'),
  incubatorMost_pct: constant(70, '%', 'Giving cells', [55, 90], 'Air of an incubator, moist at most'),
  incubatorRead_h: constant(
    12,
    'hours',
    estimate,
    [1, 48],
    'So long what was read of an incubator stands in for its silent probe',
  ),
  roundsAlike: constant(
    15,
    'grafts',
    estimate,
    [1, 200],
    'What is known of all rounds says as much of the next one’s acceptance as so many of its own grafts',
  ),
  matesOnDay: constant(
    0.7,
    'share',
    estimate,
    [0.1, 1],
    'Of virgins that are old enough so many mate on a day that flies',
  ),
  weatherStays: constant(
    0.4,
    'share',
    estimate,
    [0, 0.9],
    'So often a day flies, or does not, because the day before it did; else by the time of the year',
  ),
  dryShare: constant(
    0.75,
    'share',
    estimate,
    [0.2, 1],
    'Of days that are warm enough so many are dry and calm enough to fly',
  ),
  strayDay_K: constant(
    4,
    'K',
    estimate,
    [1, 10],
    'How far the warmth of a day strays from that of its time of the year',
  ),
  climateWorth_d: constant(
    20,
    'days',
    estimate,
    [1, 400],
    'The climate counts as so many days of the yard’s own weather of a month',
  ),
  flyingEnds: constant(
    0.25,
    'share',
    estimate,
    [0.02, 0.8],
    'Months in which fewer days fly are no time for mating',
  ),
  lastMated_d: constant(
    35,
    'days',
    'Season',
    [0, 90],
    'So long before that time ends the last queens are to be mated',
  ),
  starterHolds_d: constant(2, 'days', estimate, [1, 14], 'A graft takes up its starter for'),
} as const;
