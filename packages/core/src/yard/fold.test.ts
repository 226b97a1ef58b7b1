import type { Attempt, LogEvent } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Day } from '../calendar/days.ts';
import { constantsWith, defaultConstants } from '../constants/registry.ts';
import { compartmentsOf } from './compartments.ts';
import { fold } from './fold.ts';
import { motherDoubt } from './motherDoubt.ts';
import { bays, begun, DESIGN, known, OF, told, YARD } from './story.test.kit.ts';

const CELL = '2026-05-10';
const statuses = (events: readonly LogEvent[], on?: string) => {
  const state = fold(known, events, on);
  const box = state.boxes.get('box-1');
  return box ? compartmentsOf(state, known.designs, box).map(({ status }) => status) : [];
};
const season = (): LogEvent[] => [
  ...begun(CELL),
  told('cellOpened', '2026-05-13', OF),
  told('eggsSeen', '2026-05-24', OF),
  told('patternScored', '2026-06-02', { ...OF, pattern_pct: 91 }),
  told('queenTaken', '2026-06-14', { ...OF, to: 'sold', beesRemain: true }),
];

describe('a season of one compartment', () => {
  it('passes through its statuses, as of any day', () => {
    const at = (on: string) => statuses(season(), on)[0];
    expect(at('2026-05-08')).toBe('empty');
    expect(at('2026-05-09')).toBe('stocked');
    expect(at('2026-05-12')).toBe('cellGiven');
    expect(at('2026-05-13')).toBe('virgin');
    expect(at('2026-06-01')).toBe('laying');
    expect(at('2026-06-02')).toBe('proven');
    expect(at('2026-06-14')).toBe('stocked');
    expect(statuses(season(), '2026-04-01')).toEqual([]);
    expect(statuses(season())).toEqual(['stocked', 'empty', 'empty']);
  });

  it('is the same whatever order its entries arrive in', () => {
    const events = season();
    const expected = fold(known, events);
    fc.assert(
      fc.property(fc.shuffledSubarray(events, { minLength: events.length }), (shuffled) => {
        expect(fold(known, shuffled)).toEqual(expected);
      }),
    );
  });

  it('told up to a day is the story of that day’s entries alone', () => {
    const events = season();
    for (const on of ['2026-05-09', '2026-05-24', '2026-06-02']) {
      const upTo = events.filter(({ occurredAt }) => occurredAt.slice(0, 10) <= on);
      expect(fold(known, events, on)).toEqual(fold(known, upTo));
    }
  });

  it('records what makes an attempt', () => {
    const attempt = fold(known, season()).attempts.get('attempt-1');
    expect(attempt).toMatchObject({
      givenOn: CELL,
      openedOn: '2026-05-13',
      layingOn: '2026-05-24',
      patterns: [{ on: '2026-06-02', pattern_pct: 91 }],
      taken: { on: '2026-06-14', to: 'sold' },
      round: 'round-1',
    });
  });
});

describe('corrections', () => {
  it('taking an entry back equals never having made it, but for the record', () => {
    const events = season();
    fc.assert(
      fc.property(fc.constantFrom(...events), (wrong) => {
        const undone = fold(known, [...events, told('withdrawn', '2026-07-01', {}, { corrects: wrong.id })]);
        const never = fold(
          known,
          events.filter(({ id }) => id !== wrong.id),
        );
        expect(undone).toEqual(never);
      }),
    );
  });

  it('an undo can itself be undone', () => {
    const events = season();
    const undo = told('withdrawn', '2026-07-01', {}, { corrects: events.at(-1)?.id ?? '' });
    const redo = told('withdrawn', '2026-07-01', {}, { corrects: undo.id });
    expect(fold(known, [...events, undo, redo])).toEqual(fold(known, events));
  });

  it('a corrected score replaces the first', () => {
    const events = season();
    const scored = events.find(({ kind }) => kind === 'patternScored');
    const corrected = told(
      'patternScored',
      '2026-06-02',
      { ...OF, pattern_pct: 81 },
      { corrects: scored?.id ?? '' },
    );
    expect(fold(known, [...events, corrected]).attempts.get('attempt-1')?.patterns).toEqual([
      { on: '2026-06-02', pattern_pct: 81 },
    ]);
  });

  it('a correction corrected again replaces both, and what is undone of them comes back one by one', () => {
    const events = season();
    const scored = events.find(({ kind }) => kind === 'patternScored') as LogEvent;
    const standing = (story: readonly LogEvent[]) =>
      fold(known, [...events, ...story])
        .attempts.get('attempt-1')
        ?.patterns?.map(({ pattern_pct }) => pattern_pct);
    const replace = (pattern_pct: number, corrects: string) =>
      told('patternScored', '2026-06-02', { ...OF, pattern_pct }, { corrects });
    fc.assert(
      fc.property(fc.array(fc.option(fc.integer({ min: 1, max: 90 })), { maxLength: 8 }), (acts) => {
        // Beside the log, a pile of what stood one after the other: a correction is laid on it, an undo takes one off.
        const pile: { score: number; entry: string }[] = [{ score: 91, entry: scored.id }];
        const story: LogEvent[] = [];
        for (const score of acts) {
          const entry = pile.at(-1)?.entry;
          if (entry === undefined) break;
          const said =
            score === null ? told('withdrawn', '2026-07-01', {}, { corrects: entry }) : replace(score, entry);
          story.push(said);
          if (score === null) pile.pop();
          else pile.push({ score, entry: said.id });
          expect(standing(story)).toEqual(pile.slice(-1).map(({ score: last }) => last));
        }
      }),
    );
  });

  it('a ring of corrections ends', () => {
    const a = told('withdrawn', '2026-07-01', {}, { id: 'ring-a', corrects: 'ring-b' });
    const b = told('withdrawn', '2026-07-01', {}, { id: 'ring-b', corrects: 'ring-a' });
    expect(fold(known, [...season(), a, b]).story.length).toBeGreaterThan(0);
  });
});

