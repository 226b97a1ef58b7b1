import type {
  Attempt,
  BoxStanding,
  BoxState,
  Colony,
  Entry,
  LogEvent,
  Queen,
  Subject,
} from '@yellow-cell/contract';
import {
  type Constants,
  cellDay,
  compartmentsOf,
  compassPoint,
  type Day,
  daysBetween,
  designOf,
  expectationsOf,
  failBy,
  freeFrom,
  type Known,
  later,
  outcomeOf,
  type Weather,
  type Whole,
  wholeIn,
  type YardState,
} from '@yellow-cell/core';
import type { ReadRows, RoundInsert, WeatherInsert } from '../store/tables.ts';

/** What the state of some boxes says, as rows of the read tables. */
export interface Told {
  breeder: string;
  /** Boxes whose rows are replaced, those too of which nothing can be told. */
  boxes: ReadonlySet<string>;
  state: YardState;
  known: Known;
  constantsFor: (box: BoxState) => Constants;
  /** Of attempts and queens only those are written; all, where it is left out. */
  isNew?: (thing: { id: string }) => boolean;
  /** What happened last in a box, newest last. */
  recentOf: (box: string) => readonly Entry[];
  /** When the last entry was that its story was told with, be it one that cannot be. */
  lastAt: (box: string) => string;
}

const RECENT = 5;
export const lastOf = (events: readonly (Entry | LogEvent)[]): Entry[] =>
  events.slice(-RECENT).map((event) => {
    const { breeder: _, recordedAt: __, subjects: ___, ...entry } = event as LogEvent;
    return entry;
  });

export function rowsOf(told: Told): ReadRows {
  const { breeder: breeder_id, state, recentOf, lastAt, isNew = () => true } = told;
  const boxes = [...state.boxes.values()].map((box): ReadRows['boxes'][number] => {
    const whole = wholeIn(state, box.id) as Whole;
    const recent = recentOf(box.id);
    return {
      breeder_id,
      box_id: box.id,
      label: box.label,
      label_key: labelKey(box.label),
      design_id: box.design,
      design_version: box.version,
      yard_id: box.place?.yard ?? null,
      stand: box.place?.stand ?? null,
      built_on: box.builtOn,
      taken_apart_on: box.takenApartOn ?? null,
      told: whole,
      shown: { ...shownOf(whole), recent } satisfies BoxStanding,
      last_at: lastAt(box.id),
    };
  });
  const queens = [...state.queens.values()]
    .filter((queen) => state.boxes.has(queen.box) && isNew(queen))
    .map((queen) => queenRow(breeder_id, queen));
  const toSettle = toSettleRows(breeder_id, state, ({ kind, id }) => kind === 'box' && told.boxes.has(id));
  return { boxes, queens, toSettle, ...reckonedRows(told) };
}

/** What hangs on weather and figures beside the state itself: work that is due, and by when attempts have failed. */
export function reckonedRows(
  told: Omit<Told, 'recentOf' | 'lastAt' | 'boxes'>,
): Pick<ReadRows, 'compartments' | 'attempts' | 'due'> {
  const { breeder: breeder_id, state, known, constantsFor, isNew = () => true } = told;
  const rows: ReturnType<typeof reckonedRows> = { compartments: [], attempts: [], due: [] };
  for (const box of state.boxes.values()) {
    const weather = weatherAt(state, box);
    const design = designOf(known.designs, box);
    for (const compartment of compartmentsOf(state, known.designs, box)) {
      const { position, name, frames, status, since } = compartment;
      const expected = expectationsOf(compartment, box, weather, constantsFor(box));
      const first = expected.find(({ lapses, quiet }) => !lapses && !quiet);
      const at = { breeder_id, box_id: box.id, position };
      rows.compartments.push({
        ...at,
        name,
        frames,
        status,
        since,
        due: first?.kind ?? null,
        due_from: first?.from ?? null,
        due_expected: first?.expected ?? null,
        due_to: first?.to ?? null,
        role: compartment.role,
        free_from: design
          ? (freeFrom(compartment, { design, box }, weather, constantsFor(box)) ?? null)
          : null,
      });
      for (const { kind, key = '', from, to, lapses = false } of expected)
        rows.due.push({
          ...at,
          kind,
          key,
          yard_id: box.place?.yard ?? null,
          due_from: from,
          due_to: to,
          lapses,
        });
    }
  }
  for (const attempt of state.attempts.values()) {
    const box = state.boxes.get(attempt.box);
    if (box && isNew(attempt)) rows.attempts.push(attemptRow(told, attempt, box));
  }
  return rows;
}

/** What waits for a person: a row for each box that it is about, and where it is about none, for its round or yard. */
export const toSettleRows = (
  breeder_id: string,
  { toSettle }: Pick<YardState, 'toSettle'>,
  isMeant: (subject: Subject) => boolean,
): ReadRows['toSettle'] =>
  toSettle.flatMap(({ event, sentence }) =>
    homesOf(event)
      .filter(isMeant)
      .map(({ id: subject_id }) => ({ breeder_id, event_id: event.id, subject_id, sentence })),
  );

