import type { LogEvent } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { deriveBox } from '../box/model.ts';
import { standardDesign } from '../box/standardDesign.ts';
import { defaultConstants } from '../constants/registry.ts';
import { boxViews } from '../yard/boxView.ts';
import { fold } from '../yard/fold.ts';
import type { Known } from '../yard/state.ts';
import { told, YARD } from '../yard/story.test.kit.ts';
import { autumnList } from './autumn.ts';
import { estimatedWinter } from './estimatedClimate.ts';
import { winterAhead } from './forecast.ts';
import { winteringPlan, winteringProblems } from './wintering.ts';
import { doing, yardChoice } from './yardOptions.ts';

const ON = '2026-10-10';
const designs = {
  pair: standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [5, 5] }),
  plain: standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [10] }),
  small: standardDesign({
    format: 'langstroth-deep',
    insideWidth: { mm: 190 },
    thickness: { mm: 9.5 },
    frames: [5],
  }),
} as const;
type Key = keyof typeof designs;
const known: Known = {
  designs: new Map(
    Object.entries(designs).map(([id, content]) => [
      id,
      { id, name: id, versions: [{ id: 'v', number: 1, content, note: '', savedAt: '', savedBy: '' }] },
    ]),
  ),
  yards: new Set([YARD]),
};
const season = { on: ON, ...winterAhead(estimatedWinter(), ON, 48), constants: defaultConstants };
const prices = { colony: 150, sugar_kg: 1, hour: 15 };

interface Bees {
  seams?: number;
  queen?: boolean;
}
/** A box with a colony, or none, in each of its rooms. */
function box(label: string, key: Key, rooms: readonly (Bees | undefined)[], east_m: number): LogEvent[] {
  const spot = { yard: YARD, stand: label, east_m, north_m: 1, bearing_deg: 180 };
  const compartments = deriveBox(designs[key]).compartments;
  return [
    told('boxBuilt', '2026-04-01', { box: label, label, design: key, version: 1 }),
    told('boxPlaced', '2026-04-02', { box: label, ...spot }),
    ...rooms.flatMap((bees, at) => {
      if (!bees) return [];
      const of = { box: label, colony: `${label}${at}` };
      const { seams, queen = true } = bees;
      return [
        told('stocked', '2026-06-01', {
          ...of,
          bays: [...(compartments[at]?.bays ?? [])],
          frames: { sealedBrood: 1, stores: 1, drawn: 1 },
          shakes: 1,
          openBrood: false,
          ...(queen ? { queen: 'laying' as const } : {}),
        }),
        ...(seams === undefined ? [] : [told('strengthSeen', '2026-10-01', { ...of, seams })]),
      ];
    }),
  ];
}
function choice(...events: LogEvent[][]) {
  const state = fold(known, events.flat());
  expect(state.toSettle).toEqual([]);
  const views = boxViews(state, known, YARD, defaultConstants, { on: ON, today: ON });
  return yardChoice(autumnList(state, views, season), views, season, prices);
}
const words = (found: ReturnType<typeof choice>) =>
  Object.fromEntries(
    found.question.colonies.map(({ name, options }) => [name, options.map(({ does }) => does)]),
  );

describe('the ways of a yard before winter', () => {
  it('are to stay, to be reduced where bees are few for the room, to move to a smaller box, and to join', () => {
    const found = choice(
      box('A', 'plain', [{ seams: 5 }], 1),
      box('B', 'plain', [{ seams: 6 }], 3),
      box('C', 'small', [undefined], 5),
    );
    expect(words(found)).toEqual({
      A: ['stays as it is', 'is reduced to 6 frames', 'moves to C', 'joins B'],
      B: ['stays as it is', 'is reduced to 7 frames'],
    });
    expect(winteringProblems(found.question)).toEqual([]);
    const [a] = found.question.colonies;
    // The smaller and the reduced room lose less than the wide one; to join is to be no colony any more.
    const [stays, reduced, moved, joins] = a?.options.map(({ loss }) => loss) ?? [];
    expect(reduced).toBeLessThanOrEqual(stays ?? 0);
    expect(moved).toBeLessThan(stays ?? 0);
    expect(joins).toBe(1);
  });

  it('let the fewer join the more where both find room, the queenless anybody, and nobody else', () => {
    const found = choice(
      box('A', 'pair', [{ seams: 2 }, { seams: 4.5 }], 1),
      box('B', 'small', [{ seams: 4, queen: false }], 3),
    );
    const of = words(found);
    expect(of['A West']).toContain('joins A East');
    expect(of['A East']?.some((each) => each.startsWith('joins'))).toBe(false);
    // Without a queen it may be the more; both must find room: 2 seams and 4 in five frames do, 4.5 and 4 do not.
    expect(of.B).toEqual(['joins A West']);
  });

  it('gain by company side by side, of no more than is lost, and by those who join', () => {
    const found = choice(box('A', 'pair', [{ seams: 2.5 }, { seams: 4.5 }], 1));
    const { colonies, together } = found.question;
    const at = (colony: number, does: string) =>
      colonies[colony]?.options.findIndex((each) => each.does === does) ?? -1;
    const stay = [at(0, 'stays as it is'), at(1, 'stays as it is')];
    const company = together.find(
      ({ a, b }) => a.option === stay[0] && b.option === stay[1] && b.colony === 1,
    );
    expect(company?.gain).toBeGreaterThan(0.05);
    const alone = colonies.reduce(
      (sum, { options }, colony) => sum + (options[stay[colony] ?? 0]?.loss ?? 0),
      0,
    );
    expect(winteringPlan(found.question, stay).loss).toBeCloseTo(alone - (company?.gain ?? 0), 9);
    expect(winteringPlan(found.question, stay).loss).toBeGreaterThanOrEqual(0);
    const joins = together.find(({ a }) => a.colony === 0 && a.option === at(0, 'joins A East'));
    expect(joins?.gain).toBeGreaterThan(0);
  });

  it('leave out who was not counted, and keep what is planned by hand', () => {
    const planned = told('winterPlanned', '2026-10-05', {
      box: 'A',
      colony: 'A0',
      act: 'reduce',
      sugar_kg: 0,
    });
    const found = choice(box('A', 'plain', [{ seams: 5 }], 1), box('B', 'plain', [{}], 3), [planned]);
    expect(found.unknown.map(({ box: { box: of } }) => of.label)).toEqual(['B']);
    const [fixed] = found.question.fixed ?? [];
    expect(found.ways[0]?.[fixed?.option ?? 0]?.act).toBe('reduce');
    expect(doing(found.ways[0]?.[fixed?.option ?? 0] as never)).toBe('is reduced to 6 frames');
  });
});
