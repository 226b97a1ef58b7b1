import { constant } from './constant.ts';

/** What playbooks count and wait for (handbook 5 and 8). */
const starting = 'Starting cells';

export const leadingConstants = {
  starterBees_kg: constant(1.8, 'kg', starting, [0.5, 5], 'Bees of a closed starter, at least'),
  starterCells_kg: constant(50, 'cells/kg', starting, [10, 100], 'Cells that a kilogram of its bees starts'),
  starterMost: constant(120, 'cells', starting, [20, 200], 'Cells in a closed starter at most'),
  starterSecond_d: constant(
    1,
    'days',
    starting,
    [0.5, 3],
    'From its first grafts a second batch goes in after',
  ),
  flyingStarterMost: constant(45, 'cells', starting, [10, 90], 'Cells in a flying queenless starter at most'),
  allInOneMost: constant(15, 'cells', starting, [5, 40], 'Cells in an all-in-one box at most'),
  shaken: constant(0.85, 'share', 'How many bees', [0.5, 1], 'Bees of a frame that a sharp shake gives'),
  taken_d: constant(1, 'days from graft', starting, [0.5, 3], 'Cells that were taken on are counted from'),
  finisherFeed_d: constant(1, 'days', 'Finishing', [0.5, 3], 'Without a flow a finisher is fed every'),
  finisherCare_d: constant(
    7,
    'days',
    'Finishing',
    [4, 10],
    'A finisher gets young brood, and is searched, every',
  ),
  bankSearch_d: constant(7, 'days', 'Bank', [4, 10], 'A bank is searched for wild cells every'),
  bankAge_d: constant(21, 'days', 'Bank', [7, 60], 'A queen stays in a bank no longer than'),
  queenless_d: constant(
    1,
    'days',
    'Giving cells',
    [0.5, 3],
    'A bank is without a queen before its cages go in for',
  ),
  liftMost: constant(2, 'frames', 'Lifting observation', [1, 4], 'Frames lifted up at once at most'),
  liftMost_min: constant(60, 'minutes', 'Our estimate', [5, 240], 'Frames are up for so long at most'),
  drawnFrom_d: constant(10, 'days', 'Changing format', [5, 30], 'The middle frames above are drawn from'),
  drawnTo_d: constant(14, 'days', 'Changing format', [7, 40], 'and no later than'),
  emptyDrones_d: constant(
    24,
    'days',
    'Changing format',
    [22, 28],
    'Below the excluder drones have emerged after',
  ),
  changeSlack_d: constant(
    5,
    'days',
    'Our estimate',
    [0, 21],
    'Kept in hand before a colony on new frames is delivered',
  ),
  standingLook_d: constant(7, 'days', 'Standing glazed wall', [2, 21], 'A standing glass is looked to every'),
  sheKnown_d: constant(
    4,
    'days',
    'Our estimate',
    [1, 10],
    'Where she is counts as known since she or her eggs were seen for',
  ),
  partedLook_d: constant(
    7,
    'days',
    'Rules that raise work',
    [3, 14],
    'A part without a known queen is looked into after',
  ),
} as const;
