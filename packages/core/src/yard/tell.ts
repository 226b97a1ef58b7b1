import type { Entry, EventKind, WeatherDay } from '@yellow-cell/contract';
import { bayIdsOf, bodiesOf } from '../box/stack.ts';
import { type Day, daysBetween } from '../calendar/days.ts';
import { showDay } from '../calendar/showDay.ts';
import type { Constants } from '../constants/registry.ts';
import { drawnDesign, livingIn } from './compartments.ts';
import { framesFor, reckonShut, regroup } from './regroup.ts';
import type { Attempt, BoxState, Colony, Known, Round } from './state.ts';
import { statusWords } from './statusWords.ts';
import { type StatusEvent, statusAfter } from './transitions.ts';

/** The story so far, while it is being told. */
export interface Telling {
  known: Known;
  constants: Constants;
  boxes: Map<string, BoxState>;
  colonies: Map<string, Colony>;
  attempts: Map<string, Attempt>;
  rounds: Map<string, Round>;
  weather: Map<string, Map<Day, WeatherDay>>;
}

/** Adds one event to the story, or says in a sentence why it cannot be. */
export function tell(telling: Telling, event: Entry, on: Day): string | undefined {
  const teller = tellers[event.kind] as (telling: Telling, event: Entry, on: Day) => string | undefined;
  return teller(telling, event, on);
}

type Teller<K extends EventKind> = (
  telling: Telling,
  event: Extract<Entry, { kind: K }>,
  on: Day,
) => string | undefined;

