import type { Attempt, BoxState, Colony, DesignContent, FailReason } from '@yellow-cell/contract';
import { bayIdsOf } from '../../box/stack.ts';
import type { Day } from '../../calendar/days.ts';
import { showDay } from '../../calendar/showDay.ts';
import { drawnDesign, livingIn } from '../compartments.ts';
import { framesFor, settleRooms, withCareOf } from '../regroup.ts';
import { statusWords } from '../statusWords.ts';
import { statusAfter } from '../transitions.ts';
import { forgetFrames, takeAlong } from './framesAlong.ts';
import { givenInto } from './givenInto.ts';
import { attemptsQueen, CANNOT, colonyFor, observe, withLaying } from './observe.ts';
import { queensIn, reigning } from './queensIn.ts';
import {
  inRoom,
  livingColony,
  present,
  standingBox,
  type Tellers,
  type Telling,
  without,
} from './telling.ts';

type StatusKind =
  | 'stocked'
  | 'cellGiven'
  | 'cellOpened'
  | 'eggsSeen'
  | 'patternScored'
  | 'failed'
  | 'combined'
  | 'colonyMoved';

/** Reasons that leave the compartment without bees. */
const NO_BEES_LEFT: readonly FailReason[] = ['absconded', 'robbed', 'starved', 'smothered'];
/** Reasons after which the queen of the attempt may still be there. */
const QUEEN_LEFT: readonly FailReason[] = ['droneLayer', 'unknown'];
/** Bees by whether their queen came along. */
const HIVED = { none: 'stocked', laying: 'hivedLaying', unknown: 'hivedUnknown' } as const;
/** What an ended colony brings along, where the other has no queen of its own. */
const QUEENLESS: readonly Colony['status'][] = ['stocked', 'failed', 'unknown'];

/** Frames that are added to these change nothing of whose bees they are. */
const HAS_QUEEN_OR_CELL: readonly Colony['status'][] = [
  'cellGiven',
  'virgin',
  'caged',
  'laying',
  'proven',
  'queenright',
];

/** So many additions are kept with the colony as it stands. */
const STOCKS_KEPT = 6;

/** A colony that gave frames or bees rests for a while. */
function restGiver({ colonies }: Telling, of: { box: string; colony: string } | undefined, on: Day): void {
  const giver = of && colonies.get(of.colony);
  if (giver && !giver.ended && giver.box === of.box) colonies.set(giver.id, { ...giver, gaveOn: on });
}

