import { subjectsOf } from '@yellow-cell/contract/subjects';
import {
  autumnList,
  boxViews,
  defaultConstants,
  fold,
  type Known,
  prepareRoom,
  winterAhead,
  winterMonths,
  yardChoice,
} from '@yellow-cell/core';
import { createDemo } from '@yellow-cell/demo';
import { type Figure, medianMs } from './figure.ts';

const ON = '2026-10-20';
const MEADOW = 'Quarry meadow';

/** A yard before winter: its list, one colony frame by frame, and the question of all as one. */
export async function winterFigures(): Promise<Figure[]> {
  const { designs, yards, entries } = createDemo(`${ON}T08:00:00.000Z`);
  const known: Known = {
    designs: new Map(
      designs.map(({ id, name, version }) => [
        id,
        { id, name, versions: [{ ...version, number: 1, savedAt: '', savedBy: '' }] },
      ]),
    ),
    yards: new Set(yards.map(({ id }) => id)),
  };
  const events = entries.map((entry) => ({
    ...entry,
    breeder: '',
    recordedAt: entry.occurredAt,
    subjects: subjectsOf(entry),
  }));
  const state = fold(known, events);
  const yard = yards.find(({ name }) => name === MEADOW)?.id ?? '';
  const views = boxViews(state, known, yard, defaultConstants, { on: ON, today: ON });
  const season = {
    on: ON,
    ...winterAhead(winterMonths(undefined, 48), ON, 48),
    constants: defaultConstants,
  } as const;
  const lines = autumnList(state, views, season);
  const counted = lines.filter(({ seams }) => seams !== undefined);
  const many = Array.from({ length: Math.ceil(500 / lines.length) }, () => views).flat();
  const sixty = Array.from({ length: Math.ceil(60 / counted.length) }, () =>
    counted.map((each) => ({ ...each })),
  )
    .flat()
    .slice(0, 60);
  const looked = lines.find(({ box }) => box.box.label === 'B1');
  if (!looked) throw new Error('The demo has no B1.');
  const arrangement = {
    school: 'sun',
    sunSide: 'left',
    end: 'left',
    follower: true,
    insulation_mm: 60,
  } as const;
  const bound = (what: string, ours: number, baseline: number, wanted: string): Figure => ({
    what,
    ours,
    baseline,
    unit: 'ms',
    against: 'the bound',
    holds: ours <= baseline,
    wanted,
  });
  return [
    bound(
      'the autumn list of 500 colonies',
      await medianMs(5, () => autumnList(state, many, season)),
      1_000,
      'within 1 s',
    ),
    bound(
      'one colony before winter, frame by frame, both winters',
      await medianMs(21, () => prepareRoom(state, looked.box, looked.room, looked, arrangement, season)),
      16,
      'within a frame',
    ),
    bound(
      'the question of 60 colonies as one choice, put together',
      await medianMs(3, () => yardChoice(sixty, views, season, { colony: 150, sugar_kg: 1, hour: 15 })),
      2_000,
      'within 2 s',
    ),
  ];
}
