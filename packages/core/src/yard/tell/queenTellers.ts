import type { Attempt, Colony, Payload, Queen, QueenFate } from '@yellow-cell/contract';
import { type Day, plusDays } from '../../calendar/days.ts';
import { showDay } from '../../calendar/showDay.ts';
import { designOf } from '../compartments.ts';
import { bayOf } from '../framePlace.ts';
import { framesFor, settleRooms } from '../regroup.ts';
import { roleOf } from '../roles/roleOf.ts';
import { fateWords } from '../statusWords.ts';
import { givenInto } from './givenInto.ts';
import { colonyFor, EMERGES_AFTER_GRAFT_D, observe } from './observe.ts';
import { queensIn, reigning } from './queensIn.ts';
import { inRoom, livingColony, ofColony, present, type Tellers, type Telling, without } from './telling.ts';

type QueenKind =
  | 'queenGiven'
  | 'queenRecorded'
  | 'queenSeen'
  | 'introductionSeen'
  | 'queenMarked'
  | 'queenTaken';

export const queenTellers: Tellers<QueenKind> = {
  queenGiven(telling, { payload }, on) {
    const { box, colony: _, bay, queen: id, what, caged, cage, from, ...facts } = payload;
    const virgin = what === 'virgin';
    const before = telling.queens.get(id);
    if (before?.gone && FOR_GOOD.includes(before.gone.to)) return whereSheIs(telling, before);
    if (!virgin && isBank(telling, payload)) {
      if (before && !before.gone && before.colony !== from?.colony) return whereSheIs(telling, before);
      const bank = livingColony(telling, payload, on);
      if (typeof bank === 'string') return bank;
      if (before && !before.gone) leave(telling, before, on, 'bank');
      return bankHer(telling, { ...(before ?? { id, sightings: [] }), ...present(facts) }, bank, cage, on);
    }
    const found = colonyFor(telling, virgin ? 'virginGiven' : 'matedGiven', payload, on);
    if (typeof found === 'string') return found;
    const elsewhere = before && !before.gone ? before : undefined;
    if (elsewhere && elsewhere.colony !== from?.colony) return whereSheIs(telling, elsewhere);
    if (virgin && telling.attempts.has(id)) return 'That virgin was already given.';
    const { colony, status } = found;
    if (elsewhere) leave(telling, elsewhere, on);
    const {
      gone: _gone,
      caged: _caged,
      cage: _cage,
      from: _from,
      ...known
    } = before ?? { id, sightings: [] };
    telling.queens.set(id, {
      ...known,
      ...present(facts),
      colony: colony.id,
      box,
      since: on,
      ...(caged ? { caged } : {}),
    });
    if (virgin) telling.attempts.set(id, attemptOf(telling, id, colony, on, facts));
    const { attempt: _attempt, ...rest } = colony;
    telling.colonies.set(colony.id, {
      ...inRoom(rest, bay),
      status,
      since: on,
      ...(virgin ? { attempt: id } : {}),
    });
    return undefined;
  },

  queenRecorded(telling, { payload }, on) {
    const colony = livingColony(telling, payload, on);
    if (typeof colony === 'string') return colony;
    const { box, colony: _, bay: _bay, queen: id, ...facts } = payload;
    const before = telling.queens.get(id);
    if (before && (before.gone || before.colony !== colony.id)) return whereSheIs(telling, before);
    telling.queens.set(id, {
      ...(before ?? { id, sightings: [], since: on }),
      ...present(facts),
      colony: colony.id,
      box,
    });
    return undefined;
  },

  queenSeen: ofColony((colony, { queen: id, seen, slot, bay }, on, telling) => {
    if (!seen) return { ...colony, notSeenOn: on };
    const here = queensIn(telling.queens, colony.id);
    const queen = id === undefined ? (here.length === 1 ? here[0] : undefined) : telling.queens.get(id);
    if (queen && (queen.gone || queen.colony !== colony.id)) return whereSheIs(telling, queen);
    if (queen) {
      const sightings = [...queen.sightings, { on, ...present({ slot }) }].slice(-SIGHTINGS_KEPT);
      telling.queens.set(queen.id, { ...queen, sightings });
    }
    const box = telling.boxes.get(colony.box);
    const room = bay ?? (box && slot !== undefined ? bayOf(telling.known.designs, box, slot) : undefined);
    return { ...inRoom(without(colony, 'notSeenOn'), room), evidenceOn: on };
  }),

  introductionSeen: ofColony((colony, { queen: id, what }, on, telling) => {
    if (colony.status !== 'caged') return 'No caged queen is being introduced there.';
    const caged = queensIn(telling.queens, colony.id).filter((queen) => queen.caged);
    const queen =
      id === undefined ? (caged.length === 1 ? caged[0] : undefined) : caged.find((each) => each.id === id);
    if (id !== undefined && !queen) return 'That queen is not in a cage there.';
    if (what === 'candy') return { ...colony, evidenceOn: on };
    if (queen) {
      const { caged: _, ...free } = queen;
      const gone = what === 'refused' ? { gone: { on, to: 'lost' as const } } : {};
      telling.queens.set(queen.id, { ...free, ...gone });
    }
    // Out of the cage she is among them; that she is taken, her eggs will say.
    return what === 'refused' ? { ...colony, status: 'stocked', since: on } : { ...colony, evidenceOn: on };
  }),

  queenMarked: ofColony((colony, { queen: id, colour, number, clipped }, on, telling) => {
    const queen = telling.queens.get(id) ?? {
      id,
      sightings: [],
      since: on,
      colony: colony.id,
      box: colony.box,
    };
    if (queen.gone || queen.colony !== colony.id) return whereSheIs(telling, queen);
    telling.queens.set(id, { ...queen, mark: { on, colour, clipped, ...present({ number }) } });
    return without(colony, 'notSeenOn');
  }),

  queenTaken(telling, { payload }, on) {
    const { box, colony: id, queen: named, to, beesRemain, backBy, bank, cage, lot } = payload;
    const here = queensIn(telling.queens, id);
    if (named !== undefined && !here.some((queen) => queen.id === named)) {
      const queen = telling.queens.get(named);
      return queen ? whereSheIs(telling, queen) : 'That queen is not in the record.';
    }
    if (backBy !== undefined && backBy <= on) return 'She goes back after the day she is taken out.';
    const keeper = bank && livingColony(telling, bank, on);
    if (typeof keeper === 'string') return keeper;
    if (bank && to !== 'bank') return 'She is kept in a bank only where she is taken to the bank.';
    if (bank && !isBank(telling, bank)) return 'Those bees are no bank: their room serves as something else.';
    if (lot !== undefined && !HANDED_OVER.includes(to))
      return 'She is handed over for a lot only where she is sold or goes to a colony.';
    // Of one that failed nothing is wanted: unnamed, it is the one that reigns.
    const meant = isBank(telling, payload) || here.length < 2 ? here : reigning(telling, id);
    if (named === undefined && meant.length > 1) return 'Several queens live there: which of them is taken?';
    const queen = named === undefined ? meant[0] : here.find((each) => each.id === named);
    const sentence = isBank(telling, payload)
      ? fromBank(telling, payload, queen, on)
      : (observe(telling, 'queenTaken', payload, on, (attempt) =>
          queen === undefined || queen.id === attempt.id ? { ...attempt, taken: { on, to } } : attempt,
        ) ?? withOthers(telling, id, queen));
    if (sentence !== undefined) return sentence;
    if (queen && keeper) bankHer(telling, queen, keeper, cage, on);
    else if (queen) telling.queens.set(queen.id, { ...queen, gone: { on, to, ...present({ backBy }) } });
    const colony = telling.colonies.get(id);
    if (colony && !beesRemain)
      telling.colonies.set(id, { ...colony, status: 'empty', ended: { on, how: 'queenTaken' } });
    const now = telling.boxes.get(box);
    if (now && !beesRemain) settleRooms(telling, now, on);
    return undefined;
  },
};