function homesOf({ subjects }: LogEvent): Subject[] {
  const boxes = subjects.filter(({ kind }) => kind === 'box');
  return boxes.length > 0 ? boxes : subjects;
}

/** Colonies that were lost are shown for so long beside what came after them: winter's losses are counted in summer. */
const LOST_SHOWN_D = 365;

/** What screens show of it: who lives there, who was there last where nobody does, and whom a winter took. */
function shownOf({ box, colonies, attempts, queens, frames }: Whole) {
  const lastThere = new Map<string, Colony>();
  for (const colony of colonies) for (const bay of colony.bays) lastThere.set(bay, colony);
  const last = colonies.reduce<string>((day, { since }) => later(day, since), '');
  const shown = colonies.filter(
    (colony) =>
      !colony.ended ||
      colony.bays.some((bay) => lastThere.get(bay) === colony) ||
      (isLoss(colony) && daysBetween(colony.ended.on, last) <= LOST_SHOWN_D),
  );
  const living = new Set(shown.flatMap(({ id, ended }) => (ended ? [] : [id])));
  const current = new Set(shown.flatMap(({ ended, attempt }) => (ended || !attempt ? [] : [attempt])));
  return {
    box,
    colonies: shown,
    attempts: attempts.filter(({ id }) => current.has(id)),
    // One put aside goes back, whatever became of her bees.
    queens: queens.filter(({ colony, gone }) => (gone ? gone.backBy : living.has(colony))),
    frames,
  };
}

/** Dead, or joined to others though it was kept an eye on. */
const isLoss = ({ ended, counts }: Colony): boolean =>
  ended?.how === 'lost' || (ended?.how === 'combined' && counts !== undefined);

function attemptRow(
  { breeder, state, constantsFor }: Pick<Told, 'breeder' | 'state' | 'constantsFor'>,
  attempt: Attempt,
  box: BoxState,
): ReadRows['attempts'][number] {
  const { takeOn, missOn } = outcomeOf(attempt);
  const { into } = attempt;
  const bearing_deg = into?.entrance?.bearing_deg;
  return {
    breeder_id: breeder,
    attempt_id: attempt.id,
    box_id: box.id,
    design_id: into?.design ?? box.design,
    frames: attempt.frames,
    round_id: attempt.round ?? null,
    given_on: attempt.givenOn,
    cell_on: cellDay(attempt),
    take_on: takeOn,
    miss_on: missOn,
    fail_by: failBy(attempt, weatherAt(state, box), constantsFor(box)),
    reason: attempt.failed?.reason ?? null,
    what: attempt.what,
    design_version: into?.version ?? null,
    yard_id: into?.yard ?? null,
    compartment: into?.compartment || null,
    flight: bearing_deg === undefined ? null : compassPoint(bearing_deg),
    donor: into?.donor ?? null,
    pattern_pct: attempt.patterns.at(-1)?.pattern_pct ?? null,
  };
}

function queenRow(breeder_id: string, queen: Queen): ReadRows['queens'][number] {
  const { mother, mark, gone } = queen;
  return {
    breeder_id,
    queen_id: queen.id,
    box_id: queen.box,
    colony_id: queen.colony,
    name: queen.name ?? null,
    mother: mother && 'name' in mother ? mother.name : null,
    mother_id: mother && 'queen' in mother ? mother.queen : null,
    round_id: queen.round ?? null,
    birth_year: queen.birthYear ?? null,
    colour: mark?.colour ?? null,
    number: mark?.number ?? null,
    since: queen.since,
    gone: gone?.to ?? null,
    told: queen,
  };
}

function weatherAt(state: YardState, box: BoxState): Weather {
  return (box.place && state.weather.get(box.place.yard)) ?? NO_WEATHER;
}
const NO_WEATHER: Weather = new Map<Day, never>();

export function roundRows(
  breeder_id: string,
  { rounds }: YardState,
  touched: ReadonlySet<string>,
): RoundInsert[] {
  return [...rounds.values()]
    .filter(({ id }) => touched.has(id))
    .map((round) => ({
      breeder_id,
      round_id: round.id,
      number: round.number,
      donor: round.donor,
      grafted_on: round.graftedOn,
      told: round,
    }));
}

export function weatherRows(
  breeder_id: string,
  { weather }: YardState,
  touched: ReadonlySet<string>,
): WeatherInsert[] {
  return [...weather].flatMap(([yard_id, days]) =>
    touched.has(yard_id)
      ? [...days.values()].map(({ date, min_C, max_C, wind_ms, rain_mm, flying_h }) => ({
          breeder_id,
          yard_id,
          day: date,
          min_c: min_C,
          max_c: max_C,
          wind_ms,
          rain_mm,
          flying_h,
        }))
      : [],
  );
}

/** Pads every run of digits, so that labels sort as people count: B2 before B10. */
function labelKey(label: string): string {
  return label.toUpperCase().replace(/\d+/g, (digits) => digits.padStart(10, '0'));
}
