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
import { beesOfSeams } from './cluster.ts';
import { estimatedWinter } from './estimatedClimate.ts';
import { comesThrough, forecastWinter, winterAhead, winterNeed } from './forecast.ts';
import { pushedWith } from './together.ts';
import { uaOf } from './uaOf.ts';
import { winteringPlan, winteringProblems } from './wintering.ts';
import { yardChoice } from './yardOptions.ts';
import { doing, type YardWay } from './yardWay.ts';

const ON = '2026-10-10';
const designs = {
  pair: standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [5, 5] }),
  plain: standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [10] }),
  /** So full of frames that no follower finds a place. */
  tight: standardDesign({
    format: 'langstroth-deep',
    insideWidth: { mm: 352 },
    thickness: { mm: 9.5 },
    frames: [10],
  }),
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
  return yardChoice(state, autumnList(state, views, season), views, season, prices);
}
const words = (found: ReturnType<typeof choice>) =>
  Object.fromEntries(
    found.question.colonies.map(({ name, options }) => [name, options.map(({ does }) => does)]),
  );

describe('the ways of a yard before winter', () => {
  it('are to stay, to be reduced where bees are few for the room, to move to a smaller box, and to join', () => {
    const found = choice(
      box('A', 'plain', [{ seams: 5 }], 1),
      box('B', 'plain', [{ seams: 6 }], 1 + defaultConstants.rowWithin_m + 0.1),
      box('C', 'small', [undefined], 15),
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

  it('are as good reduced as they stand where no follower finds a place', () => {
    const [colony] = choice(box('A', 'tight', [{ seams: 5 }], 1)).question.colonies;
    const [stays, reduced] = colony?.options ?? [];
    expect(reduced?.does).toContain('reduced');
    expect(reduced?.loss).toBe(stays?.loss);
  });

  it('offer no join to who comes through anyway: nobody gives up a colony that lives', () => {
    const strong = choice(box('A', 'plain', [{ seams: 7 }], 1), box('B', 'plain', [{ seams: 7.2 }], 20));
    const [line] = strong.ways[0] ?? [];
    expect(line?.line.dwindled).toBe(0);
    expect(words(strong).A?.some((way) => way.startsWith('joins'))).toBe(false);
    const weak = choice(box('A', 'plain', [{ seams: 4 }], 1), box('B', 'plain', [{ seams: 7.2 }], 20));
    expect(words(weak).A).toContain('joins B');
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

  it('keep a room that is planned to the very room, and a row to the row', () => {
    const fixedOf = (plan: object, ...events: LogEvent[][]) => {
      const planned = told('winterPlanned', '2026-10-05', {
        box: 'A',
        colony: 'A0',
        sugar_kg: 0,
        ...plan,
      } as never);
      const found = choice(box('A', 'plain', [{ seams: 4 }], 1), ...events, [planned]);
      const [fixed] = found.question.fixed ?? [];
      return fixed && found.ways[fixed.colony]?.[fixed.option];
    };
    const pair = box('P', 'pair', [undefined, undefined], 30);
    const rooms = deriveBox(designs.pair).compartments;
    for (const [position, { bays }] of rooms.entries())
      expect(fixedOf({ act: 'move', to: { box: 'P', bays: [...bays] } }, pair)?.at?.room.position).toBe(
        position,
      );
    const near = box('B', 'plain', [{ seams: 4.5 }], 2);
    expect(fixedOf({ act: 'reduce', pushedTo: 'B' }, near)).toMatchObject({ act: 'reduce', row: [{}] });
    expect(fixedOf({ act: 'reduce' }, near)?.row).toBeUndefined();
    // Where its partner is gone it is reduced by itself.
    expect(fixedOf({ act: 'reduce', pushedTo: 'B' })).toMatchObject({ act: 'reduce' });
  });

  it('are to be pushed together where two of a kind stand within reach, which saves what touching walls keep', () => {
    const near = choice(
      box('A', 'plain', [{ seams: 4.5 }], 1),
      box('B', 'plain', [{ seams: 4.5 }], 1 + defaultConstants.rowWithin_m),
      box('C', 'small', [{ seams: 4.5 }], 3),
    );
    expect(words(near).A?.slice(2, 4)).toEqual([
      'stays as it is, pushed together with one of its kind',
      'is reduced to 6 frames, pushed together with one of its kind',
    ]);
    expect(words(near).C?.some((does) => does.includes('pushed'))).toBe(false);
    const { colonies, together } = near.question;
    const at = colonies.map(({ options }) =>
      options.findIndex(({ does }) => does.startsWith('stays as it is, pushed')),
    );
    const joint = together.find(({ a, b }) => a.option === at[0] && b.option === at[1] && a.colony === 0);
    const [alone, row] = [undefined, { boxes: 2, place: 0 }].map((each) => {
      const [own] = deriveBox(designs.plain).compartments;
      const ua_WK = (own && uaOf(designs.plain, own, new Set(), defaultConstants, 0, each)) ?? 0;
      const bees_kg = beesOfSeams(4.5, own?.frames[0]?.format.pitch_mm ?? 0, defaultConstants.litresPerKg);
      const plan = { bees_kg, ua_WK, months: season.months, since_d: season.since_d };
      const least_kg = beesOfSeams(
        defaultConstants.springSeams,
        own?.frames[0]?.format.pitch_mm ?? 0,
        defaultConstants.litresPerKg,
      );
      const stores_kg = winterNeed(plan, defaultConstants) * (4 / 3);
      return 1 - comesThrough(forecastWinter({ ...plan, stores_kg }, defaultConstants, 60), least_kg);
    });
    expect(joint?.gain).toBeCloseTo(2 * ((alone ?? 0) - (row ?? 0)), 9);
    expect(joint?.gain).toBeGreaterThan(0);
    // Pushing is work: by itself it is no better than to stay.
    const [stays, alike] = [colonies[0]?.options[0], colonies[0]?.options[at[0] ?? 0]];
    expect(alike?.loss).toBe(stays?.loss);
    expect((alike?.work_min ?? 0) - (stays?.work_min ?? 0)).toBe(defaultConstants.winterRow_min);
    const chosen = near.ways.map((ways, colony) => ways[at[colony] ?? 0] ?? ways[0]) as YardWay[];
    expect(chosen.map((way) => pushedWith(way, chosen))).toEqual([['B'], ['A'], []]);
    expect(doing(chosen[0] as YardWay, ['B'])).toBe('stays as it is, pushed together with B');
  });

  it('make joining strangers more work than joining sisters', () => {
    const mother = (label: string, name: string) =>
      told('queenRecorded', '2026-08-01', {
        box: label,
        colony: `${label}0`,
        queen: `queen of ${label}`,
        mother: { name },
      });
    const joined = (name: string) => {
      const found = choice(box('A', 'small', [{ seams: 2 }], 1), box('B', 'plain', [{ seams: 5 }], 3), [
        mother('A', 'Sable'),
        mother('B', name),
      ]);
      return found.question.colonies[0]?.options.find(({ does }) => does.startsWith('joins'));
    };
    const [sisters, strangers] = [joined('Sable'), joined('Thistle')];
    expect(sisters?.does).toBe('joins B');
    expect(strangers?.does).toBe('joins B, strangers');
    expect((strangers?.work_min ?? 0) - (sisters?.work_min ?? 0)).toBe(defaultConstants.winterStrangers_min);
  });

  it('are reduced from as many frames without bees as the yard says, and no fewer', () => {
    const { reduceSpare } = defaultConstants;
    const does = (seams: number) => words(choice(box('A', 'plain', [{ seams }], 1))).A;
    expect(does(10 - reduceSpare)?.some((each) => each.startsWith('is reduced'))).toBe(true);
    expect(does(10 - reduceSpare + 0.5)?.some((each) => each.startsWith('is reduced'))).toBe(false);
  });

  it('cost loss, sugar and work at their prices, less what company saves', () => {
    const { question } = choice(box('A', 'pair', [{ seams: 2.5 }, { seams: 4.5 }], 1));
    const [pair] = question.together;
    const options = question.colonies.map((_, colony) =>
      pair?.a.colony === colony ? pair.a.option : (pair?.b.option ?? 0),
    );
    const all = options.map((option, colony) => question.colonies[colony]?.options[option]);
    const alone = all.reduce(
      (sum, each) =>
        sum +
        (each?.loss ?? 0) * prices.colony +
        (each?.sugar_kg ?? 0) * prices.sugar_kg +
        ((each?.work_min ?? 0) / 60) * prices.hour,
      0,
    );
    expect(winteringPlan(question, options).cost).toBeCloseTo(alone - (pair?.gain ?? 0) * prices.colony, 9);
  });
});

describe('the autumn list', () => {
  it('names the smallest free room that holds what a colony keeps, and little more', () => {
    const why = (seams: number, ...free: LogEvent[][]) => {
      const state = fold(known, [...box('A', 'plain', [{ seams }], 1), ...free.flat()]);
      const views = boxViews(state, known, YARD, defaultConstants, { on: ON, today: ON });
      const constants = { ...defaultConstants, dwindleRisk: 2, smallSeams: 1 };
      return autumnList(state, views, { ...season, constants })[0]?.why;
    };
    const small = box('C', 'small', [undefined], 3);
    // Four seams and a frame of stores are five frames, which it has; five and a frame are too many for it.
    expect(why(4, small)).toContain('or down into C, which is free with 5');
    expect(why(5, small)).not.toContain('down into');
    // Three more than it keeps are no smaller room, and neither is one as large as its own.
    expect(why(2, small)).toContain('down into C');
    expect(why(1, small)).not.toContain('down into');
    expect(why(4, box('D', 'plain', [undefined], 5))).not.toContain('down into');
  });
});
