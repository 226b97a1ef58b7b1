import { z } from 'zod';

/** What a compartment is, from empty to done (handbook: words). */
export const Status = z.enum([
  'empty',
  'stocked',
  'cellGiven',
  'virgin',
  'laying',
  'proven',
  'queenright',
  'failed',
  'unknown',
]);
export type Status = z.infer<typeof Status>;

export const FailReason = z.enum([
  'cellNotOpened',
  'virginLost',
  'droneLayer',
  'layingWorkers',
  'absconded',
  'robbed',
  'starved',
  'queenKilled',
  'superseded',
  'unknown',
]);
export type FailReason = z.infer<typeof FailReason>;

export const QueenFate = z.enum(['sold', 'bank', 'colony', 'culled', 'died']);
export type QueenFate = z.infer<typeof QueenFate>;

/** What is fed: syrup by its sugar to water, and solid feed. */
export const Feed = z.enum(['syrup11', 'syrup21', 'fondant', 'patty', 'drySugar', 'storesFrame']);
export type Feed = z.infer<typeof Feed>;

/** Work that a colony expects. */
export const DueKind = z.enum([
  'giveCell',
  'searchWildCells',
  'checkOpening',
  'lookForEggs',
  'declareFailed',
  'scorePattern',
  'harvest',
  'settleFailed',
  'lookAfterCombining',
  'openEntrance',
  'refillFeed',
  'stripsOut',
]);
export type DueKind = z.infer<typeof DueKind>;
