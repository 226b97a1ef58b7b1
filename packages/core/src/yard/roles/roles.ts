import type { DueKind, EventKind, Role, RoomRole, Status } from '@yellow-cell/contract';

/**
 * What follows from what a room serves as (handbook 8): the one table that lists, buttons, rules and warnings read,
 * printed in docs/models.md. What is neither offered nor warned about can be entered all the same, and is silent.
 */
export interface RoleRow {
  name: string;
  /** What such a room is there for, in a line. */
  why: string;
  /** One or two letters on the map, beside the sign of its status; none for the usual. */
  sign: string;
  /** Statuses that such a room usually has. */
  statuses: readonly Status[];
  /** What is likely to be entered, likeliest first; the large button is the first that the status allows. */
  offers: readonly EventKind[];
  /** Work that its rules raise; all other rules are silent in it. */
  raises: readonly DueKind[];
  /** Entries that do harm in such a room, with why. */
  warns: Readonly<Partial<Record<EventKind, string>>>;
}

/** What any bees may leave open: strips in them, something lifted off, out or suspected. */
const OPEN_ENDS = [
  'stripsOut',
  'coverOn',
  'outingBack',
  'queenBack',
  'framesBack',
  'settleSuspicion',
  'seeTrouble',
  'closeHoles',
  'nextStep',
  'prepareWinter',
  'feedWinter',
] as const satisfies readonly DueKind[];
const FED = ['refillFeed', 'feedWeak'] as const satisfies readonly DueKind[];
const FLIES = ['openEntrance', 'feedShut'] as const satisfies readonly DueKind[];
const STRENGTH = ['crowded', 'weak'] as const satisfies readonly DueKind[];
const QUEEN = [
  'seeEvidence',
  'checkIntroduction',
  'treat',
  'mitesHigh',
] as const satisfies readonly DueKind[];
const ATTEMPT = [
  'giveCell',
  'searchWildCells',
  'checkOpening',
  'markUnlike',
  'lookForEggs',
  'declareFailed',
  'scorePattern',
  'harvest',
  'settleFailed',
  'lookAfterCombining',
] as const satisfies readonly DueKind[];

const MATING = [
  'stocked',
  'cellGiven',
  'cellOpened',
  'eggsSeen',
  'patternScored',
  'queenTaken',
  'failed',
  'combined',
] as const satisfies readonly EventKind[];
const KEPT = [
  'eggsSeen',
  'strengthSeen',
  'fed',
  'patternScored',
  'queenTaken',
  'combined',
  'failed',
] as const satisfies readonly EventKind[];

const TORN_DOWN = 'Her queen tears a cell down, or a virgin slips through the excluder to her.';

