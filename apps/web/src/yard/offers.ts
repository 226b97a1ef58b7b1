import type { EntranceState, EventKind } from '@yellow-cell/contract';
import { type Expectation, inRoom, isLetOut, roles, statusAfter } from '@yellow-cell/core';
import { type Draft, draft } from '../app/useLog.ts';
import type { FormKind } from './ActionForms.tsx';
import type { BoxView, CompartmentView } from './useYard.ts';

/** Something that can be entered of a room. */
export interface Offer {
  name: string;
  kind: EventKind;
  /** Logged at once, a form first, or a screen of its own, by its address below that of the yard. */
  act: Draft | readonly Draft[] | FormKind | { to: string };
}

/** The likely ones for what it is and serves as; the answer to what is due comes first. */
export function offersFor(boxView: BoxView, room: CompartmentView): Offer[] {
  const { due, colony } = room;
  const likely = likelyFor(boxView, room);
  const [first] = due;
  const wanted = colony && first && answerTo(first, boxView, room);
  return wanted ? [wanted, ...likely.filter(({ name }) => name !== wanted.name)] : likely;
}

/** By role first, and in a mating room by status alone. */
function likelyFor(boxView: BoxView, room: CompartmentView): Offer[] {
  const byStatus = offersOfStatus(boxView, room);
  const { role, colony } = room;
  if (!colony || role === 'empty' || role === 'mating') return byStatus;
  const known = [...byStatus, ...careOf(boxView, room)];
  return roles[role].offers.flatMap((kind) => known.find((offer) => offer.kind === kind) ?? []);
}

/** What statuses of a queen and her attempt lead to. */
function offersOfStatus(boxView: BoxView, room: CompartmentView): Offer[] {
  const { status, colony, attempt, urgency, first } = room;
  if (!colony) return [{ name: 'Stock it…', kind: 'stocked', act: 'stock' }];
  const of = {
    ...inRoom(boxView.box, room),
    ...(attempt && status !== 'stocked' ? { attempt: attempt.id } : {}),
  };
  const fail: Offer = { name: 'Failed…', kind: 'failed', act: 'fail' };
  const cell: Offer = { name: 'Cell given…', kind: 'cellGiven', act: 'cell' };
  const combine: Offer = { name: 'Combine…', kind: 'combined', act: 'combine' };
  const eggs: Offer = { name: 'Eggs seen', kind: 'eggsSeen', act: draft('eggsSeen', of) };
  const pattern: Offer = { name: 'Score the pattern…', kind: 'patternScored', act: 'pattern' };
  const take: Offer = { name: 'Queen taken…', kind: 'queenTaken', act: 'take' };
  const add: Offer = { name: 'Add frames…', kind: 'stocked', act: 'stock' };
  switch (status) {
    case 'stocked':
      return [cell, add, combine, fail];
    case 'cellGiven': {
      const opened: Offer = {
        name: 'Cell seen opened',
        kind: 'cellOpened',
        act: draft('cellOpened', { ...of, attempt: attempt?.id ?? '' }),
      };
      return [opened, eggs, fail];
    }
    case 'caged': {
      const introduction: Offer = { name: 'How it goes…', kind: 'introductionSeen', act: 'introduction' };
      return isLetOut(room) ? [eggs, introduction, take, fail] : [introduction, eggs, take, fail];
    }
    case 'virgin':
      return first?.kind === 'declareFailed' && urgency !== 'ahead' ? [fail, eggs, combine] : [eggs, fail];
    case 'laying':
      return [pattern, take, fail, add];
    case 'proven':
    case 'queenright':
      return [take, pattern, eggs, combine, fail, add];
    case 'failed':
      return [cell, combine, add];
    default:
      return [add, eggs, fail];
  }
}

