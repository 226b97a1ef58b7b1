import type { FitQuestion, LayoutsQuestion, LogEvent, ShutQuestion } from '@yellow-cell/contract';
import {
  boxPhysics,
  checkDesign,
  dayInBox,
  defaultConstants,
  deriveBox,
  familyDesign,
  fit,
  fold,
  forecastWinter,
  layouts,
  shut,
  usualConditions,
  winterMonths,
} from '@yellow-cell/core';
import { createDemo, recorded } from '@yellow-cell/demo';
import { type Figure, perSecond } from './figure.ts';
import { nestFigures } from './nest.ts';
import { quickFigures } from './quick.ts';

export function coreFigures(): Figure[] {
  return [
    fitFigure(),
    layoutsFigure(),
    tenFrameFigure(),
    checkFigure(),
    physicsFigure(),
    shutFigure(),
    winterFigure(),
    foldFigure(),
    ...nestFigures(),
    ...quickFigures(),
  ];
}

const question: FitQuestion = {
  insideWidth_mm: 373,
  pitch_mm: 34.9,
  frames: [3, 3, 3],
  dividers: [{ thickness_mm: 9.5 }, { thickness_mm: 9.5 }],
};

function fitFigure(): Figure {
  const ours = perSecond(() => fit(question));
  const baseline = perSecond(() => plainFit(question));
  return {
    what: 'fit evaluated',
    ours,
    baseline,
    unit: '/s',
    against: 'the bare arithmetic, unchecked',
    holds: ours >= 100_000,
    wanted: '100,000 a second',
  };
}

/** What one would write first: the arithmetic alone, without a check. */
function plainFit({ insideWidth_mm, pitch_mm, frames, dividers }: FitQuestion) {
  let total = insideWidth_mm;
  for (const { thickness_mm } of dividers) total -= thickness_mm;
  for (const count of frames) total -= count * pitch_mm;
  const slack = total / frames.length;
  const compartments = [];
  const places = [];
  let at = 0;
  for (let index = 0; index < frames.length; index++) {
    const width = (frames[index] ?? 0) * pitch_mm + slack;
    const verdict =
      slack < 0
        ? 'impossible'
        : slack < 3
          ? 'jams'
          : slack < 8
            ? 'tight'
            : slack < 16
              ? 'right'
              : slack <= 24
                ? 'loose'
                : 'board';
    compartments.push({
      width_mm: width,
      frames: frames[index],
      slack_mm: slack,
      verdict,
      oneMoreFits: slack - pitch_mm >= 3,
    });
    at += width;
    const divider = dividers[index];
    if (divider) places.push({ at_mm: at, thickness_mm: divider.thickness_mm });
    at += divider?.thickness_mm ?? 0;
  }
  return { compartments, dividers: places };
}

const wide: LayoutsQuestion = {
  insideWidth_mm: 1_200,
  pitch_mm: 34.9,
  thicknesses_mm: [9.5],
  compartments: { min: 8, max: 8 },
  framesEach: { min: 2, max: 6 },
  slack_mm: { min: 3, max: 8 },
};

function layoutsFigure(): Figure {
  const ours = 1_000 / perSecond(() => layouts(wide), 2_000, 1);
  const baseline = 1_000 / perSecond(() => plainLayouts(wide), 2_000, 1);
  const count = layouts(wide).layouts.length.toLocaleString('en');
  return {
    what: `layouts of 1,200 mm in eight (${count})`,
    ours,
    baseline,
    unit: 'ms',
    against: 'plain enumeration with fit',
    holds: ours <= 300,
    wanted: 'within 300 ms',
  };
}

const tenFrame: LayoutsQuestion = {
  insideWidth_mm: 373,
  pitch_mm: 34.9,
  thicknesses_mm: [3, 6, 9.5, 12],
  compartments: { min: 1, max: 6 },
  framesEach: { min: 2, max: 10 },
  slack_mm: { min: 3, max: 24 },
};

function tenFrameFigure(): Figure {
  const ours = 1_000 / perSecond(() => layouts(tenFrame), 1_000, 1);
  return {
    what: `layouts of a ten-frame body (${layouts(tenFrame).layouts.length})`,
    ours,
    baseline: 50,
    unit: 'ms',
    against: 'the bound',
    holds: ours <= 50,
    wanted: 'within 50 ms',
  };
}

/** The bench asks for all checks of a box while it is drawn; the model alone is the floor of that. */
function checkFigure(): Figure {
  const design = familyDesign('fourWay');
  const fresh = () => ({ ...design }); // what is derived is kept by the design itself
  const ours = 1_000 / perSecond(() => checkDesign(fresh()), 1_000, 1);
  const baseline = 1_000 / perSecond(() => deriveBox(fresh()), 1_000, 1);
  return {
    what: `checks of a four-way body (${checkDesign(design).length})`,
    ours,
    baseline,
    unit: 'ms',
    against: 'deriving the box alone',
    holds: ours <= 100,
    wanted: 'within 100 ms, beside the page',
  };
}

const JANUARY = usualConditions({ outside_C: -1, bees: 'calm', brood: false }, defaultConstants);