const SIGHTINGS_KEPT = 12;
/** What becomes of queens that were wanted. */
const HANDED_OVER: readonly QueenFate[] = ['sold', 'colony'];
/** What became of queens that are not given to bees again. */
const FOR_GOOD: readonly string[] = ['sold', 'culled', 'died', 'lost'];

/** Whether the room of these bees serves as a bank: it holds many queens, and its bees have none. */
function isBank(
  { known, boxes, colonies }: Telling,
  { box: id, colony }: { box: string; colony: string },
): boolean {
  const box = boxes.get(id);
  const bees = colonies.get(colony);
  const design = box && designOf(known.designs, box);
  if (!box || !design) return false;
  return roleOf({ design, box, bays: bees?.home ?? [], colony: bees, main: true }) === 'bank';
}

/** She stands in the bank from now on, caged among others; its bees stay without a queen of their own. */
function bankHer(
  telling: Telling,
  { gone: _, ...queen }: Partial<Queen> & Pick<Queen, 'id' | 'sightings'>,
  bank: Colony,
  cage: string | undefined,
  on: Day,
): undefined {
  telling.queens.set(queen.id, {
    ...queen,
    colony: bank.id,
    box: bank.box,
    since: on,
    caged: true,
    ...present({ cage, from: queen.box }),
  });
}

