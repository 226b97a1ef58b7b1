import { expect, it } from 'vitest';
import { growingSeason } from './growingSeason.ts';

it.each([
  ['2026-03-31', 48, undefined],
  ['2026-04-01', 48, { from: '2026-04-01', to: '2026-09-30' }],
  ['2026-09-30', 0, { from: '2026-04-01', to: '2026-09-30' }],
  ['2026-10-01', 48, undefined],
  ['2026-09-30', -41, undefined],
  ['2026-10-01', -41, { from: '2026-10-01', to: '2027-03-31' }],
  ['2027-01-15', -41, { from: '2026-10-01', to: '2027-03-31' }],
  ['2027-03-31', -41, { from: '2026-10-01', to: '2027-03-31' }],
  ['2027-04-01', -41, undefined],
])('%s at %d° lies in %o', (on, latitude, season) => {
  expect(growingSeason(on, latitude)).toEqual(season);
});
