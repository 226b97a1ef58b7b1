import type { LogEvent } from '@yellow-cell/contract';
import { deriveBox } from '../../box/model.ts';
import { standardDesign } from '../../box/standardDesign.ts';
import { autumnList, autumnTime } from '../../winter/autumn.ts';
import { estimatedWinter } from '../../winter/estimatedClimate.ts';
import { feedPlan, stripsOf } from '../../winter/feedPlan.ts';
import { winterAhead } from '../../winter/forecast.ts';
import { hived, knownOf } from '../../winter/hived.test.kit.ts';
import { winterLosses } from '../../winter/losses.ts';
import { AUDITS, plain, slots } from '../../winter/preparation.test.kit.ts';
import { reduce } from '../../winter/reduce.ts';
import { sideBySide } from '../../winter/sideBySide.ts';
import { isSpring, springList } from '../../winter/spring.ts';
import { watchList } from '../../winter/watch.ts';
import { yardChoice } from '../../winter/yardOptions.ts';
import { likeBeside, workOf } from '../../winter/yardWays.ts';
import { boxViews } from '../../yard/boxView.ts';
import { fold } from '../../yard/fold.ts';
import { told, weatherOf, YARD } from '../../yard/story.test.kit.ts';
import type { Constants } from '../registry.ts';
import type { Reckonings } from './reckoning.test.kit.ts';

const months = estimatedWinter();
const pair = standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [5, 5] });
const [west, east] = deriveBox(pair).compartments;
const known = knownOf(plain);
const both = {
  ...known,
  designs: new Map([
    ...known.designs,
    [
      'p',
      {
        id: 'p',
        name: 'Pair',
        versions: [{ id: 'v', number: 1, content: pair, note: '', savedAt: '', savedBy: '' }],
      },
    ],
  ] as const),
};
const seams = (box: string, colony: string, count: number, on = '2026-10-01') =>
  told('strengthSeen', on, { box, colony, seams: count });
const inPair = (colony: string, bays: readonly string[] = []) =>
  told('stocked', '2026-06-01', {
    box: 'p',
    colony,
    bays: [...bays],
    frames: { sealedBrood: 1, stores: 2, drawn: 2 },
    shakes: 2,
    openBrood: false,
    queen: 'laying',
  });
/** A yard before its winter, in it, and after: colonies counted and not, weighed, planned for, in pairs. */
const STORY: readonly LogEvent[] = [
  ...hived(plain),
  ...hived(plain, true, { box: 'c', colony: 'k', label: 'C1', east_m: 2 }),
  ...hived(plain, false, { box: 'e', colony: 'm', label: 'E1', east_m: 4 }),
  ...hived(plain, true, { box: 'h', colony: 'n', label: 'H1', east_m: 8 }),
  told('boxBuilt', '2026-04-01', { box: 'p', label: 'P1', design: 'p', version: 1 }),
  told('boxPlaced', '2026-04-02', {
    box: 'p',
    yard: YARD,
    stand: '5',
    east_m: 5,
    north_m: 3,
    bearing_deg: 180,
  }),
  told('boxBuilt', '2026-04-01', { box: 'z', label: 'Z1', design: 'p', version: 1 }),
  told('boxPlaced', '2026-04-02', {
    box: 'z',
    yard: YARD,
    stand: '6',
    east_m: 6,
    north_m: 3,
    bearing_deg: 180,
  }),
  inPair('west', west?.bays),
  inPair('east', east?.bays),
  seams('b', 'a', 5),
  seams('c', 'k', 3.5),
  seams('e', 'm', 2),
  seams('h', 'n', 3),
  seams('p', 'west', 3),
  seams('p', 'east', 3),
  told('weighed', '2026-10-02', { box: 'c', weight_kg: 22, felt: false }),
  told('winterPlanned', '2026-10-03', { box: 'c', colony: 'k', act: 'feed', sugar_kg: 12 }),
  ...AUDITS,
  told('framesMoved', '2026-10-06', {
    moves: [{ frame: 'f2', from: { box: 'b', slot: slots[1] ?? '' }, to: null, turned: false }],
    purpose: 'reduce',
  }),
  told('weighed', '2026-12-01', { box: 'b', weight_kg: 30, felt: false }),
  told('weighed', '2027-01-20', { box: 'b', weight_kg: 24, felt: false }),
  seams('b', 'a', 4, '2027-03-05'),
];
const DAYS = ['2026-10-10', '2026-12-20', '2027-01-25', '2027-03-10', '2027-04-20'];
const shown = (lines: readonly { box: { box: { id: string } } }[]) =>
  lines.map(({ box, ...rest }) => ({ ...rest, box: box.box.id }));