/** All that a page says of a design: air, warmth, water, shut, breath, and a day of June in the sun, within a frame. */
function physicsFigure(): Figure {
  const design = familyDesign('fourWay');
  const ours = 1_000 / perSecond(() => [boxPhysics(design, JANUARY), dayInBox(design, JUNE, DAY)], 1_500, 5);
  return {
    what: 'the whole page of a four-way body: air, warmth, water, shut, breath, day',
    ours,
    baseline: FRAME_MS,
    unit: 'ms',
    against: 'a frame',
    holds: ours <= FRAME_MS,
    wanted: 'within 16 ms',
  };
}
const FRAME_MS = 16;
const JUNE = usualConditions({ outside_C: 20, bees: 'resting', brood: true }, defaultConstants);
const DAY = {
  date: '2026-06-21',
  latitude_deg: 48,
  longitude_deg: 15,
  mean_C: 20,
  swing_K: 6,
  sun: { front_deg: 180, paint: 'wood' },
} as const;

/** Four rooms side by side with the boards between them, as `shut` is asked. */
function shutFigure(): Figure {
  const rooms = ['a', 'b', 'c', 'd'];
  const boards = ['ab', 'bc', 'cd'];
  const wood = [{ thickness_mm: 4.75, lambda_WmK: 0.13 }];
  const question: ShutQuestion = {
    outside_C: 22,
    start_C: 34,
    hours: 6,
    limits_C: [36, 38],
    spaces: [
      ...rooms.map((name) => ({ name, heat_W: 14, capacity_JK: 5_200 })),
      ...boards.map((name) => ({ name, capacity_JK: 800 })),
    ],
    faces: [
      ...rooms.map((name) => ({
        between: [name, 'outside'] as [string, string],
        area_m2: 0.12,
        kind: 'wall' as const,
        layers: [{ thickness_mm: 19, lambda_WmK: 0.12 }],
      })),
      ...boards.flatMap((board) =>
        [...board].map((room) => ({
          between: [room, board] as [string, string],
          area_m2: 0.11,
          kind: 'inner' as const,
          layers: wood,
        })),
      ),
    ],
  };
  const ours = 1_000 / perSecond(() => shut(question), 1_500, 5);
  return {
    what: 'four rooms shut, six hours (`shut`)',
    ours,
    baseline: 5,
    unit: 'ms',
    against: 'the bound',
    holds: ours <= 5,
    wanted: 'within 5 ms',
  };
}

function winterFigure(): Figure {
  const plan = { bees_kg: 1.5, ua_WK: 1.2, stores_kg: 12, months: winterMonths(undefined, 48) };
  const ours = 1_000 / perSecond(() => forecastWinter(plan, defaultConstants), 1_000, 1);
  return {
    what: 'a winter, 500 runs',
    ours,
    baseline: 150,
    unit: 'ms',
    against: 'the bound',
    holds: ours <= 150,
    wanted: 'within 150 ms',
  };
}

/** What one would write first: every row of frames there is, each put to `fit`, mirror images kept apart by their text. */
function plainLayouts({
  insideWidth_mm,
  pitch_mm,
  thicknesses_mm,
  compartments,
  framesEach,
  slack_mm,
}: LayoutsQuestion): number {
  const seen = new Set<string>();
  const grow = (frames: number[]): void => {
    if (frames.length === compartments.max) {
      for (const thickness_mm of thicknesses_mm) {
        const slack =
          plainFit({
            insideWidth_mm,
            pitch_mm,
            frames,
            dividers: frames.slice(1).map(() => ({ thickness_mm })),
          }).compartments[0]?.slack_mm ?? -1;
        const [mirror] = [frames.join(), [...frames].reverse().join()].sort();
        if (slack >= slack_mm.min && slack <= slack_mm.max) seen.add(`${thickness_mm} ${mirror}`);
      }
      return;
    }
    for (let each = framesEach.min; each <= framesEach.max; each++) grow([...frames, each]);
  };
  grow([]);
  return seen.size;
}

function foldFigure(): Figure {
  const { known, events: all } = recorded(createDemo('2026-05-31T08:00:00.000Z'));
  const events = all.filter(({ kind }) => kind !== 'weatherRecorded').slice(0, 500);
  const ours = perSecond(() => fold(known, events));
  const baseline = perSecond(() => plainFold(events));
  return {
    what: 'fold of 500 events',
    ours: 1_000 / ours,
    baseline: 1_000 / baseline,
    unit: 'ms',
    against: 'sort and switch by UTC day, unchecked',
    holds: 1_000 / ours < 5,
    wanted: 'under 5 ms',
  };
}

/** What one would write first: sort by time, switch by kind, believe everything. */
function plainFold(events: readonly LogEvent[]) {
  const colonies = new Map<string, { box: string; status: string; since: string }>();
  const corrected = new Set(events.flatMap(({ corrects }) => corrects ?? []));
  const sorted = [...events].sort(
    (a, b) => new Date(a.occurredAt).getTime() - new Date(b.occurredAt).getTime(),
  );
  const statuses: Record<string, string> = {
    stocked: 'stocked',
    cellGiven: 'cellGiven',
    cellOpened: 'virgin',
    eggsSeen: 'laying',
    patternScored: 'proven',
    failed: 'failed',
    queenTaken: 'stocked',
  };
  for (const event of sorted) {
    const status = statuses[event.kind];
    if (!status || corrected.has(event.id)) continue;
    const { box, colony } = event.payload as { box: string; colony: string };
    const since = new Date(event.occurredAt).toISOString().slice(0, 10);
    colonies.set(colony, { box, status, since });
  }
  return colonies;
}
