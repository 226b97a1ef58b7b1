import type { Colony } from '@yellow-cell/contract';
import { later, plusDays } from '../../calendar/days.ts';
import { showDay } from '../../calendar/showDay.ts';
import { countOf } from '../../say/words.ts';
import type { Rule } from './expectation.ts';
import { cellDay, failBy, lastRecord, lostDays, putOff, unknownDays } from './weather.ts';

/** From the cell given to the queen taken. */
const giveCell: Rule = {
  kind: 'giveCell',
  title: 'Give a ripe cell',
  why: 'A compartment without a queen takes a cell after a day, and dwindles if it waits.',
  source: 'Giving cells',
  figures: ['giveCellFrom_d', 'giveCellTo_d'],
  raise: ({ colony, constants }) => {
    if (colony.status !== 'stocked') return undefined;
    const from = plusDays(colony.since, constants.giveCellFrom_d);
    return {
      from,
      expected: from,
      to: plusDays(colony.since, constants.giveCellTo_d),
      reason: `Without a queen since ${showDay(colony.since)}. After a day they take a ripe cell; left longer they dwindle or raise their own.`,
    };
  },
};

const searchWildCells: Rule = {
  kind: 'searchWildCells',
  title: 'Search for wild cells',
  why: 'Open brood among the frames lets the bees raise a queen of their own.',
  source: 'Whose daughter',
  figures: ['wildCellsFrom_d', 'wildCellsTo_d', 'wildCellsAgain_d'],
  raise: ({ colony, constants }) => {
    const { searched } = colony;
    if (searched?.left)
      return {
        from: plusDays(searched.on, constants.wildCellsAgain_d),
        expected: plusDays(searched.on, constants.wildCellsAgain_d),
        to: plusDays(searched.on, constants.wildCellsAgain_d + 2),
        reason: `${countOf(searched.left, 'wild cell was', 'wild cells were')} left ${showDay(searched.on)}, to be looked at again: torn down, or let emerge and written down as of these bees.`,
      };
    const from = plusDays(colony.stockedOn, constants.wildCellsFrom_d);
    const done = colony.searched !== undefined && colony.searched.on >= from;
    if (!colony.openBrood || done || colony.status === 'laying' || colony.status === 'proven')
      return undefined;
    return {
      from,
      expected: plusDays(from, 1),
      to: plusDays(colony.stockedOn, constants.wildCellsTo_d),
      reason: `Stocked ${showDay(colony.stockedOn)} with open brood, from which bees can raise a queen of their own.`,
      lapses: true,
    };
  },
};

const checkOpening: Rule = {
  kind: 'checkOpening',
  title: 'Check that the cell opened',
  why: 'How a cell opened tells whether a virgin came of it.',
  source: 'Watching a compartment',
  figures: ['openingFrom_d', 'openingExpected_d', 'openingTo_d'],
  raise: ({ colony, attempt, constants }) => {
    if (colony.status !== 'cellGiven' || !attempt) return undefined;
    return {
      from: plusDays(attempt.givenOn, constants.openingFrom_d),
      expected: plusDays(attempt.givenOn, constants.openingExpected_d),
      to: plusDays(attempt.givenOn, constants.openingTo_d),
      reason: `Cell given ${showDay(attempt.givenOn)}. Opened at the tip with a hinged lid is good; torn at the side is not. Do not look for the virgin.`,
    };
  },
};

const lookForEggs: Rule = {
  kind: 'lookForEggs',
  title: 'Look for eggs',
  why: 'Eggs are the first proof that she mated; days without flying weather put them off.',
  source: 'Watching a compartment',
  figures: ['eggsFrom_d', 'eggsExpected_d', 'eggsTo_d', 'flightsFrom_d', 'flyingDay_h'],
  raise: ({ colony, attempt, weather, constants }) => {
    if (!awaitsEggs(colony) || !attempt) return undefined;
    const day = (count: number) => putOff(attempt, count, weather, constants);
    const delay = lostDays(attempt, constants.eggsExpected_d, weather, constants);
    const pushed = delay === 0 ? '' : ` ${countOf(delay, 'day')} without flying weather put this off.`;
    const last = lastRecord(weather);
    const unknown = last === undefined ? 0 : unknownDays(attempt, plusDays(last, 1), weather, constants);
    const open =
      unknown === 0 ? '' : ` Of ${countOf(unknown, 'day')} since she could fly the weather is not known.`;
    return {
      from: day(constants.eggsFrom_d),
      expected: day(constants.eggsExpected_d),
      to: day(constants.eggsTo_d),
      reason: `${attempt.what === 'virgin' ? 'Virgin' : 'Cell'} given ${showDay(attempt.givenOn)}; eggs are usual ${constants.eggsFrom_d} to ${constants.eggsTo_d} days later.${pushed}${open} Not between 11 and 17 h by the sun: she may be out.`,
    };
  },
};