/** The entry that answers a piece of work. */
export function answerTo(
  work: Expectation,
  { box, model }: BoxView,
  room: CompartmentView,
): Offer | undefined {
  const { colony, away, position, openHoles, left } = room;
  const of = inRoom(box, room);
  const search: Offer = { name: 'Searched for wild cells…', kind: 'wildCellsSearched', act: 'search' };
  const feed: Offer = { name: 'Fed…', kind: 'fed', act: 'feed' };
  const strength: Offer = { name: 'Count the seams…', kind: 'strengthSeen', act: 'strength' };
  const frames: Offer = { name: 'Frames…', kind: 'framesMoved', act: { to: `frames?box=${box.id}` } };
  const turn = (ids: readonly string[], state: EntranceState): Draft[] =>
    ids.map((entrance) => draft('entranceSet', { box: box.id, entrance, state }));
  const entrances = model.compartments[position]?.entrances ?? [];
  switch (work.kind) {
    case 'searchWildCells':
    case 'lookAfterCombining':
      return search;
    case 'refillFeed':
    case 'feedShut':
    case 'feedWeak':
      return feed;
    case 'openEntrance': {
      const shut = entrances.filter(({ opening: { state } }) => state === 'vent' || state === 'closed');
      return shut.length === 0
        ? undefined
        : { name: 'Entrance opened', kind: 'entranceSet', act: turn([shut[0]?.id ?? ''], 'open') };
    }
    case 'closeHoles':
      return { name: 'Holes closed', kind: 'entranceSet', act: turn(openHoles, 'closed') };
    case 'stripsOut':
      return {
        name: 'Strips out',
        kind: 'stripsOut',
        act: draft('stripsOut', {
          box: box.id,
          colony: colony?.id ?? left?.id ?? '',
          ...(work.key === undefined ? {} : { strips: work.key }),
        }),
      };
    case 'treat':
      return { name: 'Strips in…', kind: 'stripsPut', act: 'strips' };
    case 'scorePattern':
      return { name: 'Score the pattern…', kind: 'patternScored', act: 'pattern' };
    case 'coverOn':
      return { name: 'Cover back on', kind: 'coverSet', act: draft('coverSet', { ...of, on: true }) };
    case 'outingBack':
      return { name: 'Home again', kind: 'outingReturned', act: draft('outingReturned', of) };
    case 'queenBack':
      return away.some(({ id }) => id === work.key) && statusAfter('matedGiven', room.status)
        ? { name: 'Queen given back…', kind: 'queenGiven', act: 'queen' }
        : undefined;
    case 'framesBack':
    case 'donorComb':
    case 'reloadBank':
      return frames;
    case 'careFinisher':
      return search;
    case 'seeTrouble': {
      // Wasps and robbers are met at the entrance first (handbook 2, entrances).
      const open = entrances.filter(({ opening }) => opening.state === 'open').map(({ id }) => id);
      return (work.key === 'wasps' || work.key === 'robbing') && open.length > 0
        ? { name: 'Entrance reduced', kind: 'entranceSet', act: turn(open, 'reduced') }
        : { name: 'Trouble over, or other…', kind: 'troubleSeen', act: 'trouble' };
    }
    case 'crowded':
    case 'weak':
      return strength;
    case 'checkIntroduction':
      return isLetOut(room)
        ? { name: 'Eggs seen', kind: 'eggsSeen', act: draft('eggsSeen', of) }
        : { name: 'How it goes…', kind: 'introductionSeen', act: 'introduction' };
    case 'nextStep':
      return {
        name: 'To the step',
        kind: 'stepTicked',
        act: { to: `box/${box.id}/run/${work.key?.split(' ')[0] ?? ''}` },
      };
    case 'prepareWinter':
      return {
        name: 'To the plan',
        kind: 'winterPrepared',
        act: { to: `/winter?yard=${box.place?.yard ?? ''}&box=${box.id}&bay=${room.bays[0] ?? ''}` },
      };
    case 'feedWinter':
      return feed;
    case 'mitesHigh':
      return { name: 'Treated…', kind: 'treated', act: 'treated' };
    case 'settleSuspicion':
      return {
        name: 'Suspicion dropped',
        kind: 'suspicionSettled',
        act: draft('suspicionSettled', { ...of, suspicion: work.key ?? '', confirmed: false }),
      };
    default:
      return undefined;
  }
}

