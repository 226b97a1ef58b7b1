import type { BoxBefore, BoxStanding, LogEvent, Subject } from '@yellow-cell/contract';
import type { Day } from '../calendar/days.ts';
import { type Constants, defaultConstants } from '../constants/registry.ts';
import { clockProblem } from './entryProblem.ts';
import type { Known, YardState } from './state.ts';
import { tell } from './tell/tell.ts';
import type { Telling } from './tell/telling.ts';

/** All that is told of one box. */
export type Whole = Omit<BoxStanding, 'recent'>;

/**
 * What a box was like before an event that is about several, and a sign of what that event made of it. With it the
 * story of another of them can be told without telling that of this one; where the sign would differ, this one must be
 * told anew as well.
 */
export interface Beside extends BoxBefore {
  sign: string;
}

/** Things of one box while its story is told. */
type Things = Pick<Telling, 'boxes' | 'colonies' | 'attempts' | 'queens' | 'frames'>;
interface Part extends Things {
  /** Whether bees may live here whose cell was given in another box. */
  moved: boolean;
}

export interface ApartOptions {
  known: Known;
  constants?: Constants;
  rounds?: YardState['rounds'];
  /** Of those boxes whose story goes on, what was told so far. */
  from?: readonly Whole[];
  /** Whether the story of a box is told here. */
  isOwn: (box: string) => boolean;
  /** Boxes of which something was told with this thing, or stacked with this box, until an event. */
  boxesWith: (thing: string, until: LogEvent) => readonly string[];
  /** What is kept of another box before an event. */
  besideOf: (event: string, box: string) => (BoxBefore & { sign?: string }) | undefined;
  /** A short text that differs where the given one does; left out where stories are only read. */
  sign?: (text: string) => string;
}

/** Stories of boxes, each told by itself, event by event in their order. */
export interface Apart {
  /** Why the event cannot be; undefined where it is told, or is about none of these boxes. */
  tell(event: LogEvent, on: Day): string | undefined;
  /** What is told of a box by now. */
  wholeOf(box: string): Whole | undefined;
  /** What is told of all boxes by now, as a fold of them has it. */
  state(): Omit<YardState, 'story' | 'toSettle'>;
  /** Boxes that an event was told with. */
  told: Set<string>;
  /** What the boxes told here were like before events that are about several. */
  beside: Beside[];
  /** Other boxes that must be told anew too: what is told here makes something else of them. */
  wanted: Set<string>;
}

/**
 * Tells stories box by box: an event about one box is told with that box alone, one about several with what lives in
 * them just then. Gives what the fold of all boxes together gives, at the cost of those that are asked for.
 */
