import type { BoxBefore, LogEvent, Subject } from '@yellow-cell/contract';
import type { Day } from '../calendar/days.ts';
import { clockProblem } from './entryProblem.ts';
import type { Known, YardState } from './state.ts';
import { isTheirs, queensIn } from './tell/queensIn.ts';
import { tell } from './tell/tell.ts';
import type { Telling } from './tell/telling.ts';
import { only } from './things.ts';
import { type Whole, wholeIn } from './whole.ts';

/**
 * What a box was like before an event that is about several, and a sign of what that event made of it. With it the
 * story of another of them can be told without telling that of this one; where the sign would differ, this one must be
 * told anew as well.
 */
export interface Beside extends BoxBefore {
  sign: string;
}

/** Things of one box while its story is told. */
type Part = Pick<Telling, 'boxes' | 'colonies' | 'attempts' | 'queens' | 'frames'>;
/** As it is kept of a box whose story is not told here. */
type Kept = BoxBefore & { sign?: string };

export interface ApartOptions {
  known: Known;
  rounds?: YardState['rounds'];
  /** Of those boxes whose story goes on, what was told so far. */
  from?: readonly Whole[];
  /** Whether the story of a box is told here. */
  isOwn: (box: string) => boolean;
  /** What is kept of other boxes before an event. */
  besideOf: (event: string) => readonly Kept[];
  /** A short text that differs where the given one does; left out where stories are only read. */
  sign?: (text: string) => string;
}

export interface Missing {
  thing: Subject;
  event: LogEvent;
}

/** Stories of boxes, each told by itself, event by event in their order. */
export interface Apart {
  /** Why the event cannot be; undefined where it is told, or is about none of these boxes. */
  tell(event: LogEvent, on: Day): string | undefined;
  /** What is told of a box by now. */
  wholeOf(box: string): Whole | undefined;
  /** What is told of all boxes by now, as a fold of them has it. */
  state(): Omit<YardState, 'story' | 'toSettle'>;
  /** Boxes that events were told with, and when the last of those happened that clocks allow; those that cannot be as well. */
  told: ReadonlyMap<string, string | undefined>;
  /** What the boxes told here were like before events that are about several. */
  beside: Beside[];
  /** What was kept of other boxes, and was told with. */
  asked: Set<Kept>;
  /** Things that an event is about and that are in none of these boxes: they may be elsewhere, or nowhere; and boxes of which it matters what stands on them. */
  missing: Missing[];
  /** Other boxes that must be told anew too: what is told here makes something else of them. */
  wanted: Set<string>;
}

/**
 * Tells stories box by box: an event about one box is told with that box alone, one about several with what lives in
 * them just then. Gives what the fold of all boxes together gives, at the cost of those that are asked for.
 */