export const roles: Readonly<Record<Role, RoleRow>> = {
  mating: {
    name: 'mating',
    why: 'A cell or a virgin is given, mates from here, and is taken once she is proven.',
    sign: '',
    statuses: ['stocked', 'cellGiven', 'virgin', 'caged', 'laying', 'proven', 'failed', 'unknown'],
    offers: MATING,
    raises: [...OPEN_ENDS, ...FED, ...FLIES, ...STRENGTH, ...QUEEN, ...ATTEMPT, 'reduce', 'frost'],
    warns: {},
  },
  donor: {
    name: 'donor',
    why: 'The queen whose larvae are grafted, confined beside bees that fly for her.',
    sign: 'D',
    statuses: ['queenright', 'laying', 'proven', 'unknown'],
    offers: ['framesMoved', 'queenSeen', 'eggsSeen', 'fed', 'strengthSeen', 'queenTaken', 'failed'],
    raises: [...OPEN_ENDS, ...FED, ...FLIES, ...QUEEN, 'weak', 'donorComb', 'frost'],
    warns: { cellGiven: `The donor is here. ${TORN_DOWN}` },
  },
  flying: {
    name: 'flying side',
    why: 'The donor’s bees fly from here; they feed her through the excluder.',
    sign: 'F',
    statuses: ['queenright', 'stocked', 'unknown'],
    offers: ['fed', 'strengthSeen', 'framesMoved', 'wildCellsSearched'],
    raises: [...OPEN_ENDS, ...FED, ...FLIES, 'weak'],
    warns: {
      cellGiven: `These are the bees of the donor beside them. ${TORN_DOWN}`,
      queenGiven: 'These are the bees of the donor beside them: they have a queen.',
    },
  },
  starter: {
    name: 'starter',
    why: 'Queenless bees, closed in and crowded, that accept grafts; shut on purpose, and fed once the grafts are in.',
    sign: 'St',
    statuses: ['stocked', 'unknown', 'failed'],
    offers: ['framesMoved', 'strengthSeen', 'fed', 'combined'],
    raises: [
      'stripsOut',
      'framesBack',
      'seeTrouble',
      'settleSuspicion',
      'coverOn',
      'workStarter',
      'nextStep',
    ],
    warns: {
      cellGiven: 'A ripe cell emerges among the grafts: its virgin tears them down.',
      queenGiven: 'With a queen among them these bees start no grafts.',
      entranceSet: 'A closed starter is shut on purpose; open it once its grafts have gone to the finisher.',
    },
  },
  finisher: {
    name: 'finisher',
    why: 'A strong colony that feeds the started cells until they are sealed or ripe.',
    sign: 'Fi',
    statuses: ['queenright', 'laying', 'proven', 'stocked', 'unknown'],
    offers: ['framesMoved', 'wildCellsSearched', 'strengthSeen', 'fed'],
    raises: [
      ...OPEN_ENDS,
      ...FED,
      ...FLIES,
      ...QUEEN,
      'weak',
      'searchWildCells',
      'lookAfterCombining',
      'careFinisher',
    ],
    warns: {
      cellGiven: 'A ripe cell emerges here among the cells that are being fed; its virgin tears them down.',
    },
  },
  bank: {
    name: 'bank',
    why: 'Nurses without a free queen that keep caged, mated queens.',
    sign: 'Bk',
    statuses: ['stocked', 'unknown', 'failed'],
    offers: ['queenGiven', 'queenTaken', 'framesMoved', 'wildCellsSearched', 'fed', 'strengthSeen'],
    raises: [...OPEN_ENDS, ...FED, ...FLIES, 'weak', 'reloadBank', 'treat'],
    warns: {
      cellGiven: 'A virgin that emerges in a bank ends its caged queens.',
    },
  },
  father: {
    name: 'father colony',
    why: 'Raises drones of a line, that fly when the virgins do.',
    sign: 'Fa',
    statuses: ['queenright', 'laying', 'proven', 'unknown'],
    offers: KEPT,
    raises: [...OPEN_ENDS, ...FED, ...FLIES, ...STRENGTH, ...QUEEN],
    warns: { cellGiven: 'A father colony keeps the queen whose drones are wanted.' },
  },
  shown: {
    name: 'shown',
    why: 'Bees and their queen behind glass, for hours.',
    sign: 'Sh',
    statuses: ['queenright', 'laying', 'proven', 'stocked', 'unknown'],
    offers: ['outingLeft', 'outingReturned', 'queenSeen', 'fed', 'strengthSeen'],
    raises: [...OPEN_ENDS, ...FED, ...QUEEN, 'openEntrance', 'weak'],
    warns: {},
  },
  changing: {
    name: 'changing format',
    why: 'Moves from one frame to another: the queen is put above, the combs below run empty.',
    sign: 'Ch',
    statuses: ['queenright', 'laying', 'proven', 'unknown'],
    offers: ['fed', 'queenSeen', 'framesMoved', 'strengthSeen', 'eggsSeen'],
    raises: [...OPEN_ENDS, ...FED, ...FLIES, ...QUEEN, 'weak', 'lookAfterCombining'],
    warns: { cellGiven: `Its queen goes above an excluder. ${TORN_DOWN}` },
  },
  growing: {
    name: 'growing',
    why: 'A colony with its queen that is to become strong.',
    sign: 'G',
    statuses: [
      'queenright',
      'laying',
      'proven',
      'caged',
      'stocked',
      'cellGiven',
      'virgin',
      'failed',
      'unknown',
    ],
    offers: [...KEPT, 'stocked', 'cellGiven', 'cellOpened'],
    raises: [...OPEN_ENDS, ...FED, ...FLIES, ...STRENGTH, ...QUEEN, ...ATTEMPT, 'reduce', 'expand', 'frost'],
    warns: {},
  },
  wintering: {
    name: 'wintering',
    why: 'A small colony fitted to its bees, with its stores, until spring.',
    sign: 'W',
    statuses: ['queenright', 'laying', 'proven', 'unknown', 'failed'],
    offers: ['strengthSeen', 'fed', 'weighed', 'eggsSeen', 'combined', 'failed'],
    raises: [
      ...OPEN_ENDS,
      ...FED,
      ...FLIES,
      ...QUEEN,
      'weak',
      'lookForEggs',
      'declareFailed',
      'scorePattern',
      'settleFailed',
      'lookAfterCombining',
      'reduce',
      'expand',
    ],
    warns: {},
  },
  stores: {
    name: 'stores',
    why: 'Sealed combs kept for stocking.',
    sign: 'Hs',
    statuses: ['empty', 'unknown'],
    offers: ['framesMoved'],
    raises: ['stripsOut', 'framesBack', 'seeTrouble', 'nextStep'],
    warns: { cellGiven: 'Combs of stores have no bees to warm a cell.' },
  },
};

export const roleName = (role: RoomRole): string => (role === 'empty' ? 'empty' : roles[role].name);

/** Strips, and a queen put aside, outlast the bees that they were with. */
const RAISED_IN_EMPTY: readonly DueKind[] = ['stripsOut', 'framesBack', 'queenBack'];

/** Whether a rule may raise work in a room of this role. */
export const raisesIn = (role: RoomRole, kind: DueKind): boolean =>
  (role === 'empty' ? RAISED_IN_EMPTY : roles[role].raises).includes(kind);

/** How an entry is met in a room of this role. */
export const metIn = (role: Role, kind: EventKind): 'offered' | 'warned' | 'silent' =>
  roles[role].warns[kind] !== undefined ? 'warned' : roles[role].offers.includes(kind) ? 'offered' : 'silent';

/** The table as Markdown, for docs/models.md; a test holds the two together. */
export function roleTable(): string {
  const rows = (Object.keys(roles) as Role[]).map((role) => {
    const { name, statuses, offers, raises, warns } = roles[role];
    return `| ${name} | ${statuses.join(', ')} | ${offers.join(', ')} | ${raises.join(', ')} | ${Object.keys(warns).join(', ') || 'none'} |`;
  });
  return [
    '| role | statuses | offered | work raised | warned about |',
    '|---|---|---|---|---|',
    ...rows,
  ].join('\n');
}