export const statusTellers: Tellers<StatusKind> = {
  stocked(telling, { payload }, on) {
    const box = standingBox(telling.boxes, payload.box, on);
    if (typeof box === 'string') return box;
    const drawn = drawnDesign(telling.known.designs, box);
    const lacking = lackingBay(drawn, box, payload.bays);
    if (lacking) return lacking;
    const living = livingIn(telling.colonies, box);
    const meets = (bays: readonly string[]) => bays.some((bay) => payload.bays.includes(bay));
    const other = living.find(({ id, home }) => id !== payload.colony && meets(home));
    if (other)
      return `That compartment of box ${box.label} already holds bees, stocked ${showDay(other.stockedOn)}.`;
    const there = living.find(({ id, bays }) => id === payload.colony && meets(bays));
    if (!there && telling.colonies.has(payload.colony)) return 'That colony stands elsewhere.';
    const kind = HIVED[payload.queen ?? 'none'];
    const status = statusAfter(kind, there?.status ?? 'empty');
    if (status === undefined)
      return `The compartment is ${statusWords[there?.status ?? 'unknown']}; ${CANNOT[kind]}`;
    const { sealedBrood, stores } = payload.frames;
    const stocks = [...(there?.stocks ?? []), { on, sealedBrood, stores, shakes: payload.shakes }].slice(
      -STOCKS_KEPT,
    );
    // What is under way with bees that get frames goes on: strips above all are never forgotten.
    if (there && HAS_QUEEN_OR_CELL.includes(status)) {
      telling.colonies.set(there.id, {
        ...there,
        stocks,
        openBrood: there.openBrood || payload.openBrood,
        ...(payload.frames.sealedBrood > 0 ? { broodGivenOn: on } : {}),
      });
      restGiver(telling, payload.giver, on);
      return undefined;
    }
    const { attempt: _attempt, putOff: _putOff, ...goesOn } = there ?? {};
    telling.colonies.set(payload.colony, {
      ...goesOn,
      id: payload.colony,
      box: box.id,
      bays: payload.bays,
      home: there?.home ?? payload.bays,
      stockedOn: on,
      stocks,
      openBrood: payload.openBrood,
      ...(there && payload.frames.sealedBrood > 0 ? { broodGivenOn: on } : {}),
      status,
      since: on,
      ...present({ beesOf: there?.beesOf ?? payload.giver?.colony }),
    });
    if (!there) forgetFrames(telling, box, payload.bays);
    restGiver(telling, payload.giver, on);
    settleRooms(telling, box, on);
    return undefined;
  },

  cellGiven(telling, { payload }, on) {
    const found = colonyFor(telling, 'cellGiven', payload, on);
    if (typeof found === 'string') return found;
    if (telling.attempts.has(payload.attempt)) return 'That cell was already given.';
    const { colony, status } = found;
    const attempt: Attempt = {
      id: payload.attempt,
      colony: colony.id,
      box: colony.box,
      bays: colony.home,
      frames: framesFor(telling, colony),
      what: 'cell',
      givenOn: on,
      patterns: [],
      ...present({ round: payload.round, into: givenInto(telling, colony, payload.round) }),
    };
    telling.attempts.set(attempt.id, attempt);
    telling.colonies.set(colony.id, {
      ...inRoom(colony, payload.bay),
      status,
      since: on,
      attempt: attempt.id,
    });
    return undefined;
  },

  cellOpened(telling, { payload }, on) {
    return observe(telling, 'cellOpened', payload, on, (attempt) => {
      attemptsQueen(telling, attempt, on);
      return { ...attempt, openedOn: attempt.openedOn ?? on };
    });
  },

  eggsSeen: (telling, { payload }, on) =>
    observe(telling, 'eggsSeen', payload, on, (attempt) => withLaying(telling, attempt, on)) ??
    brood(telling.colonies, payload, on),

  patternScored: (telling, { payload }, on) =>
    observe(telling, 'patternScored', payload, on, (attempt) => {
      const laying = withLaying(telling, attempt, on);
      return { ...laying, patterns: [...laying.patterns, { on, pattern_pct: payload.pattern_pct }] };
    }) ?? brood(telling.colonies, payload, on),

  failed(telling, { payload }, on) {
    const attempt = telling.colonies.get(payload.colony)?.attempt;
    const sentence = observe(telling, 'failed', payload, on, (attempt) =>
      attempt.taken ? attempt : { ...attempt, failed: { on, reason: payload.reason } },
    );
    if (sentence !== undefined) return sentence;
    const noBees = NO_BEES_LEFT.includes(payload.reason);
    const queens = queensIn(telling.queens, payload.colony);
    const own = queens.filter(({ id }) => id === attempt);
    if (noBees || !QUEEN_LEFT.includes(payload.reason))
      for (const queen of noBees || own.length === 0 ? queens : own)
        telling.queens.set(queen.id, { ...queen, gone: { on, to: 'lost' } });
    const colony = telling.colonies.get(payload.colony);
    const box = telling.boxes.get(payload.box);
    if (!colony) return undefined;
    if (noBees) telling.colonies.set(colony.id, { ...colony, status: 'empty', ended: { on, how: 'lost' } });
    // One of several queens is lost: the bees still have the other.
    else if (reigning(telling, colony.id).length > 0)
      telling.colonies.set(colony.id, { ...withoutAttempt(colony), status: 'queenright' });
    if (box && noBees) settleRooms(telling, box, on);
    return undefined;
  },

  combined(telling, { payload }, on) {
    const found = colonyFor(telling, 'combined', payload, on);
    if (typeof found === 'string') return found;
    const into = telling.colonies.get(payload.into);
    if (payload.into === payload.colony) return 'A colony cannot be combined with itself.';
    if (!into || into.box !== payload.intoBox || into.ended)
      return 'The colony to combine with is not there.';
    const { colony } = found;
    const shared = payload.also && telling.colonies.get(payload.also.colony);
    if (payload.also && (!shared || shared.ended || shared.box !== payload.also.box || shared.id === into.id))
      return 'The second colony to share it with is not there.';
    if (shared) telling.colonies.set(shared.id, { ...shared, combinedOn: on });
    const brings = QUEENLESS.includes(into.status) && !QUEENLESS.includes(colony.status);
    for (const queen of queensIn(telling.queens, colony.id))
      telling.queens.set(
        queen.id,
        brings
          ? { ...queen, colony: into.id, box: into.box, since: on }
          : { ...queen, gone: { on, to: 'lost' } },
      );
    telling.colonies.set(colony.id, {
      ...colony,
      status: 'empty',
      since: on,
      ended: { on, how: 'combined' },
    });
    telling.colonies.set(into.id, {
      ...withCareOf(into, [colony]),
      ...(brings
        ? { status: colony.status, since: colony.since, ...present({ attempt: colony.attempt }) }
        : {}),
      combinedOn: on,
    });
    for (const id of new Set([colony.box, into.box])) {
      const box = telling.boxes.get(id);
      if (box) settleRooms(telling, box, on);
    }
    return undefined;
  },

  colonyMoved(telling, { payload }, on) {
    const colony = livingColony(telling, payload, on);
    if (typeof colony === 'string') return colony;
    const from = telling.boxes.get(colony.box);
    const to = standingBox(telling.boxes, payload.toBox, on);
    if (typeof to === 'string') return to;
    const drawn = drawnDesign(telling.known.designs, to);
    const lacking = lackingBay(drawn, to, payload.bays);
    if (lacking) return lacking;
    const there = livingIn(telling.colonies, to).find(
      ({ id, home }) => id !== colony.id && home.some((bay) => payload.bays.includes(bay)),
    );
    if (there) return `That compartment of box ${to.label} already holds bees: combine them instead.`;
    if (from) takeAlong(telling, colony, { from, to, bays: payload.bays }, on, payload.left);
    const { queenIn: _, ...goes } = colony;
    telling.colonies.set(colony.id, {
      ...goes,
      ...present({ winter: winterMoved(goes.winter, to.id, on) }),
      box: to.id,
      bays: payload.bays,
      home: payload.bays,
    });
    for (const box of new Set([from?.id ?? to.id, to.id])) {
      const now = telling.boxes.get(box);
      if (now) settleRooms(telling, now, on);
    }
    return undefined;
  },
};

/** Moved where the plan of its winter has it, it stands as planned; moved elsewhere, frames and board are planned anew. */
function winterMoved(winter: Colony['winter'], to: string, on: Day): Colony['winter'] {
  if (!winter || winter.preparedOn) return winter;
  if (winter.to?.box === to) return { ...winter, preparedOn: on };
  const { room: _, ...rest } = winter;
  return rest;
}

function lackingBay(
  drawn: DesignContent | undefined,
  box: BoxState,
  wanted: readonly string[],
): string | undefined {
  const bays = drawn ? bayIdsOf(drawn) : [];
  const lacking = wanted.find((bay) => !bays.includes(bay));
  return lacking && `Box ${box.label} has no bay ${lacking}.`;
}

/** Eggs and brood speak for a queen without her being seen (requirement 31). */
function brood(
  colonies: Map<string, Colony>,
  { colony: id, bay }: { colony: string; bay?: string | undefined },
  on: Day,
): undefined {
  const colony = colonies.get(id);
  if (colony) colonies.set(id, { ...inRoom(without(colony, 'notSeenOn'), bay), evidenceOn: on });
}

function withoutAttempt({ attempt: _, ...colony }: Colony): Colony {
  return colony;
}
