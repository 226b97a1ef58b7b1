/**
 * Every figure of judgement in one registry. Functions take a `Constants` record as an argument, so that
 * a yard may have its own and a stored judgement can keep those it was made with.
 */
interface Constant {
  value: number;
  unit: string;
  /** Where the default comes from: the project's handbook, by chapter. */
  source: string;
  range: readonly [number, number];
  meaning: string;
}

const watching = 'Handbook 5, watching a compartment';
const words = 'Handbook 1, words';

export const registry = {
  giveCellFrom_d: constant(
    1,
    'days from stocking',
    'Handbook 5, giving cells',
    [0, 5],
    'First day a stocked compartment takes a cell',
  ),
  giveCellTo_d: constant(
    3,
    'days from stocking',
    'Handbook 5, giving cells',
    [1, 10],
    'Last good day to give it one',
  ),
  wildCellsFrom_d: constant(
    5,
    'days from stocking',
    'Handbook 5, whose daughter',
    [3, 10],
    'First day to search for wild cells',
  ),
  wildCellsTo_d: constant(
    8,
    'days from stocking',
    'Handbook 5, whose daughter',
    [4, 14],
    'Last day to search for wild cells',
  ),
  openingFrom_d: constant(
    2,
    'days from cell given',
    watching,
    [1, 5],
    'First day to check that the cell opened',
  ),
  openingExpected_d: constant(3, 'days from cell given', watching, [1, 6], 'Expected day for that check'),
  openingTo_d: constant(4, 'days from cell given', watching, [2, 8], 'Last day for that check'),
  flightsFrom_d: constant(6, 'days from cell given', watching, [5, 10], 'First day she may fly to mate'),
  eggsFrom_d: constant(12, 'days from cell given', watching, [8, 20], 'First day to look for eggs'),
  eggsExpected_d: constant(14, 'days from cell given', watching, [10, 24], 'Expected day of eggs'),
  eggsTo_d: constant(16, 'days from cell given', watching, [12, 28], 'Day by which eggs are usual'),
  failedBy_d: constant(21, 'days from cell given', watching, [16, 35], 'No eggs by then: failed'),
  failedByLatest_d: constant(
    30,
    'days from cell given',
    watching,
    [21, 45],
    'Weather puts that off to this day at most',
  ),
  flyingDay_h: constant(2, 'hours', watching, [0.5, 5], 'Hours of flying weather that make a flying day'),
  scoreFrom_d: constant(21, 'days from cell given', watching, [16, 30], 'First day to score the pattern'),
  scoreTo_d: constant(24, 'days from cell given', watching, [18, 40], 'Last good day for the first score'),
  workerSealed_d: constant(9, 'days from egg', 'Handbook 5, development', [8, 10], 'Worker brood is sealed'),
  harvestFrom_d: constant(14, 'days from first eggs', watching, [7, 28], 'Least laying before she is taken'),
  harvestExpected_d: constant(
    21,
    'days from first eggs',
    watching,
    [10, 35],
    'Better laying before she is taken',
  ),
  harvestTo_d: constant(
    28,
    'days from first eggs',
    watching,
    [14, 60],
    'By then her compartment waits for the next cell',
  ),
  afterFailure_d: constant(
    7,
    'days from failing',
    'Handbook 5, watching a compartment',
    [1, 21],
    'A failed compartment gets a cell or is combined',
  ),
  afterCombining_d: constant(
    7,
    'days from combining',
    'Handbook 6, rules that raise work',
    [5, 10],
    'Look again for a wild cell',
  ),
  earliestOwnEggs_d: constant(
    19,
    'days from graft',
    'Handbook 5, whose daughter',
    [16, 22],
    'Eggs before this are of another queen',
  ),
  cellToRipe_d: constant(
    10,
    'days from graft',
    'Handbook 5, development',
    [9, 11],
    'Cells are ripe and moved',
  ),
  intervalShare: constant(0.9, 'share', words, [0.5, 0.99], 'Share of the interval shown beside a take rate'),
} as const;

export type ConstantName = keyof typeof registry;
export type Constants = Readonly<Record<ConstantName, number>>;

export const defaultConstants: Constants = Object.freeze(
  Object.fromEntries(Object.entries(registry).map(([name, { value }]) => [name, value])) as Record<
    ConstantName,
    number
  >,
);

/** The defaults with a yard's own values over them. Names that the registry does not know and values out of range are ignored. */
export function constantsWith(overrides: Readonly<Record<string, number>> = {}): Constants {
  const known = Object.entries(overrides).filter(
    ([name, value]) => constantProblem(name, value) === undefined,
  );
  return known.length === 0 ? defaultConstants : { ...defaultConstants, ...Object.fromEntries(known) };
}

/** One sentence where a constant cannot take this value, or undefined where it can. */
export function constantProblem(name: string, value: number): string | undefined {
  if (!(name in registry)) return `There is no constant named ${name}.`;
  const { range, unit, meaning } = registry[name as ConstantName];
  if (!(value >= range[0] && value <= range[1])) {
    return `${meaning}: ${value} ${unit} is outside ${range[0]} to ${range[1]}.`;
  }
  return undefined;
}

function constant(
  value: number,
  unit: string,
  source: string,
  range: readonly [number, number],
  meaning: string,
): Constant {
  return { value, unit, source, range, meaning };
}