const tellers: { [K in EventKind]: Teller<K> } = {
  boxBuilt({ boxes, known }, { payload }, on) {
    if (boxes.has(payload.box)) return `Box ${payload.label} was already built.`;
    const design = known.designs.get(payload.design);
    if (!design) return `Box ${payload.label} names a design that does not exist.`;
    if (!design.versions.some(({ number }) => number === payload.version)) {
      return `“${design.name}” has no version ${payload.version}.`;
    }
    boxes.set(payload.box, {
      id: payload.box,
      label: payload.label,
      design: payload.design,
      version: payload.version,
      builtOn: on,
    });
    return undefined;
  },

  boxPlaced({ boxes, known }, { payload }, on) {
    const box = standingBox(boxes, payload.box, on);
    if (typeof box === 'string') return box;
    if (!known.yards.has(payload.yard)) return `Box ${box.label} was put into a yard that does not exist.`;
    const { yard, stand, east_m, north_m, bearing_deg } = payload;
    boxes.set(box.id, { ...box, place: { yard, stand, east_m, north_m, bearing_deg, since: on } });
    return undefined;
  },

  boxTakenApart({ boxes, colonies }, { payload }, on) {
    const box = standingBox(boxes, payload.box, on);
    if (typeof box === 'string') return box;
    if (livingIn(colonies, box).length > 0) return `Box ${box.label} still holds bees.`;
    boxes.set(box.id, { ...box, takenApartOn: on });
    return undefined;
  },

  buildTicked({ boxes }, { payload }, on) {
    const box = standingBox(boxes, payload.box, on);
    if (typeof box === 'string') return box;
    const { [payload.step]: _, ...others } = box.buildSteps ?? {};
    boxes.set(box.id, { ...box, buildSteps: payload.done ? { ...others, [payload.step]: on } : others });
    return undefined;
  },

  boxInspected({ boxes }, { payload }, on) {
    const box = standingBox(boxes, payload.box, on);
    if (typeof box === 'string') return box;
    const { finish, condition, missing } = payload;
    boxes.set(box.id, { ...box, inspected: { on, finish, condition, missing } });
    return undefined;
  },

  dividerSet(telling, { payload }, on) {
    const box = standingBox(telling.boxes, payload.box, on);
    if (typeof box === 'string') return box;
    const drawn = drawnDesign(telling.known.designs, box);
    const boards = drawn ? bodiesOf(drawn).flatMap((body) => body.boards) : [];
    if (!boards.some(({ id }) => id === payload.board))
      return `Box ${box.label} has no divider of that name.`;
    const pulled = box.pulled ?? [];
    if (!pulled.includes(payload.board) === payload.stands)
      return `That divider of box ${box.label} ${payload.stands ? 'stands' : 'is out'} already.`;
    const after = payload.stands
      ? pulled.filter((id) => id !== payload.board)
      : [...pulled, payload.board].sort();
    const next: BoxState = { ...box, pulled: after };
    telling.boxes.set(box.id, next);
    regroup(telling, next, on);
    reckonShut(telling, next, on);
    return undefined;
  },

  entranceSet(telling, { payload }, on) {
    const box = standingBox(telling.boxes, payload.box, on);
    if (typeof box === 'string') return box;
    const drawn = drawnDesign(telling.known.designs, box);
    const entrances = drawn ? bodiesOf(drawn).flatMap((body) => body.entrances) : [];
    if (!entrances.some(({ id }) => id === payload.entrance))
      return `Box ${box.label} has no entrance of that name.`;
    const next: BoxState = {
      ...box,
      entranceStates: { ...box.entranceStates, [payload.entrance]: payload.state },
    };
    telling.boxes.set(box.id, next);
    reckonShut(telling, next, on);
    return undefined;
  },

  fed(telling, { payload }, on) {
    const found = livingColony(telling, payload, on);
    if (typeof found === 'string') return found;
    const { feed, amount_kg } = payload;
    telling.colonies.set(found.id, { ...found, fed: { on, feed, amount_kg } });
    return undefined;
  },

  stripsPut(telling, { payload }, on) {
    const found = livingColony(telling, payload, on);
    if (typeof found === 'string') return found;
    if (payload.outBy <= on) return 'Strips come out after the day they are put in.';
    const { product, outBy } = payload;
    telling.colonies.set(found.id, { ...found, strips: { on, product, outBy } });
    return undefined;
  },

  stripsOut(telling, { payload }, on) {
    const found = livingColony(telling, payload, on);
    if (typeof found === 'string') return found;
    if (!found.strips) return 'No strips are in that compartment.';
    const { strips: _, ...rest } = found;
    telling.colonies.set(found.id, rest);
    return undefined;
  },

  workPutOff(telling, { payload }, on) {
    const found = livingColony(telling, payload, on);
    if (typeof found === 'string') return found;
    const { work, until } = payload;
    if (until !== null && until <= on) return 'Work is put off to a day that is still to come.';
    telling.colonies.set(found.id, { ...found, putOff: { ...found.putOff, [work]: until } });
    return undefined;
  },

  stocked(telling, { payload }, on) {
    const box = standingBox(telling.boxes, payload.box, on);
    if (typeof box === 'string') return box;
    const lacking = payload.bays.find((bay) => !baysOf(telling, box).includes(bay));
    if (lacking) return `Box ${box.label} has no bay ${lacking}.`;
    const there = livingIn(telling.colonies, box).find((colony) =>
      colony.bays.some((bay) => payload.bays.includes(bay)),
    );
    if (there && there.id !== payload.colony)
      return `That compartment of box ${box.label} already holds bees, stocked ${showDay(there.stockedOn)}.`;
    if (!there && telling.colonies.has(payload.colony)) return 'That colony stands elsewhere.';
    const status = statusAfter('stocked', there?.status ?? 'empty');
    if (status === undefined)
      return `The compartment is ${statusWords[there?.status ?? 'unknown']}; it cannot be stocked anew.`;
    telling.colonies.set(payload.colony, {
      id: payload.colony,
      box: box.id,
      bays: payload.bays,
      stockedOn: on,
      openBrood: payload.openBrood,
      status,
      since: on,
    });
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
      givenOn: on,
      patterns: [],
    };
    telling.attempts.set(
      attempt.id,
      payload.round === undefined ? attempt : { ...attempt, round: payload.round },
    );
    telling.colonies.set(colony.id, { ...colony, status, since: on, attempt: attempt.id });
    return undefined;
  },

  cellOpened(telling, { payload }, on) {
    return observe(telling, 'cellOpened', payload, on, (attempt) => ({
      ...attempt,
      openedOn: attempt.openedOn ?? on,
    }));
  },

  eggsSeen(telling, { payload }, on) {
    return observe(telling, 'eggsSeen', payload, on, (attempt) => withLaying(telling, attempt, on));
  },

  patternScored(telling, { payload }, on) {
    return observe(telling, 'patternScored', payload, on, (attempt) => {
      const laying = withLaying(telling, attempt, on);
      return { ...laying, patterns: [...laying.patterns, { on, pattern_pct: payload.pattern_pct }] };
    });
  },

  failed(telling, { payload }, on) {
    const sentence = observe(telling, 'failed', payload, on, (attempt) =>
      attempt.taken ? attempt : { ...attempt, failed: { on, reason: payload.reason } },
    );
    const colony = telling.colonies.get(payload.colony);
    if (sentence === undefined && colony && NO_BEES_LEFT.includes(payload.reason)) {
      telling.colonies.set(colony.id, { ...colony, status: 'empty', ended: { on, how: 'lost' } });
    }
    return sentence;
  },

  queenTaken(telling, { payload }, on) {
    const sentence = observe(telling, 'queenTaken', payload, on, (attempt) => ({
      ...attempt,
      taken: { on, to: payload.to },
    }));
    const colony = telling.colonies.get(payload.colony);
    if (sentence === undefined && colony && !payload.beesRemain) {
      telling.colonies.set(colony.id, { ...colony, status: 'empty', ended: { on, how: 'queenTaken' } });
    }
    return sentence;
  },

  combined(telling, { payload }, on) {
    const found = colonyFor(telling, 'combined', payload, on);
    if (typeof found === 'string') return found;
    const into = telling.colonies.get(payload.into);
    if (payload.into === payload.colony) return 'A colony cannot be combined with itself.';
    if (!into || into.box !== payload.intoBox || into.ended)
      return 'The colony to combine with is not there.';
    telling.colonies.set(found.colony.id, {
      ...found.colony,
      status: 'empty',
      since: on,
      ended: { on, how: 'combined' },
    });
    telling.colonies.set(into.id, { ...into, combinedOn: on });
    return undefined;
  },

  noted({ boxes, colonies }, { payload }, on) {
    const box = standingBox(boxes, payload.box, on);
    if (typeof box === 'string') return box;
    return payload.colony === undefined || colonies.has(payload.colony)
      ? undefined
      : 'The note is about a colony that does not exist.';
  },

  grafted({ rounds }, { payload }, on) {
    if (rounds.has(payload.round)) return `Round ${payload.number} was already grafted.`;
    if (payload.accepted > payload.grafts)
      return `${payload.accepted} cells cannot be accepted of ${payload.grafts} grafts.`;
    const { number, donor, grafts, accepted } = payload;
    rounds.set(payload.round, { id: payload.round, number, donor, graftedOn: on, grafts, accepted });
    return undefined;
  },

  weatherRecorded({ weather }, { payload }) {
    const days = weather.get(payload.yard) ?? new Map<Day, WeatherDay>();
    for (const day of payload.days) days.set(day.date, day);
    weather.set(payload.yard, days);
    return undefined;
  },

  withdrawn: () => undefined,
};

