import type {
  CellsTo,
  CombContent,
  Condition,
  Confidence,
  FailReason,
  Feed,
  FramePurpose,
  QueenFate,
  ShortCheck,
  Slot,
  Status,
  Trouble,
} from '@yellow-cell/contract';

export const statusWords: Readonly<Record<Status, string>> = {
  empty: 'empty',
  stocked: 'stocked, no queen',
  cellGiven: 'cell given',
  virgin: 'virgin',
  caged: 'caged queen',
  laying: 'laying',
  proven: 'proven',
  queenright: 'queenright',
  failed: 'failed',
  unknown: 'unknown',
};

export const failWords: Readonly<Record<FailReason, string>> = {
  cellNotOpened: 'cell not opened',
  virginLost: 'virgin lost',
  droneLayer: 'drone layer',
  layingWorkers: 'laying workers',
  absconded: 'absconded',
  robbed: 'robbed',
  starved: 'starved',
  queenKilled: 'queen killed on introduction',
  smothered: 'smothered, or dead of heat',
  superseded: 'superseded',
  unknown: 'reason unknown',
};

export const cellsToWords: Readonly<Record<CellsTo, string>> = {
  finisher: 'to the finisher',
  incubator: 'to the incubator',
  bank: 'to the bank',
  discarded: 'discarded',
};

export const fateWords: Readonly<Record<QueenFate, string>> = {
  sold: 'sold',
  bank: 'to the bank',
  colony: 'to a colony',
  culled: 'culled',
  died: 'died',
  aside: 'put aside',
};

/** What a box or a part is like. */
export const conditionWords: Readonly<Record<Condition, string>> = {
  new: 'new',
  good: 'good',
  worn: 'worn',
  broken: 'broken',
  toClean: 'to be cleaned',
};

export const feedWords: Readonly<Record<Feed, string>> = {
  syrup11: 'syrup 1:1',
  syrup21: 'syrup 2:1',
  fondant: 'fondant',
  patty: 'patty',
  drySugar: 'dry sugar',
  storesFrame: 'stores in the comb',
};

export const confidenceWords: Readonly<Record<Confidence, string>> = {
  hunch: 'a hunch',
  likely: 'likely',
  sure: 'nearly sure',
};

/** What stands in a frame's place. */
export const holdsWords: Readonly<Record<Slot['holds'], string>> = {
  comb: 'comb',
  feeder: 'feeder',
  grafts: 'graft bar',
  bank: 'bank frame',
  display: 'display frame',
};

export const troubleWords: Readonly<Record<Trouble, string>> = {
  robbing: 'robbing',
  wasps: 'wasps',
  beetles: 'beetles',
  chalk: 'chalk brood',
  deformedWings: 'deformed wings',
  mites: 'mites',
  dysentery: 'dysentery',
};

export const combWords: Readonly<Record<CombContent, string>> = {
  eggs: 'eggs',
  openBrood: 'open brood',
  sealed: 'sealed brood',
  drone: 'drone brood',
  stores: 'stores',
  pollen: 'pollen',
  partDrawn: 'part drawn',
  foundation: 'foundation',
};

export const purposeWords: Readonly<Record<FramePurpose, string>> = {
  equalise: 'to equalise',
  stock: 'to stock',
  reduce: 'to reduce',
  show: 'to be shown',
  graft: 'for a graft',
  search: 'to be searched',
  other: 'moved',
};

/** The short check, in its order. */
export const shortCheckWords: Readonly<Record<ShortCheck, string>> = {
  strips: 'strips',
  lookedDown: 'a look down',
  floor: 'floor',
  closed: 'lid closed',
  strapped: 'strap or weight',
};
