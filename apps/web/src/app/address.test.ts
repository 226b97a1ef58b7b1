import { expect, it } from 'vitest';
import { keptByAddress, paramsNow } from './address.ts';

it('changes what the address says now, not what the screen still bears; where nobody knows it, that', () => {
  const before = new URLSearchParams('view=map');
  const copy = paramsNow(before);
  copy.set('on', '2026-05-30');
  expect(before.toString()).toBe('view=map');
  keptByAddress(() => '?on=2026-05-30');
  expect(paramsNow(before).toString()).toBe('on=2026-05-30');
  keptByAddress(() => '');
  expect(paramsNow(before).toString()).toBe('');
});