/** Reasons that leave the compartment without bees. */
const NO_BEES_LEFT: readonly string[] = ['absconded', 'robbed', 'starved'];

function standingBox(boxes: ReadonlyMap<string, BoxState>, id: string, on: Day): BoxState | string {
  const box = boxes.get(id);
  if (!box) return 'That box does not exist, or was not built yet on this day.';
  if (box.takenApartOn) return `Box ${box.label} was taken apart on ${showDay(box.takenApartOn, on)}.`;
  return box;
}

function baysOf({ known }: Telling, box: BoxState): string[] {
  const version = known.designs.get(box.design)?.versions.find(({ number }) => number === box.version);
  return version ? bayIdsOf(version.content) : [];
}

/** The colony of an entry that changes no status, or why the entry cannot be. */
function livingColony(
  { boxes, colonies }: Telling,
  payload: { box: string; colony: string },
  on: Day,
): Colony | string {
  const box = standingBox(boxes, payload.box, on);
  if (typeof box === 'string') return box;
  const colony = colonies.get(payload.colony);
  if (!colony || colony.box !== box.id || colony.ended)
    return `There were no such bees in box ${box.label} on ${showDay(on)}.`;
  return colony;
}

/** The living colony that an entry is about and the status it would have after, or why the entry cannot be. */
function colonyFor(
  { boxes, colonies }: Telling,
  kind: StatusEvent,
  payload: { box: string; colony: string },
  on: Day,
): { colony: Colony; status: NonNullable<ReturnType<typeof statusAfter>> } | string {
  const box = standingBox(boxes, payload.box, on);
  if (typeof box === 'string') return box;
  const colony = colonies.get(payload.colony);
  if (!colony || colony.box !== box.id)
    return `There were no such bees in box ${box.label} on ${showDay(on)}.`;
  if (colony.ended)
    return `The bees of that compartment of box ${box.label} were gone since ${showDay(colony.ended.on, on)}.`;
  const status = statusAfter(kind, colony.status);
  if (status === undefined) {
    return `The compartment is “${statusWords[colony.status]}” since ${showDay(colony.since, on)}: ${CANNOT[kind]}`;
  }
  return { colony, status };
}

