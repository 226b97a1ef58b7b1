import { expect, it } from 'vitest';
import { defaultConstants } from '../../constants/registry.ts';
import type { CompartmentView } from '../boxView.ts';
import type { Expectation } from './expectation.ts';
import { whileOpen } from './whileOpen.ts';

const ON = '2026-06-10';
const work = (more: Partial<Expectation>): Expectation => ({
  kind: 'scorePattern',
  title: 'Score the pattern and mark her',
  from: '2026-06-09',
  expected: '2026-06-10',
  to: '2026-06-12',
  reason: '',
  ...more,
});
const offered = (expectations: Expectation[], more: Partial<CompartmentView> = {}) =>
  whileOpen({ expectations, due: [], ...more } as unknown as CompartmentView, ON, {
    ...defaultConstants,
    openAhead_d: 3,
    pattyOut_d: 14,
  }).map(({ sentence }) => sentence);

it('what is done inside a room and falls due within days is offered beside what is named anyway', () => {
  const due = work({});
  expect(offered([due])).toEqual(['Score the pattern and mark her, by 12 Jun']);
  expect(offered([due], { first: due })).toEqual([]);
  expect(offered([due], { due: [due] })).toEqual([]);
  expect(offered([work({ kind: 'openEntrance' })])).toEqual([]);
  expect(offered([work({ from: '2026-06-13' })])).toHaveLength(1);
  expect(offered([work({ from: '2026-06-14', to: '2026-06-20' })])).toEqual([]);
});

it('what lapsed is offered no more, what is overdue is', () => {
  expect(offered([work({ to: '2026-06-09' })])).toHaveLength(1);
  expect(offered([work({ to: '2026-06-09', lapses: true })])).toEqual([]);
  expect(offered([work({ to: ON, lapses: true })])).toHaveLength(1);
});

it('a patty comes out once it is two weeks old, and nothing else that was fed', () => {
  const fed = (on: string, feed = 'patty') => ({ colony: { fed: { on, feed } } }) as never;
  expect(offered([], fed('2026-05-27'))).toEqual([expect.stringMatching(/^Patty of 27 May: /)]);
  expect(offered([], fed('2026-05-28'))).toEqual([]);
  expect(offered([], fed('2026-05-01', 'syrup11'))).toEqual([]);
});