const declareFailed: Rule = {
  kind: 'declareFailed',
  title: 'Failed if still no eggs',
  why: 'A virgin that does not lay by then will not.',
  source: 'Watching a compartment',
  figures: ['failedBy_d', 'failedByLatest_d'],
  raise: ({ colony, attempt, weather, constants }) => {
    if (!awaitsEggs(colony) || !attempt) return undefined;
    const by = failBy(attempt, weather, constants);
    return {
      from: by,
      expected: by,
      to: by,
      reason: `No eggs by ${showDay(by)}: failed. Each day without flying weather put it off by one, to day ${constants.failedByLatest_d} at most.`,
    };
  },
};

const scorePattern: Rule = {
  kind: 'scorePattern',
  title: 'Score the pattern and mark her',
  why: 'Sealed worker brood in a solid patch tells a good queen.',
  source: 'Watching a compartment',
  figures: ['scoreFrom_d', 'scoreTo_d', 'workerSealed_d'],
  raise: ({ colony, attempt, constants }) => {
    if (colony.status !== 'laying' || !attempt?.layingOn) return undefined;
    const from = later(
      plusDays(cellDay(attempt), constants.scoreFrom_d),
      plusDays(attempt.layingOn, constants.workerSealed_d),
    );
    return {
      from,
      expected: plusDays(from, 1),
      to: plusDays(from, constants.scoreTo_d - constants.scoreFrom_d),
      reason: `Eggs seen ${showDay(attempt.layingOn)}; sealed worker brood, flat and in a solid patch, tells a good queen.`,
    };
  },
};

const harvest: Rule = {
  kind: 'harvest',
  title: 'Ready to be taken',
  why: 'A queen that has laid for two or three weeks is accepted well.',
  source: 'Season',
  figures: ['harvestFrom_d', 'harvestExpected_d', 'harvestTo_d'],
  raise: ({ colony, attempt, constants }) => {
    if (colony.status !== 'proven' || !attempt?.layingOn) return undefined;
    return {
      from: plusDays(attempt.layingOn, constants.harvestFrom_d),
      expected: plusDays(attempt.layingOn, constants.harvestExpected_d),
      to: plusDays(attempt.layingOn, constants.harvestTo_d),
      reason: `Laying since ${showDay(attempt.layingOn)}; ${constants.harvestFrom_d} days at least, better ${constants.harvestExpected_d}, and she is accepted well.`,
    };
  },
};

const settleFailed: Rule = {
  kind: 'settleFailed',
  title: 'Give a new cell or combine',
  why: 'Bees without a queen dwindle.',
  source: 'Watching a compartment',
  figures: ['afterFailure_d'],
  raise: ({ colony, constants }) => {
    if (colony.status !== 'failed') return undefined;
    return {
      from: colony.since,
      expected: colony.since,
      to: plusDays(colony.since, constants.afterFailure_d),
      reason: `Failed ${showDay(colony.since)}. A new cell with a frame of sealed brood, or combine; they dwindle.`,
    };
  },
};

const lookAfterCombining: Rule = {
  kind: 'lookAfterCombining',
  title: 'Look again after combining',
  why: 'Bees that dislike the new smell may raise a wild cell.',
  source: 'Rules that raise work',
  figures: ['afterCombining_d'],
  raise: ({ colony, constants }) => {
    if (!colony.combinedOn) return undefined;
    const on = plusDays(colony.combinedOn, constants.afterCombining_d);
    if (colony.searched && colony.searched.on > plusDays(colony.combinedOn, 2)) return undefined;
    return {
      from: on,
      expected: on,
      to: plusDays(on, 2),
      reason: `Combined ${showDay(colony.combinedOn)}; bees that dislike the new smell may raise a wild cell.`,
      lapses: true,
    };
  },
};

const awaitsEggs = ({ status }: Colony): boolean => status === 'cellGiven' || status === 'virgin';

const markUnlike: Rule = {
  kind: 'markUnlike',
  title: 'Mark the entrances unlike',
  why: 'A queen back from mating that enters at her neighbour’s is killed there.',
  source: 'Finding home',
  figures: ['flightsFrom_d'],
  raise: ({ colony, attempt, compartment, constants }) => {
    if (!awaitsEggs(colony) || !attempt || !compartment.takenForAnother) return undefined;
    const flies = plusDays(cellDay(attempt), constants.flightsFrom_d);
    return {
      from: attempt.givenOn,
      expected: attempt.givenOn,
      to: flies,
      reason: `Its entrance is easily taken for another of this box; she flies from ${showDay(flies)}.`,
      lapses: true,
    };
  },
};

export const attemptRules: readonly Rule[] = [
  markUnlike,
  giveCell,
  searchWildCells,
  checkOpening,
  lookForEggs,
  declareFailed,
  scorePattern,
  harvest,
  settleFailed,
  lookAfterCombining,
];
