import { constant } from './constant.ts';

const estimate = 'Our estimate';

/** How a small colony grows and shrinks from day to day, and how far that may be believed. */
export const growingConstants = {
  diesHive: constant(0.004, 'share/day', estimate, [0, 0.1], 'Of young bees so many die on a day'),
  diesField: constant(0.04, 'share/day', estimate, [0, 0.3], 'Of bees that fly so many die on a day'),
  diesOld: constant(0.15, 'share/day', estimate, [0.01, 1], 'Of old bees so many die on a day'),
  flies_d: constant(21, 'days', 'Development', [10, 34], 'A bee flies from this age'),
  old_d: constant(35, 'days', 'Development', [22, 59], 'In season a bee is old from this age'),
  beesUse_kgDay: constant(
    0.1,
    'kg a day',
    estimate,
    [0.02, 0.5],
    'Stores that a kilogram of bees uses for itself, the brood that it rears apart',
  ),
  broodUse_g: constant(0.15, 'g', estimate, [0.05, 0.5], 'Stores that rear a cell of brood'),
  eggsMost: constant(1_500, 'eggs a day', 'Development', [100, 3_000], 'What a queen lays at most'),
  broodToBee: constant(
    1.4,
    'cells to a bee',
    estimate,
    [0.3, 4],
    'Brood that the bees of a small colony keep warm at most',
  ),
  eggsToBee: constant(
    0.12,
    'eggs a day to a bee',
    estimate,
    [0.02, 1],
    'Eggs whose brood the young bees can feed at most',
  ),
  sealedShare: constant(0.7, 'share', estimate, [0.2, 1], 'Of a frame of sealed brood so much is brood'),
  frameBees: constant(
    0.8,
    'share',
    estimate,
    [0.2, 1],
    'Of a frame that hangs in with bees they cover so much',
  ),
  storesShare: constant(
    0.25,
    'share',
    estimate,
    [0.05, 0.6],
    'Of the combs of bees that are kept in stores so much is full; brood needs the rest',
  ),
  lowShare: constant(
    0.1,
    'share',
    estimate,
    [0.02, 0.5],
    'A small room never holds the reserve of a large one: it runs low below this share of its combs',
  ),
  strengthAhead_d: constant(45, 'days', estimate, [7, 90], 'A strength is reckoned so far ahead'),
  strengthStale_d: constant(75, 'days', estimate, [14, 180], 'What was known of it is of no use after'),
  strengthSpread: constant(
    0.55,
    'share',
    estimate,
    [0.2, 1],
    'Less sure than this no strength is shown as getting: its band grows no wider',
  ),
} as const;
