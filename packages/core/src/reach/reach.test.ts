import type { ReachQuestion, ReachWarningKind } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { reach, reachProblems } from './reach.ts';

const EXCLUDER_MM = 4.2;
const OPEN_MM = 9;

const box = (over: Partial<ReachQuestion>): ReachQuestion => ({
  spaces: ['west', 'east'],
  passages: [{ between: ['west', 'east'], gap_mm: EXCLUDER_MM }],
  occupants: [],
  entrances: [{ to: ['east'], state: 'open' }],
  ...over,
});
const kinds = (question: ReachQuestion): ReachWarningKind[] =>
  reach(question).warnings.map(({ kind }) => kind);
const occupants = (...list: [string, ReachQuestion['occupants'][number]['what']][]) =>
  list.map(([space, what]) => ({ in: space, what }));

describe('who can go where', () => {
  it('finishing beside an excluder is ordinary', () => {
    const question = box({ occupants: occupants(['west', 'queen'], ['east', 'grafts']) });
    expect(reach(question)).toEqual({
      colonies: [['east', 'west']],
      territories: [['east'], ['west']],
      warnings: [],
    });
  });

  it('a virgin is never held by an excluder', () => {
    expect(kinds(box({ occupants: occupants(['west', 'queen'], ['east', 'virgin']) }))).toEqual([
      'virginBehindExcluder',
    ]);
    expect(kinds(box({ occupants: occupants(['west', 'ripeCell'], ['east', 'grafts']) }))).toEqual([
      'virginBehindExcluder',
    ]);
    expect(kinds(box({ occupants: occupants(['west', 'queen'], ['east', 'queen']) }))).toEqual([]);
  });

  it.each([
    ['two queens', ['queen', 'virgin'], 'twoQueens'],
    ['a queen and a ripe cell', ['queen', 'ripeCell'], 'queenMeetsCell'],
    ['a virgin and grafts', ['virgin', 'grafts'], 'queenMeetsGrafts'],
  ] as const)('%s meet through an open gap', (_, [a, b], kind) => {
    const question = box({
      passages: [{ between: ['west', 'east'], gap_mm: OPEN_MM }],
      occupants: occupants(['west', a], ['east', b]),
    });
    expect(reach(question).warnings).toEqual([
      { kind, spaces: ['east', 'west'], sentence: expect.any(String) },
    ]);
  });

  it('a colony wants flight, and a virgin a way to mate', () => {
    expect(
      kinds(box({ entrances: [{ to: ['east'], state: 'vent' }], occupants: occupants(['east', 'queen']) })),
    ).toEqual(['noFlight']);
    expect(
      kinds(
        box({
          entrances: [{ to: ['east'], state: 'workersOnly' }],
          occupants: occupants(['east', 'virgin']),
        }),
      ),
    ).toEqual(['noMatingFlight']);
    expect(
      kinds(
        box({
          passages: [],
          occupants: occupants(['west', 'ripeCell']),
          entrances: [{ to: ['west'], state: 'workersOnly' }],
        }),
      ),
    ).toEqual([]);
    expect(kinds(box({ entrances: [] }))).toEqual([]);
  });

  it('an entrance across a divider serves two colonies', () => {
    const shared = (state: ReachQuestion['entrances'][number]['state']) =>
      kinds(box({ passages: [], entrances: [{ to: ['west', 'east'], state }] }));
    expect(shared('open')).toEqual(['sharedEntrance']);
    expect(shared('workersOnly')).toEqual(['sharedEntrance']);
    expect(shared('vent')).toEqual([]);
    expect(kinds(box({ entrances: [{ to: ['west', 'east'], state: 'open' }] }))).toEqual([]);
  });

  it('drones want a gap of 5.4 to a full entrance', () => {
    const drones = (gap_mm: number, state: ReachQuestion['entrances'][number]['state'] = 'open') =>
      kinds(
        box({
          passages: [{ between: ['west', 'east'], gap_mm }],
          entrances: [{ to: ['east'], state }],
          occupants: occupants(['west', 'drones']),
        }),
      );
    expect(drones(EXCLUDER_MM)).toEqual(['dronesShutIn']);
    expect(drones(5.3)).toEqual(['dronesShutIn']);
    expect(drones(5.4)).toEqual([]);
    expect(drones(9, 'workersOnly')).toEqual(['dronesShutIn']);
  });
});

describe('groups', () => {
  const spaces = ['a', 'b', 'c', 'd', 'e', 'f'];
  const space = fc.constantFrom(...spaces);
  const passages = fc.array(
    fc
      .record({ between: fc.tuple(space, space), gap_mm: fc.constantFrom(2, 3.5, 4.2, 5, 5.6, 8, 20) })
      .filter(({ between: [a, b] }) => a !== b),
    { maxLength: 10 },
  );

  /** Reached by walking passages that let the passer through, step by step. */
  function walked(
    from: string,
    list: { between: [string, string]; gap_mm: number }[],
    least: number,
  ): string[] {
    const seen = new Set([from]);
    for (let grew = true; grew; ) {
      grew = false;
      for (const {
        between: [a, b],
        gap_mm,
      } of list) {
        if (gap_mm < least || seen.has(a) === seen.has(b)) continue;
        seen.add(a).add(b);
        grew = true;
      }
    }
    return [...seen].sort();
  }

  it('hold every space once, and just those that can be walked to; territories lie within colonies', () => {
    fc.assert(
      fc.property(passages, (list) => {
        const { colonies, territories } = reach({ spaces, passages: list, occupants: [], entrances: [] });
        expect(colonies.flat().sort()).toEqual(spaces);
        expect(territories.flat().sort()).toEqual(spaces);
        for (const colony of colonies) expect(colony).toEqual(walked(colony[0] ?? '', list, 4.1));
        for (const territory of territories) {
          expect(territory).toEqual(walked(territory[0] ?? '', list, 4.6));
          expect(colonies.some((colony) => territory.every((each) => colony.includes(each)))).toBe(true);
        }
      }),
    );
  });
});

it('names that are unknown or given twice are listed, all of them', () => {
  const problems = reachProblems({
    spaces: ['a', 'a'],
    passages: [
      { between: ['a', 'x'], gap_mm: 4 },
      { between: ['a', 'a'], gap_mm: 4 },
    ],
    occupants: occupants(['y', 'queen']),
    entrances: [{ to: ['a', 'z'], state: 'open' }],
  });
  expect(problems.map(({ path }) => path)).toEqual([
    'spaces.1',
    'passages.0.between.1',
    'passages.1.between',
    'occupants.0.in',
    'entrances.0.to.1',
  ]);
});