export function apart(options: ApartOptions): Apart {
  const { known, constants = defaultConstants, isOwn, boxesWith, besideOf, sign } = options;
  const parts = new Map<string, Part>((options.from ?? []).map((whole) => [whole.box.id, together([whole])]));
  const rounds = new Map(options.rounds);
  const around: Pick<Telling, 'known' | 'constants' | 'rounds' | 'weather' | 'trials'> = {
    known,
    constants,
    rounds,
    weather: new Map(),
    trials: new Map(),
  };
  const beside: Beside[] = [];
  const wanted = new Set<string>();
  const told = new Set<string>();

  function tellOne(event: LogEvent, on: Day): string | undefined {
    const concerned = boxesFor(event);
    for (const box of concerned) if (isOwn(box)) told.add(box);
    const wild = clockProblem(event);
    if (wild !== undefined) return wild;
    const [only, ...others] = concerned;
    if (others.length > 0) return tellAcross(event, on, concerned);
    if (only !== undefined && !isOwn(only)) return undefined;
    const part = (only !== undefined && parts.get(only)) || emptyPart();
    const sentence = tell({ ...around, ...part }, event, on);
    if (only !== undefined && part.boxes.has(only)) parts.set(only, part);
    return sentence;
  }

  /** Boxes that an event is told with: those it names, those its things were told of in, and where their cells were given. */
  function boxesFor(event: LogEvent): string[] {
    const named = event.subjects.flatMap(({ kind, id }) => (kind === 'box' ? [id] : []));
    const things = thingsOf(event);
    const isStack = STACK_KINDS.includes(event.kind);
    const alone = named.length === 1 && !isStack ? parts.get(named[0] as string) : undefined;
    if (alone && !alone.moved && things.every((id) => holds(alone, id))) return named;
    const found = new Set(named);
    const here = named.flatMap((box) => partBefore(event, box) ?? []);
    for (const id of things)
      if (isStack || !here.some((part) => holds(part, id)))
        for (const box of boxesWith(id, event)) found.add(box);
    for (const box of [...found]) for (const origin of originsOf(partBefore(event, box))) found.add(origin);
    return [...found];
  }

  function partBefore({ id }: LogEvent, box: string): Part | undefined {
    if (isOwn(box)) return parts.get(box);
    const before = besideOf(id, box)?.before;
    return before ? together([before]) : undefined;
  }

  function tellAcross(event: LogEvent, on: Day, concerned: readonly string[]): string | undefined {
    if (!concerned.some(isOwn)) return undefined;
    const before = new Map<string, Whole>();
    for (const id of concerned) {
      const part = parts.get(id);
      const kept = isOwn(id) ? undefined : besideOf(event.id, id);
      const whole = part ? nowIn(part, id, event) : kept?.before;
      if (whole) before.set(id, whole);
      if (!isOwn(id) && !kept) wanted.add(id);
    }
    const telling = { ...around, ...together([...before.values()]) };
    const sentence = tell(telling, event, on);
    for (const id of concerned) {
      const now = wholeIn(telling, id);
      const made = sign?.(JSON.stringify([sentence ?? null, now ?? null]));
      if (isOwn(id)) {
        const was = before.get(id);
        if (made !== undefined) beside.push({ event: event.id, box: id, before: was ?? null, sign: made });
        if (sentence === undefined && now) parts.set(id, putBack(parts.get(id) ?? emptyPart(), was, now));
      } else if (besideOf(event.id, id)?.sign !== made) wanted.add(id);
    }
    return sentence;
  }

  return {
    tell: tellOne,
    wholeOf: (id) => {
      const part = parts.get(id);
      return part && wholeIn(part, id);
    },
    state() {
      const { moved: _, ...all } = together([...parts].flatMap(([id, part]) => wholeIn(part, id) ?? []));
      return { ...all, rounds, weather: around.weather, trials: around.trials };
    },
    told,
    beside,
    wanted,
  };
}

/** Kinds that place boxes upon one another, or whatever stands on them. */
const STACK_KINDS: readonly LogEvent['kind'][] = ['boxPlaced', 'boxStacked', 'boxTakenApart'];
const LIVING: readonly Subject['kind'][] = ['colony', 'attempt', 'queen', 'frame'];

/**
 * The living things of which it matters where they were told of before; where boxes are stacked, those boxes. Other
 * bees than the entry's own are named with their box, and a mother is named and not touched.
 */
export function thingsOf({ kind, payload, subjects }: LogEvent): string[] {
  if (STACK_KINDS.includes(kind)) return subjects.flatMap((each) => (each.kind === 'box' ? [each.id] : []));
  const { colony, mother } = payload as { colony?: string; mother?: { queen?: string } };
  return subjects.flatMap((each) =>
    LIVING.includes(each.kind) && (each.kind === 'colony' ? each.id === colony : each.id !== mother?.queen)
      ? [each.id]
      : [],
  );
}

/**
 * In which boxes an event tells of its things: of bees in the one that they live in or move to, and not in that of a
 * giver, a bank, or those they are compared with; of queens, cells and frames in all that it names; of a box in those
 * stacked with it.
 */
export function toldIn(event: LogEvent): { thing: string; box: string }[] {
  const { kind, payload, subjects } = event;
  const boxes = subjects.flatMap((each) => (each.kind === 'box' ? [each.id] : []));
  const { box: own, toBox } = payload as { box?: string; toBox?: string };
  const things = kind === 'boxStacked' || !STACK_KINDS.includes(kind) ? thingsOf(event) : [];
  const bees = new Set(subjects.flatMap((each) => (each.kind === 'colony' ? [each.id] : [])));
  return things.flatMap((thing) =>
    boxes
      .filter((box) => box !== thing && (!bees.has(thing) || box === own || box === toBox))
      .map((box) => ({ thing, box })),
  );
}

const holds = ({ colonies, attempts, queens, frames }: Part, id: string): boolean =>
  [colonies, attempts, queens, frames].some((things) => things.has(id));

