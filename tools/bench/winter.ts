import {
  autumnList,
  boxViews,
  defaultConstants,
  fold,
  population,
  prepareRoom,
  sideBySide,
  springList,
  winterAhead,
  winterMonths,
  yardChoice,
} from '@yellow-cell/core';
import { createDemo, recorded } from '@yellow-cell/demo';
import { type Figure, medianMs } from './figure.ts';

const ON = '2026-10-20';
const MEADOW = 'Quarry meadow';

/** A yard before winter: its list, one colony frame by frame, and the question of all as one. */
export async function winterFigures(): Promise<Figure[]> {
  const demo = createDemo(`${ON}T08:00:00.000Z`);
  const { known, events } = recorded(demo);
  const state = fold(known, events);
  const yard = demo.yards.find(({ name }) => name === MEADOW)?.id ?? '';
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
  const watched = { months: winterMonths(undefined, 48), latitude_deg: 48, constants: defaultConstants };
  const beside = {
    design: looked.box.design,
    bays: looked.room.bays,
    seams: looked.seams ?? 5,
    stores_kg: looked.stores_kg,
    neighbours: [],
    keeps: 6,
    end: 'left' as const,
    rooms: [],
  };
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
      'five hundred colonies out of winter, each to the day on which it is crowded',
      await medianMs(5, () => springList(state, many, { ...watched, on: '2027-04-10' })),
      1_000,
      'within 1 s',
    ),
    bound(
      'one colony in all the ways it could be wintered, by months, beside the page',
      await medianMs(5, () => sideBySide({ ...beside, ...season })),
      500,
      'within half a second',
    ),
    bound(
      'a small colony followed day by day: 10,000 runs of 200 days',
      await medianMs(3, () => {
        for (let run = 0; run < 10_000; run++)
          population(
            {
              from: '2027-04-01',
              days: 200,
              format: 'langstroth-deep',
              frames: 10,
              bees_kg: 0.5 + run / 20_000,
              sealedCells: 3_000,
              openCells: 1_500,
              stores_kg: 6,
              laysFrom: '2027-04-01',
              forage_gFlier: 0.1,
            },
            defaultConstants,
          );
      }),
      2_000,
      'within 2 s',
    ),
    bound(
      'one colony before winter, frame by frame, both winters',
      await medianMs(21, () => prepareRoom(state, looked.box, looked.room, looked, arrangement, season)),
      16,
      'within a frame',
    ),
    bound(
      'the question of 60 colonies as one choice, put together',
      await medianMs(3, () =>
        yardChoice(state, sixty, views, season, { colony: 150, sugar_kg: 1, hour: 15 }),
      ),
      2_000,
      'within 2 s',
    ),
  ];
}
