import type { Condition, FailReason, Feed, QueenFate, Status } from '@yellow-cell/contract';

export const statusWords: Readonly<Record<Status, string>> = {
  empty: 'empty',
  stocked: 'stocked, no queen',
  cellGiven: 'cell given',
  virgin: 'virgin',
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
  superseded: 'superseded',
  unknown: 'reason unknown',
};

export const fateWords: Readonly<Record<QueenFate, string>> = {
  sold: 'sold',
  bank: 'to the bank',
  colony: 'to a colony',
  culled: 'culled',
  died: 'died',
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