/** All else that may be seen or done: with any bees, and what their status leads to, though their role does not make it likely. */
export function furtherFor(boxView: BoxView, room: CompartmentView): Offer[] {
  const all = [...careOf(boxView, room), ...(room.colony ? offersOfStatus(boxView, room) : [])];
  return [...new Map(all.map((offer) => [offer.name, offer])).values()];
}

function careOf({ box }: BoxView, room: CompartmentView): Offer[] {
  const { colony, queens, status } = room;
  if (!colony) return [];
  const of = inRoom(box, room);
  const queen = queens.length === 1 && queens[0] ? { queen: queens[0].id } : {};
  const [suspicion] = colony.suspicions ?? [];
  const seen = (isSeen: boolean): Draft =>
    draft('queenSeen', { ...of, seen: isSeen, ...(isSeen ? queen : {}) });
  const cover = (on: boolean): Draft => draft('coverSet', { ...of, on });
  const canBeGiven = room.role === 'bank' || statusAfter('matedGiven', status) !== undefined;
  return [
    { name: 'Seams of bees…', kind: 'strengthSeen', act: 'strength' },
    { name: 'Queen seen', kind: 'queenSeen', act: seen(true) },
    { name: 'Queen not seen', kind: 'queenSeen', act: seen(false) },
    ...(canBeGiven ? ([{ name: 'Queen given…', kind: 'queenGiven', act: 'queen' }] satisfies Offer[]) : []),
    ...(queens.length > 0
      ? ([{ name: 'Queen taken…', kind: 'queenTaken', act: 'take' }] satisfies Offer[])
      : []),
    { name: 'Wild cells…', kind: 'wildCellsSearched', act: 'search' },
    { name: 'Frames, one by one…', kind: 'framesMoved', act: { to: `frames?box=${box.id}` } },
    { name: 'Into another box…', kind: 'colonyMoved', act: 'move' },
    { name: 'Combine…', kind: 'combined', act: 'combine' },
    { name: 'Fed…', kind: 'fed', act: 'feed' },
    { name: 'Strips in…', kind: 'stripsPut', act: 'strips' },
    ...(colony.strips
      ? ([
          {
            name: colony.strips.length > 1 ? 'All strips out' : 'Strips out',
            kind: 'stripsOut',
            act: draft('stripsOut', of),
          },
        ] satisfies Offer[])
      : []),
    colony.coverOffOn
      ? { name: 'Cover on', kind: 'coverSet', act: cover(true) }
      : { name: 'Cover off', kind: 'coverSet', act: cover(false) },
    { name: 'Mites counted…', kind: 'mitesCounted', act: 'mites' },
    { name: 'Treated…', kind: 'treated', act: 'treated' },
    { name: 'Trouble…', kind: 'troubleSeen', act: 'trouble' },
    colony.outing
      ? { name: 'Home again', kind: 'outingReturned', act: draft('outingReturned', of) }
      : { name: 'Outing…', kind: 'outingLeft', act: 'outing' },
    ...(suspicion
      ? ([
          {
            name: 'Suspicion confirmed',
            kind: 'suspicionSettled',
            act: draft('suspicionSettled', { ...of, suspicion: suspicion.id, confirmed: true }),
          },
        ] satisfies Offer[])
      : []),
    { name: suspicion ? 'Suspicion revised…' : 'Suspicion…', kind: 'suspected', act: 'suspect' },
    { name: 'Serves as…', kind: 'roleSet', act: 'role' },
    { name: 'Sting…', kind: 'stung', act: 'sting' },
  ];
}