export const yardInWinter: Reckonings = Object.fromEntries(
  DAYS.flatMap((on) => {
    const state = fold(
      both,
      STORY.filter(({ occurredAt }) => occurredAt.slice(0, 10) <= on),
    );
    const views = (constants: Constants) => boxViews(state, both, YARD, constants, { on, today: on });
    const asked = (constants: Constants) => ({ on, months, latitude_deg: 48, constants });
    const autumn = (constants: Constants) =>
      autumnList(state, views(constants), { on, ...winterAhead(months, on, 48), constants });
    return [
      [`autumn ${on}`, (constants: Constants) => shown(autumn(constants))],
      [
        `fed ${on}`,
        (constants: Constants) => {
          const lines = autumn(constants);
          return [
            feedPlan(state, views(constants), lines, { on, months, constants }),
            stripsOf(lines, on, constants),
            likeBeside(lines, constants).length,
          ];
        },
      ],
      [
        `watched ${on}`,
        (constants: Constants) => shown(watchList(state, views(constants), asked(constants))),
      ],
      [
        `spring ${on}`,
        (constants: Constants) => [
          isSpring(asked(constants)),
          shown(springList(state, views(constants), asked(constants))),
        ],
      ],
      [
        `chosen ${on}`,
        (constants: Constants) =>
          yardChoice(
            state,
            autumn(constants),
            views(constants),
            { on, ...winterAhead(months, on, 48), constants },
            { colony: 150, sugar_kg: 1, hour: 15 },
          ).question,
      ],
      [`losses ${on}`, (constants: Constants) => winterLosses(state, YARD, (id) => id, asked(constants))],
    ];
  }),
);

const sides = (drawn: number) => {
  const side = { stores: 0, pollen: 0, brood: 0, drawn };
  return [side, side] as [typeof side, typeof side];
};
const autumn = new Map(
  [...weatherOf('2026-08-10', new Array(14).fill(6)), ...weatherOf('2026-09-25', new Array(14).fill(0))].map(
    (each) => [each.date, each] as const,
  ),
);
export const wintering: Reckonings = {
  'the time for it': (constants) => autumnTime(autumn, constants),
  'what stays': (constants) =>
    reduce(
      {
        format: 'langstroth-deep',
        slots: [1, 2].map((slot) => ({ slot, sides: sides(slot === 1 ? 0.4 : 1) })),
        seams: 3,
        need_kg: 4,
        school: 'both',
        sunSide: 'left',
      } as never,
      constants,
    ),
  'side by side': (constants) =>
    sideBySide({
      design: pair,
      bays: [...(west?.bays ?? [])],
      seams: 3,
      stores_kg: 5,
      neighbours: [{ bays: [...(east?.bays ?? [])], seams: 3 } as never],
      keeps: 3,
      end: 'left',
      rooms: [],
      months,
      since_d: 0,
      constants,
    }),
  ...Object.fromEntries(
    (['leave', 'reduce', 'move', 'combine'] as const).map((act) => [
      `minutes to ${act}`,
      (constants: Constants) => workOf({ act, sugar_kg: 1, kin: 'strangers', row: [] } as never, constants),
    ]),
  ),
};
