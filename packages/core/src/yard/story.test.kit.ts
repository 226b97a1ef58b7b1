import type {
  Design,
  DesignContent,
  Entry,
  EntryOf,
  EventKind,
  LogEvent,
  WeatherDay,
} from '@yellow-cell/contract';
import { kindVersionOf, subjectsOf } from '@yellow-cell/contract/subjects';
import { bayIdsOf } from '../box/stack.ts';
import { standardDesign } from '../box/standardDesign.ts';
import { type Day, instantOf, plusDays } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import { compartmentsOf } from './compartments.ts';
import type { Expectation, Weather } from './due/expectation.ts';
import { expectationsOf } from './due/rules.ts';
import type { Known, YardState } from './state.ts';

/** Helpers for telling stories in tests: short ids, days instead of instants. */
export const ZONE = 'Europe/Vienna';
export const DESIGN = 'design-1';
export const YARD = 'yard-1';

export function threeWayDesign(): Design {
  const content = standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [3, 3, 3] });
  return {
    id: DESIGN,
    name: 'Three-way',
    versions: [{ id: 'v1', number: 1, content, note: '', savedAt: '', savedBy: '' }],
  };
}

/** The same body, its entrances in the front, near each other and without marks: taken for one another. */
export const doorsAlike = (content: DesignContent): DesignContent => ({
  ...content,
  layers: content.layers.map((layer) =>
    layer.kind === 'body'
      ? {
          ...layer,
          entrances: layer.entrances.map((entrance, index) => ({
            ...entrance,
            side: 'front' as const,
            along: { mm: 80 + index * 60 },
            mark: null,
          })),
        }
      : layer,
  ),
});

export const known: Known = { designs: new Map([[DESIGN, threeWayDesign()]]), yards: new Set([YARD]) };
export const bays: readonly string[] = threeWayDesign().versions.flatMap(({ content }) => bayIdsOf(content));

let count = 0;

export function told<K extends EventKind>(
  kind: K,
  on: Day,
  payload: EntryOf<K>['payload'],
  more: { hour?: number; corrects?: string; id?: string; device?: string } = {},
): LogEvent {
  const { hour = 9, corrects, id = `e${++count}`, device = 'phone' } = more;
  const entry = {
    id,
    kind,
    kindVersion: kindVersionOf(kind),
    occurredAt: instantOf(on, hour, 0, ZONE),
    zone: ZONE,
    person: 'P',
    device,
    deviceSeq: count,
    payload,
    ...(corrects ? { corrects } : {}),
  } as unknown as Entry;
  return { ...entry, breeder: 'b', recordedAt: entry.occurredAt, subjects: subjectsOf(entry) };
}

/** A box built and placed, its first compartment stocked and given a cell of a round grafted ten days before. */
export function begun(cellOn: Day, box = 'box-1'): LogEvent[] {
  return [
    told('boxBuilt', plusDays(cellOn, -20), { box, label: 'B1', design: DESIGN, version: 1 }),
    told('boxPlaced', plusDays(cellOn, -19), {
      box,
      yard: YARD,
      stand: '1',
      east_m: 1,
      north_m: 1,
      bearing_deg: 180,
    }),
    told('grafted', plusDays(cellOn, -10), {
      round: 'round-1',
      number: 1,
      donor: 'Sable',
      grafts: 30,
      countedAtOnce: 24,
    }),
    told('stocked', plusDays(cellOn, -1), {
      box,
      colony: 'colony-1',
      bays: bays.slice(0, 1),
      frames: { sealedBrood: 1, stores: 1, drawn: 1 },
      shakes: 2,
      openBrood: false,
    }),
    told('cellGiven', cellOn, { ...OF, round: 'round-1' }),
  ];
}
/** Bees in the compartment at a place from x = 0, stocked as handbook 5 has it. */
export const stockedIn = (
  colony: string,
  at: number,
  on: Day,
  more: Partial<EntryOf<'stocked'>['payload']> = {},
): LogEvent =>
  told('stocked', on, {
    box: 'box-1',
    colony,
    bays: bays.slice(at, at + 1),
    frames: { sealedBrood: 1, stores: 1, drawn: 1 },
    shakes: 1,
    openBrood: false,
    ...more,
  });
export const OF = { box: 'box-1', colony: 'colony-1', attempt: 'attempt-1' };

export function weatherOf(from: Day, flying_h: readonly number[]): WeatherDay[] {
  return flying_h.map((hours, index) => ({
    date: plusDays(from, index),
    min_C: 8,
    max_C: hours > 0 ? 22 : 12,
    wind_ms: 2,
    rain_mm: 0,
    flying_h: hours,
  }));
}

/** What is expected of a colony as the state stands. */
export function workOf(
  state: YardState,
  colony: string,
  weather: Weather = new Map(),
  constants = defaultConstants,
): Expectation[] {
  return [...state.boxes.values()].flatMap((box) =>
    compartmentsOf(state, known.designs, box)
      .filter((each) => each.colony?.id === colony)
      .flatMap((each) => expectationsOf(each, box, weather, constants)),
  );
}