export function apart(options: ApartOptions): Apart {
  const { known, isOwn, besideOf, sign } = options;
  const parts = new Map<string, Part>();
  const places = placeBook();
  const rounds = new Map(options.rounds);
  const around: Pick<Telling, 'known' | 'rounds' | 'weather' | 'trials'> = {
    known,
    rounds,
    weather: new Map(),
    trials: new Map(),
  };
  const beside: Beside[] = [];
  const asked = new Set<Kept>();
  const missing: Missing[] = [];
  const wanted = new Set<string>();
  const told = new Map<string, string | undefined>();
  for (const whole of options.from ?? []) keep(whole.box.id, together([whole]));

  function keep(box: string, part: Part): void {
    parts.set(box, part);
    for (const id of idsIn(part)) places.add(id, box);
  }

  function tellOne(event: LogEvent, on: Day): string | undefined {
    const { concerned, things } = concernedBy(event);
    const wild = clockProblem(event);
    for (const box of concerned)
      if (isOwn(box)) told.set(box, wild === undefined ? event.occurredAt : told.get(box));
    if (wild !== undefined) return wild;
    const [only, ...others] = concerned;
    if (others.length > 0) return tellAcross(event, on, concerned, things);
    if (only !== undefined && !isOwn(only)) return undefined;
    const part = (only !== undefined && parts.get(only)) || emptyPart();
    const sentence = tell({ ...around, ...part }, event, on);
    if (only === undefined || !part.boxes.has(only)) return sentence;
    parts.set(only, part);
    // Whatever is new in it, the entry has named; a queen bears the id of her cell.
    for (const { kind, id } of event.subjects) if (LIVING.includes(kind)) places.add(id, only);
    return sentence;
  }

  /** Boxes that an event is told with: those it names, those that its things are in, and what stands upon one another. */
  function concernedBy(event: LogEvent): { concerned: string[]; things: ReadonlySet<string> } {
    const named = event.subjects.flatMap(({ kind, id }) => (kind === 'box' ? [id] : []));
    const found = new Set(named);
    const kept = besideOf(event.id).filter(({ box }) => !isOwn(box));
    const partBefore = (box: string): Part | undefined => {
      if (isOwn(box)) return parts.get(box);
      const before = kept.find((each) => each.box === box)?.before;
      return before ? together([before]) : undefined;
    };
    if (isOfStacks(event)) {
      const standing = [
        ...parts.values(),
        ...kept.flatMap(({ before }) => (before ? together([before]) : [])),
      ];
      for (const box of found) {
        for (const beyond of stackedWith(standing, box)) found.add(beyond);
        missing.push({ thing: { kind: 'box', id: box }, event });
      }
    }
    const things = concerning(
      event,
      named.flatMap((box) => partBefore(box) ?? []),
    );
    for (const thing of things) {
      const seen = [...places.of(thing.id), ...kept.map(({ box }) => box)];
      const here = seen.flatMap((box) => {
        const part = partBefore(box);
        return (part && placeOf(part, box, thing)) ?? [];
      });
      for (const box of here) found.add(box);
      if (here.length === 0) missing.push({ thing, event });
    }
    return {
      concerned: [...found],
      things: new Set([...event.subjects, ...things].map(({ id }) => id)),
    };
  }

  function tellAcross(
    event: LogEvent,
    on: Day,
    concerned: readonly string[],
    things: ReadonlySet<string>,
  ): string | undefined {
    if (!concerned.some(isOwn)) return undefined;
    const kept = new Map(besideOf(event.id).map((each) => [each.box, each]));
    const before = new Map<string, Whole>();
    for (const id of concerned) {
      const part = parts.get(id);
      const own = isOwn(id);
      const whole = own ? part && nowIn(part, id, event, things) : kept.get(id)?.before;
      if (whole) before.set(id, whole);
      const stored = own ? undefined : kept.get(id);
      if (stored) asked.add(stored);
      else if (!own) wanted.add(id);
    }
    const telling = { ...around, ...together([...before.values()]) };
    const sentence = tell(telling, event, on);
    for (const id of concerned) {
      const now = wholeIn(telling, id);
      const made = sign?.(JSON.stringify([sentence ?? null, now ?? null]));
      if (isOwn(id)) {
        const was = before.get(id);
        if (made !== undefined) beside.push({ event: event.id, box: id, before: was ?? null, sign: made });
        if (sentence === undefined && now) keep(id, putBack(parts.get(id) ?? emptyPart(), was, now));
      } else if (kept.get(id)?.sign !== made) wanted.add(id);
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
      const all = together([...parts].flatMap(([id, part]) => wholeIn(part, id) ?? []));
      return { ...all, rounds, weather: around.weather, trials: around.trials };
    },
    told,
    beside,
    asked,
    missing,
    wanted,
  };
}

/** In which boxes things were seen so far: nearly all in one alone, kept as its id, and as a list only where there are more. */
function placeBook(): { add(thing: string, box: string): void; of(thing: string): readonly string[] } {
  const book = new Map<string, string | string[]>();
  const of = (thing: string): readonly string[] => {
    const found = book.get(thing) ?? [];
    return typeof found === 'string' ? [found] : found;
  };
  return {
    of,
    add(thing, box) {
      const before = of(thing);
      if (before.length === 0) book.set(thing, box);
      else if (!before.includes(box)) book.set(thing, [...before, box]);
    },
  };
}

/** Whether an entry places boxes upon one another, or whatever stands on them, or may leave nothing of a box to stand on. */
const isOfStacks = ({ kind, payload }: LogEvent): boolean =>
  STACK_KINDS.includes(kind) || (kind === 'boxBuilt' && payload.of !== undefined);
const STACK_KINDS: readonly LogEvent['kind'][] = ['boxPlaced', 'boxStacked', 'boxTakenApart', 'layerTaken'];
const LIVING: readonly Subject['kind'][] = ['colony', 'attempt', 'queen', 'frame'];

/** Boxes that a box stands on, or that stand on it. */
function stackedWith(parts: readonly Part[], id: string): string[] {
  return parts.flatMap(({ boxes }) =>
    [...boxes.values()].flatMap((box) =>
      box.id === id ? (box.onto ?? []) : box.onto === id ? [box.id] : [],
    ),
  );
}

/** The living things that an entry names: its own bees, and not those that are named with their box; no mother, who is named and not touched. */
export function thingsOf({ payload, subjects }: LogEvent): Subject[] {
  const { colony, mother } = payload as { colony?: string; mother?: { queen?: string } };
  return subjects.filter(
    ({ kind, id }) => LIVING.includes(kind) && (kind === 'colony' ? id === colony : id !== mother?.queen),
  );
}