describe('what cannot be', () => {
  const settled = (event: LogEvent, story = season()) =>
    fold(known, [...story, event]).toSettle.map(({ sentence }) => sentence);

  it('is left out with its sentence, and changes nothing', () => {
    const story = season();
    const late = told('cellGiven', '2026-06-01', { box: 'box-1', colony: 'colony-1', attempt: 'attempt-2' });
    const { toSettle, ...state } = fold(known, [...story, late]);
    const { toSettle: _, ...without } = fold(known, story);
    expect(toSettle[0]?.sentence).toContain('“laying” since 24 May');
    expect(state).toEqual(without);
  });

  it.each([
    ['of a box that does not exist', told('noted', '2026-06-01', { box: 'none' }), 'does not exist'],
    ['before the box was built', told('noted', '2026-04-01', { box: 'box-1' }), 'not built yet'],
    [
      'of bees that are not there',
      told('eggsSeen', '2026-06-01', { box: 'box-1', colony: 'none' }),
      'no such bees',
    ],
    ['of another cell', told('eggsSeen', '2026-05-25', { ...OF, attempt: 'attempt-9' }), 'not the one'],
    [
      'a second building',
      told('boxBuilt', '2026-06-01', { box: 'box-1', label: 'B1', design: DESIGN, version: 1 }),
      'already built',
    ],
    [
      'of an unknown design',
      told('boxBuilt', '2026-06-01', { box: 'box-2', label: 'B2', design: 'none', version: 1 }),
      'does not exist',
    ],
    [
      'of a version that was never saved',
      told('boxBuilt', '2026-06-01', { box: 'box-2', label: 'B2', design: DESIGN, version: 7 }),
      'no version 7',
    ],
    [
      'in an unknown yard',
      told('boxPlaced', '2026-06-01', {
        box: 'box-1',
        yard: 'none',
        stand: '1',
        east_m: 0,
        north_m: 0,
        bearing_deg: 0,
      }),
      'yard that does not exist',
    ],
    [
      'a bay that the design lacks',
      told('stocked', '2026-06-01', {
        box: 'box-1',
        colony: 'c9',
        bays: ['bay-99'],
        frames: { sealedBrood: 0, stores: 0, drawn: 0 },
        shakes: 1,
        openBrood: false,
      }),
      'no bay',
    ],
    [
      'more cells accepted than grafted',
      told('grafted', '2026-06-01', { round: 'r9', number: 9, donor: 'X', grafts: 5, countedAtOnce: 6 }),
      'cannot be accepted',
    ],
    [
      'taking a box apart with bees in it',
      told('boxTakenApart', '2026-06-01', { box: 'box-1' }),
      'still holds bees',
    ],
  ] as const)('%s', (_, event, words) => {
    expect(settled(event)[0]).toContain(words);
  });

  it('stocking a compartment that holds bees, with others', () => {
    const second = told('stocked', '2026-05-20', {
      box: 'box-1',
      colony: 'colony-2',
      bays: bays.slice(0, 1),
      frames: { sealedBrood: 1, stores: 0, drawn: 0 },
      shakes: 0,
      openBrood: false,
    });
    expect(settled(second)[0]).toContain('already holds bees');
  });

  it('anything in a box taken apart', () => {
    const apart = [
      told('boxBuilt', '2026-05-01', { box: 'box-1', label: 'B1', design: DESIGN, version: 1 }),
      told('boxTakenApart', '2026-05-05', { box: 'box-1' }),
    ];
    expect(settled(told('noted', '2026-05-06', { box: 'box-1' }), apart)[0]).toContain(
      'taken apart on 5 May',
    );
    expect(settled(told('noted', '2026-05-04', { box: 'box-1' }), apart)).toEqual([]);
  });
});

