import type { BoxState } from '@yellow-cell/contract';
import { expect, it } from 'vitest';
import { plusDays } from '../../calendar/days.ts';
import { defaultConstants } from '../../constants/registry.ts';
import { readinessWarnings } from './readiness.ts';
import type { Situation } from './situation.ts';

const TODAY = '2026-05-10';
const of = (more: Partial<BoxState>) =>
  readinessWarnings(
    { id: 'b', label: 'B1', ...more } as BoxState,
    { on: TODAY, constants: defaultConstants } as Situation,
  ).map(({ sentence }) => sentence);
const airing = defaultConstants.airing_d;

it('a box is ready where nothing of it is told, or all is done, aired, whole and clean', () => {
  expect(of({})).toEqual([]);
  expect(of({ buildSteps: {} })).toEqual([]);
  const done = { saw: '2026-04-01', dryCheck: '2026-04-20', finish: plusDays(TODAY, -airing) };
  expect(of({ buildSteps: done, inspected: { on: '2026-05-01', condition: 'good' } as never })).toEqual([]);
});

it('and is not while its build is begun, its finish airs, or something of it is broken, unclean or missing', () => {
  expect(of({ buildSteps: { saw: '2026-05-01' } })).toEqual([
    'The build of B1 is begun and its last check not ticked.',
  ]);
  const fresh = { dryCheck: '2026-05-09', finish: plusDays(TODAY, 1 - airing) };
  expect(of({ buildSteps: fresh })).toEqual([expect.stringContaining('it airs until 11 May before bees.')]);
  const seen = (more: object) => of({ inspected: { on: '2026-05-01', ...more } as never });
  expect(seen({ condition: 'broken' })).toEqual([
    expect.stringMatching(/^B1 is .*broken.*, as seen 1 May\.$/),
  ]);
  expect(seen({ condition: 'toClean' })).toHaveLength(1);
  expect(seen({ condition: 'good', missing: 'its cover' })).toEqual(['Missing of B1: its cover.']);
});