/** One of a bank's queens leaves it. */
function fromBank(
  telling: Telling,
  payload: Payload<'queenTaken'>,
  queen: Queen | undefined,
  on: Day,
): string | undefined {
  const bank = livingColony(telling, payload, on);
  if (typeof bank === 'string') return bank;
  return queen ? undefined : 'There is no queen in this bank.';
}

/** Bees that lose one of several queens still have the others. */
function withOthers(telling: Telling, id: string, leaving: Queen | undefined): undefined {
  const colony = telling.colonies.get(id);
  if (!colony || !leaving || !reigning(telling, id).some((each) => each.id !== leaving.id)) return;
  const { attempt: _, ...rest } = colony;
  telling.colonies.set(id, { ...rest, status: 'queenright' });
}

/** Why an entry about a queen cannot be: she is somewhere else. */
function whereSheIs({ boxes, colonies }: Telling, queen: Queen): string {
  if (queen.gone)
    return queen.gone.to === 'lost'
      ? `That queen is lost since ${showDay(queen.gone.on)}.`
      : `That queen was taken out ${showDay(queen.gone.on)}: ${fateWords[queen.gone.to]}.`;
  const label = boxes.get(colonies.get(queen.colony)?.box ?? queen.box)?.label;
  return `That queen is ${label ? `in box ${label}` : 'with other bees'} since ${showDay(queen.since)}.`;
}

/** The colony that she leaves is without her, unless another queen stays with it. */
function leave(telling: Telling, queen: Queen, on: Day, to: QueenFate = 'colony'): void {
  const colony = telling.colonies.get(queen.colony);
  if (!colony || colony.ended) return;
  const others = queensIn(telling.queens, colony.id).filter(({ id }) => id !== queen.id);
  if (others.length === 0) telling.colonies.set(colony.id, { ...colony, status: 'stocked', since: on });
  const attempt = telling.attempts.get(queen.id);
  if (attempt && !attempt.taken && !attempt.failed)
    telling.attempts.set(attempt.id, { ...attempt, taken: { on, to } });
}

function attemptOf(
  telling: Telling,
  id: string,
  colony: { id: string; box: string; bays: readonly string[] },
  on: Day,
  { round, bornOn }: { round?: string | undefined; bornOn?: Day | undefined },
): Attempt {
  const living = telling.colonies.get(colony.id);
  const grafted = round === undefined ? undefined : telling.rounds.get(round)?.graftedOn;
  return {
    id,
    colony: colony.id,
    box: colony.box,
    bays: living?.home ?? colony.bays,
    frames: living ? framesFor(telling, living) : 0,
    what: 'virgin',
    givenOn: on,
    patterns: [],
    ...present({
      round,
      bornOn: bornOn ?? (grafted && plusDays(grafted, EMERGES_AFTER_GRAFT_D)),
      into: living && givenInto(telling, living, round),
    }),
  };
}