describe('a box being built', () => {
  it('keeps the day of each step, and loses it when the step is taken back', () => {
    const tick = (on: string, step: string, done: boolean) =>
      told('buildTicked', on, { box: 'box-1', step, done });
    const built = told('boxBuilt', '2026-05-01', { box: 'box-1', label: 'B1', design: DESIGN, version: 1 });
    const events = [
      built,
      tick('2026-05-02', 'cut', true),
      tick('2026-05-03', 'glue', true),
      tick('2026-05-04', 'cut', false),
    ];
    const stepsOn = (on: string) => fold(known, events, on).boxes.get('box-1')?.buildSteps;
    expect(stepsOn('2026-05-03')).toEqual({ cut: '2026-05-02', glue: '2026-05-03' });
    expect(stepsOn('2026-05-05')).toEqual({ glue: '2026-05-03' });
  });
});

describe('a box looked at', () => {
  it('is in the condition last seen, as of the day', () => {
    const seen = (on: string, condition: 'good' | 'worn', missing: string) =>
      told('boxInspected', on, { box: 'box-1', finish: 'oil', condition, missing });
    const built = told('boxBuilt', '2026-05-01', { box: 'box-1', label: 'B1', design: DESIGN, version: 1 });
    const events = [seen('2026-05-20', 'worn', 'one disc'), built, seen('2026-05-10', 'good', '')];
    const on = (day: string) => fold(known, events, day).boxes.get('box-1')?.inspected;
    expect(on('2026-05-05')).toBeUndefined();
    expect(on('2026-05-15')).toMatchObject({ condition: 'good', on: '2026-05-10' });
    expect(on('2026-05-21')).toMatchObject({ condition: 'worn', missing: 'one disc' });
  });
});

describe('colonies', () => {
  it('that abscond leave an empty compartment, which can be stocked again', () => {
    const events = [...begun(CELL), told('failed', '2026-05-18', { ...OF, reason: 'absconded' })];
    expect(statuses(events)[0]).toBe('empty');
    const again = told('stocked', '2026-05-20', {
      box: 'box-1',
      colony: 'colony-2',
      bays: bays.slice(0, 1),
      frames: { sealedBrood: 1, stores: 0, drawn: 0 },
      shakes: 0,
      openBrood: false,
    });
    expect(statuses([...events, again])[0]).toBe('stocked');
  });

  it('that are combined end, and the other carries on with its queen', () => {
    const other = { box: 'box-1', colony: 'colony-2' };
    const events = [
      ...begun(CELL),
      told('eggsSeen', '2026-05-24', OF),
      told('stocked', '2026-05-20', {
        ...other,
        bays: bays.slice(1, 2),
        frames: { sealedBrood: 1, stores: 0, drawn: 0 },
        shakes: 0,
        openBrood: false,
      }),
      told('combined', '2026-05-26', { ...other, intoBox: 'box-1', into: 'colony-1' }),
    ];
    expect(statuses(events)).toEqual(['laying', 'empty', 'empty']);
    expect(fold(known, events).colonies.get('colony-2')?.ended).toEqual({
      on: '2026-05-26',
      how: 'combined',
    });
  });

  it('that lay too early for their graft have a queen of uncertain mother, by the figures of their yard', () => {
    const doubtOf = (eggsOn: Day, constants = defaultConstants) => {
      const { attempts, rounds } = fold(known, [...begun(CELL), told('eggsSeen', eggsOn, OF)]);
      return motherDoubt(attempts.get('attempt-1') as Attempt, rounds.get('round-1'), constants);
    };
    expect(doubtOf('2026-05-18')).toBe('Eggs 18 days after the graft, before day 19: of another queen.');
    expect(doubtOf('2026-05-19')).toBeUndefined();
    expect(doubtOf('2026-05-19', constantsWith({ earliestOwnEggs_d: 20 }))).toContain('before day 20');
    expect(motherDoubt({ layingOn: '2026-05-01' }, undefined, defaultConstants)).toBeUndefined();
    expect(motherDoubt({}, { graftedOn: '2026-05-01' }, defaultConstants)).toBeUndefined();
  });

  it('get a second attempt after the first failed', () => {
    const events = [
      ...begun(CELL),
      told('failed', '2026-06-01', { ...OF, reason: 'virginLost' }),
      told('cellGiven', '2026-06-03', { box: 'box-1', colony: 'colony-1', attempt: 'attempt-2' }),
    ];
    const state = fold(known, events);
    expect(state.colonies.get('colony-1')).toMatchObject({ status: 'cellGiven', attempt: 'attempt-2' });
    expect(state.attempts.get('attempt-1')?.failed).toEqual({ on: '2026-06-01', reason: 'virginLost' });
  });
});

it('weather of a day is the last recorded', () => {
  const day = (max_C: number) => ({
    date: '2026-05-01',
    min_C: 5,
    max_C,
    wind_ms: 1,
    rain_mm: 0,
    flying_h: 1,
  });
  const events = [
    told('weatherRecorded', '2026-05-01', { yard: YARD, days: [day(15)] }),
    told('weatherRecorded', '2026-05-02', { yard: YARD, days: [day(17)] }),
  ];
  expect(fold(known, events).weather.get(YARD)?.get('2026-05-01')?.max_C).toBe(17);
});
