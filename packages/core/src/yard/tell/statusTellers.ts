import type { Attempt, BoxState, Colony, DesignContent, FailReason } from '@yellow-cell/contract';
import { bayIdsOf } from '../../box/stack.ts';
import type { Day } from '../../calendar/days.ts';
import { showDay } from '../../calendar/showDay.ts';
import { drawnDesign, livingIn } from '../compartments.ts';
import { framesFor, reckonShut } from '../regroup.ts';
import { statusWords } from '../statusWords.ts';
import { statusAfter } from '../transitions.ts';
import { forgetFrames, takeAlong } from './framesAlong.ts';
import { givenInto } from './givenInto.ts';
import { attemptsQueen, CANNOT, colonyFor, observe, withLaying } from './observe.ts';
import { queensIn } from './queensIn.ts';
import { livingColony, present, standingBox, type Tellers } from './telling.ts';

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
const NO_BEES_LEFT: readonly FailReason[] = ['absconded', 'robbed', 'starved'];
/** Reasons after which the queen of the attempt may still be there. */
const QUEEN_LEFT: readonly FailReason[] = ['droneLayer', 'unknown'];
/** Bees by whether their queen came along. */
const HIVED = { none: 'stocked', laying: 'hivedLaying', unknown: 'hivedUnknown' } as const;
/** What an ended colony brings along, where the other has no queen of its own. */
const QUEENLESS: readonly Colony['status'][] = ['stocked', 'failed', 'unknown'];

export const statusTellers: Tellers<StatusKind> = {
  stocked(telling, { payload }, on) {
    const box = standingBox(telling.boxes, payload.box, on);
    if (typeof box === 'string') return box;
    const drawn = drawnDesign(telling.known.designs, box);
    const lacking = lackingBay(drawn, box, payload.bays);
    if (lacking) return lacking;
    const there = livingIn(telling.colonies, box).find((colony) =>
      colony.bays.some((bay) => payload.bays.includes(bay)),
    );
    if (there && there.id !== payload.colony)
      return `That compartment of box ${box.label} already holds bees, stocked ${showDay(there.stockedOn)}.`;
    if (!there && telling.colonies.has(payload.colony)) return 'That colony stands elsewhere.';
    const kind = HIVED[payload.queen ?? 'none'];
    const status = statusAfter(kind, there?.status ?? 'empty');
    if (status === undefined)
      return `The compartment is ${statusWords[there?.status ?? 'unknown']}; ${CANNOT[kind]}`;
    // What is under way with bees that get frames goes on: strips above all are never forgotten.
    const { attempt: _attempt, putOff: _putOff, ...goesOn } = there ?? {};
    telling.colonies.set(payload.colony, {
      ...goesOn,
      id: payload.colony,
      box: box.id,
      bays: payload.bays,
      stockedOn: on,
      openBrood: payload.openBrood,
      status,
      since: on,
      ...present({ beesOf: there?.beesOf ?? payload.giver?.colony }),
    });
    if (!there) forgetFrames(telling, box, payload.bays);
    const giver = payload.giver && telling.colonies.get(payload.giver.colony);
    if (giver && !giver.ended) telling.colonies.set(giver.id, { ...giver, gaveOn: on });
    reckonShut(telling, box, on);
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
      bays: colony.bays,
      frames: framesFor(telling, colony),
      what: 'cell',
      givenOn: on,
      patterns: [],
      ...present({ round: payload.round, into: givenInto(telling, colony, payload.round) }),
    };
    telling.attempts.set(attempt.id, attempt);
    telling.colonies.set(colony.id, { ...colony, status, since: on, attempt: attempt.id });
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
    brood(telling.colonies, payload.colony, on),

  patternScored: (telling, { payload }, on) =>
    observe(telling, 'patternScored', payload, on, (attempt) => {
      const laying = withLaying(telling, attempt, on);
      return { ...laying, patterns: [...laying.patterns, { on, pattern_pct: payload.pattern_pct }] };
    }) ?? brood(telling.colonies, payload.colony, on),

  failed(telling, { payload }, on) {
    const sentence = observe(telling, 'failed', payload, on, (attempt) =>
      attempt.taken ? attempt : { ...attempt, failed: { on, reason: payload.reason } },
    );
    if (sentence !== undefined) return sentence;
    const colony = telling.colonies.get(payload.colony);
    if (colony && NO_BEES_LEFT.includes(payload.reason))
      telling.colonies.set(colony.id, { ...colony, status: 'empty', ended: { on, how: 'lost' } });
    if (!QUEEN_LEFT.includes(payload.reason))
      for (const queen of queensIn(telling.queens, payload.colony))
        telling.queens.set(queen.id, { ...queen, gone: { on, to: 'lost' } });
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
      ...into,
      ...(brings
        ? { status: colony.status, since: colony.since, ...present({ attempt: colony.attempt }) }
        : {}),
      combinedOn: on,
    });
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
      ({ id, bays }) => id !== colony.id && bays.some((bay) => payload.bays.includes(bay)),
    );
    if (there) return `That compartment of box ${to.label} already holds bees: combine them instead.`;
    if (from) takeAlong(telling, colony, { from, to, bays: payload.bays });
    telling.colonies.set(colony.id, { ...colony, box: to.id, bays: payload.bays });
    for (const box of new Set([from?.id ?? to.id, to.id])) {
      const now = telling.boxes.get(box);
      if (now) reckonShut(telling, now, on);
    }
    return undefined;
  },
};

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
function brood(colonies: Map<string, Colony>, id: string, on: Day): undefined {
  const colony = colonies.get(id);
  if (colony) colonies.set(id, { ...colony, evidenceOn: on });
}
