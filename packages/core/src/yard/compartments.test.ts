import { subjectsOf } from '@yellow-cell/contract/subjects';
import { describe, expect, it } from 'vitest';
import { plusDays } from '../calendar/days.ts';
import { seededRandom } from '../random.ts';
import { compartmentsOf } from './compartments.ts';
import { futureProblem } from './entryProblem.ts';
import { fold } from './fold.ts';
import { bays, begun, known, OF, told, YARD } from './story.test.kit.ts';

const CELL = '2026-05-10';
const shown = (events: Parameters<typeof fold>[1], on?: string) => {
  const state = fold(known, events, on);
  const box = state.boxes.get('box-1');
  if (!box) throw new Error('no box');
  return compartmentsOf(state, known.designs, box);
};

describe('the compartments of a box', () => {
  it('are called by the compass as the box stands on the day', () => {
    const turned = told('boxPlaced', '2026-05-20', {
      box: 'box-1',
      yard: YARD,
      stand: '1',
      east_m: 1,
      north_m: 1,
      bearing_deg: 90,
    });
    const events = [...begun(CELL), turned];
    expect(shown(events, '2026-05-19').map(({ name }) => name)).toEqual(['West', 'Middle', 'East']);
    expect(shown(events, '2026-05-20').map(({ name }) => name)).toEqual(['South', 'Middle', 'North']);
  });

  it('keep their bays when they are called otherwise', () => {
    expect(shown(begun(CELL)).map((compartment) => compartment.bays)).toEqual(bays.map((bay) => [bay]));
  });

  it('say since when they have been what they are, also when empty again', () => {
    const events = [...begun(CELL), told('failed', '2026-05-18', { ...OF, reason: 'starved' })];
    expect(shown(events)[0]).toMatchObject({ status: 'empty', since: '2026-05-18' });
    expect(shown(events)[1]).toMatchObject({ status: 'empty', since: null });
    expect(shown(begun(CELL))[0]).toMatchObject({
      status: 'cellGiven',
      since: CELL,
      frames: 3,
      attempt: { id: 'attempt-1' },
    });
  });

  it('are held by the newest colony after the first has gone', () => {
    const again = told('stocked', '2026-05-21', {
      box: 'box-1',
      colony: 'colony-2',
      bays: bays.slice(0, 1),
      frames: { sealedBrood: 1, stores: 0, drawn: 0 },
      shakes: 1,
      openBrood: false,
    });
    const events = [...begun(CELL), told('failed', '2026-05-18', { ...OF, reason: 'absconded' }), again];
    expect(shown(events)[0]).toMatchObject({ status: 'stocked', colony: { id: 'colony-2' } });
    expect(shown(events)[0]?.attempt).toBeUndefined();
  });

  it('one colony may hold several bays', () => {
    const box = begun(CELL).slice(0, 2);
    const wide = told('stocked', CELL, {
      box: 'box-1',
      colony: 'colony-1',
      bays: bays.slice(0, 2),
      frames: { sealedBrood: 2, stores: 2, drawn: 2 },
      shakes: 2,
      openBrood: false,
    });
    expect(shown([...box, wide]).map(({ status }) => status)).toEqual(['stocked', 'stocked', 'empty']);
  });
});

describe('what an entry is about', () => {
  it('is every box, colony, attempt, round and yard that it names', () => {
    expect(subjectsOf(told('combined', CELL, { box: 'a', colony: 'b', intoBox: 'c', into: 'd' }))).toEqual([
      { kind: 'box', id: 'a' },
      { kind: 'colony', id: 'b' },
      { kind: 'box', id: 'c' },
      { kind: 'colony', id: 'd' },
    ]);
    expect(
      subjectsOf(told('cellGiven', CELL, { box: 'a', colony: 'b', attempt: 'c', round: 'd' })).map(
        ({ kind }) => kind,
      ),
    ).toEqual(['box', 'colony', 'attempt', 'round']);
    expect(subjectsOf(told('withdrawn', CELL, {}))).toEqual([]);
  });
});

describe('the time of an entry', () => {
  const now = '2026-05-31T10:00:00.000Z';
  it('may be a day ahead, for a device’s clock, and no more', () => {
    expect(futureProblem({ occurredAt: '2026-06-01T09:59:59Z' }, now)).toBeUndefined();
    expect(futureProblem({ occurredAt: '2026-06-01T10:00:01Z' }, now)).toContain('more than a day ahead');
    expect(futureProblem({ occurredAt: '1999-01-01T00:00:00Z' }, now)).toBeUndefined();
  });
});

it('seeded chance is the same everywhere, and spread evenly', () => {
  const [a, b] = [seededRandom(48), seededRandom(48)];
  const drawn = Array.from({ length: 10_000 }, a);
  expect(drawn.slice(0, 100)).toEqual(Array.from({ length: 100 }, b));
  expect(drawn.every((value) => value >= 0 && value < 1)).toBe(true);
  expect(drawn.reduce((sum, value) => sum + value, 0) / drawn.length).toBeCloseTo(0.5, 1);
  expect(plusDays('2026-01-01', Math.floor((drawn[0] ?? 0) * 365)) >= '2026-01-01').toBe(true);
});
