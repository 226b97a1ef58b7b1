import { z } from 'zod';

/** What a compartment is, from empty to done (handbook: words). */
export const Status = z.enum([
  'empty',
  'stocked',
  'cellGiven',
  'virgin',
  'caged',
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
  'smothered',
  'superseded',
  'unknown',
]);
export type FailReason = z.infer<typeof FailReason>;

/** What became of a queen that was taken out; `aside` is put away for a while, and goes back. */
export const QueenFate = z.enum(['sold', 'bank', 'colony', 'culled', 'died', 'aside']);
export type QueenFate = z.infer<typeof QueenFate>;

/** Where cells of a round go, once they are taken on. */
export const CellsTo = z.enum(['finisher', 'incubator', 'bank', 'discarded']);
export type CellsTo = z.infer<typeof CellsTo>;

/** What is fed: syrup by its sugar to water, and solid feed. */
export const Feed = z.enum(['syrup11', 'syrup21', 'fondant', 'patty', 'drySugar', 'storesFrame']);
export type Feed = z.infer<typeof Feed>;

/** What a room serves as (handbook: special roles). */
export const Role = z.enum([
  'mating',
  'donor',
  'flying',
  'starter',
  'finisher',
  'bank',
  'father',
  'shown',
  'changing',
  'growing',
  'wintering',
  'stores',
]);
export type Role = z.infer<typeof Role>;
/** With bees, what it serves as; without, it is empty. */
export type RoomRole = Role | 'empty';

/** What is wrong, as it is seen from outside or on the comb. */
export const Trouble = z.enum([
  'robbing',
  'wasps',
  'beetles',
  'chalk',
  'deformedWings',
  'mites',
  'dysentery',
]);
export type Trouble = z.infer<typeof Trouble>;

/** How mites were counted: bees washed, or rolled in sugar, and what fell off them; or what dropped on a board by itself. */
export const MiteMethod = z.enum(['wash', 'sugar', 'drop']);
export type MiteMethod = z.infer<typeof MiteMethod>;

/** What is seen of a queen that was introduced in a cage. */
export const Introduction = z.enum(['candy', 'released', 'refused']);
export type Introduction = z.infer<typeof Introduction>;

/** How sure a person is of what is not yet known. */
export const Confidence = z.enum(['hunch', 'likely', 'sure']);
export type Confidence = z.infer<typeof Confidence>;

/** Work that is led step by step (handbook: special roles). */
export const PlaybookName = z.enum([
  'holding',
  'closedStarter',
  'flyingStarter',
  'allInOne',
  'finisher',
  'bank',
  'shownFrame',
  'lifting',
  'standingGlass',
  'formatChange',
  'quarters',
  'carrying',
  'joining',
  'parting',
]);
export type PlaybookName = z.infer<typeof PlaybookName>;

/** What is done to a colony before winter. */
export const WinterAct = z.enum(['leave', 'feed', 'reduce', 'move', 'pair', 'combine']);
export type WinterAct = z.infer<typeof WinterAct>;

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
  'feedShut',
  'feedWeak',
  'crowded',
  'weak',
  'coverOn',
  'outingBack',
  'queenBack',
  'framesBack',
  'seeEvidence',
  'checkIntroduction',
  'settleSuspicion',
  'seeTrouble',
  'reloadBank',
  'careFinisher',
  'donorComb',
  'reduce',
  'expand',
  'treat',
  'markUnlike',
  'workStarter',
  'closeHoles',
  'mitesHigh',
  'nextStep',
  'frost',
  'prepareWinter',
  'feedWinter',
]);
export type DueKind = z.infer<typeof DueKind>;
