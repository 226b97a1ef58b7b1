import type { LogEvent, Payload } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { plusDays } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import { plannedOn } from '../yard/due/winterRules.ts';
import { fold } from '../yard/fold.ts';
import { told } from '../yard/story.test.kit.ts';
import { warningsOf } from '../yard/warn/warnings.ts';
import { placed } from './hived.test.kit.ts';
import { AUDITS, begun, known, ON, room, scene, slots } from './preparation.test.kit.ts';

describe('a plan', () => {
  const plan = (more: Partial<Payload<'winterPlanned'>> = {}) =>
    told('winterPlanned', '2026-10-08', {
      box: 'b',
      colony: 'a',
      act: 'reduce',
      room: {
        keeps: slots.slice(0, 6).map((slot) => ({ slot, turned: false })),
        end: 'left',
        follower: true,
        insulation_mm: 60,
      },
      sugar_kg: 3,
      by: '2026-10-18',
      ...more,
    });
  const due = (...events: LogEvent[]) => {
    const { compartment, state } = scene(events);
    return {
      settle: state.toSettle.map(({ sentence }) => sentence),
      work: compartment.due
        .filter(({ kind }) => kind === 'prepareWinter' || kind === 'feedWinter')
        .map(({ kind, reason, to }) => [kind, reason, to]),
    };
  };
  const fed = (amount_kg: number, on = '2026-10-09') =>
    told('fed', on, { box: 'b', colony: 'a', feed: 'syrup21', amount_kg });

  it('is work until it is done, and feed until it is fed', () => {
    expect(due(plan()).work).toEqual([
      ['prepareWinter', 'Reduce: 6 frames stay, a follower beside them. Planned 8 Oct 2026.', '2026-10-18'],
      [
        'feedWinter',
        '3.0 kg of sugar still to be fed of 3.0 kg: 3.4 l of syrup 2:1, or fondant once it is too cold for that.',
        '2026-10-18',
      ],
    ]);
    expect(due(plan({ room: undefined, sugar_kg: 0 })).work[0]?.[1]).toBe(
      'Reduce: the frames that its bees cover stay, and one of stores, as they are found. Planned 8 Oct 2026.',
    );
    // A litre of syrup 2:1 weighs 1.32 kg and has 0.88 kg of sugar.
    expect(due(plan(), fed(3)).work[1]?.[1]).toContain('1.0 kg of sugar still to be fed');
    expect(due(plan(), fed(4.5)).work).toHaveLength(1);
    expect(due(fed(9, '2026-10-07'), plan()).work).toHaveLength(2);
    const done = told('winterPrepared', '2026-10-09', { box: 'b', colony: 'a' });
    expect(due(plan(), done).work.map(([kind]) => kind)).toEqual(['feedWinter']);
    expect(due(plan(), done, { ...done, id: 'again' }).settle).toEqual(['That was done already.']);
    expect(due(done).settle).toEqual(['Nothing is planned for the winter of these bees.']);
    const dropped = told('winterDropped', '2026-10-09', { box: 'b', colony: 'a' });
    expect(due(plan(), dropped).work).toEqual([]);
    expect(due(plan({ act: 'leave', sugar_kg: 0, room: undefined })).work).toEqual([]);
    expect(due(plan({ by: '2026-10-07' })).settle[0]).toContain('lies before the day');
  });

  it('is of one winter: half a year later it says nothing', () => {
    const { state } = scene([plan()]);
    const colony = state.colonies.get('a') ?? {};
    expect(
      [plusDays('2026-10-08', 180), plusDays('2026-10-08', 181)].map((on) => plannedOn(colony, on)?.act),
    ).toEqual(['reduce', undefined]);
  });

  it('moved where it says, it is done; moved elsewhere, its frames are planned anew', () => {
    const moved = (to: { box: string; bays: string[] } | undefined) => {
      const other = placed({ box: 'c', label: 'C1', east_m: 3 });
      const move = told('colonyMoved', '2026-10-09', {
        box: 'b',
        colony: 'a',
        toBox: 'c',
        bays: [...room.bays],
      });
      const state = fold(known, [...begun, ...other, plan(to ? { act: 'move', to } : {}), move]);
      expect(state.toSettle).toEqual([]);
      return state.colonies.get('a')?.winter;
    };
    expect(moved({ box: 'c', bays: [...room.bays] })?.preparedOn).toBe('2026-10-09');
    expect(moved(undefined)).toMatchObject({ act: 'reduce', sugar_kg: 3 });
    expect(moved(undefined)?.room).toBeUndefined();
    expect(moved(undefined)?.preparedOn).toBeUndefined();
  });

  it('speaks against reducing what grows, and feed for bees without a queen', () => {
    const { state } = scene([]);
    const warm = new Map(
      Array.from({ length: 14 }, (_, day) => {
        const date = `2026-09-${String(day + 10).padStart(2, '0')}`;
        return [date, { date, min_C: 8, max_C: 20, wind_ms: 0, rain_mm: 0, flying_h: 4 }] as const;
      }),
    );
    const situation = (weather: typeof warm) => ({
      state,
      designs: known.designs,
      on: ON,
      weather,
      constants: defaultConstants,
      yard: { latitude_deg: 48 },
    });
    const said = (weather: typeof warm, more: Partial<Payload<'winterPlanned'>> = {}) =>
      warningsOf(situation(weather), plan(more)).map(({ sentence }) => sentence);
    expect(said(warm)[0]).toContain('may swarm');
    expect(said(warm, { act: 'feed' })).toEqual([]);
    expect(said(new Map())).toEqual([]);
    const out = told('framesMoved', ON, {
      moves: [{ frame: 'f9', from: { box: 'b', slot: slots[8] ?? '' }, to: null, turned: false }],
      purpose: 'reduce',
    });
    expect(warningsOf(situation(warm), out)[0]?.source).toBe('Reducing: when and who');
  });

  it('asks once for the reason of a frame that comes out against the rule', () => {
    const out = told('framesMoved', ON, {
      moves: [{ frame: 'f6', from: { box: 'b', slot: slots[5] ?? '' }, to: null, turned: false }],
      purpose: 'reduce',
    });
    const said = (...events: LogEvent[]) =>
      warningsOf(
        {
          state: scene([...AUDITS, ...events]).state,
          designs: known.designs,
          on: ON,
          weather: new Map(),
          constants: defaultConstants,
          yard: { latitude_deg: 48 },
        },
        out,
      ).filter(({ sentence }) => sentence.startsWith('By the rule'));
    const keeps = [1, 2, 3, 4].map((place) => ({ slot: slots[place] ?? '', turned: false }));
    const room = { keeps, end: 'left', follower: true, insulation_mm: 0 } as const;
    expect(said()).toHaveLength(1);
    expect(said(plan({ room: { ...room, keeps } }))).toHaveLength(1);
    expect(said(plan({ room: { ...room, keeps }, reason: 'Old comb.' }))).toHaveLength(0);
    const stays = [...keeps, { slot: slots[5] ?? '', turned: false }];
    expect(said(plan({ room: { ...room, keeps: stays }, reason: 'Old comb.' }))).toHaveLength(1);
  });
});
