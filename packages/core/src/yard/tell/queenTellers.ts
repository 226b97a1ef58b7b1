import type { Attempt, Queen } from '@yellow-cell/contract';
import type { Day } from '../../calendar/days.ts';
import { showDay } from '../../calendar/showDay.ts';
import { framesFor } from '../regroup.ts';
import { fateWords } from '../statusWords.ts';
import { givenInto } from './givenInto.ts';
import { colonyFor, observe } from './observe.ts';
import { queensIn } from './queensIn.ts';
import { livingColony, ofColony, present, type Tellers, type Telling } from './telling.ts';

type QueenKind = 'queenGiven' | 'queenRecorded' | 'queenSeen' | 'queenMarked' | 'queenTaken';

export const queenTellers: Tellers<QueenKind> = {
  queenGiven(telling, { payload }, on) {
    const { box, colony: _, queen: id, what, caged, from, ...facts } = payload;
    const virgin = what === 'virgin';
    const found = colonyFor(telling, virgin ? 'virginGiven' : 'matedGiven', payload, on);
    if (typeof found === 'string') return found;
    const before = telling.queens.get(id);
    const elsewhere = before && !before.gone ? before : undefined;
    if (elsewhere && elsewhere.colony !== from?.colony) return whereSheIs(telling, elsewhere);
    if (virgin && telling.attempts.has(id)) return 'That virgin was already given.';
    const { colony, status } = found;
    if (elsewhere) leave(telling, elsewhere, on);
    const { gone: _gone, caged: _caged, ...known } = before ?? { id, sightings: [] };
    telling.queens.set(id, {
      ...known,
      ...present(facts),
      colony: colony.id,
      box,
      since: on,
      ...(caged ? { caged } : {}),
    });
    if (virgin) telling.attempts.set(id, attemptOf(telling, id, colony, on, facts.round));
    const { attempt: _attempt, ...rest } = colony;
    telling.colonies.set(colony.id, { ...rest, status, since: on, ...(virgin ? { attempt: id } : {}) });
    return undefined;
  },

  queenRecorded(telling, { payload }, on) {
    const colony = livingColony(telling, payload, on);
    if (typeof colony === 'string') return colony;
    const { box, colony: _, queen: id, ...facts } = payload;
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

  queenSeen: ofColony((colony, { queen: id, seen, slot }, on, telling) => {
    if (!seen) return { ...colony, notSeenOn: on };
    const here = queensIn(telling.queens, colony.id);
    const queen = id === undefined ? (here.length === 1 ? here[0] : undefined) : telling.queens.get(id);
    if (queen && (queen.gone || queen.colony !== colony.id)) return whereSheIs(telling, queen);
    if (queen) {
      const sightings = [...queen.sightings, { on, ...present({ slot }) }].slice(-SIGHTINGS_KEPT);
      telling.queens.set(queen.id, { ...queen, sightings });
    }
    const { notSeenOn: _, ...rest } = colony;
    return { ...rest, evidenceOn: on };
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
    return colony;
  }),

  queenTaken(telling, { payload }, on) {
    const { colony: id, queen: named, to, beesRemain, backBy } = payload;
    const here = queensIn(telling.queens, id);
    if (named !== undefined && !here.some((queen) => queen.id === named)) {
      const queen = telling.queens.get(named);
      return queen ? whereSheIs(telling, queen) : 'That queen is not in the record.';
    }
    if (backBy !== undefined && backBy <= on) return 'She goes back after the day she is taken out.';
    const sentence = observe(telling, 'queenTaken', payload, on, (attempt) => ({
      ...attempt,
      taken: { on, to },
    }));
    if (sentence !== undefined) return sentence;
    const queen = here.find((each) => each.id === named) ?? (here.length === 1 ? here[0] : undefined);
    if (queen) telling.queens.set(queen.id, { ...queen, gone: { on, to, ...present({ backBy }) } });
    const colony = telling.colonies.get(id);
    if (colony && !beesRemain)
      telling.colonies.set(id, { ...colony, status: 'empty', ended: { on, how: 'queenTaken' } });
    return undefined;
  },
};

const SIGHTINGS_KEPT = 12;

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
function leave(telling: Telling, queen: Queen, on: Day): void {
  const colony = telling.colonies.get(queen.colony);
  if (!colony || colony.ended) return;
  const others = queensIn(telling.queens, colony.id).filter(({ id }) => id !== queen.id);
  if (others.length === 0) telling.colonies.set(colony.id, { ...colony, status: 'stocked', since: on });
  const attempt = telling.attempts.get(queen.id);
  if (attempt && !attempt.taken && !attempt.failed)
    telling.attempts.set(attempt.id, { ...attempt, taken: { on, to: 'colony' } });
}

function attemptOf(
  telling: Telling,
  id: string,
  colony: { id: string; box: string; bays: readonly string[] },
  on: Day,
  round: string | undefined,
): Attempt {
  const living = telling.colonies.get(colony.id);
  return {
    id,
    colony: colony.id,
    box: colony.box,
    bays: colony.bays,
    frames: living ? framesFor(telling, living) : 0,
    what: 'virgin',
    givenOn: on,
    patterns: [],
    ...present({ round, into: living && givenInto(telling, living, round) }),
  };
}