const CANNOT: Readonly<Record<StatusEvent, string>> = {
  stocked: 'it cannot be stocked anew.',
  cellGiven: 'record what became of its queen or cell before giving a cell.',
  cellOpened: 'there is no cell in it that could have opened.',
  eggsSeen: 'if there are eggs after all, withdraw that entry first.',
  patternScored: 'there is no brood of a queen in it to score.',
  failed: 'there is nothing in it that could fail.',
  queenTaken: 'there is no queen in it to take.',
  combined: 'there are no bees to combine.',
};

/** An observation of the colony and, where it is one, of its attempt. */
function observe(
  telling: Telling,
  kind: StatusEvent,
  payload: { box: string; colony: string; attempt?: string | undefined },
  on: Day,
  change: (attempt: Attempt) => Attempt,
): string | undefined {
  const found = colonyFor(telling, kind, payload, on);
  if (typeof found === 'string') return found;
  const { colony, status } = found;
  if (payload.attempt !== undefined && payload.attempt !== colony.attempt)
    return 'The entry is about a cell that is not the one in this compartment.';
  const attempt = colony.attempt === undefined ? undefined : telling.attempts.get(colony.attempt);
  if (attempt && !attempt.taken && !attempt.failed) telling.attempts.set(attempt.id, change(attempt));
  const { putOff: _, ...moved } = colony;
  // What was put off belonged to the status before: another status has work of its own.
  const same = status === colony.status;
  telling.colonies.set(colony.id, same ? colony : { ...moved, status, since: on });
  return undefined;
}

function withLaying(telling: Telling, attempt: Attempt, on: Day): Attempt {
  if (attempt.layingOn) return attempt;
  const doubt = motherDoubt(telling, attempt, on);
  return doubt ? { ...attempt, layingOn: on, uncertainMother: doubt } : { ...attempt, layingOn: on };
}

/** Eggs too early for this graft are another queen's (handbook 5, whose daughter). */
function motherDoubt({ rounds, constants }: Telling, { round }: Attempt, on: Day): string | undefined {
  const graftedOn = round === undefined ? undefined : rounds.get(round)?.graftedOn;
  if (graftedOn === undefined) return undefined;
  const age = daysBetween(graftedOn, on);
  if (age >= constants.earliestOwnEggs_d) return undefined;
  return `Eggs ${age} days after the graft, before day ${constants.earliestOwnEggs_d}: of another queen.`;
}