/** Kinds by which something becomes of the cell that bees hold. */
const OF_CELLS: readonly LogEvent['kind'][] = [
  'cellOpened',
  'eggsSeen',
  'patternScored',
  'failed',
  'queenTaken',
];
/** And those of which it depends on the bees' other queens, and on the cells that they came of, what is left. */
const OF_QUEENS: readonly LogEvent['kind'][] = ['failed', 'queenTaken'];
/** And those that give a queen, or a cell, which bear one id. */
const GIVING: readonly LogEvent['kind'][] = ['cellGiven', 'queenGiven'];
/** Few live with bees as their queens; a bank holds many, of whose cells nothing is read or changed. */
const FEW_QUEENS = 3;

/** All things that the telling of an event may read or change wherever they are. */
function concerning(event: LogEvent, named: readonly Part[]): Subject[] {
  const things = thingsOf(event);
  if (!OF_CELLS.includes(event.kind) && !GIVING.includes(event.kind)) return things;
  const { colony: own } = event.payload as { colony?: string };
  const bees = own === undefined ? undefined : named.flatMap(({ colonies }) => colonies.get(own) ?? [])[0];
  const queens =
    bees && OF_QUEENS.includes(event.kind) ? named.flatMap((part) => queensIn(part.queens, bees.id)) : [];
  const cell = bees?.ended || !OF_CELLS.includes(event.kind) ? undefined : bees?.attempt;
  const here = cell === undefined ? undefined : named.flatMap(({ attempts }) => attempts.get(cell) ?? [])[0];
  // What became of it already stays so.
  const open = cell !== undefined && !here?.taken && !here?.failed;
  const ids = [...(open ? [cell] : []), ...(queens.length > FEW_QUEENS ? [] : queens.map(({ id }) => id))];
  // She bears the id of her cell: either may be where the other is not.
  const both = [...ids, ...things.flatMap(({ kind, id }) => (isBrood(kind) ? [id] : []))].flatMap(
    (id): Subject[] => [
      { kind: 'attempt', id },
      { kind: 'queen', id },
    ],
  );
  return [...things.filter(({ kind }) => !isBrood(kind)), ...both];
}
const isBrood = (kind: Subject['kind']): boolean => kind === 'attempt' || kind === 'queen';

/** The box that a thing is in where this box knows of it: of a cell that bees brought with them, that in which it began. */
function placeOf(
  { colonies, attempts, queens, frames }: Part,
  box: string,
  { kind, id }: Subject,
): string | undefined {
  if (kind === 'attempt') return attempts.get(id)?.box;
  return (kind === 'queen' ? queens : kind === 'colony' ? colonies : frames).has(id) ? box : undefined;
}

const emptyPart = (): Part => ({
  boxes: new Map(),
  colonies: new Map(),
  attempts: new Map(),
  queens: new Map(),
  frames: new Map(),
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
}

function* idsIn({ colonies, attempts, queens, frames }: Part): Generator<string> {
  yield* colonies.keys();
  yield* attempts.keys();
  yield* queens.keys();
  yield* frames.keys();
}

/** The box with what was taken out for an event replaced by what that made of it. */
function putBack(part: Part, was: Whole | undefined, now: Whole): Part {
  for (const thing of ['colonies', 'attempts', 'queens', 'frames'] as const)
    for (const { id } of was?.[thing] ?? []) part[thing].delete(id);
  add(part, now);
  return part;
}

/** What lives in a box now, and what an event is about: all that its telling may read or change. */
function nowIn(
  part: Part,
  id: string,
  { kind, payload }: LogEvent,
  things: ReadonlySet<string>,
): Whole | undefined {
  // Of the box of who gives bees, only what is named is read or changed.
  if (kind === 'stocked' && payload.giver?.box === id && payload.box !== id) {
    const named = only(part.colonies, (each) => things.has(each.id));
    return wholeIn({ ...emptyPart(), boxes: part.boxes, colonies: named }, id);
  }
  const colonies = only(part.colonies, (each) => !each.ended || things.has(each.id));
  const held = new Set([...colonies.values()].flatMap(({ attempt }) => attempt ?? []));
  const queens = only(part.queens, (each) => isTheirs(each) || held.has(each.id) || things.has(each.id));
  const attempts = only(
    part.attempts,
    (each) => held.has(each.id) || queens.has(each.id) || things.has(each.id),
  );
  return wholeIn({ ...part, colonies, queens, attempts }, id);
}