/** Where cells were given that bees of this box hold now: they have moved since. */
function originsOf(part: Part | undefined): string[] {
  if (!part) return [];
  return [...part.colonies.values()].flatMap(({ box, attempt, ended }) => {
    const origin = attempt === undefined || ended ? undefined : part.attempts.get(attempt)?.box;
    return origin === undefined || origin === box ? [] : [origin];
  });
}

const emptyPart = (): Part => ({
  boxes: new Map(),
  colonies: new Map(),
  attempts: new Map(),
  queens: new Map(),
  frames: new Map(),
  moved: false,
});

function together(wholes: readonly Whole[]): Part {
  const part = emptyPart();
  for (const whole of wholes) add(part, whole);
  return part;
}

function add(part: Part, { box, colonies, attempts, queens, frames }: Whole): void {
  part.boxes.set(box.id, box);
  for (const each of colonies) part.colonies.set(each.id, each);
  for (const each of attempts) part.attempts.set(each.id, each);
  for (const each of queens) part.queens.set(each.id, each);
  for (const each of frames) part.frames.set(each.id, each);
  part.moved ||= attempts.some((attempt) => attempt.box !== box.id);
}

/** The box with what was taken out for an event replaced by what that made of it. */
function putBack(part: Part, was: Whole | undefined, now: Whole): Part {
  for (const thing of ['colonies', 'attempts', 'queens', 'frames'] as const)
    for (const { id } of was?.[thing] ?? []) part[thing].delete(id);
  add(part, now);
  return part;
}

/** What lives in a box now, and what an event names: all that its telling may read or change. */
function nowIn(part: Part, id: string, { kind, payload, subjects }: LogEvent): Whole | undefined {
  const named = new Set(subjects.map((subject) => subject.id));
  // Of the box of who gives bees, only what is named is read or changed.
  if (kind === 'stocked' && payload.giver?.box === id && payload.box !== id) {
    const box = part.boxes.get(id);
    const colonies = inOrder(
      only(part.colonies, (each) => named.has(each.id) && each.box === id),
      ({ stockedOn }) => stockedOn,
    );
    return box && { box, colonies, attempts: [], queens: [], frames: [] };
  }
  const colonies = only(part.colonies, (each) => !each.ended || named.has(each.id));
  const held = new Set([...colonies.values()].flatMap(({ attempt }) => attempt ?? []));
  const queens = only(part.queens, (each) => !each.gone || held.has(each.id) || named.has(each.id));
  const attempts = only(
    part.attempts,
    (each) => held.has(each.id) || queens.has(each.id) || named.has(each.id),
  );
  return wholeIn({ ...part, colonies, queens, attempts }, id);
}

const only = <T extends { id: string }>(
  things: ReadonlyMap<string, T>,
  isMeant: (thing: T) => boolean,
): Map<string, T> => {
  const found = new Map<string, T>();
  for (const thing of things.values()) if (isMeant(thing)) found.set(thing.id, thing);
  return found;
};

/** All that is told of one box, among what is told of several. */
export function wholeIn(
  {
    boxes,
    colonies,
    attempts,
    queens,
    frames,
  }: Pick<YardState, 'boxes' | 'colonies' | 'attempts' | 'queens' | 'frames'>,
  id: string,
): Whole | undefined {
  const box = boxes.get(id);
  if (!box) return undefined;
  const own = inOrder(
    only(colonies, (colony) => colony.box === id),
    ({ stockedOn }) => stockedOn,
  );
  const held = new Set(own.flatMap(({ attempt }) => attempt ?? []));
  return {
    box,
    colonies: own,
    attempts: inOrder(
      only(attempts, (attempt) => attempt.box === id || held.has(attempt.id)),
      ({ givenOn }) => givenOn,
    ),
    queens: inOrder(
      only(queens, (queen) => queen.box === id),
      ({ since }) => since,
    ),
    frames: inOrder(
      only(frames, ({ at, out }) => (at ?? out?.from)?.box === id),
      ({ since }) => since,
    ),
  };
}

/** By day and id: the same things are kept in the same order, however their story was told. */
function inOrder<T extends { id: string }>(things: ReadonlyMap<string, T>, dayOf: (thing: T) => string): T[] {
  return [...things.values()].sort((a, b) => compare(dayOf(a), dayOf(b)) || compare(a.id, b.id));
}
const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);
