import {
  type Attempt,
  type BoxState,
  type Constants,
  compartmentsOf,
  constantsWith,
  type Day,
  defaultConstants,
  expectationsOf,
  failBy,
  fold,
  type Known,
  outcomeOf,
  type Weather,
  type YardState,
} from '@yellow-cell/core';
import { findBreeder } from '../store/breeders.ts';
import type { Store } from '../store/database.ts';
import { loadDesigns } from '../store/designs.ts';
import { replaceBoxRows, replaceRoundRows, replaceWeatherRows } from '../store/readTables.ts';
import type { ReadRows } from '../store/tables.ts';
import { yardIds } from '../store/yards.ts';
import { storyOf, type Touched } from './story.ts';

/** Folds the story of everything touched and brings its read rows up to it, in the caller's transaction. */
export async function refresh(store: Store, breeder: string, touched: Touched): Promise<YardState> {
  const { events, boxes, designIds } = await storyOf(store, touched);
  const designs = await loadDesigns(store, designIds);
  const known: Known = {
    designs: new Map(designs.map((design) => [design.id, design])),
    yards: await yardIds(store),
  };
  const overrides = (await findBreeder(store))?.settings.constants ?? {};
  const state = fold(known, events);
  const constantsFor = (box: BoxState) =>
    box.place ? constantsWith(overrides[box.place.yard]) : defaultConstants;
  await replaceBoxRows(store, boxes, rowsOf(breeder, state, known, constantsFor));
  await replaceRoundRows(store, [...touched.rounds], roundRows(breeder, state, touched.rounds));
  const yards = new Set(touched.weather.map(({ yard }) => yard));
  await replaceWeatherRows(store, [...yards], weatherRows(breeder, state, yards));
  return state;
}

function rowsOf(
  breeder_id: string,
  state: YardState,
  known: Known,
  constantsFor: (box: BoxState) => Constants,
): ReadRows {
  const rows: ReadRows = { boxes: [], compartments: [], attempts: [], toSettle: [] };
  for (const box of state.boxes.values()) {
    rows.boxes.push({
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
    });
    const weather = weatherAt(state, box);
    for (const compartment of compartmentsOf(state, known.designs, box)) {
      const { colony, attempt } = compartment;
      const expected = colony ? expectationsOf(colony, attempt, weather, constantsFor(box)) : [];
      const first = expected.find(({ lapses }) => !lapses);
      rows.compartments.push({
        breeder_id,
        box_id: box.id,
        position: compartment.position,
        name: compartment.name,
        frames: compartment.frames,
        status: compartment.status,
        since: compartment.since,
        due: first?.kind ?? null,
        due_from: first?.from ?? null,
        due_expected: first?.expected ?? null,
        due_to: first?.to ?? null,
      });
    }
  }
  for (const attempt of state.attempts.values()) {
    const box = state.boxes.get(attempt.box);
    if (box)
      rows.attempts.push(
        attemptRow(
          breeder_id,
          attempt,
          box,

          weatherAt(state, box),
          constantsFor(box),
        ),
      );
  }
  for (const { event, sentence } of state.toSettle) {
    for (const subject of event.subjects) {
      if (subject.kind === 'box')
        rows.toSettle.push({ breeder_id, event_id: event.id, box_id: subject.id, sentence });
    }
  }
  return rows;
}

function attemptRow(
  breeder_id: string,
  attempt: Attempt,
  box: BoxState,
  weather: Weather,
  constants: Constants,
): ReadRows['attempts'][number] {
  const { takeOn, missOn } = outcomeOf(attempt);
  return {
    breeder_id,
    attempt_id: attempt.id,
    box_id: box.id,
    design_id: box.design,
    frames: attempt.frames,
    round_id: attempt.round ?? null,
    given_on: attempt.givenOn,
    take_on: takeOn,
    miss_on: missOn,
    fail_by: failBy(attempt, weather, constants),
    reason: attempt.failed?.reason ?? null,
  };
}

function weatherAt(state: YardState, box: BoxState): Weather {
  return (box.place && state.weather.get(box.place.yard)) ?? new Map<Day, never>();
}

function roundRows(breeder_id: string, { rounds }: YardState, touched: ReadonlySet<string>) {
  return [...rounds.values()]
    .filter(({ id }) => touched.has(id))
    .map(({ id, number, donor, graftedOn, grafts, accepted }) => ({
      breeder_id,
      round_id: id,
      number,
      donor,
      grafted_on: graftedOn,
      grafts,
      accepted,
    }));
}

function weatherRows(breeder_id: string, { weather }: YardState, touched: ReadonlySet<string>) {
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
